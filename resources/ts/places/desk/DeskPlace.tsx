import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import { useStudyChanges } from '../../api/studies';
import { StudyBar } from '../../app/StudyBar';
import { TopBar } from '../../app/TopBar';
import { useStudyInHand } from '../../app/useStudyInHand';
import { GrainProvider } from '../../dabs/grain';
import { Page } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { DeskScreen } from './DeskScreen';

const Middle = styled.main`
    padding: 24px;
`;

/** The place "Desk", beside the drawing: from the first pass to "finished". */
export function DeskPlace() {
    const navigate = useNavigate();
    const { studies, all, study } = useStudyInHand();
    const [fault, setFault] = useState<string | null>(null);
    const { change } = useStudyChanges(study, (error) => setFault(sentenceOf(error)));
    // What is on the desk stays there while the network is gone; it is said where marks wait.
    const failed = studies.error === null || studies.data !== undefined ? null : sentenceOf(studies.error);
    return (
        <GrainProvider>
            <Page>
                <TopBar onFault={setFault}>
                    <StudyBar
                        studies={all}
                        study={study}
                        papers={studies.data?.papers ?? []}
                        onChoose={(s) => void navigate(`/desk/${s.id}`)}
                        onPaper={(paper) => change.mutate({ paper })}
                    />
                </TopBar>
                <Notice text={fault ?? failed} onClose={() => setFault(null)} />
                {study !== undefined && <DeskScreen key={`${study.id}/${study.paper}`} study={study} onFault={setFault} />}
                {studies.isPending && <Middle aria-busy="true">Opening your studies…</Middle>}
                {studies.data !== undefined && study === undefined && (
                    <Middle>
                        There is no study yet. <Link to="/photo">Start with a photo</Link>.
                    </Middle>
                )}
            </Page>
        </GrainProvider>
    );
}
