import { onlineManager, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { newQueries } from '../../resources/ts/api/newQueries';
import type { Tray } from '../../resources/ts/api/types';
import { useStockChanges, useTray } from '../../resources/ts/places/drawer/queries';
import { usePlan, usePlanChanges } from '../../resources/ts/places/plan/queries';

/** Every request, to be answered by hand and in any order. */
let open: { method: string; url: string; answer: (body: unknown) => void; left: () => boolean }[] = [];

beforeEach(() => {
    open = [];
    localStorage.clear();
    vi.stubGlobal(
        'fetch',
        (url: string, { method = 'GET', signal }: RequestInit) =>
            new Promise<Response>((resolve, reject) => {
                signal?.addEventListener('abort', () => reject(new DOMException('left off', 'AbortError')));
                const answer = (body: unknown) =>
                    resolve(new Response(JSON.stringify(body), { status: 200, headers: { 'Content-Type': 'application/json' } }));
                open.push({ method, url, answer, left: () => signal?.aborted ?? false });
            }),
    );
});
afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

const wrapperOf = (client: QueryClient) =>
    function Wrapper({ children }: { children: ReactNode }) {
        return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
    };
const nth = async (count: number) => {
    await waitFor(() => expect(open).toHaveLength(count));
    const asked = open[count - 1];
    if (asked === undefined) {
        throw new Error('nothing was asked');
    }
    return asked;
};
const tray = (notShown: number) => ({ order: 'number', pencils: [], notShown }) as unknown as Tray;

describe('an answer that is older than a change', () => {
    it('is not what shows: the tray that was asked for while a pencil was being noted is asked for again', async () => {
        const client = new QueryClient();
        const { result } = renderHook(() => ({ tray: useTray('number', { kind: 'wanted' }), changes: useStockChanges(vi.fn()) }), {
            wrapper: wrapperOf(client),
        });
        const before = await nth(1);
        act(() => result.current.changes.note.mutate({ id: 'Slipway/1', stock: 'wanted' }));
        const note = await nth(2);
        expect(note.method).toBe('PATCH');
        note.answer({});
        const after = await nth(3);
        expect(after.url).toBe(before.url);
        expect(before.left()).toBe(true);
        before.answer(tray(0));
        after.answer(tray(1));
        await waitFor(() => expect(result.current.tray.data?.notShown).toBe(1));
    });

    it('does not take the place of the answer to the change itself', async () => {
        const client = new QueryClient();
        const { result } = renderHook(() => ({ picture: usePlan(4), changes: usePlanChanges(4, vi.fn()) }), {
            wrapper: wrapperOf(client),
        });
        const before = await nth(1);
        act(() => result.current.changes.undo.mutate());
        const undo = await nth(2);
        undo.answer({ version: 2, run: null });
        await waitFor(() => expect(result.current.picture.data?.version).toBe(2));
        before.answer({ version: 1, run: null });
        await act(() => new Promise((resolve) => setTimeout(resolve, 20)));
        expect(result.current.picture.data?.version).toBe(2);
    });
});

describe('changes made faster than they are answered', () => {
    it('are sent one after the other, so that an undo takes back the one before it', async () => {
        const { result } = renderHook(() => usePlanChanges(4, vi.fn()), { wrapper: wrapperOf(new QueryClient()) });
        act(() => {
            result.current.change.mutate({ kind: 'remedy', zone: 3, shade: 'mid', code: 'bloom' });
            result.current.undo.mutate();
        });
        const change = await nth(1);
        await act(() => new Promise((resolve) => setTimeout(resolve, 20)));
        expect(open.map((a) => a.url)).toEqual(['/api/studies/4/plan/changes']);
        change.answer({ version: 1, run: null });
        expect((await nth(2)).url).toBe('/api/studies/4/plan/undo');
    });
});

describe('a machine without a network', () => {
    afterEach(() => onlineManager.setOnline(true));

    it('is answered by the application all the same, as that runs on it', async () => {
        onlineManager.setOnline(false);
        const { result } = renderHook(() => ({ tray: useTray('number', { kind: 'owned' }), changes: useStockChanges(vi.fn()) }), {
            wrapper: wrapperOf(newQueries()),
        });
        (await nth(1)).answer(tray(3));
        await waitFor(() => expect(result.current.tray.data?.notShown).toBe(3));
        act(() => result.current.changes.note.mutate({ id: 'Slipway/1', stock: 'low' }));
        expect((await nth(2)).method).toBe('PATCH');
    });
});
