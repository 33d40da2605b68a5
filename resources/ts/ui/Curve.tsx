import styled from 'styled-components';

const Frame = styled.svg`
    display: block;
    width: 100%;
    height: auto;
    & text {
        fill: var(--ink);
        font-size: var(--type-figure);
    }
    & .soft {
        fill: var(--soft-ink);
    }
    & .rule {
        stroke: var(--line);
        stroke-width: 0.75;
    }
    & .curve {
        fill: none;
        stroke: var(--ink);
        stroke-width: 2;
        stroke-linejoin: round;
    }
    & .here {
        fill: var(--ground);
        stroke: var(--ink);
        stroke-width: 2.5;
    }
`;

export interface CurvePoint {
    x: number;
    y: number;
}

interface CurveProps {
    /** All of it in words, for who does not see it. */
    label: string;
    points: readonly CurvePoint[];
    /** The point that is chosen, and what it is called. */
    here: CurvePoint | undefined;
    hereWords: string;
    xTitle: string;
    yTitle: string;
}

const [WIDE, HIGH, LEFT, RIGHT, TOP, BOTTOM] = [600, 190, 40, 12, 22, 36];

/** A curve with its axes: both begin at nought or at the first point, are ruled at even figures, and say what they count. */
export function Curve({ label, points, here, hereWords, xTitle, yTitle }: CurveProps) {
    const most = Math.max(1, Math.ceil(Math.max(0, ...points.map((p) => p.y))));
    const [first, last] = [points[0]?.x ?? 0, points.at(-1)?.x ?? 1];
    const at = (x: number): number => LEFT + ((x - first) / Math.max(1, last - first)) * (WIDE - LEFT - RIGHT);
    const up = (y: number): number => HIGH - BOTTOM - (y / most) * (HIGH - TOP - BOTTOM);
    const step = most > 6 ? 2 : 1;
    const rules = Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
    const marks = points.filter((p) => p.x === first || p.x === last || p.x % 3 === 0);
    return (
        <Frame viewBox={`0 0 ${WIDE} ${HIGH}`} role="img" aria-label={label}>
            {rules.map((y) => (
                <g key={y}>
                    <line className="rule" x1={LEFT} x2={WIDE - RIGHT} y1={up(y)} y2={up(y)} />
                    <text x={LEFT - 8} y={up(y) + 4} textAnchor="end">
                        {y}
                    </text>
                </g>
            ))}
            {marks.map((p) => (
                <text key={p.x} x={at(p.x)} y={HIGH - BOTTOM + 15} textAnchor="middle">
                    {p.x}
                </text>
            ))}
            <text className="soft" x={LEFT - 8} y={TOP - 10}>
                {yTitle}
            </text>
            <text className="soft" x={WIDE - RIGHT} y={HIGH - 5} textAnchor="end">
                {xTitle}
            </text>
            <polyline className="curve" points={points.map((p) => `${at(p.x).toFixed(1)},${up(p.y).toFixed(1)}`).join(' ')} />
            {here !== undefined && (
                <>
                    <line className="rule" x1={at(here.x)} x2={at(here.x)} y1={up(here.y)} y2={HIGH - BOTTOM} />
                    <circle className="here" cx={at(here.x)} cy={up(here.y)} r="5" />
                    <text
                        x={at(here.x) + (here.x > (first + last) / 2 ? 6 : -6)}
                        y={up(here.y) - 12}
                        textAnchor={here.x > (first + last) / 2 ? 'end' : 'start'}
                        fontWeight="700"
                    >
                        {hereWords}
                    </text>
                </>
            )}
        </Frame>
    );
}
