import styled from 'styled-components';
import type { PlanAnswers, PlanShade, PlanZone, Sequence } from '../../../api/types';
import { Dab } from '../../../dabs/Dab';
import { WordButton } from '../../../ui/controls';
import { within } from '../../../ui/within';

const Side = styled.div`
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 0 var(--space-3);
    border-top: 1px solid var(--line);
    font-size: var(--type-small);
    line-height: 1.3;
    & ol {
        margin: var(--space-1) 0;
        padding-left: var(--space-4);
    }
`;

/** The colours of a zone beside each other: the photo's above, what a sequence leaves of it beneath. */
export const Ends = styled.div`
    display: flex;
    gap: var(--space-1);
    & > span {
        flex: 1;
        max-width: 52px;
    }
    & .aim {
        display: block;
        height: 20px;
    }
    & .dab {
        display: block;
        height: 30px;
    }
`;

interface AnswersProps {
    zone: PlanZone;
    answers: PlanAnswers | undefined;
    onTake: (taken: Sequence) => void;
}

/**
 * Up to three answers beside each other: what each leaves in every colour of the zone, touching that colour of the photo, and its passes.
 */
export function Answers({ zone, answers, onTake }: AnswersProps) {
    if (answers === undefined) {
        return <p role="status">Finding up to three sequences…</p>;
    }
    return (
        <Side role="group" aria-label="Answers">
            {answers.answers.map((a) => (
                <article key={a.label} aria-label={a.label}>
                    <p>
                        <b>{a.label}</b>, likely error {within(a.errorOnPaper)}
                    </p>
                    <Ends>
                        {zone.shades.map((t) => (
                            <End key={t.shade} answer={a} target={t} />
                        ))}
                    </Ends>
                    <ol>
                        {a.passes.length === 0 && <li>{a.words}</li>}
                        {a.passes.map((p, i) => (
                            <li key={i}>{p.words}</li>
                        ))}
                    </ol>
                    <WordButton aria-label={`Use ${a.label}`} onPress={() => onTake(a)}>
                        Take
                    </WordButton>
                </article>
            ))}
        </Side>
    );
}

export function End({ answer, target }: { answer: Sequence; target: PlanShade }) {
    const last = answer.passes
        .map((p) => p.dabs[target.shade])
        .filter((d) => d !== undefined)
        .at(-1);
    return (
        <span title={`${target.name}: ${last === undefined ? 'the paper' : `${last.colourWords}, ${last.evenness}`}`}>
            <span className="aim" style={{ background: target.aim.hex }} />
            <span className="dab">
                {last !== undefined && (
                    <Dab strata={last.strata} width={40} height={30} label={`${target.name}: ${last.colourWords}, ${last.evenness}`} />
                )}
            </span>
        </span>
    );
}
