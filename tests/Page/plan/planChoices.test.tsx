import { fireEvent, render, screen, within } from '@testing-library/react';

import { describe, expect, it } from 'vitest';
import type { Plan } from '../../../resources/ts/api/types';
import { PalettePart } from '../../../resources/ts/places/plan/PalettePart';

import { MethodPart } from '../../../resources/ts/places/plan/method/MethodPart';

import { study } from '../examples';
import { pencilOfPlan as pencil, picture, sequence, shade, zoneOfPlan as zone } from './planExamples';
import { answering, first, hands, standIn, wrapper } from './planHands';

standIn();

describe('the palette', () => {
    const shown = (more: Partial<Plan> = {}) => {
        const { made, changes } = hands();
        render(<PalettePart study={study} picture={picture({ waiting: 0, ...more })} stamp="s" changes={changes} />, { wrapper });
        return made;
    };

    it('keeps a pencil, does without one, lets one go, and plans again each time', () => {
        const made = shown({ settings: { ...picture().settings, keep: ['Slipway/735'], without: ['Slipway/700'] } });
        fireEvent.click(screen.getByRole('button', { name: 'Keep 668' }));
        expect(first(made.change)).toEqual({ kind: 'lock', pencil: 'Slipway/668', how: 'in' });
        fireEvent.click(screen.getByRole('button', { name: "I don't have 668" }));
        expect(first(made.change)).toEqual({ kind: 'lock', pencil: 'Slipway/668', how: 'out' });
        fireEvent.click(screen.getByRole('button', { name: 'Unlock 735' }));
        expect(first(made.change)).toEqual({ kind: 'lock', pencil: 'Slipway/735', how: 'free' });
        fireEvent.click(screen.getByRole('button', { name: 'I have Slipway/700 again' }));
        expect(first(made.change)).toEqual({ kind: 'lock', pencil: 'Slipway/700', how: 'free' });
        fireEvent.change(screen.getByLabelText('Keep another pencil in the palette'), { target: { value: 'Slipway/745' } });
        expect(first(made.change)).toEqual({ kind: 'lock', pencil: 'Slipway/745', how: 'in' });
        expect(made.run.mutate).toHaveBeenCalledTimes(5);
    });

    it('says what fewer pencils cost while the slider is drawn, and asks only when it is let go', () => {
        const made = shown();
        const slider = screen.getByLabelText('Pencils of the palette');
        fireEvent.change(slider, { target: { value: '4' } });
        expect(screen.getByText('at most 4')).toBeTruthy();
        expect(screen.getByText('4 pencils: 0.9')).toBeTruthy();
        expect(made.change.mutate).not.toHaveBeenCalled();
        fireEvent.pointerUp(slider);
        expect(first(made.change)).toEqual({ kind: 'pencils', count: 4 });
        fireEvent.change(slider, { target: { value: '24' } });
        fireEvent.keyUp(slider, { key: 'ArrowRight' });
        expect(first(made.change)).toEqual({ kind: 'pencils', count: null });
    });

    it('names who suffers, and the parts of three', () => {
        shown({
            suffering: [{ zone: 'float', deltaE00: 0.97 }],
            palette: [pencil('604', { part: 'light' }), pencil('721', { part: 'mid', zones: [3, 5] }), pencil('745', { part: 'dark' })],
        });
        expect(screen.getByText(/these lose most: float \(ΔE00 1.0\)/)).toBeTruthy();
        expect(screen.getByRole('list', { name: 'Pencils in the plan' }).textContent).toContain('721 mid');
        expect(screen.getByText(/in 2 zones/)).toBeTruthy();
    });
});

describe('the method', () => {
    it('is chosen for the whole or for one zone, which may follow the whole again', () => {
        const { made, changes } = hands();
        const own = { ...zone(3, 'rope', [shade('mid')]), method: ['darks=never-black'] };
        render(
            <MethodPart
                study={study}
                picture={picture({
                    zones: [own, zone(5, 'sea', [shade('mid')])],
                    settings: { ...picture().settings, method: ['values=light-to-dark'] },
                })}
                changes={changes}
            />,
            { wrapper },
        );
        fireEvent.change(screen.getByLabelText('Darks'), { target: { value: 'never-black' } });
        expect(first(made.change)).toEqual({ kind: 'method', zone: 0, settings: ['values=light-to-dark', 'darks=never-black'] });
        expect(screen.getByText('Lights stay clean.')).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Order of value'), { target: { value: 'free' } });
        expect(first(made.change)).toEqual({ kind: 'method', zone: 0, settings: [] });
        fireEvent.change(screen.getByLabelText('Priority'), { target: { value: 'value-first' } });
        expect(first(made.change)).toEqual({ kind: 'mode', mode: 'value-first' });
        fireEvent.change(screen.getByLabelText('Whole picture or zone'), { target: { value: '3' } });
        expect(screen.getByLabelText<HTMLSelectElement>('Darks').value).toBe('never-black');
        expect(screen.queryByLabelText('Priority')).toBeNull();
        fireEvent.change(screen.getByLabelText('Hues'), { target: { value: 'blue' } });
        expect(first(made.change)).toEqual({ kind: 'hue', zone: 3, hue: 'blue' });
        fireEvent.click(screen.getByRole('button', { name: 'Use the picture’s method' }));
        expect(first(made.change)).toEqual({ kind: 'method', zone: 3, settings: null });
        expect(made.run.mutate).toHaveBeenCalledTimes(5);
    });

    it('has starting points, each tried in a zone of the photo before it is taken', async () => {
        const { made, changes } = hands();
        answering('start=anything-goes', { answers: [{ ...sequence(), errorOnPaper: 2.4 }] });
        render(
            <MethodPart
                study={study}
                picture={picture({ settings: { ...picture().settings, method: ['values=light-to-dark'] } })}
                changes={changes}
            />,
            {
                wrapper,
            },
        );
        const anything = screen.getByRole('article', { name: 'Anything goes' });
        await within(anything).findByText(/^Likely error 2.5/);
        const used = screen.getByRole('article', { name: 'Light to dark' });
        expect(used.textContent).toContain('In use.');
        expect(used.textContent).toContain('Trying it…');
        expect(within(used).queryByRole('button')).toBeNull();
        fireEvent.click(within(anything).getByRole('button', { name: 'Work this way: Anything goes' }));
        expect(first(made.change)).toEqual({ kind: 'method', zone: 0, settings: [] });
    });
});
