import styled from 'styled-components';
import type { StudyPurchases, TrayPencil } from '../../api/types';

const Frame = styled.figure`
    margin: 0;
    max-width: 340px;
    padding-bottom: var(--space-3);
    & svg {
        display: block;
        width: 100%;
        height: auto;
    }
    & text {
        fill: var(--soft-ink);
        font-size: var(--type-figure);
        text-anchor: middle;
        dominant-baseline: middle;
    }
    & .ring {
        fill: none;
        stroke: var(--line);
        stroke-width: 0.75;
    }
    & .all {
        fill: none;
        stroke: var(--soft-ink);
        stroke-dasharray: 3 3;
    }
    & .own {
        fill: none;
        stroke: var(--ink);
        stroke-width: 2;
    }
    & figcaption {
        font-size: var(--type-small);
        line-height: 1.3;
    }
`;

const [HALF, MOST] = [150, 90];
const FAMILIES: readonly (readonly [string, number])[] = [
    ['red', 28],
    ['yellow', 92],
    ['green', 155],
    ['blue', 262],
    ['violet', 315],
];

interface ReachFigureProps {
    reach: { outline: readonly number[]; outlineOfAll: readonly number[] };
    pencils: readonly TrayPencil[];
    /** The photo's colours, and whose they are; nothing where no study has a plan. */
    photo: StudyPurchases | undefined;
}

/**
 * How strong a colour the drawer can make, by hue: grey in the middle, stronger farther out. Its pencils are dots, the photo's colours
 * squares.
 */
export function ReachFigure({ reach, pencils, photo }: ReachFigureProps) {
    const seen = photo?.seen ?? [];
    return (
        <Frame>
            <svg viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`} role="img" aria-label={words(reach)}>
                {[30, 60, MOST].map((chroma) => (
                    <circle key={chroma} className="ring" r={out(chroma)} />
                ))}
                <polygon className="all" points={line(reach.outlineOfAll)} />
                <polygon className="own" points={line(reach.outline)} />
                {FAMILIES.map(([name, hue]) => (
                    <text key={name} x={at(hue, MOST + 8)[0]} y={at(hue, MOST + 8)[1]}>
                        {name}
                    </text>
                ))}
                {pencils.map((p) => {
                    const [x, y] = at(p.reading.hueDegrees, p.reading.chroma);
                    return (
                        <circle key={p.id} cx={x} cy={y} r="5" fill={p.reading.hex} stroke="var(--ground)">
                            <title>{p.number}</title>
                        </circle>
                    );
                })}
                {seen.map(({ hex, chroma, hueDegrees }, i) => {
                    const [x, y] = at(hueDegrees, chroma);
                    return <rect key={i} x={x - 4} y={y - 4} width="8" height="8" fill={hex} stroke="var(--ink)" strokeWidth="0.75" />;
                })}
            </svg>
            <figcaption>
                Grey in the middle, strong colours outside. Heavy line: what your pencils reach. Broken line: what all known pencils reach.
                Dots: your pencils.{seen.length > 0 && photo !== undefined ? ` Squares: the colours of “${photo.study}”.` : ''}
            </figcaption>
        </Frame>
    );
}

const out = (chroma: number): number => (Math.min(chroma, MOST + 10) / MOST) * (HALF - 24);

/** Hue runs against the clock from the right, as it is measured. */
function at(hue: number, chroma: number): [number, number] {
    const turn = (hue * Math.PI) / 180;
    return [out(chroma) * Math.cos(turn), -out(chroma) * Math.sin(turn)];
}

const line = (outline: readonly number[]): string =>
    outline
        .map((chroma, i) => at(((i + 0.5) * 360) / outline.length, chroma))
        .map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`)
        .join(' ');

const words = ({ outline, outlineOfAll }: ReachFigureProps['reach']): string =>
    `How strong a colour the drawer reaches, by hue. All known pencils reach farther than yours by at most ` +
    `${Math.round(Math.max(0, ...outlineOfAll.map((c, i) => c - (outline[i] ?? 0))))} of chroma.`;
