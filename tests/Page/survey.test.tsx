import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { pendingOf } from '../../resources/ts/photo/survey/pending';
import { useSurvey } from '../../resources/ts/photo/survey/useSurvey';
import { study, survey } from './examples';

/** What was posted, and how the application answers: with a survey, with a refusal, or not at all. */
const posted: { url: string; body: unknown }[] = [];
let answers: (() => Promise<Response>)[] = [];

const json =
    (body: unknown, status = 200) =>
    () =>
        Promise.resolve(new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } }));
const lost = () => Promise.reject(new TypeError('connection lost'));

beforeEach(() => {
    localStorage.clear();
    posted.length = 0;
    answers = [];
    vi.stubGlobal('fetch', (url: string, options: RequestInit) => {
        if (options.method !== 'POST') {
            return json(survey)();
        }
        posted.push({ url, body: typeof options.body === 'string' ? JSON.parse(options.body) : null });
        return (answers.shift() ?? json({ ...survey, number: 5 }))();
    });
});
afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

const show = (onFault = vi.fn()) => {
    const client = new QueryClient();
    const wrapper = ({ children }: { children: ReactNode }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>;
    return { onFault, ...renderHook(() => useSurvey(study, onFault), { wrapper }) };
};

describe('changes of a survey', () => {
    it('are sent one after the other, each with a key of its own, and the answer is what shows', async () => {
        const { result } = show();
        act(() => {
            result.current.change({ kind: 'renameZone', zone: 1, name: 'wall' });
            result.current.change({ kind: 'removeSpot', spot: 2 });
            result.current.undo();
        });
        await waitFor(() => expect(result.current.waiting).toBe(0));
        expect(posted.map((p) => p.url.split('/survey/')[1])).toEqual(['changes', 'changes', 'undo']);
        expect(posted[0]?.body).toMatchObject({ kind: 'renameZone', zone: 1, name: 'wall' });
        const keys = posted.slice(0, 2).map((p) => (p.body as { key: string }).key);
        expect(new Set(keys).size).toBe(2);
        expect(result.current.survey?.number).toBe(5);
    });

    it('wait on this device while there is no answer, and are sent again with the same key', async () => {
        answers = [lost];
        const { result } = show();
        act(() => result.current.change({ kind: 'renameZone', zone: 1, name: 'wall' }));
        await waitFor(() => expect(result.current.lost).toBe(true));
        expect(pendingOf(study.id)).toHaveLength(1);
        await waitFor(() => expect(result.current.waiting).toBe(0), { timeout: 4000 });
        expect(posted).toHaveLength(2);
        expect(posted[1]).toEqual(posted[0]);
        expect(result.current.lost).toBe(false);
        expect(pendingOf(study.id)).toEqual([]);
    });

    it('outlive a reload of the page', async () => {
        localStorage.setItem(`pending/${study.id}`, JSON.stringify([{ key: 'kept-before', change: { kind: 'removeSpot', spot: 2 } }]));
        const { result } = show();
        await waitFor(() => expect(result.current.waiting).toBe(0));
        expect(posted[0]?.body).toEqual({ kind: 'removeSpot', spot: 2, key: 'kept-before' });
    });

    it('that are refused are said and dropped, and what comes after them is still made', async () => {
        answers = [json({ type: 'about:blank', title: 'no', status: 422, detail: 'The line leaves “wall” in one piece.' }, 422)];
        const { result, onFault } = show();
        act(() => {
            result.current.change({ kind: 'splitZone', zone: 1, line: [] });
            result.current.change({ kind: 'removeSpot', spot: 2 });
        });
        await waitFor(() => expect(result.current.waiting).toBe(0));
        expect(onFault).toHaveBeenCalledTimes(1);
        expect((onFault.mock.calls[0]?.[0] as Error).message).toContain('in one piece');
        expect(posted).toHaveLength(2);
    });
});
