import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, renderHook, screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keptEdits } from '../../resources/ts/api/keptEdits';
import { useSurvey } from '../../resources/ts/places/photo/survey/useSurvey';
import { DeleteStudy } from '../../resources/ts/app/StudyRescue';
import { usePlanChanges } from '../../resources/ts/places/photo/queries';
import { WaitingLine } from '../../resources/ts/app/WaitingLine';
import { plan, study, survey } from './examples';

/** What was sent, and how the application answers: with a survey, with a refusal, or not at all. */
const sent: { url: string; method: string; key: string | undefined; body: Record<string, unknown> | null }[] = [];
let answers: (() => Promise<Response>)[] = [];
const LANE = `/study-${study.id}`;

const json =
    (body: unknown, status = 200, headers: Record<string, string> = {}) =>
    () =>
        Promise.resolve(new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json', ...headers } }));
const problem = (status: number, detail = 'No.', headers = {}) =>
    json({ type: 'about:blank', title: 'No', status, detail }, status, headers);
const lost = () => Promise.reject(new TypeError('connection lost'));
const proxy = (status: number) => () => Promise.resolve(new Response('<html>Bad gateway</html>', { status }));
const made = (stamp: number) => json({ ...survey, stamp, number: 5 }, 200, { 'Change-Made': String(stamp) });

beforeEach(() => {
    localStorage.clear();
    sent.length = 0;
    answers = [];
    vi.stubGlobal('fetch', (url: string, { method = 'GET', body, headers }: RequestInit = {}) => {
        if (method === 'GET') {
            return json({ ...survey, stamp: 40 })();
        }
        sent.push({
            url,
            method,
            key: (headers as Record<string, string> | undefined)?.['Idempotency-Key'],
            body: typeof body === 'string' ? (JSON.parse(body) as Record<string, unknown>) : null,
        });
        return (answers.shift() ?? json({ ...survey, number: 5 }))();
    });
});
afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
});

const show = (onFault = vi.fn()) => {
    const client = new QueryClient();
    const wrapper = ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={client}>
            <WaitingLine />
            {children}
        </QueryClientProvider>
    );
    return { onFault, ...renderHook(() => useSurvey(study, onFault), { wrapper }) };
};
const rename = (name: string) => ({ kind: 'renameZone', zone: 1, name }) as const;
const allSent = async (result: { current: { waiting: number } }, timeout = 1000) =>
    waitFor(() => expect(result.current.waiting).toBe(0), { timeout });

