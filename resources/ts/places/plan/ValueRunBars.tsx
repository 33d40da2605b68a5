import styled from 'styled-components';
import { useValueRuns } from './queries';

const Run = styled.div`
    display: grid;
    grid-template-columns: 50px repeat(9, 1fr);
    gap: 0 var(--space-2);
    align-items: end;
    padding: var(--space-1) var(--space-4);
    font-size: var(--type-figure);
    & .bar {
        height: 44px;
        display: flex;
        align-items: flex-end;
        gap: var(--space-1);
    }
    & .bar > span {
        flex: 1;
        background: var(--ink);
        min-height: 1px;
    }
    & .bar > span + span {
        background: repeating-linear-gradient(-45deg, var(--ink) 0 2px, transparent 2px 5px);
        border: 1px solid var(--ink);
    }
    & .step {
        text-align: center;
    }
`;

/** How the values of photo and plan are spread: for each of nine steps two bars, the photo's full and the plan's hatched. */
export function ValueRunBars({ study, stamp, planned }: { study: number; stamp: string; planned: boolean }) {
    const runs = useValueRuns(study, stamp, planned);
    if (!planned || runs.data === undefined) {
        return null;
    }
    const { photo, plan } = runs.data;
    const most = Math.max(0.01, ...photo, ...plan);
    return (
        <Run
            role="img"
            aria-label={
                `Value run, darkest first: ` +
                photo.map((v, i) => `value ${i + 1}: photo ${percent(v)}, plan ${percent(plan[i] ?? 0)}`).join('; ')
            }
        >
            <span>
                photo
                <br />
                and plan
            </span>
            {photo.map((share, i) => (
                <span key={i} className="bar">
                    <span style={{ height: `${(share / most) * 100}%` }} />
                    <span style={{ height: `${((plan[i] ?? 0) / most) * 100}%` }} />
                </span>
            ))}
            <span>value</span>
            {photo.map((_, i) => (
                <span key={i} className="step">
                    {i + 1}
                </span>
            ))}
        </Run>
    );
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;
