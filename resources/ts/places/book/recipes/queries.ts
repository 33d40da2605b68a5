import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, sentenceOf } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { BookRecipes, BookRecipeWords, Desk, LaidAgain, NewBookRecipe, Tray } from '../../../api/types';

/** What is looked for; what is empty is not asked for. */
export interface Wanted {
    like: string | null;
    words: string;
    pencil: string;
    paper: string;
}

export const queryOf = ({ like, words, pencil, paper }: Wanted): string =>
    new URLSearchParams({
        ...(like === null ? {} : { like }),
        ...(words.trim() === '' ? {} : { words: words.trim() }),
        ...(pencil === '' ? {} : { pencil }),
        ...(paper === '' ? {} : { paper }),
    }).toString();

export const useBook = (wanted: Wanted) =>
    useInfiniteQuery({
        queryKey: ['book', 'recipes', queryOf(wanted)],
        queryFn: ({ signal, pageParam }) => ask<BookRecipes>(`/api/book/recipes?${queryOf(wanted)}&skip=${pageParam}`, { signal }),
        initialPageParam: 0,
        getNextPageParam: (last, all) => (last.more === 0 ? undefined : all.reduce((n, page) => n + page.recipes.length, 0)),
        placeholderData: keepPreviousData,
    });

export const useLaidAgain = (id: number | null, paper: string) =>
    useQuery({
        queryKey: ['book', 'laid', id, paper],
        queryFn: ({ signal }) => ask<LaidAgain>(`/api/book/recipes/${id ?? 0}/laid?paper=${encodeURIComponent(paper)}`, { signal }),
        enabled: id !== null,
    });

/** The zones of a study as the desk has them: which are done. */
export const useZones = (study: number) =>
    useQuery({ queryKey: ['book', 'zones', study], queryFn: ({ signal }) => ask<Desk>(`/api/studies/${study}/desk`, { signal }) });

export const usePencils = () =>
    useQuery({ queryKey: ['book', 'pencils'], queryFn: ({ signal }) => ask<Tray>('/api/drawer/tray?order=number', { signal }) });

/** The colour of a place of a study's photo. */
export const colourAt = (study: number, x: number, y: number): Promise<{ hex: string; words: string }> =>
    ask(`/api/studies/${study}/spot?x=${Math.round(x)}&y=${Math.round(y)}&ring=12`);

export function useBookChanges(study: number, onFault: (text: string) => void) {
    const client = useQueryClient();
    const made = {
        onSuccess: () => client.invalidateQueries({ queryKey: ['book', 'recipes'] }),
        onError: (error: unknown) => onFault(sentenceOf(error)),
    };
    const change = (path: string, method: 'POST' | 'PATCH' | 'DELETE', json?: unknown) =>
        ask<BookRecipes>(path, { method, json: json ?? {}, key: newKey() });
    return {
        keep: useMutation({ mutationFn: (json: NewBookRecipe) => change(`/api/studies/${study}/book-recipes`, 'POST', json), ...made }),
        change: useMutation({
            mutationFn: ({ id, ...json }: BookRecipeWords & { id: number }) => change(`/api/book/recipes/${id}`, 'PATCH', json),
            ...made,
        }),
        remove: useMutation({ mutationFn: (id: number) => change(`/api/book/recipes/${id}`, 'DELETE'), ...made }),
        restore: useMutation({ mutationFn: (id: number) => change(`/api/book/recipes/${id}/restore`, 'POST'), ...made }),
    };
}

export type BookChanges = ReturnType<typeof useBookChanges>;
