import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { PlanRamp } from '../../api/types';
import { Dab } from '../../dabs/Dab';
import { useRamp, type Line } from './queries';

const Part = styled.div`
    padding: var(--space-1) var(--space-4);
    font-size: var(--type-text);
    & .strip {
        display: grid;
        grid-template-columns: repeat(9, 1fr);
    }
    & .strip > span {
        height: 34px;
    }
    & .photo > span {
        height: 12px;
    }
    & .reach {
        position: relative;
        height: 20px;
        border-bottom: 1px solid var(--line);
    }
    & .reach span {
        position: absolute;
        top: 3px;
        height: 14px;
        border: 1.5px solid var(--ink);
        padding-left: var(--space-1);
        font-size: var(--type-figure);
        line-height: 12px;
        font-weight: 700;
    }
`;

/** The fade along a drawn line: the photo's colours, the strip that becomes of it, and how far each pencil reaches. */
export function RampPart({ study, line, stamp }: { study: number; line: Line | null; stamp: string }) {
    const ramp = useRamp(study, line, stamp);
    if (line === null) {
        return (
            <Part role="status">
                Draw a line across a zone, from the start of the fade to its end. By keyboard: arrows move, Space sets each end.
            </Part>
        );
    }
    if (ramp.data === undefined) {
        return <Part role="status">{ramp.error === null ? 'Finding the fade…' : sentenceOf(ramp.error)}</Part>;
    }
    const { data } = ramp;
    return (
        <Part aria-label="The fade" role="region">
            <div className="strip photo" aria-hidden="true">
                {data.photo.map((hex, i) => (
                    <span key={i} style={{ background: hex }} />
                ))}
            </div>
            <div className="strip">
                {data.steps.map((s) => (
                    <span key={s.share} title={s.passes.map((p) => `${p.number} ${p.pressureWord}`).join(', then ')}>
                        <Dab
                            strata={s.strata}
                            width={60}
                            height={34}
                            label={`${s.passes.map((p) => `${p.number} ${p.pressureWord}`).join(', then ')}: ${s.words}`}
                        />
                    </span>
                ))}
            </div>
            {data.pencils.map((p) => (
                <div key={p.id} className="reach">
                    <span style={{ left: `${p.from * 100}%`, width: `${Math.max(4, (p.to - p.from) * 100)}%` }}>{p.number}</span>
                </div>
            ))}
            <p>{words(data)}</p>
        </Part>
    );
}

function words({ zone, pencils, overlaps, joiningWords }: PlanRamp): string {
    const fade = pencils
        .slice(1)
        .map(
            (p, i) =>
                `${pencils[i]?.number ?? ''} fades while ${p.number} grows between ` +
                `${percent(overlaps[i]?.[0])} and ${percent(overlaps[i]?.[1])} of the line`,
        )
        .join('; ');
    return `${zone}: ${fade}. ${joiningWords}`;
}

const percent = (share: number | undefined): string => `${Math.round((share ?? 0) * 100)} %`;
