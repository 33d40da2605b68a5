import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, send } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { Drill, Practice, Skill } from '../../../api/types';

/** A question stays until it is answered and the next one asked for. */
export const usePractice = (study: number, skill: Skill | null, round: number) =>
    useQuery({
        queryKey: ['practice', study, skill, round],
        queryFn: ({ signal }) => ask(`/api/studies/${study}/practice`, { query: skill === null ? {} : { skill }, signal }),
        staleTime: Infinity,
        gcTime: 0,
        refetchOnMount: false,
    });

export function useAnswer(study: number) {
    const client = useQueryClient();
    return useMutation({
        mutationFn: ({ drill: { skill, difficulty, seed }, choice }: { drill: Drill; choice: number }) =>
            send('POST', `/api/studies/${study}/practice`, { json: { skill, difficulty, seed, choice }, key: newKey() }),
        onSuccess: ({ skills, next }) =>
            client.setQueriesData<Practice>({ queryKey: ['practice', study] }, (shown) =>
                shown === undefined ? shown : { ...shown, skills, next },
            ),
    });
}
