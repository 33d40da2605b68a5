import { lazy, Suspense, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { Study } from '../../api/types';
import { GrainProvider } from '../../dabs/grain';
import { Page } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { PhotoScreen } from './PhotoScreen';

import { StudyBar } from '../../app/StudyBar';
import { TopBar } from '../../app/TopBar';
import { useStudyInHand } from '../../app/useStudyInHand';
import { useStudyChanges } from '../../api/studies';

const EmptyPlace = lazy(async () => ({ default: (await import('./EmptyPlace')).EmptyPlace }));

const Middle = styled.main`
    padding: var(--space-5);
`;

/** The place "Photo": finds the study that one was in, or the newest, and opens new photos. */
export function PhotoPlace() {
    const navigate = useNavigate();
    const opened = (useLocation().state as { opened?: number } | null)?.opened;
    const { studies, all, study } = useStudyInHand();
    const [fault, setFault] = useState<string | null>(null);
    const { open, change } = useStudyChanges(study, (error) => setFault(sentenceOf(error)));

    const choose = (s: Study) => void navigate(`/photo/${s.id}`);
    const openPhoto = (file: File) => {
        setFault(null);
        // What was pressed to open it is gone or behind: hands go on at the photo.
        open.mutate(file, { onSuccess: (s) => void navigate(`/photo/${s.id}`, { state: { opened: s.id } }) });
    };

    return (
        <GrainProvider>
            <Page>
                <TopBar onFault={setFault}>
                    <StudyBar
                        studies={all}
                        study={study}
                        papers={studies.data?.papers ?? []}
                        opening={open.isPending}
                        onChoose={choose}
                        onPaper={(paper) => change.mutate({ paper })}
                        onPhoto={openPhoto}
                    />
                </TopBar>
                <Notice text={fault ?? (studies.error === null ? null : sentenceOf(studies.error))} onClose={() => setFault(null)} />
                {study !== undefined && (
                    <PhotoScreen key={study.id} study={study} fresh={study.id === opened} onPhoto={openPhoto} onFault={setFault} />
                )}
                {studies.isPending && <Middle aria-busy="true">Opening your studies…</Middle>}
                <Suspense fallback={null}>
                    {studies.data !== undefined && study === undefined && (
                        <EmptyPlace opening={open.isPending} onPhoto={openPhoto} onFault={setFault} />
                    )}
                </Suspense>
            </Page>
        </GrainProvider>
    );
}
