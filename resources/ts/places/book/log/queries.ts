import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, send, sentenceOf } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';

const LOG = ['book', 'log'];

/** The latest sessions, and earlier ones as they are asked for. */
export const useLog = () =>
    useInfiniteQuery({
        queryKey: LOG,
        queryFn: ({ signal, pageParam }) => ask('/api/book/log', { query: { skip: pageParam }, signal }),
        initialPageParam: 0,
        getNextPageParam: (last, all) => (last.more === 0 ? undefined : all.reduce((n, page) => n + page.sessions.length, 0)),
        refetchOnMount: 'always',
    });

export const useSupply = (study: number) =>
    useQuery({
        queryKey: ['book', 'supply', study],
        queryFn: ({ signal }) => ask(`/api/studies/${study}/supply`, { signal }),
        refetchOnMount: 'always',
    });

export function useBookNotes(onFault: (text: string) => void) {
    const client = useQueryClient();
    const again = () => client.invalidateQueries({ queryKey: ['book'] });
    const onError = (error: unknown) => onFault(sentenceOf(error));
    return {
        note: useMutation({
            mutationFn: (json: { session: number; note: string }) => send('PATCH', '/api/book/log', { json, key: newKey() }),
            onSuccess: again,
            onError,
        }),
        /** In the drawer: that a pencil runs low, with what is left of it where that is known. */
        low: useMutation({
            mutationFn: (id: string) => send('PATCH', '/api/drawer/pencil', { json: { id, stock: 'low' }, key: newKey() }),
            onSuccess: async () => {
                await client.invalidateQueries({ queryKey: ['drawer'] });
                await again();
            },
            onError,
        }),
    };
}

export type BookNotes = ReturnType<typeof useBookNotes>;
