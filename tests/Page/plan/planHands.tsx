import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup } from '@testing-library/react';

import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, vi } from 'vitest';

import { type PlanChanges } from '../../../resources/ts/places/plan/queries';

export const fetched = vi.fn<typeof globalThis.fetch>();

/** The application is not asked; what is asked of it is seen. */
export function standIn(): void {
    beforeEach(() => {
        vi.stubGlobal('fetch', fetched);
        fetched.mockImplementation(() => new Promise(() => undefined));
    });
    afterEach(() => {
        cleanup();
        vi.unstubAllGlobals();
        fetched.mockReset();
        localStorage.clear();
    });
}

/** What asks under an address with these words in it is answered so; all else waits. */
export function answering(words: string, answer: unknown): void {
    fetched.mockImplementation((input) =>
        String(input instanceof Request ? input.url : input).includes(words)
            ? Promise.resolve(new Response(JSON.stringify(answer), { headers: { 'Content-Type': 'application/json' } }))
            : new Promise(() => undefined),
    );
}

export function hands() {
    const mutation = () => ({
        mutate: vi.fn((_: unknown, options?: { onSuccess?: () => void }) => options?.onSuccess?.()),
        isPending: false,
    });
    const made = { change: mutation(), run: mutation(), cancel: mutation(), undo: mutation(), redo: mutation(), version: mutation() };
    return { made, changes: made as unknown as PlanChanges };
}

export const wrapper = ({ children }: { children: ReactNode }) => (
    <MemoryRouter>
        <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>{children}</QueryClientProvider>
    </MemoryRouter>
);

export const first = (fn: ReturnType<typeof hands>['made']['change']): unknown => fn.mutate.mock.lastCall?.[0];
