import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { RequestFailed, sentenceOf } from '../api/client';
import type { Study } from '../api/types';

import { Button, WordButton } from '../ui/controls';
import { useSaveStudy, useStudyChanges } from '../api/studies';

const Part = styled.section`
    padding: var(--space-4) var(--space-5);
    & p {
        max-width: 62ch;
    }
    & div {
        display: flex;
        flex-wrap: wrap;
        gap: var(--space-2) var(--space-3);
        align-items: center;
        padding: var(--space-2) 0;
    }
`;

/** Whether it is what is kept that can't be shown, and not the moment in which it was asked for. */
export const isUnshown = (error: unknown): boolean => error instanceof RequestFailed && error.problem.type === 'cannot-be-shown';

interface StudyRescueProps {
    study: Study;
    fault: unknown;
    onUndo: () => void;
    onFault: (text: string) => void;
}

/** What can be done with a study that can't be shown: the last change taken back, all of it saved, or deleted. */
export function StudyRescue({ study, fault, onUndo, onFault }: StudyRescueProps) {
    const save = useSaveStudy((error) => onFault(sentenceOf(error)));
    return (
        <Part aria-label="This study can’t be shown">
            <p role="alert">{sentenceOf(fault)}</p>
            <div>
                <Button $main onPress={onUndo}>
                    Undo last change
                </Button>
                <WordButton isPending={save.isPending} onPress={() => save.mutate(study)}>
                    Save study as a file
                </WordButton>
                <DeleteStudy study={study} onFault={onFault} />
            </div>
        </Part>
    );
}

/** Asked twice, as it can't be taken back; the keyboard stays with what is asked. */
export function DeleteStudy({ study, onFault }: { study: Study; onFault: (text: string) => void }) {
    const navigate = useNavigate();
    const [step, setStep] = useState<'nothing' | 'asked' | 'kept'>('nothing');
    const { remove } = useStudyChanges(study, (error) => onFault(sentenceOf(error)));
    if (step !== 'asked') {
        return (
            <WordButton key="delete" autoFocus={step === 'kept'} onPress={() => setStep('asked')}>
                Delete study…
            </WordButton>
        );
    }
    return (
        <>
            <span>Delete “{study.name}” with its photos, zones and plan? This can’t be undone.</span>
            <Button
                isPending={remove.isPending}
                onPress={() => remove.mutate(undefined, { onSuccess: () => void navigate('/photo', { replace: true }) })}
            >
                Delete study
            </Button>
            <WordButton autoFocus onPress={() => setStep('kept')}>
                Keep study
            </WordButton>
        </>
    );
}
