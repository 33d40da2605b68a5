import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { Drill, DrillAnswer, Practice, Skill } from '../../../api/types';

/** A question stays until it is answered and the next one asked for. */
export const usePractice = (study: number, skill: Skill | null, round: number) =>
    useQuery({
        queryKey: ['practice', study, skill, round],
        queryFn: ({ signal }) =>
            ask<Practice>(`/api/studies/${study}/practice${skill === null ? '' : `?skill=${encodeURIComponent(skill)}`}`, { signal }),
        staleTime: Infinity,
        gcTime: 0,
        refetchOnMount: false,
    });

export function useAnswer(study: number) {
    const client = useQueryClient();
    return useMutation({
        mutationFn: ({ drill: { skill, difficulty, seed }, choice }: { drill: Drill; choice: number }) =>
            ask<DrillAnswer>(`/api/studies/${study}/practice`, {
                method: 'POST',
                json: { skill, difficulty, seed, choice },
                key: newKey(),
            }),
        onSuccess: ({ skills, next }) =>
            client.setQueriesData<Practice>({ queryKey: ['practice', study] }, (shown) =>
                shown === undefined ? shown : { ...shown, skills, next },
            ),
    });
}
