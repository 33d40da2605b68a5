import styled from 'styled-components';
import type { Drill, DrillAnswer, DrillDab, Study } from '../../../api/types';
import { Dab } from '../../../dabs/Dab';
import { Button } from '../../../ui/controls';
import { RingOnPhoto } from '../RingOnPhoto';

const Part = styled.div`
    display: grid;
    gap: var(--space-4);
    justify-items: center;
    padding: var(--space-4) 0;
    text-align: center;
    & h3 {
        font-size: var(--type-title);
        font-weight: 600;
        max-width: 40ch;
    }
    & ol {
        margin: 0;
        padding: 0;
        list-style: none;
        display: grid;
        gap: var(--space-1);
    }
`;

const Touching = styled.div<{ $height: number }>`
    display: flex;
    justify-content: center;
    width: 100%;
    & figure {
        flex: 0 1 220px;
        margin: 0;
        min-width: 0;
    }
    & figure > span {
        display: block;
        height: ${(p) => p.$height}px;
    }
    & figcaption {
        padding-top: var(--space-1);
    }
`;

const Answer = styled.button`
    display: flex;
    align-items: center;
    gap: var(--space-3);
    min-height: 48px;
    min-width: min(440px, 80vw);
    padding: 0 var(--space-3) 0 0;
    border: 0;
    border-bottom: 1px solid var(--line);
    background: none;
    color: var(--ink);
    text-align: left;
    cursor: pointer;
    & > b {
        width: 26px;
        text-align: center;
    }
    & > .dab {
        width: 56px;
        height: 32px;
    }
    &[data-is='right'] {
        border-bottom: 4px solid var(--ink);
        font-weight: 700;
    }
    &[data-is='wrong'] {
        text-decoration: line-through;
    }
    &:disabled {
        cursor: default;
    }
`;

interface DrillPartProps {
    study: Study;
    drill: Drill;
    chosen: number | null;
    answer: DrillAnswer | undefined;
    onChoose: (choice: number) => void;
    onNext: () => void;
}

export function DrillPart({ study, drill, chosen, answer, onChoose, onNext }: DrillPartProps) {
    const [x, y] = drill.place ?? [];
    return (
        <Part>
            <h3>{drill.question}</h3>
            {x !== undefined && y !== undefined && <RingOnPhoto study={study} at={[x, y]} />}
            {drill.shown.length > 0 && <Dabs dabs={drill.shown} height={150} />}
            <ol aria-label="Answers">
                {drill.choices.map((c, i) => (
                    <li key={c.words}>
                        <Answer
                            disabled={chosen !== null}
                            data-is={answer === undefined ? undefined : i === answer.answer ? 'right' : i === chosen ? 'wrong' : undefined}
                            onClick={() => onChoose(i)}
                        >
                            <b>{i + 1}</b>
                            {c.dab.length > 0 && (
                                <span className="dab">
                                    <Dab strata={strata(c)} width={56} height={32} label="" />
                                </span>
                            )}
                            <span>{c.words}</span>
                        </Answer>
                    </li>
                ))}
            </ol>
            {answer !== undefined && <Judged answer={answer} onNext={onNext} />}
        </Part>
    );
}

function Judged({ answer, onNext }: { answer: DrillAnswer; onNext: () => void }) {
    return (
        <>
            <p role="status">
                <b>{answer.right ? 'Yes.' : 'No.'}</b> {answer.because}
            </p>
            <Dabs dabs={answer.after} height={96} />
            <Button $main autoFocus onPress={onNext}>
                Next
            </Button>
        </>
    );
}

function Dabs({ dabs, height }: { dabs: readonly DrillDab[]; height: number }) {
    return (
        <Touching $height={height}>
            {dabs.map((d) => (
                <figure key={d.words}>
                    <span>
                        <Dab strata={strata(d)} width={220} height={height} label="" />
                    </span>
                    <figcaption>{d.words}</figcaption>
                </figure>
            ))}
        </Touching>
    );
}

/** One colour is the same on peaks and in valleys. */
export const strata = ({ dab }: DrillDab): readonly string[] =>
    dab.length === 1 ? Array.from({ length: 6 }, () => dab[0] ?? '#808080') : dab;
