import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import { StudyBar } from '../../app/StudyBar';
import { TopBar } from '../../app/TopBar';

import { useStudyInHand } from '../../app/useStudyInHand';
import { GrainProvider } from '../../dabs/grain';
import { Page } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { PlanScreen } from './PlanScreen';
import { useStudyChanges } from '../../api/studies';

const Middle = styled.main`
    padding: 24px;
`;

/** The place "Plan": the study that one was in, from zones to a plan. */
export function PlanPlace() {
    const navigate = useNavigate();
    const { studies, all, study } = useStudyInHand();
    const [fault, setFault] = useState<string | null>(null);
    const { change } = useStudyChanges(study, (error) => setFault(sentenceOf(error)));

    return (
        <GrainProvider>
            <Page>
                <TopBar onFault={setFault}>
                    <StudyBar
                        studies={all}
                        study={study}
                        papers={studies.data?.papers ?? []}
                        onChoose={(s) => void navigate(`/plan/${s.id}`)}
                        onPaper={(paper) => change.mutate({ paper })}
                    />
                </TopBar>
                <Notice text={fault ?? (studies.error === null ? null : sentenceOf(studies.error))} onClose={() => setFault(null)} />
                {study !== undefined && <PlanScreen key={`${study.id}/${study.paper}`} study={study} onFault={setFault} />}
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
