import styled from 'styled-components';
import { useLoaded } from '../../../stage/useLoaded';
import { useSettled } from '../../../stage/useSettled';
import type { Place } from './useLoupe';

/** Ten pixels of the page a millimetre: some two and a half times as large as it will be. */
const WIDTH = 360;
const HEIGHT = 270;

/** Milliseconds without a move. */
const RESTS = 120;

const Glass = styled.figure<{ $left: boolean }>`
    ${(p) => (p.$left ? 'left' : 'right')}: 8px;
    position: absolute;
    z-index: 2;
    bottom: 8px;
    width: min(${WIDTH}px, 62%);
    margin: 0;
    background: #fff;
    outline: 2px solid #222;
    pointer-events: none;
    && > img {
        position: static;
        display: block;
        width: 100%;
        height: auto;
        aspect-ratio: ${WIDTH} / ${HEIGHT};
    }
    & > figcaption {
        padding: var(--space-1) var(--space-2);
        color: #222;
        font-size: var(--type-small);
    }
`;

const Ring = styled.b`
    position: absolute;
    z-index: 1;
    transform: translate(-50%, -50%);
    outline: 2px solid #fff;
    box-shadow: 0 0 0 4px #222;
    pointer-events: none;
`;

interface LoupeProps {
    place: Place;
    /** The address of the piece around a place. */
    of: (x: number, y: number) => string;
    /** Width and height of the drawing, millimetres. */
    wide: number;
    high: number;
}

export function Loupe({ place: [left, top], of, wide, high }: LoupeProps) {
    // Asked for where it rests: every place on the way would have to be drawn first.
    const x = useSettled(left, RESTS);
    const y = useSettled(top, RESTS);
    const { shown, waiting, failed } = useLoaded(of(x, y));
    const [across, down] = [Math.min(1, 36 / wide), Math.min(1, 27 / high)];
    // Where the piece lies: at an edge it stays within the drawing.
    const middle = (at: number, share: number): number => Math.max(share / 2, Math.min(1 - share / 2, at));
    return (
        <>
            <Ring
                aria-hidden="true"
                style={{
                    left: `${middle(left, across) * 100}%`,
                    top: `${middle(top, down) * 100}%`,
                    width: `${across * 100}%`,
                    height: `${down * 100}%`,
                }}
            />
            <Glass $left={x > 0.5}>
                <img
                    src={shown}
                    alt={`the drawing from near, ${Math.round(x * 100)} % across and ${Math.round(y * 100)} % down`}
                    draggable={false}
                />
                <figcaption role="status">
                    {failed
                        ? 'This part can’t be shown now. Move away and come back.'
                        : waiting
                          ? 'Zooming in…'
                          : '36 × 27 mm of the drawing, enlarged'}
                </figcaption>
            </Glass>
        </>
    );
}