describe('changes', () => {
    it('are sent one after the other, each under a key of its own, and the answer is what shows', async () => {
        const { result } = show();
        act(() => {
            result.current.change(rename('wall'));
            result.current.change({ kind: 'removeSpot', spot: 2 });
            result.current.undo();
        });
        await allSent(result);
        expect(sent.map((p) => p.url.split('/survey/')[1])).toEqual(['changes', 'changes', 'undo']);
        expect(sent[0]?.body).toMatchObject({ kind: 'renameZone', zone: 1, name: 'wall' });
        expect(new Set(sent.map((p) => p.key)).size).toBe(3);
        expect(result.current.survey?.number).toBe(5);
    });

    it.each([
        ['no answer', lost],
        ['a fault', problem(500, 'It has been written to the log.')],
        ['a server that is not there', proxy(502)],
        ['one that is coming back', problem(503)],
        ['too many at once', problem(429, 'Wait a minute.')],
        ['a session that is over', problem(401, 'Sign in and try again.')],
        ['a 404 that the application did not say', proxy(404)],
        ['a full disk', problem(507, 'The disk of this machine is full.')],
    ])('wait on this device after %s, in order, and are sent again under the same key', async (_, answer) => {
        answers = [answer];
        const { result, onFault } = show();
        act(() => {
            result.current.change(rename('wall'));
            result.current.change(rename('sea'));
        });
        await waitFor(() => expect(screen.getByTestId('waiting').textContent).toContain('2 changes wait'));
        expect(keptEdits(LANE).map((e) => (e.json as { name: string }).name)).toEqual(['wall', 'sea']);
        fireEvent.click(screen.getByRole('button', { name: 'Send now' }));
        await allSent(result);
        expect(sent.map((s) => s.body?.name)).toEqual(['wall', 'wall', 'sea']);
        expect(sent[1]).toEqual(sent[0]);
        expect(keptEdits(LANE)).toEqual([]);
        expect(screen.getByTestId('waiting').textContent).toBe('');
        expect(onFault).not.toHaveBeenCalled();
    });

    it('are sent again by themselves, and not before the application asked for', async () => {
        answers = [lost, problem(429, 'Wait.', { 'Retry-After': '3' })];
        const { result } = show();
        act(() => result.current.change(rename('wall')));
        await allSent(result, 9000);
        expect(sent).toHaveLength(3);
    }, 12_000);

    it('outlive a reload, those of an earlier version of the page too, but are sent for nobody else', async () => {
        answers = [lost];
        const { result, unmount } = show();
        act(() => result.current.change(rename('wall')));
        await waitFor(() => expect(keptEdits(LANE)).toHaveLength(1));
        unmount();
        cleanup();
        localStorage.setItem('waiting/17/study-4/x', JSON.stringify({ ...keptEdits(LANE)[0], lane: '17/study-4', key: 'x' }));
        localStorage.setItem(`pending/${study.id}`, JSON.stringify([{ key: 'kept-before', change: { kind: 'removeSpot', spot: 2 } }]));
        sent.length = 0;
        const again = show();
        await waitFor(() => expect(sent).toHaveLength(2));
        await allSent(again.result);
        expect(sent.map((s) => s.body?.kind)).toEqual(['renameZone', 'removeSpot']);
        expect(localStorage.getItem(`pending/${study.id}`)).toBeNull();
        expect(localStorage.getItem('waiting/17/study-4/x')).not.toBeNull();
    });

    it('that are refused are said and dropped, and what comes after them is still made', async () => {
        answers = [problem(422, 'The line leaves “wall” in one piece.')];
        const { result, onFault } = show();
        act(() => {
            result.current.change({ kind: 'splitZone', zone: 1, line: [] });
            result.current.change({ kind: 'removeSpot', spot: 2 });
        });
        await allSent(result);
        expect(onFault).toHaveBeenCalledTimes(1);
        expect((onFault.mock.calls[0]?.[0] as Error).message).toContain('in one piece');
        expect(sent).toHaveLength(2);
    });

    it('that are refused where nothing shows them are said all the same', async () => {
        answers = [problem(404, 'There is nothing here.')];
        const edit = {
            key: 'k-of-before',
            lane: '/study-9',
            at: 1,
            words: 'rename zone',
            method: 'POST',
            path: '/api/studies/9/survey/changes',
        };
        localStorage.setItem('waiting//study-9/k-of-before', JSON.stringify(edit));
        show();
        await waitFor(() =>
            expect(screen.getByTestId('waiting').textContent).toContain('“rename zone” was not made: There is nothing here.'),
        );
        fireEvent.click(screen.getByRole('button', { name: 'Close' }));
        await waitFor(() => expect(screen.getByTestId('waiting').textContent).toBe(''));
    });

    it('of two tabs are kept beside one another', async () => {
        answers = [lost, lost];
        const one = show();
        const two = show();
        act(() => one.result.current.change(rename('wall')));
        act(() => two.result.current.change(rename('sea')));
        await waitFor(() => expect(sent).toHaveLength(2));
        expect(keptEdits(LANE)).toHaveLength(2);
    });

    it('that the application can not take in may be left out, and the rest goes on', async () => {
        vi.useFakeTimers({ shouldAdvanceTime: true });
        answers = [1, 2, 3, 4].map(() => problem(500));
        const { result } = show();
        act(() => {
            result.current.change(rename('wall'));
            result.current.change(rename('sea'));
        });
        await act(() => vi.advanceTimersByTimeAsync(15_000));
        vi.useRealTimers();
        expect(sent).toHaveLength(4);
        fireEvent.click(screen.getByRole('button', { name: 'Leave out “rename zone”' }));
        await allSent(result);
        expect(sent.at(-1)?.body?.name).toBe('sea');
    });

    it('that this device can not keep are said to be lost with the page', async () => {
        answers = [lost];
        vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
            throw new DOMException('full', 'QuotaExceededError');
        });
        const { result } = show();
        act(() => result.current.change(rename('wall')));
        await waitFor(() => expect(screen.getByTestId('waiting').textContent).toContain('leave the page open'));
    });
});

