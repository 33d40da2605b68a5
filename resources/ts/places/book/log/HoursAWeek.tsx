import styled from 'styled-components';
import type { LogTotalOf } from '../../../api/types';
import { inHours } from './words';

const Frame = styled.figure`
    margin: 0;
    padding: var(--space-2) 0 var(--space-3);
    max-width: 520px;
    & svg {
        display: block;
        width: 100%;
        height: auto;
    }
    & text {
        fill: var(--soft-ink);
        font-size: var(--type-figure);
    }
    & line {
        stroke: var(--line);
        stroke-width: 0.75;
    }
    & rect {
        fill: var(--ink);
    }
`;

const [WIDE, HIGH, LEFT, TOP, BOTTOM, BAR] = [440, 140, 34, 28, 20, 20];

/** A bar for every week, the last one this week's. */
export function HoursAWeek({ weeks }: { weeks: readonly LogTotalOf[] }) {
    if (weeks.length === 0) {
        return null;
    }
    const most = Math.max(1, Math.ceil(Math.max(...weeks.map((w) => w.minutes)) / 60));
    const up = (hours: number): number => HIGH - BOTTOM - (hours / most) * (HIGH - TOP - BOTTOM);
    const room = (WIDE - LEFT) / Math.max(6, weeks.length);
    const told = weeks.filter((w) => w.minutes > 0).map((w) => `week of ${w.name}, ${inHours(w.minutes)}`);
    return (
        <Frame>
            <svg viewBox={`0 0 ${WIDE} ${HIGH}`} role="img" aria-label={`Hours a week: ${told.join('; ')}`}>
                <text x={LEFT} y={TOP - 8}>
                    hours a week, by its Monday
                </text>
                {[0, most].map((hours) => (
                    <g key={hours}>
                        <line x1={LEFT} x2={WIDE} y1={up(hours)} y2={up(hours)} />
                        <text x={LEFT - 6} y={up(hours) + 4} textAnchor="end">
                            {hours === 0 ? '0' : `${hours} h`}
                        </text>
                    </g>
                ))}
                {weeks.map((w, i) => (
                    <g key={w.of}>
                        <rect
                            x={LEFT + (i + 0.5) * room - BAR / 2}
                            y={up(w.minutes / 60)}
                            width={BAR}
                            height={HIGH - BOTTOM - up(w.minutes / 60)}
                        />
                        {(weeks.length < 8 || (weeks.length - 1 - i) % 2 === 0) && (
                            <text x={LEFT + (i + 0.5) * room} y={HIGH - 4} textAnchor="middle">
                                {w.name}
                            </text>
                        )}
                    </g>
                ))}
            </svg>
        </Frame>
    );
}
