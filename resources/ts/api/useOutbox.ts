import { useQueryClient, type QueryClient, type QueryKey } from '@tanstack/react-query';
import { useEffect, useRef, useSyncExternalStore } from 'react';
import { Outbox } from './outbox';
import type { After, Lane, LaneState, NewEdit } from './lane';

const outboxes = new WeakMap<QueryClient, Outbox>();

/** Who the page was opened for: what waits is sent for nobody else. */
const account = (): string => document.querySelector<HTMLMetaElement>('meta[name="account"]')?.content ?? '';

/** The one outbox of this page. */
export function useOutbox(): Outbox {
    const client = useQueryClient();
    let outbox = outboxes.get(client);
    if (outbox === undefined) {
        outbox = new Outbox(client, account());
        outboxes.set(client, outbox);
    }
    return outbox;
}

export interface LaneHandle extends LaneState {
    add: (edit: NewEdit, after?: After) => void;
    /** Whether a change that does this waits. */
    has: (words: string) => boolean;
}

/** What waits in a lane, and the way into it; refusals are told to `onFault` while this is shown. */
export function useLane(name: string, onFault: (error: unknown) => void): LaneHandle {
    const lane = useOutbox().lane(name);
    const fault = useRef(onFault);
    useEffect(() => {
        fault.current = onFault;
    });
    useEffect(() => {
        const tell = (error: unknown) => fault.current(error);
        lane.faults.add(tell);
        return () => void lane.faults.delete(tell);
    }, [lane]);
    const state = useSyncExternalStore(
        (tell) => {
            lane.listeners.add(tell);
            return () => lane.listeners.delete(tell);
        },
        () => lane.state,
    );
    return {
        ...state,
        add: (edit, after) => lane.add(edit, after),
        has: (words) => state.waiting.some((edit) => edit.words === words),
    };
}

/** Lanes that can't send what waits in them just now. */
export function useTroubled(): readonly Lane[] {
    const outbox = useOutbox();
    return useSyncExternalStore(outbox.subscribe, outbox.troubled);
}

/** What an undo or redo stands on: the stamp of what is shown at this moment. */
export const shownStamp = (client: QueryClient, ...key: QueryKey): number | 'before' =>
    client.getQueryData<{ stamp: number }>(key)?.stamp ?? 'before';

/** A change that can be asked for, and whether one like it waits. */
export interface Sending<V = undefined> {
    mutate: (...asked: V extends undefined ? [value?: undefined, after?: After] : [value: V, after?: After]) => void;
    isPending: boolean;
}

/** A change that `edit` puts into words for a lane. */
export function sendingOf<V = undefined>(lane: LaneHandle, words: string, edit: (value: V) => Omit<NewEdit, 'words'>): Sending<V> {
    return {
        mutate: (...[value, after]) => lane.add({ words, ...edit(value as V) }, after),
        isPending: lane.has(words),
    };
}
