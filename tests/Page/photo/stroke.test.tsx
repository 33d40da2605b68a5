import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PLAIN } from '../../../resources/ts/stage/look/lookState';
import { PhotoView } from '../../../resources/ts/stage/PhotoView';
import { useDrawing } from '../../../resources/ts/stage/useDrawing';
import type { Tool } from '../../../resources/ts/stage/drawing';
import { photo, study } from '../examples';

const changed = vi.fn();

function Drawn({ tool }: { tool: Tool }) {
    const drawing = useDrawing(changed);
    return (
        <QueryClientProvider client={new QueryClient()}>
            <button onClick={() => drawing.take(tool)}>take</button>
            <PhotoView
                study={study}
                photo={photo}
                look={PLAIN}
                spot={{ x: 5, y: 6, ring: 9 }}
                spots={[]}
                chosenSpot={null}
                frame={undefined}
                stamp={1}
                room="300px"
                drawing={drawing.drawing}
                draw={drawing.draw}
                onEnd={drawing.end}
                dispatch={vi.fn()}
                onPhoto={vi.fn()}
            />
        </QueryClientProvider>
    );
}

function withTool(tool: Tool) {
    render(<Drawn tool={tool} />);
    const stage = screen.getByRole('application');
    const { photoWidth: width, photoHeight: height } = study;
    vi.spyOn(stage, 'getBoundingClientRect').mockReturnValue({ left: 0, top: 0, width, height } as DOMRect);
    stage.setPointerCapture = vi.fn();
    fireEvent.click(screen.getByText('take'));
    const at = (x: number, y: number) => ({ clientX: x * width, clientY: y * height, pointerId: 1, pointerType: 'mouse' });
    return { stage, at };
}

beforeEach(() => {
    vi.stubGlobal('fetch', () => new Promise(() => undefined));
});
afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
    changed.mockReset();
});

describe('a stroke drawn on the photo', () => {
    it('reaches to where the pointer was lifted, also when it went too fast for the page to show a single move', () => {
        const { stage, at } = withTool({ kind: 'split', zone: 4 });
        fireEvent.pointerDown(stage, at(0.5, 0.1));
        // Within one act nothing is shown between the events, as on a machine that is busy.
        act(() => {
            fireEvent.pointerMove(stage, at(0.5, 0.5));
            fireEvent.pointerUp(stage, at(0.5, 0.9));
        });
        expect(changed.mock.calls).toEqual([
            [
                {
                    kind: 'splitZone',
                    zone: 4,
                    line: [
                        [0.5, 0.1],
                        [0.5, 0.5],
                        [0.5, 0.9],
                    ],
                },
            ],
        ]);
    });

    it('is a corner where the pointer hardly moved, and waits for the next', () => {
        const { stage, at } = withTool({ kind: 'split', zone: 4 });
        for (const y of [0.1, 0.9]) {
            fireEvent.pointerDown(stage, at(0.5, y));
            fireEvent.pointerUp(stage, at(0.501, y));
        }
        expect(changed).not.toHaveBeenCalled();
        fireEvent.keyDown(stage, { key: 'Enter' });
        expect(changed).toHaveBeenCalledOnce();
    });

    it('stays where it is when it has too few points for a shape, and can be gone on with', () => {
        const { stage, at } = withTool({ kind: 'new' });
        fireEvent.pointerDown(stage, at(0.2, 0.2));
        fireEvent.pointerUp(stage, at(0.8, 0.2));
        expect(changed).not.toHaveBeenCalled();
        fireEvent.pointerDown(stage, at(0.8, 0.8));
        fireEvent.pointerUp(stage, at(0.8, 0.8));
        fireEvent.keyDown(stage, { key: 'Enter' });
        expect(changed.mock.calls[0]?.[0]).toMatchObject({ kind: 'redrawZone', zone: null });
    });
});