describe('an undo', () => {
    it('stands on what is shown, or on what was made by the change that is sent before it', async () => {
        answers = [made(39), made(51), made(52), made(51)];
        const { result } = show();
        await waitFor(() => expect(result.current.survey?.stamp).toBe(40));
        act(() => result.current.undo());
        await allSent(result);
        act(() => {
            result.current.change(rename('wall'));
            result.current.change(rename('sea'));
            result.current.undo();
            result.current.undo();
        });
        await allSent(result);
        expect(sent.filter((s) => s.url.endsWith('undo')).map((s) => s.body?.of)).toEqual([40, 52, 51]);
    });

    it('of a change that is refused is not sent: it would take back another', async () => {
        answers = [problem(422, 'No.')];
        const { result } = show();
        await waitFor(() => expect(result.current.survey).toBeDefined());
        act(() => {
            result.current.change(rename(''));
            result.current.undo();
            result.current.change(rename('sea'));
        });
        await allSent(result);
        expect(sent.map((s) => s.url.split('/survey/')[1])).toEqual(['changes', 'changes']);
    });

    it('that came too late is said, and what is there now is asked for', async () => {
        answers = [problem(409, 'Changed elsewhere meanwhile: rename “sea”.')];
        const onFault = vi.fn();
        const { result } = show(onFault);
        await waitFor(() => expect(result.current.survey).toBeDefined());
        act(() => result.current.undo());
        await waitFor(() => expect((onFault.mock.calls[0]?.[0] as Error | undefined)?.message).toContain('Changed elsewhere'));
    });
});

it('a study is deleted when it is asked for twice, and the keyboard stays with the question', async () => {
    const client = new QueryClient();
    const wrapper = ({ children }: { children: ReactNode }) => (
        <MemoryRouter>
            <QueryClientProvider client={client}>{children}</QueryClientProvider>
        </MemoryRouter>
    );
    render(<DeleteStudy study={study} onFault={vi.fn()} />, { wrapper });
    const pressed = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
    pressed('Delete this study…');
    await waitFor(() => expect(document.activeElement?.textContent).toBe('Keep it'));
    pressed('Keep it');
    await waitFor(() => expect(document.activeElement?.textContent).toBe('Delete this study…'));
    expect(sent).toEqual([]);
    pressed('Delete this study…');
    pressed('Delete it');
    await waitFor(() => expect(sent[0]).toMatchObject({ method: 'DELETE', url: `/api/studies/${study.id}` }));
});

it('a recipe is kept under a key, so that it is kept once', async () => {
    answers = [lost, json(plan())];
    const client = new QueryClient();
    const wrapper = ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={client}>
            <WaitingLine />
            {children}
        </QueryClientProvider>
    );
    const { result } = renderHook(() => usePlanChanges(study, vi.fn()), { wrapper });
    const onSuccess = vi.fn();
    act(() => result.current.add.mutate({ name: 'rope', x: 1, y: 1, ring: 9, label: 'closest', stack: '735@0.35' }, { onSuccess }));
    fireEvent.click(await screen.findByRole('button', { name: 'Send now' }));
    await waitFor(() => expect(onSuccess).toHaveBeenCalledOnce());
    expect(sent[1]).toEqual(sent[0]);
    expect(sent[0]?.key?.length).toBeGreaterThan(8);
});
