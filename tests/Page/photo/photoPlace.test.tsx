import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { entry, plan, survey, zones } from '../examples';
import { app, beside, key, settle, show, stage } from './photoHands';

describe('the keys of the photo', () => {
    it('move the ring, read again where it stands, and take a recipe that is worked out', async () => {
        app.says('POST', '/kept-recipes', plan(entry(1, 'rope'), entry(2, 'wall')), 201);
        show('/photo/7');
        const photoStage = await stage();
        await settle();
        const before = screen.getByText(/^Ring .* at /).textContent;
        fireEvent.keyDown(photoStage, { key: 'ArrowRight', shiftKey: true });
        expect(screen.getByText(/^Ring .* at /).textContent).not.toBe(before);
        // While the recipes are still those of where the ring was, none is taken.
        key('"', { code: 'Digit2', shiftKey: true });
        expect(app.last('POST')).toBeUndefined();
        const x = Number(/ at (\d+),/.exec(screen.getByText(/^Ring .* at /).textContent)?.[1]);
        await waitFor(() => expect(app.last('GET', '/recipes?')?.path).toContain(`x=${x}&`));
        await waitFor(() => expect(screen.getByRole('region', { name: 'Recipes' }).getAttribute('aria-busy')).toBe('false'));
        fireEvent.change(screen.getByLabelText(/name/i), { target: { value: ' wall ' } });
        key('"', { code: 'Digit2', shiftKey: true });
        await waitFor(() =>
            expect(app.last('POST')?.body).toMatchObject({ x, name: 'wall', label: 'fewest pencils', stack: 'Slipway/668@0.80' }),
        );
        // There is no ninth.
        key(')', { code: 'Digit9', shiftKey: true });
        expect(app.asked.filter((a) => a.method === 'POST')).toHaveLength(1);
    });

    it('look another way, but not while one writes or a dialog is open', async () => {
        show('/photo/7');
        await stage();
        const isGrey = () => screen.getByRole('button', { name: /^Grey/ }).getAttribute('aria-pressed') === 'true';
        key('g');
        expect(isGrey()).toBe(true);
        fireEvent.keyDown(screen.getByLabelText(/name/i), { key: 'c' });
        expect(isGrey()).toBe(true);
        const dialog = document.body.appendChild(document.createElement('div'));
        dialog.setAttribute('role', 'dialog');
        key('c');
        expect(isGrey()).toBe(true);
        dialog.remove();
        key('c');
        expect(isGrey()).toBe(false);
    });

    it('take back what belongs to the column: recipes of the plan, or what was noted of the photo', async () => {
        app.says('POST', '/kept-recipes/undo', plan());
        app.says('POST', '/survey/undo', { ...survey, zones, undoWords: null, redoWords: 'rename' });
        app.says('POST', '/survey/redo', { ...survey, zones });
        show('/photo/7');
        await stage();
        key('z', { ctrlKey: true });
        await waitFor(() => expect(app.last('POST')?.path).toBe('/api/studies/7/kept-recipes/undo'));
        // The plan has nothing to be done again.
        key('y', { ctrlKey: true });
        beside('Zones');
        key('Z', { ctrlKey: true });
        await waitFor(() => expect(app.last('POST')?.path).toBe('/api/studies/7/survey/undo'));
        await screen.findByRole('button', { name: 'Redo: rename' });
        key('Z', { ctrlKey: true, shiftKey: true });
        await waitFor(() => expect(app.last('POST')?.path).toBe('/api/studies/7/survey/redo'));
        expect(app.asked.filter((a) => a.method === 'POST')).toHaveLength(3);
    });
});

describe('drawing on the photo', () => {
    const begin = async () => {
        app.says('POST', '/survey/changes', { ...survey, zones });
        show('/photo/7');
        const photoStage = await stage();
        photoStage.getBoundingClientRect = () => ({ left: 0, top: 0, width: 100, height: 100 }) as DOMRect;
        photoStage.setPointerCapture = vi.fn();
        beside('Zones');
        fireEvent.click(within(await screen.findByRole('list', { name: 'Zones by size' })).getByRole('button', { name: /sea/ }));
        return photoStage;
    };
    const drawn = () => app.last('POST', '/survey/changes')?.body;
    const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

    it('splits a zone by a line of corners that are set by keys, and leaves it on Escape', async () => {
        const photoStage = await begin();
        press('Split by a line');
        expect(screen.getByText('Draw a line across “sea”, from edge to edge.')).toBeTruthy();
        expect(screen.getByRole('button', { name: 'End' })).toHaveProperty('disabled', true);
        key('Escape');
        expect(screen.queryByText(/^Draw a line/)).toBeNull();
        press('Split by a line');
        fireEvent.keyDown(photoStage, { key: ' ' });
        fireEvent.keyDown(photoStage, { key: 'Enter' });
        expect(drawn()).toBeUndefined();
        fireEvent.keyDown(photoStage, { key: 'ArrowRight', shiftKey: true });
        fireEvent.keyDown(photoStage, { key: ' ' });
        fireEvent.keyDown(photoStage, { key: 'Enter' });
        await waitFor(() => expect(drawn()).toMatchObject({ kind: 'splitZone', zone: 1 }));
        const line = (drawn() as { line: [number, number][] }).line;
        expect(line).toHaveLength(2);
        expect(line[1]?.[0]).toBeGreaterThan(line[0]?.[0] ?? 1);
        expect(screen.queryByText(/^Draw a line/)).toBeNull();
    });

    it('ends a trail when the pointer is lifted, but a press alone sets a corner', async () => {
        const photoStage = await begin();
        press('Add a part');
        const at = (x: number, y: number) => ({ clientX: x, clientY: y, pointerId: 1 });
        fireEvent.pointerDown(photoStage, at(10, 10));
        fireEvent.pointerUp(photoStage, at(10, 10));
        expect(drawn()).toBeUndefined();
        fireEvent.pointerDown(photoStage, at(20, 10));
        for (const [x, y] of [
            [40, 10],
            [40, 40],
            [20, 40],
            [20, 40.1],
            [10, 30],
        ] as const) {
            fireEvent.pointerMove(photoStage, at(x, y));
        }
        fireEvent.pointerUp(photoStage, at(10, 30));
        await waitFor(() => expect(drawn()).toMatchObject({ kind: 'redrawZone', zone: 1 }));
        // The corner set before belongs to it, what lies next to the last point does not.
        expect((drawn() as { outline: unknown }).outline).toEqual([
            [0.1, 0.1],
            [0.2, 0.1],
            [0.4, 0.1],
            [0.4, 0.4],
            [0.2, 0.4],
            [0.1, 0.3],
        ]);
    });

    it('keeps a brush in hand from stroke to stroke, as wide as was chosen', async () => {
        const photoStage = await begin();
        fireEvent.click(screen.getByRole('button', { name: 'Paint' }));
        fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Brush' })).getByRole('radio', { name: 'broad' }));
        const stroke = (x: number) => {
            fireEvent.pointerDown(photoStage, { clientX: x, clientY: 50, pointerId: 1 });
            fireEvent.pointerUp(photoStage, { clientX: x, clientY: 50, pointerId: 1 });
        };
        stroke(30);
        await waitFor(() => expect(drawn()).toMatchObject({ kind: 'paintWhites', radius: 0.045, points: [[0.3, 0.5]] }));
        stroke(60);
        await waitFor(() => expect(drawn()).toMatchObject({ points: [[0.6, 0.5]] }));
        press('Cancel');
        stroke(90);
        expect(app.asked.filter((a) => a.method === 'POST')).toHaveLength(2);
    });
});
