import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PhotoView } from '../../../resources/ts/stage/PhotoView';
import { useThrottled } from '../../../resources/ts/stage/useThrottled';
import { PLAIN } from '../../../resources/ts/stage/look/lookState';
import { photo, spot, study } from '../examples';

beforeEach(() => {
    vi.useFakeTimers();
});
afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

describe('a value that changes often', () => {
    it('comes through at once, then at most so often, and the last one always', () => {
        const { result, rerender } = renderHook(({ v }) => useThrottled(v, 70), { initialProps: { v: 0 } });
        const seen = new Set<number>();
        for (let v = 1; v <= 30; v++) {
            rerender({ v });
            act(() => {
                vi.advanceTimersByTime(10);
            });
            seen.add(result.current);
        }
        act(() => {
            vi.advanceTimersByTime(100);
        });
        expect(result.current).toBe(30);
        expect(seen.size).toBeLessThan(8);
        expect(seen.size).toBeGreaterThan(2);
    });
});

describe('hovering over the photo', () => {
    const asked: string[] = [];
    const show = (dispatch = vi.fn(), look = PLAIN) => {
        asked.length = 0;
        vi.stubGlobal('fetch', (url: string) => {
            asked.push(url);
            return Promise.resolve(
                new Response(JSON.stringify({ ...spot, words: 'value 3 of 9, dark, blue' }), {
                    headers: { 'Content-Type': 'application/json' },
                }),
            );
        });
        render(
            <QueryClientProvider client={new QueryClient()}>
                <PhotoView
                    study={study}
                    photo={photo}
                    look={look}
                    spot={{ x: 5, y: 6, ring: 9 }}
                    spots={[]}
                    chosenSpot={null}
                    frame={undefined}
                    stamp={1}
                    room="300px"
                    dispatch={dispatch}
                    onPhoto={vi.fn()}
                />
            </QueryClientProvider>,
        );
        const stage = screen.getByRole('application');
        vi.spyOn(stage, 'getBoundingClientRect').mockReturnValue({
            left: 0,
            top: 0,
            width: study.photoWidth,
            height: study.photoHeight,
        } as DOMRect);
        stage.setPointerCapture = vi.fn();
        return { stage, dispatch };
    };
    const settle = () =>
        act(async () => {
            await vi.advanceTimersByTimeAsync(200);
        });

    it('reads what lies under the mouse and does not move the ring', async () => {
        const { stage, dispatch } = show();
        fireEvent.pointerMove(stage, { clientX: 100, clientY: 60, pointerType: 'mouse' });
        await settle();
        expect(screen.getByTestId('under-pointer').textContent).toBe('value 3 of 9, dark, blue');
        expect(asked.at(-1)).toContain('x=100&y=60&ring=9');
        expect(dispatch).not.toHaveBeenCalled();
        fireEvent.pointerLeave(stage);
        expect(screen.queryByTestId('under-pointer')).toBeNull();
    });

    it('keeps to the photo at its very edge', async () => {
        const { stage } = show();
        fireEvent.pointerMove(stage, { clientX: study.photoWidth + 40, clientY: -12, pointerType: 'mouse' });
        await settle();
        expect(asked.at(-1)).toContain(`x=${study.photoWidth - 1}&y=0`);
    });

    it('points at the same place of the photo when it is shown mirrored or upside down', () => {
        const mirrored = show(vi.fn(), { ...PLAIN, mirror: true });
        fireEvent.pointerDown(mirrored.stage, { clientX: 30, clientY: 40, pointerId: 1 });
        expect(mirrored.dispatch).toHaveBeenCalledWith({ type: 'placed', x: study.photoWidth - 30, y: 40 });
        // The ring goes where the arrow points on the screen.
        fireEvent.keyDown(mirrored.stage, { key: 'ArrowRight' });
        expect(mirrored.dispatch).toHaveBeenLastCalledWith({ type: 'nudged', dx: -4, dy: 0 });
        cleanup();
        const turned = show(vi.fn(), { ...PLAIN, turned: true });
        fireEvent.pointerDown(turned.stage, { clientX: 30, clientY: 40, pointerId: 1 });
        expect(turned.dispatch).toHaveBeenCalledWith({ type: 'placed', x: study.photoWidth - 30, y: study.photoHeight - 40 });
    });

    it('asks nothing for a finger, which can not hover', async () => {
        const { stage } = show();
        fireEvent.pointerMove(stage, { clientX: 100, clientY: 60, pointerType: 'touch' });
        await settle();
        expect(asked).toEqual([]);
    });

    it('places the ring when pressed, and moves it while held', () => {
        const { stage, dispatch } = show();
        fireEvent.pointerDown(stage, { clientX: 30, clientY: 40, pointerId: 1 });
        fireEvent.pointerMove(stage, { clientX: 50, clientY: 60, pointerType: 'mouse' });
        fireEvent.pointerUp(stage, { pointerId: 1 });
        expect(dispatch.mock.calls.map(([action]) => action as unknown)).toEqual([
            { type: 'placed', x: 30, y: 40 },
            { type: 'placed', x: 50, y: 60 },
        ]);
    });
});
