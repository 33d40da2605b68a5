import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { askAgain } from './answers';
import { ask, askFile, askWithFile } from './client';
import { newKey } from './keptEdits';
import type { Study, StudyChange } from './types';
import { toSend } from './lane';
import { sendingOf, useLane } from './useOutbox';

// What more than one place asks for: who one is, one's studies, one's drawer.

export const useMe = () => useQuery({ queryKey: ['me'], queryFn: ({ signal }) => ask('/api/me', { signal }) });

export const useStudies = () => useQuery({ queryKey: ['studies'], queryFn: ({ signal }) => ask('/api/studies', { signal }) });

/** What was kept of a study's photo: zones with the lines round them, spots, whites. */
export const useSurveyOf = (study: number) =>
    useQuery({ queryKey: ['survey', study], queryFn: ({ signal }) => ask(`/api/studies/${study}/survey`, { signal }) });

export const useDrawer = () => useQuery({ queryKey: ['drawer'], queryFn: ({ signal }) => ask('/api/drawer', { signal }) });

/** All that is changed about one study is sent in the order in which it was changed. */
export const laneOf = (study: number): string => `study-${study}`;

/** What follows from a study's name, paper, photo and drawing. */
export const OF_STUDY = ['studies', 'survey', 'comparison', 'values'];

/** New photos become studies; what is said about a study, and that it is to be deleted, is kept until it is taken in. */
export function useStudyChanges(study: Study | undefined, onFault: (error: unknown) => void) {
    const client = useQueryClient();
    const lane = useLane(laneOf(study?.id ?? 0), onFault);
    const path = `/api/studies/${study?.id ?? 0}` as const;
    return {
        open: useMutation({
            mutationFn: (photo: File) => askWithFile('/api/studies', 'photo', photo, { key: newKey() }),
            onSuccess: () => askAgain(client, 'studies'),
            onError: onFault,
        }),
        change: sendingOf(lane, 'change the study', (json: StudyChange) => ({ ...toSend('PATCH', path, json), stale: OF_STUDY })),
        remove: sendingOf(lane, 'delete the study', () => ({ ...toSend('DELETE', path), stale: ['studies'] })),
    };
}

/** `stamp` changes with the plan of the study's picture. */
export const usePurchases = (study: number | null, stamp = '') =>
    useQuery({
        queryKey: ['drawer', 'purchases', study, stamp],
        queryFn: ({ signal }) => ask(`/api/studies/${study ?? 0}/purchases`, { signal }),
        enabled: study !== null,
    });

/** Saves a whole study as a file; asked for here and not by a link, so that a study too large for one says so. */
export function useSaveStudy(onFault: (error: unknown) => void) {
    return useMutation({
        mutationFn: async ({ id, name }: Study) => {
            const link = document.createElement('a');
            link.href = URL.createObjectURL(await askFile(`/api/studies/${id}/bundle`));
            link.download = `${name}.study.json`;
            link.click();
            setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
        },
        onError: onFault,
    });
}
