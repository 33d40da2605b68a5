import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask } from '../api/client';
import type { Drawer, Me, NewEntry, Plan, Recipes, Spot, Studies, Study } from '../api/types';
import type { SpotState } from './spotState';

const place = (s: SpotState): string => `x=${s.x}&y=${s.y}&ring=${s.ring}`;

export const useMe = () => useQuery({ queryKey: ['me'], queryFn: ({ signal }) => ask<Me>('/api/me', { signal }) });

export const useStudies = () => useQuery({ queryKey: ['studies'], queryFn: ({ signal }) => ask<Studies>('/api/studies', { signal }) });

export const useDrawer = () => useQuery({ queryKey: ['drawer'], queryFn: ({ signal }) => ask<Drawer>('/api/drawer', { signal }) });

export const useSpot = (study: Study, spot: SpotState) =>
    useQuery({
        queryKey: ['spot', study.id, spot.x, spot.y, spot.ring],
        queryFn: ({ signal }) => ask<Spot>(`/api/studies/${study.id}/spot?${place(spot)}`, { signal }),
        placeholderData: keepPreviousData,
    });

/** Recipes depend on the spot, the paper and the drawer; `drawerStamp` changes when the drawer does. */
export const useRecipes = (study: Study, spot: SpotState, drawerStamp: string) =>
    useQuery({
        queryKey: ['recipes', study.id, study.paper, drawerStamp, spot.x, spot.y, spot.ring],
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
    const options = { onSuccess: (plan: Plan) => client.setQueryData(['plan', study.id], plan), onError: onFault };
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
    const again = () => client.invalidateQueries({ queryKey: ['studies'] });
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
            mutationFn: ({ id, ...json }: { id: number; paper?: string; name?: string }) =>
                ask<Study>(`/api/studies/${id}`, { method: 'PATCH', json }),
            onSuccess: again,
            onError: onFault,
        }),
    };
}
