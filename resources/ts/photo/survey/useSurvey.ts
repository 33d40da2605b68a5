import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { askAnew, putAnswer } from '../../api/answers';
import { ask, RequestFailed } from '../../api/client';
import type { Study, Survey } from '../../api/types';
import { keepPending, newKey, pendingOf, type NewChange, type Pending } from './pending';

/** How long to wait before an unanswered change is sent again, milliseconds. */
const AGAIN = 2000;

export interface SurveyHandle {
    survey: Survey | undefined;
    fault: unknown;
    /** Changes not yet taken in. */
    waiting: number;
    /** Whether the application did not answer the last time. */
    lost: boolean;
    change: (change: NewChange) => void;
    undo: () => void;
    redo: () => void;
    /** Puts in a survey that came as the answer to something else. */
    put: (survey: Survey) => Promise<void>;
}

/**
 * A study's survey, and its changes: queued, kept on this device until the application has taken them in, sent one after the other,
 * and sent again while there is no answer. A change that is refused is dropped, and said.
 */
export function useSurvey(study: Study, onFault: (error: unknown) => void): SurveyHandle {
    const client = useQueryClient();
    const base = `/api/studies/${study.id}/survey`;
    const query = useQuery({ queryKey: ['survey', study.id], queryFn: ({ signal }) => ask<Survey>(base, { signal }) });
    const [queue, setQueue] = useState<Pending[]>(() => pendingOf(study.id));
    const [lost, setLost] = useState(false);
    const fault = useRef(onFault);
    useEffect(() => {
        fault.current = onFault;
    });

    const put = useCallback((survey: Survey) => putAnswer(client, ['survey', study.id], survey), [client, study.id]);
    useEffect(() => keepPending(study.id, queue), [study.id, queue]);

    const first = queue[0];
    useEffect(() => {
        if (first === undefined) {
            return;
        }
        let gone = false;
        let timer: ReturnType<typeof setTimeout> | undefined;
        const taken = () => setQueue((q) => q.filter((p) => p.key !== first.key));
        const send = async () => {
            try {
                await put(
                    'move' in first
                        ? await ask<Survey>(`${base}/${first.move}`, { method: 'POST' })
                        : await ask<Survey>(`${base}/changes`, { method: 'POST', json: { ...first.change, key: first.key } }),
                );
                setLost(false);
                taken();
                if ('move' in first || first.change.kind === 'balance' || first.change.kind === 'unbalance') {
                    await forgetReadings();
                }
            } catch (error) {
                if (error instanceof RequestFailed && error.status === 0 && !gone) {
                    setLost(true);
                    timer = setTimeout(() => void send(), AGAIN);
                } else {
                    setLost(false);
                    taken();
                    fault.current(error);
                }
            }
        };
        // What was read from a photo before its balance changed is no longer so.
        const forgetReadings = () => askAnew(client, 'spot', 'recipes', 'values', 'comparison');
        void send();
        return () => {
            gone = true;
            clearTimeout(timer);
        };
    }, [first, base, put, client]);

    const add = (pending: Pending) => setQueue((q) => [...q, pending]);
    return {
        survey: query.data,
        fault: query.error,
        waiting: queue.length,
        lost,
        change: (change) => add({ key: newKey(), change }),
        undo: () => add({ key: newKey(), move: 'undo' }),
        redo: () => add({ key: newKey(), move: 'redo' }),
        put,
    };
}
