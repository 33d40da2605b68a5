import { useMutation, useQuery } from '@tanstack/react-query';
import { ask } from '../../api/client';
import type { Account } from '../../api/types';

export const useAccount = () => useQuery({ queryKey: ['account'], queryFn: ({ signal }) => ask<Account>('/api/account', { signal }) });

/** What is proved by the password, once more. */
export const useProved = <T extends { password: string }>(method: 'PATCH' | 'POST' | 'DELETE', path: string, then: () => void) =>
    useMutation({ mutationFn: (json: T) => ask<undefined>(path, { method, json }), onSuccess: then });
