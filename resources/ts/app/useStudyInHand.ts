import { useEffect } from 'react';
import { useParams } from 'react-router';
import { RequestFailed } from '../api/client';
import { useStudies } from '../api/studies';

const LAST = 'last-study';

/** The study that the address names, or the one that one was in last, or the newest; and all others. Who is not signed in is led there. */
export function useStudyInHand() {
    const { studyId } = useParams();
    const studies = useStudies();
    const all = studies.data?.studies ?? [];
    const wanted = Number(studyId ?? localStorage.getItem(LAST));
    const study = all.find((s) => s.id === wanted) ?? all[0];
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
    return { studies, all, study };
}
