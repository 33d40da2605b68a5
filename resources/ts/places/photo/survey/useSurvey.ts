import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { putAnswer } from '../../../api/answers';

import { toSend } from '../../../api/lane';
import { shownStamp, useLane } from '../../../api/useOutbox';
import type { Study, Survey, NewChange } from '../../../api/types';
import { laneOf, useSurveyOf } from '../../../api/studies';
import type { NewEdit } from '../../../api/lane';

export interface SurveyHandle {
    survey: Survey | undefined;
    fault: unknown;
    /** Changes of the study not yet taken in. */
    waiting: number;
    change: (change: NewChange) => void;
    undo: () => void;
    redo: () => void;
    /** Puts in a survey that came as the answer to something else. */
    put: (survey: Survey) => Promise<void>;
}

/** "renameZone" as one would say it. */
const inWords = (kind: string): string => kind.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`);

/** What was read from a photo before its balance changed is no longer so. */
const READINGS = ['spot', 'recipes', 'values', 'comparison'];

/** A study's survey, and its changes. A change that is refused is dropped, and said. */
export function useSurvey(study: Study, onFault: (error: unknown) => void): SurveyHandle {
    const client = useQueryClient();
    const base = `/api/studies/${study.id}/survey` as const;
    const query = useSurveyOf(study.id);
    const lane = useLane(laneOf(study.id), onFault);
    const put = useCallback((survey: Survey) => putAnswer(client, ['survey', study.id], survey), [client, study.id]);

    const common = { history: 'survey', put: ['survey', study.id] } as const;
    const edit = (change: NewChange): NewEdit => ({
        ...common,
        words: inWords(change.kind),
        ...toSend('POST', `${base}/changes`, change),
        stale: change.kind === 'balance' || change.kind === 'unbalance' ? READINGS : undefined,
    });
    const move = (words: string, where: Pick<NewEdit, 'method' | 'path' | 'json'>) =>
        lane.add({ ...common, words, ...where, of: shownStamp(client, 'survey', study.id), stale: READINGS });

    return {
        survey: query.data,
        fault: query.error,
        waiting: lane.waiting.length,
        change: (change) => lane.add(edit(change)),
        undo: () => move('undo', toSend('POST', `${base}/undo`)),
        redo: () => move('redo', toSend('POST', `${base}/redo`)),
        put,
    };
}
