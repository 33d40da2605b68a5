import { act, fireEvent, render, renderHook, screen, waitFor } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { RequestFailed } from '../../resources/ts/api/client';
import { newQueries } from '../../resources/ts/api/newQueries';
import { StudyRescue, isUnshown } from '../../resources/ts/app/StudyRescue';
import { useLoaded } from '../../resources/ts/stage/useLoaded';
import { FileDrop } from '../../resources/ts/ui/FileDrop';
import { application, wrapper } from './application';
import { study } from './examples';

const app = application();
const failed = (status: number, type = 'about:blank') =>
    new RequestFailed(status, { type, title: 'No', status, detail: `It failed with ${status}.` });

describe('a study that can not be shown', () => {
    const show = () => {
        const [onUndo, onFault] = [vi.fn(), vi.fn()];
        render(
            <MemoryRouter initialEntries={['/plan/7']}>
                <Routes>
                    <Route path="/plan/:id" element={<StudyRescue study={study} fault={failed(500)} onUndo={onUndo} onFault={onFault} />} />
                    <Route path="/photo" element={<p>the photo</p>} />
                </Routes>
            </MemoryRouter>,
            { wrapper },
        );
        return { onUndo, onFault };
    };
    const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

    it('is told apart from a moment in which it could not be asked for', () => {
        expect(isUnshown(failed(500, 'cannot-be-shown'))).toBe(true);
        expect(isUnshown(failed(500))).toBe(false);
        expect(isUnshown(new Error('lost'))).toBe(false);
    });

    it('says why, and lets the last change be taken back', () => {
        const { onUndo } = show();
        expect(screen.getByRole('alert').textContent).toBe('It failed with 500.');
        press('Undo last change');
        expect(onUndo).toHaveBeenCalledOnce();
    });

    it('is deleted only when it was asked twice, and then one is led away from it', async () => {
        app.says('DELETE', '/api/studies/7', null, 204);
        show();
        press('Delete study…');
        expect(screen.getByText(/This can’t be undone/)).toBeTruthy();
        // The hand that was asked rests on the harmless answer.
        await waitFor(() => expect(document.activeElement?.textContent).toBe('Keep study'));
        press('Keep study');
        expect(app.last('DELETE')).toBeUndefined();
        await waitFor(() => expect(document.activeElement?.textContent).toBe('Delete study…'));
        press('Delete study…');
        press('Delete study');
        await screen.findByText('the photo');
        expect(app.asked.filter((a) => a.method === 'DELETE')).toHaveLength(1);
    });

    it('says so where it can not be saved either', async () => {
        app.refuses('GET', '/bundle', 422, 'It is too large for one file.');
        const { onFault } = show();
        press('Save study as a file');
        await waitFor(() => expect(onFault).toHaveBeenCalledWith('It is too large for one file.'));
    });
});

describe('where a file is dropped', () => {
    it('takes the first file of it, says while one is held over it, and takes nothing where it is none', () => {
        const [file, onFile] = [new File(['x'], 'low-water.jpg'), vi.fn()];
        render(<FileDrop onFile={onFile}>the photo</FileDrop>);
        const place = screen.getByText('the photo');
        fireEvent.dragOver(place);
        expect(place.dataset['dropTarget']).toBe('true');
        fireEvent.drop(place, { dataTransfer: { files: [] } });
        expect(place.dataset['dropTarget']).toBeUndefined();
        expect(onFile).not.toHaveBeenCalled();
        fireEvent.drop(place, { dataTransfer: { files: [file] } });
        expect(onFile).toHaveBeenCalledWith(file);
    });
});

describe('a picture that is on its way', () => {
    it('leaves the one before standing until it is there, and says when it does not come', () => {
        const made: { onload?: () => void; onerror?: () => void; src: string }[] = [];
        vi.stubGlobal(
            'Image',
            class {
                src = '';
                constructor() {
                    made.push(this);
                }
            },
        );
        const { result, rerender } = renderHook(({ url }) => useLoaded(url), { initialProps: { url: '/one.png' } });
        act(() => made[0]?.onload?.());
        rerender({ url: '/two.png' });
        expect(result.current).toEqual({ shown: '/one.png', waiting: true, failed: false });
        rerender({ url: '/three.png' });
        // What nobody waits for any more changes nothing when it arrives.
        act(() => made[1]?.onload?.());
        expect(result.current.shown).toBe('/one.png');
        // It may not have been its turn: it is asked for three times.
        vi.useFakeTimers();
        for (const wait of [1000, 2000]) {
            act(() => made[2]?.onerror?.());
            expect(result.current).toEqual({ shown: '/one.png', waiting: true, failed: false });
            (made[2] as { src: string }).src = '';
            act(() => void vi.advanceTimersByTime(wait));
            expect(made[2]?.src).toBe('/three.png');
        }
        vi.useRealTimers();
        act(() => made[2]?.onerror?.());
        expect(result.current).toEqual({ shown: '/one.png', waiting: false, failed: true });
        rerender({ url: '/four.png' });
        act(() => made[3]?.onload?.());
        expect(result.current).toEqual({ shown: '/four.png', waiting: false, failed: false });
    });
});

describe('a question that failed', () => {
    it('is asked again where the server may be back in a moment, twice, until it is its turn, and never where it was refused', () => {
        const retry = newQueries().getDefaultOptions().queries?.retry as (count: number, error: unknown) => boolean;
        for (const status of [0, 502, 503, 504]) {
            expect([retry(0, failed(status)), retry(1, failed(status)), retry(2, failed(status))]).toEqual([true, true, false]);
        }
        for (const status of [401, 403, 404, 422, 500]) {
            expect(retry(0, failed(status))).toBe(false);
        }
        expect([retry(2, failed(429)), retry(29, failed(429)), retry(30, failed(429))]).toEqual([true, true, false]);
        expect(retry(0, new RequestFailed(429, failed(429).problem, true, 60))).toBe(false);
        expect(retry(0, new Error('a mistake of the page itself'))).toBe(false);
    });
});
