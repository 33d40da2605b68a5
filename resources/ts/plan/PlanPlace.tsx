import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { RequestFailed, sentenceOf } from '../api/client';
import type { Study } from '../api/types';
import { StudyBar } from '../photo/StudyBar';
import { TopBar } from '../photo/TopBar';
import { useStudies, useStudyChanges } from '../photo/queries';
import { GrainProvider } from '../ui/grain';
import { Notice } from '../ui/Notice';
import { PlanScreen } from './PlanScreen';

const LAST = 'last-study';

const Page = styled.div`
    min-height: 100%;
    display: flex;
    flex-direction: column;
`;

const Middle = styled.main`
    padding: 24px;
`;

/** The place "Plan": the study that one was in, from zones to a plan. */
export function PlanPlace() {
    const { studyId } = useParams();
    const navigate = useNavigate();
    const studies = useStudies();
    const [fault, setFault] = useState<string | null>(null);
    const { change } = useStudyChanges((error) => setFault(sentenceOf(error)));
    const all = studies.data?.studies ?? [];
    const wanted = Number(studyId ?? localStorage.getItem(LAST));
    const study: Study | undefined = all.find((s) => s.id === wanted) ?? all[0];

    useEffect(() => {
        if (study !== undefined) {
            localStorage.setItem(LAST, String(study.id));
        }
    }, [study]);
    useEffect(() => {
        if (studies.error instanceof RequestFailed && studies.error.status === 401) {
            window.location.assign('/sign-in');
        }
    }, [studies.error]);

    return (
        <GrainProvider>
            <Page>
                <TopBar onFault={setFault}>
                    <StudyBar
                        studies={all}
                        study={study}
                        papers={studies.data?.papers ?? []}
                        onChoose={(s) => void navigate(`/plan/${s.id}`)}
                        onPaper={(paper) => study !== undefined && change.mutate({ id: study.id, paper })}
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
