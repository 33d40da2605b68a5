import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { sentenceOf } from '../api/client';
import { useStudyChanges } from '../api/studies';
import type { Study } from '../api/types';
import { GrainProvider } from '../dabs/grain';
import { Page } from '../ui/layout';
import { Notice } from '../ui/Notice';
import { StudyBar } from './StudyBar';
import { TopBar } from './TopBar';
import { useStudyInHand } from './useStudyInHand';

const Middle = styled.main`
    padding: var(--space-5);
`;

interface StudyPlaceProps {
    /** Where another study is looked at. */
    path: string;
    children: (study: Study, onFault: (text: string) => void) => ReactNode;
}

/** A place about one study: its bar with the way to another, and what there is to say where there is none. */
export function StudyPlace({ path, children }: StudyPlaceProps) {
    const navigate = useNavigate();
    const { studies, all, study } = useStudyInHand();
    const [fault, setFault] = useState<string | null>(null);
    const { change } = useStudyChanges(study, (error) => setFault(sentenceOf(error)));
    // What is there stays there while the network is gone; it is said where changes wait.
    const failed = studies.error === null || studies.data !== undefined ? null : sentenceOf(studies.error);
    return (
        <GrainProvider>
            <Page>
                <TopBar onFault={setFault}>
                    <StudyBar
                        studies={all}
                        study={study}
                        papers={studies.data?.papers ?? []}
                        onChoose={(s) => void navigate(`${path}/${s.id}`)}
                        onPaper={(paper) => change.mutate({ paper })}
                    />
                </TopBar>
                <Notice text={fault ?? failed} onClose={() => setFault(null)} />
                {study !== undefined && children(study, setFault)}
                {studies.isPending && <Middle aria-busy="true">Opening your studies…</Middle>}
                {studies.data !== undefined && study === undefined && (
                    <Middle>
                        You have no study yet. <Link to="/photo">Start with a photo</Link>.
                    </Middle>
                )}
            </Page>
        </GrainProvider>
    );
}
