import styled from 'styled-components';
import type { Values } from '../../api/types';

const Ruler = styled.ol`
    display: flex;
    flex-direction: column;
    width: 70px;
    margin: 0;
    padding: 0;
    list-style: none;
    & li {
        flex: 1;
        min-height: 24px;
    }
    & button {
        position: relative;
        display: flex;
        align-items: center;
        width: 100%;
        height: 100%;
        padding: 0;
        border: 0;
        background: none;
        font-size: var(--type-figure);
        cursor: pointer;
    }
    & .grey {
        display: grid;
        place-items: center;
        width: 22px;
        height: 100%;
        font-weight: 700;
        font-size: var(--type-small);
    }
    & .share {
        flex: 1;
        text-align: right;
        padding-right: var(--space-2);
        white-space: nowrap;
    }
    & button[aria-pressed='true'] .share {
        font-weight: 700;
        text-decoration: underline;
        text-decoration-thickness: 3px;
        text-underline-offset: 4px;
    }
    & .here {
        position: absolute;
        left: 22px;
        width: 0;
        height: 0;
        border: 6px solid transparent;
        border-right-color: var(--ink);
        border-left: 0;
    }
`;

interface ValueRulerProps {
    values: Values | undefined;
    only: number | null;
    /** The step of the ring's spot on this scale. */
    here: number | null;
    onOnly: (step: number) => void;
}

/** A value ruler along the photo: every step as a grey with its share of the area; pressing one shows it alone. */
export function ValueRuler({ values, only, here, onOnly }: ValueRulerProps) {
    const steps = (values?.shares ?? []).map((share, i) => ({ step: i + 1, share, grey: values?.greys[i] ?? '#777777' }));
    // Light above, dark below, whichever end is 1.
    const downward = values?.fromLightest === true ? steps : [...steps].reverse();
    return (
        <Ruler aria-label="Value ruler">
            {downward.map(({ step, share, grey }) => (
                <li key={step}>
                    <button
                        type="button"
                        aria-pressed={only === step}
                        aria-label={`Value ${step}, ${percent(share)} of the photo${here === step ? ', the spot' : ''}: show it alone`}
                        onClick={() => onOnly(step)}
                    >
                        <span className="grey" style={{ background: grey, color: isDark(grey) ? '#fff' : '#000' }}>
                            {step}
                        </span>
                        {here === step && <span className="here" />}
                        <span className="share">{percent(share)}</span>
                    </button>
                </li>
            ))}
        </Ruler>
    );
}

const percent = (share: number): string => (share > 0 && share < 0.005 ? '<1 %' : `${Math.round(share * 100)} %`);

const isDark = (grey: string): boolean => parseInt(grey.slice(1, 3), 16) < 118;
