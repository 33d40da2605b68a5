import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';

import { ask, askWithFile } from '../../api/client';
import { newKey } from '../../api/keptEdits';
import type { NewKeptRecipe, Photo, Study, StudyChange, Survey } from '../../api/types';
import { toSend } from '../../api/lane';
import { sendingOf, shownStamp, useLane } from '../../api/useOutbox';

import type { SpotState } from '../../stage/spotState';
import { laneOf, OF_STUDY } from '../../api/studies';
import { placeOf } from '../../stage/useSpot';

/** How much of a photo each value step takes, in a way of looking. */
export const useValues = (study: Study, photo: number, query: string) =>
    useQuery({
        queryKey: ['values', study.id, photo, query],
        queryFn: ({ signal }) => ask(`/api/studies/${study.id}/photos/${photo}/values?${query}`, { signal }),
        placeholderData: keepPreviousData,
    });

/** How one photo differs from another; `stamp` changes with the survey. */
export const useComparison = (study: Study, one: number, other: number | null, stamp: number) =>
    useQuery({
        queryKey: ['comparison', study.id, one, other, stamp],
        queryFn: ({ signal }) => ask(`/api/studies/${study.id}/comparison`, { query: { one: other ?? 0, other: one }, signal }),
        placeholderData: keepPreviousData,
        enabled: other !== null,
    });

/** Recipes depend on the spot, the paper and the drawer; `drawerStamp` changes when the drawer does. */
export const useRecipes = (study: Study, spot: SpotState, drawerStamp: string) =>
    useQuery({
        queryKey: ['recipes', study.id, study.photoId, study.paper, drawerStamp, spot.x, spot.y, spot.ring],
        queryFn: ({ signal }) => ask(`/api/studies/${study.id}/recipes`, { query: placeOf(spot), signal }),
        placeholderData: keepPreviousData,
        enabled: drawerStamp !== '',
    });

export const useKeptRecipes = (study: Study) =>
    useQuery({
        queryKey: ['kept-recipes', study.id],
        queryFn: ({ signal }) => ask(`/api/studies/${study.id}/kept-recipes`, { signal }),
    });

/** Every change of the plan answers with the whole plan, which takes the place of the one shown. */
export function useKeptRecipeChanges(study: Study, onFault: (error: unknown) => void) {
    const client = useQueryClient();
    const lane = useLane(laneOf(study.id), onFault);
    const base = `/api/studies/${study.id}/kept-recipes` as const;
    const step = { history: 'kept-recipes', put: ['kept-recipes', study.id] } as const;
    return {
        add: sendingOf(lane, 'keep a recipe', (json: NewKeptRecipe) => ({ ...step, ...toSend('POST', base, json) })),
        rename: sendingOf(lane, 'rename a recipe', ({ id, name }: { id: number; name: string }) => ({
            ...step,
            ...toSend('PATCH', `${base}/${id}`, { name }),
        })),
        remove: sendingOf(lane, 'remove a recipe', (id: number) => ({ ...step, ...toSend('DELETE', `${base}/${id}`) })),
        undo: sendingOf(lane, 'undo', () => ({
            ...step,
            ...toSend('POST', `${base}/undo`),
            of: shownStamp(client, 'kept-recipes', study.id),
        })),
    };
}

/** Changes of a study's photos and of its drawing; each answers with the survey, or asks for it again. */
export function usePhotoChanges(study: Study, put: (survey: Survey) => Promise<void>, onFault: (error: unknown) => void) {
    const lane = useLane(laneOf(study.id), onFault);
    const base = `/api/studies/${study.id}/photos` as const;
    const survey = ['survey', study.id];
    return {
        add: useMutation({
            mutationFn: (photo: File) => askWithFile(base, 'photo', photo, { key: newKey() }),
            onSuccess: put,
            onError: onFault,
        }),
        change: sendingOf(lane, 'describe a photo', ({ id, ...json }: { id: number; name?: string; roles?: Photo['roles'] }) => ({
            ...toSend('PATCH', `${base}/${id}`, json),
            put: survey,
        })),
        remove: sendingOf(lane, 'remove a photo', (id: number) => ({ ...toSend('DELETE', `${base}/${id}`), put: survey })),
        study: sendingOf(lane, 'change the study', (json: StudyChange) => ({
            ...toSend('PATCH', `/api/studies/${study.id}`, json),
            stale: OF_STUDY,
        })),
    };
}
