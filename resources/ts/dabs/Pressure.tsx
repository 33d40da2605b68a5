import styled from 'styled-components';

const Hatched = styled.span`
    display: inline-flex;
    align-items: center;
    gap: var(--space-1);
    white-space: nowrap;
`;

/** From the lightest to the firmest. */
export const PRESSURES: readonly string[] = ['whisper', 'light', 'medium', 'firm', 'full'];

/** Pressure as one to five hatch strokes, with its word; nothing for none. */
export function Pressure({ word }: { word: string }) {
    const strokes = PRESSURES.indexOf(word) + 1;
    if (strokes === 0) {
        return null;
    }
    return (
        <Hatched>
            <svg width={4 + strokes * 5} height="13" aria-hidden="true">
                {Array.from({ length: strokes }, (_, i) => (
                    <line key={i} x1={2 + i * 5} y1="12" x2={6 + i * 5} y2="1" stroke="currentColor" strokeWidth="1.8" />
                ))}
            </svg>
            {word}
        </Hatched>
    );
}
