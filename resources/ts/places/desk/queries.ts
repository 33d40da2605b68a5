import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ask } from '../../api/client';
import type { Desk, DeskFinished, DeskHabitsChange, NewDeskMark } from '../../api/types';
import { sendingOf, shownStamp, useLane } from '../../api/useOutbox';

const baseOf = (study: number): string => `/api/studies/${study}/desk`;

/** All that is to come, so that an hour without network loses nothing. */
export const useDesk = (study: number) =>
    useQuery({ queryKey: ['desk', study], queryFn: ({ signal }) => ask<Desk>(baseOf(study), { signal }), refetchOnMount: 'always' });

/** Only while it is looked at: it changes with every mark. */
export const useFinished = (study: number, stamp: number, wanted: boolean) =>
    useQuery({
        queryKey: ['desk-finished', study, stamp],
        queryFn: ({ signal }) => ask<DeskFinished>(`${baseOf(study)}/finished`, { signal }),
        enabled: wanted,
    });

/** Marks of one desk go their own way: in their order, each once, kept on this device until they are taken in. */
export function useDeskChanges(study: number, onFault: (error: unknown) => void) {
    const client = useQueryClient();
    const lane = useLane(`desk-${study}`, onFault);
    const base = baseOf(study);
    const put = ['desk', study];
    const step = { method: 'POST', history: 'desk', put } as const;
    return {
        waiting: lane.waiting,
        mark: sendingOf(lane, 'mark a pass', (json: NewDeskMark) => ({ ...step, path: `${base}/marks`, json })),
        undo: sendingOf(lane, 'take a mark back', () => ({ ...step, path: `${base}/undo`, of: shownStamp(client, ...put) })),
        habits: sendingOf(lane, 'work otherwise', (json: DeskHabitsChange) => ({ method: 'PATCH', path: `${base}/habits`, put, json })),
    };
}

export type DeskChanges = ReturnType<typeof useDeskChanges>;
