import { useQuery } from '@tanstack/react-query';
import { createContext, useContext, type ReactNode } from 'react';
import { ask } from '../api/client';
import type { Grain } from '../api/types';

const GrainContext = createContext<Grain | null>(null);

/** The paper's surface from the model, asked for once; dabs are drawn from it. */
export function GrainProvider({ children }: { children: ReactNode }) {
    const grain = useQuery({ queryKey: ['grain'], queryFn: ({ signal }) => ask('/api/grain', { signal }), staleTime: Infinity });
    return <GrainContext.Provider value={grain.data ?? null}>{children}</GrainContext.Provider>;
}

export const useGrain = (): Grain | null => useContext(GrainContext);
