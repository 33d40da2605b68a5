import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { askAnew, putAnswer } from '../api/answers';
import { ask } from '../api/client';
import type {
    Comparison,
    Drawer,
    Me,
    NewEntry,
    Photo,
    Plan,
    Recipes,
    Spot,
    Studies,
    Study,
    StudyChange,
    Survey,
    Values,
} from '../api/types';
import type { Look } from './look/lookState';
import type { SpotState } from './spotState';

const place = (s: SpotState): string => `x=${s.x}&y=${s.y}&ring=${s.ring}`;

export const useMe = () => useQuery({ queryKey: ['me'], queryFn: ({ signal }) => ask<Me>('/api/me', { signal }) });

export const useStudies = () => useQuery({ queryKey: ['studies'], queryFn: ({ signal }) => ask<Studies>('/api/studies', { signal }) });

export const useDrawer = () => useQuery({ queryKey: ['drawer'], queryFn: ({ signal }) => ask<Drawer>('/api/drawer', { signal }) });

/** A spot read on a scale of values. */
export const useSpot = (study: Study, photo: number, spot: SpotState, { steps, lightest }: Pick<Look, 'steps' | 'lightest'>) =>
    useQuery({
        queryKey: ['spot', study.id, photo, spot.x, spot.y, spot.ring, steps, lightest],
        queryFn: ({ signal }) =>
            ask<Spot>(`/api/studies/${study.id}/spot?photo=${photo}&${place(spot)}&steps=${steps}&lightest=${lightest ? 1 : 0}`, {
                signal,
            }),
        placeholderData: keepPreviousData,
    });

/** How much of a photo each value step takes, in a way of looking. */
export const useValues = (study: Study, photo: number, query: string) =>
    useQuery({
        queryKey: ['values', study.id, photo, query],
        queryFn: ({ signal }) => ask<Values>(`/api/studies/${study.id}/photos/${photo}/values?${query}`, { signal }),
        placeholderData: keepPreviousData,
    });

/** How one photo differs from another; `stamp` changes with the survey. */
export const useComparison = (study: Study, one: number, other: number | null, stamp: number) =>
    useQuery({
        queryKey: ['comparison', study.id, one, other, stamp],
        queryFn: ({ signal }) => ask<Comparison>(`/api/studies/${study.id}/comparison?one=${other ?? 0}&other=${one}`, { signal }),
        placeholderData: keepPreviousData,
        enabled: other !== null,
    });

/** Recipes depend on the spot, the paper and the drawer; `drawerStamp` changes when the drawer does. */
export const useRecipes = (study: Study, spot: SpotState, drawerStamp: string) =>
    useQuery({
        queryKey: ['recipes', study.id, study.photoId, study.paper, drawerStamp, spot.x, spot.y, spot.ring],
        queryFn: ({ signal }) => ask<Recipes>(`/api/studies/${study.id}/recipes?${place(spot)}`, { signal }),
        placeholderData: keepPreviousData,
        enabled: drawerStamp !== '',
    });

export const usePlan = (study: Study) =>
    useQuery({ queryKey: ['plan', study.id], queryFn: ({ signal }) => ask<Plan>(`/api/studies/${study.id}/plan`, { signal }) });

/** Every change of the plan answers with the whole plan, which takes the place of the one shown. */
export function usePlanChanges(study: Study, onFault: (error: unknown) => void) {
    const client = useQueryClient();
    const base = `/api/studies/${study.id}/plan`;
    const options = {
        scope: { id: `plan/${study.id}` },
        onSuccess: (plan: Plan) => putAnswer(client, ['plan', study.id], plan),
        onError: onFault,
    };
    return {
        add: useMutation({ mutationFn: (entry: NewEntry) => ask<Plan>(base, { method: 'POST', json: entry }), ...options }),
        rename: useMutation({
            mutationFn: ({ id, name }: { id: number; name: string }) => ask<Plan>(`${base}/${id}`, { method: 'PATCH', json: { name } }),
            ...options,
        }),
        remove: useMutation({ mutationFn: (id: number) => ask<Plan>(`${base}/${id}`, { method: 'DELETE' }), ...options }),
        undo: useMutation({ mutationFn: () => ask<Plan>(`${base}/undo`, { method: 'POST' }), ...options }),
    };
}

export function useStudyChanges(onFault: (error: unknown) => void) {
    const client = useQueryClient();
    const again = () => askAnew(client, 'studies');
    return {
        open: useMutation({
            mutationFn: (photo: File) => {
                const form = new FormData();
                form.set('photo', photo);
                return ask<Study>('/api/studies', { method: 'POST', form });
            },
            onSuccess: again,
            onError: onFault,
        }),
        change: useMutation({
            mutationFn: ({ id, ...json }: StudyChange & { id: number }) => ask<Study>(`/api/studies/${id}`, { method: 'PATCH', json }),
            onSuccess: again,
            onError: onFault,
        }),
    };
}

/** Changes of a study's photos and of its drawing; each answers with the survey, or asks for it anew. */
export function usePhotoChanges(study: Study, put: (survey: Survey) => Promise<void>, onFault: (error: unknown) => void) {
    const client = useQueryClient();
    const base = `/api/studies/${study.id}/photos`;
    const all = () => askAnew(client, 'studies', 'survey', 'comparison', 'values');
    return {
        add: useMutation({
            mutationFn: (photo: File) => {
                const form = new FormData();
                form.set('photo', photo);
                return ask<Survey>(base, { method: 'POST', form });
            },
            onSuccess: put,
            onError: onFault,
        }),
        change: useMutation({
            mutationFn: ({ id, ...json }: { id: number; name?: string; roles?: Photo['roles'] }) =>
                ask<Survey>(`${base}/${id}`, { method: 'PATCH', json }),
            onSuccess: put,
            onError: onFault,
        }),
        remove: useMutation({
            mutationFn: (id: number) => ask<Survey>(`${base}/${id}`, { method: 'DELETE' }),
            onSuccess: put,
            onError: onFault,
        }),
        study: useMutation({
            mutationFn: (json: StudyChange) => ask<Study>(`/api/studies/${study.id}`, { method: 'PATCH', json }),
            onSuccess: all,
            onError: onFault,
        }),
    };
}
