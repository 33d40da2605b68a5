import { useMutation, useQuery } from '@tanstack/react-query';
import { ask, send } from '../../api/client';
import type { Known, Sent } from '../../api/described';

export const useAccount = () => useQuery({ queryKey: ['account'], queryFn: ({ signal }) => ask('/api/account', { signal }) });

type Proved = '/api/account' | '/api/account/password' | '/api/account/elsewhere';

/** What is proved by the password, once more. */
export const useProved = <const M extends 'PATCH' | 'POST' | 'DELETE', const Path extends Proved>(
    method: M,
    path: Path & Known<Path, M>,
    then: () => void,
) => useMutation({ mutationFn: (json: Sent<Path, M>) => send<Path, M>(method, path, { json }), onSuccess: then });
