import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, send, sentenceOf } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { BookRecipeWords, NewBookRecipe } from '../../../api/types';

/** What is looked for; what is empty is not asked for. */
export interface Wanted {
    like: string | null;
    words: string;
    pencil: string;
    paper: string;
}

const asked = ({ like, words, pencil, paper }: Wanted) => ({
    ...(like === null ? {} : { like }),
    ...(words.trim() === '' ? {} : { words: words.trim() }),
    ...(pencil === '' ? {} : { pencil }),
    ...(paper === '' ? {} : { paper }),
});

/** The same as the end of an address. */
export const queryOf = (wanted: Wanted): string => new URLSearchParams(asked(wanted)).toString();

export const useBook = (wanted: Wanted) =>
    useInfiniteQuery({
        queryKey: ['book', 'recipes', queryOf(wanted)],
        queryFn: ({ signal, pageParam }) => ask('/api/book/recipes', { query: { ...asked(wanted), skip: pageParam }, signal }),
        initialPageParam: 0,
        getNextPageParam: (last, all) => (last.more === 0 ? undefined : all.reduce((n, page) => n + page.recipes.length, 0)),
        placeholderData: keepPreviousData,
    });

export const useLaidAgain = (id: number | null, paper: string) =>
    useQuery({
        queryKey: ['book', 'laid', id, paper],
        queryFn: ({ signal }) => ask(`/api/book/recipes/${id ?? 0}/laid`, { query: { paper }, signal }),
        enabled: id !== null,
    });

/** The zones of a study as the desk has them: which are done. */
export const useZones = (study: number) =>
    useQuery({ queryKey: ['book', 'zones', study], queryFn: ({ signal }) => ask(`/api/studies/${study}/desk`, { signal }) });

export const usePencils = () =>
    useQuery({ queryKey: ['book', 'pencils'], queryFn: ({ signal }) => ask('/api/drawer/tray', { query: { order: 'number' }, signal }) });

/** The colour of a place of a study's photo. */
export const colourAt = (study: number, x: number, y: number): Promise<{ hex: string; words: string }> =>
    ask(`/api/studies/${study}/spot`, { query: { x: Math.round(x), y: Math.round(y), ring: 12 } });

export function useBookChanges(study: number, onFault: (text: string) => void) {
    const client = useQueryClient();
    const made = {
        onSuccess: () => client.invalidateQueries({ queryKey: ['book', 'recipes'] }),
        onError: (error: unknown) => onFault(sentenceOf(error)),
    };
    const key = () => ({ key: newKey() });
    return {
        keep: useMutation({
            mutationFn: (json: NewBookRecipe) => send('POST', `/api/studies/${study}/book-recipes`, { json, ...key() }),
            ...made,
        }),
        change: useMutation({
            mutationFn: ({ id, ...json }: BookRecipeWords & { id: number }) => send('PATCH', `/api/book/recipes/${id}`, { json, ...key() }),
            ...made,
        }),
        remove: useMutation({ mutationFn: (id: number) => send('DELETE', `/api/book/recipes/${id}`, key()), ...made }),
        restore: useMutation({ mutationFn: (id: number) => send('POST', `/api/book/recipes/${id}/restore`, key()), ...made }),
    };
}

export type BookChanges = ReturnType<typeof useBookChanges>;
