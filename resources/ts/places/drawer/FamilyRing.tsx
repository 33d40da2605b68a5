import styled from 'styled-components';
import type { PencilPortrait } from '../../api/types';

const Figure = styled.figure`
    margin: 0;
    & svg {
        display: block;
    }
    & text {
        fill: var(--ink);
    }
    & path {
        fill: none;
        stroke: var(--soft-ink);
        stroke-width: 1.5;
    }
    & path[data-here='true'] {
        stroke: var(--ink);
        stroke-width: 9;
    }
`;

const R = 38;
const at = (turn: number, r: number): string => `${(50 + r * Math.sin(turn)).toFixed(2)} ${(50 - r * Math.cos(turn)).toFixed(2)}`;

/**
 * Where a pencil stands on the ring of eighteen families: three to each base, leaning back, true, leaning on. Browns, greys, white and
 * black stand in the middle.
 */
export function FamilyRing({ ring }: { ring: PencilPortrait['ring'] }) {
    const count = ring.families.length;
    const part = (2 * Math.PI) / count;
    return (
        <Figure>
            <svg viewBox="-4 0 108 100" width="116" height="108" role="img" aria-label={`On the ring of families: ${ring.words}`}>
                {ring.families.map((family, i) => {
                    const from = (i - 1.5) * part + 0.03;
                    return (
                        <path
                            key={family}
                            d={`M${at(from, R)} A${R} ${R} 0 0 1 ${at(from + part - 0.06, R)}`}
                            data-here={i === ring.place}
                        />
                    );
                })}
                {ring.families
                    .filter((family) => !family.includes(','))
                    .map((base, i) => (
                        <text
                            key={base}
                            fontSize="8"
                            x="50"
                            y="50"
                            textAnchor="middle"
                            dominantBaseline="middle"
                            transform={place(i * 3 * part)}
                        >
                            {base}
                        </text>
                    ))}
                {ring.place === null && (
                    <text fontSize="8" x="50" y="50" textAnchor="middle" dominantBaseline="middle" fontWeight="700">
                        {ring.words.split(',')[0]}
                    </text>
                )}
            </svg>
        </Figure>
    );
}

const place = (turn: number): string => `translate(${(24 * Math.sin(turn)).toFixed(2)} ${(-24 * Math.cos(turn)).toFixed(2)})`;
