import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';

import { describe, expect, it, vi } from 'vitest';
import { keptEdits } from '../../resources/ts/api/keptEdits';

import { allSent, answering, applicationThatAnswers, LANE, lost, problem, proxy, rename, sent, show } from './outboxBench';

applicationThatAnswers();

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
        answering(answer);
        const { result, onFault } = show();
        act(() => {
            result.current.change(rename('wall'));
            result.current.change(rename('sea'));
        });
        await waitFor(() => expect(screen.getByTestId('waiting').textContent).toContain('2 changes are waiting to be sent'));
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
        answering(lost, problem(429, 'Wait.', { 'Retry-After': '3' }));
        const { result } = show();
        act(() => result.current.change(rename('wall')));
        await allSent(result, 9000);
        expect(sent).toHaveLength(3);
    }, 12_000);

    it('outlive a reload, but are sent for nobody else', async () => {
        answering(lost);
        const { result, unmount } = show();
        act(() => result.current.change(rename('wall')));
        await waitFor(() => expect(keptEdits(LANE)).toHaveLength(1));
        unmount();
        cleanup();
        localStorage.setItem('waiting/17/study-4/x', JSON.stringify({ ...keptEdits(LANE)[0], lane: '17/study-4', key: 'x' }));
        sent.length = 0;
        const again = show();
        await waitFor(() => expect(sent).toHaveLength(1));
        await allSent(again.result);
        expect(sent.map((s) => s.body?.kind)).toEqual(['renameZone']);
        expect(localStorage.getItem('waiting/17/study-4/x')).not.toBeNull();
    });

    it('that are refused are said and dropped, and what comes after them is still made', async () => {
        answering(problem(422, 'The line leaves “wall” in one piece.'));
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
        answering(problem(404, 'There is nothing here.'));
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
            expect(screen.getByTestId('waiting').textContent).toContain('“rename zone” was not saved: There is nothing here.'),
        );
        fireEvent.click(screen.getByRole('button', { name: 'Close' }));
        await waitFor(() => expect(screen.getByTestId('waiting').textContent).toBe(''));
    });

    it('of two tabs are kept beside one another', async () => {
        answering(lost, lost);
        const one = show();
        const two = show();
        act(() => one.result.current.change(rename('wall')));
        act(() => two.result.current.change(rename('sea')));
        await waitFor(() => expect(sent).toHaveLength(2));
        expect(keptEdits(LANE)).toHaveLength(2);
    });

    it('that the application can not take in may be left out, and the rest goes on', async () => {
        vi.useFakeTimers({ shouldAdvanceTime: true });
        answering(...[1, 2, 3, 4].map(() => problem(500)));
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
        answering(lost);
        vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
            throw new DOMException('full', 'QuotaExceededError');
        });
        const { result } = show();
        act(() => result.current.change(rename('wall')));
        await waitFor(() => expect(screen.getByTestId('waiting').textContent).toContain('keep this page open'));
    });
});
