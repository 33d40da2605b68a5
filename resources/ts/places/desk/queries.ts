import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ask } from '../../api/client';
import type { DeskHabitsChange, NewTick } from '../../api/types';
import { toSend } from '../../api/lane';
import { sendingOf, shownStamp, useLane } from '../../api/useOutbox';

const baseOf = (study: number) => `/api/studies/${study}/desk` as const;

/** All that is to come, so that an hour without network loses nothing. */
export const useDesk = (study: number) =>
    useQuery({ queryKey: ['desk', study], queryFn: ({ signal }) => ask(baseOf(study), { signal }), refetchOnMount: 'always' });

/** Only while it is looked at: it changes with every tick. */
export const useFinished = (study: number, stamp: number, wanted: boolean) =>
    useQuery({
        queryKey: ['desk-finished', study, stamp],
        queryFn: ({ signal }) => ask(`${baseOf(study)}/finished`, { signal }),
        enabled: wanted,
    });

/** Ticks of one desk go their own way: in their order, each once, kept on this device until they are taken in. */
export function useDeskChanges(study: number, onFault: (error: unknown) => void) {
    const client = useQueryClient();
    const lane = useLane(`desk-${study}`, onFault);
    const base = baseOf(study);
    const put = ['desk', study];
    const step = { history: 'desk', put } as const;
    return {
        waiting: lane.waiting,
        tick: sendingOf(lane, 'tick a pass', (json: NewTick) => ({ ...step, ...toSend('POST', `${base}/ticks`, json) })),
        undo: sendingOf(lane, 'take a tick back', () => ({ ...step, ...toSend('POST', `${base}/undo`), of: shownStamp(client, ...put) })),
        habits: sendingOf(lane, 'work otherwise', (json: DeskHabitsChange) => ({ ...toSend('PATCH', `${base}/habits`, json), put })),
    };
}

export type DeskChanges = ReturnType<typeof useDeskChanges>;
