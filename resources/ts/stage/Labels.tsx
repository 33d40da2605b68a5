import styled from 'styled-components';
import type { Frame, NamedSpot } from '../api/types';
import { flipped, type Flip } from './flip';

const Tag = styled.span`
    position: absolute;
    transform: translate(8px, -20px);
    padding: 0 var(--space-1);
    background: #fff;
    color: #000;
    font-size: var(--type-figure);
    font-weight: 700;
    line-height: 16px;
    pointer-events: none;
`;

const Cell = styled(Tag)`
    transform: none;
    font-weight: 400;
    line-height: 14px;
    font-size: var(--type-figure);
`;

const at = (x: number, y: number) => ({ left: `${x * 100}%`, top: `${y * 100}%` });

/** Numbers of spots, upright whichever way the photo is turned. */
export function SpotNumbers({ spots, photo, flip }: { spots: readonly NamedSpot[]; photo: number; flip: Flip }) {
    return (
        <>
            {spots.map((spot, i) => {
                const place = spot.places.find((p) => p.photo === photo);
                const shown = place === undefined ? null : flipped(place, flip);
                return (
                    shown !== null && (
                        <Tag key={spot.number} style={at(shown.x, shown.y)} aria-hidden="true">
                            {i + 1}
                        </Tag>
                    )
                );
            })}
        </>
    );
}

/** Columns of the grid are numbered above, rows at the side, from the upper left of what is shown. */
export function CellNumbers({ frame, flip }: { frame: Frame; flip: Flip }) {
    const across = [frame.left, ...frame.across].map((x) => flipped({ x, y: 0 }, flip).x);
    const down = [frame.top, ...frame.down].map((y) => flipped({ x: 0, y }, flip).y);
    const edge = flipped({ x: frame.left + frame.width, y: frame.top + frame.height }, flip);
    const starts = (values: number[], turned: boolean, end: number) =>
        turned ? [...values.slice(1).reverse(), end].map((_, i, all) => (i === 0 ? end : (all[i - 1] ?? end))) : values;
    const columns = starts(across, flip.x, edge.x);
    const rows = starts(down, flip.y, edge.y);
    const top = Math.min(...rows);
    const left = Math.min(...columns);
    return (
        <>
            {columns.map((x, i) => (
                <Cell key={`c${x}`} style={at(x, top)} aria-hidden="true">
                    {i + 1}
                </Cell>
            ))}
            {rows.slice(1).map((y, i) => (
                <Cell key={`r${y}`} style={at(left, y)} aria-hidden="true">
                    {i + 2}
                </Cell>
            ))}
        </>
    );
}
