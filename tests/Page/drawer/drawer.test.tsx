import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { PencilPortrait } from '../../../resources/ts/api/types';
import { isMeant, likeliest, neighbourOf, spread } from '../../../resources/ts/places/drawer/drawerState';
import { PencilView } from '../../../resources/ts/places/drawer/PencilView';
import { TrayView } from '../../../resources/ts/places/drawer/TrayView';
import { wrapper } from '../application';
import { stackStep, trayPencil as pencil } from '../examples';

afterEach(cleanup);

describe('finding a pencil', () => {
    it('takes a number from its beginning, and any part of a name, a line or a family', () => {
        const rope = pencil('704', 'Old rope green');
        expect(['7', '70', '704', 'rope', ' GREEN ', 'slip', 'leaning yellow', ''].map((t) => isMeant(rope, t))).not.toContain(false);
        expect(['04', '71', 'blue'].map((t) => isMeant(rope, t))).not.toContain(true);
    });

    it('finds it by the number and the name it had before, and says so', () => {
        const renamed = pencil('704', 'Old rope green', { state: 'low', formerly: ['12b', 'Kelp'] });
        expect(['12', '12b', 'kel'].map((t) => isMeant(renamed, t))).not.toContain(false);
        expect(isMeant(renamed, '2b3')).toBe(false);
        expect(likeliest([renamed, pencil('12', 'Kelp two')], '12')?.number).toBe('12');
        render(<TrayView pencils={[renamed]} chosen={[]} isMeant={() => true} onChosen={vi.fn()} />);
        expect(screen.getByRole('button', { name: /low, used to be 12b and Kelp$/ }).textContent).toContain('low');
    });

    it('takes some of a list, evenly spread', () => {
        expect(spread([0, 1, 2, 3, 4, 5, 6, 7, 8, 9], 5)).toEqual([0, 2, 4, 6, 8]);
        expect(spread(['a', 'b'], 5)).toEqual(['a', 'b']);
        expect(spread([...Array(24).keys()], 5)).toHaveLength(5);
    });

    it('walks by arrows along rows and stays at the ends', () => {
        expect(neighbourOf(4, 'ArrowRight', 24, 11)).toBe(5);
        expect(neighbourOf(4, 'ArrowDown', 24, 11)).toBe(15);
        expect(neighbourOf(20, 'ArrowDown', 24, 11)).toBe(20);
        expect(neighbourOf(0, 'ArrowLeft', 24, 11)).toBe(0);
        expect(neighbourOf(3, 'Home', 24, 11)).toBe(3);
    });

    it('fades what is not meant, names what is in words, and chooses', () => {
        const onChosen = vi.fn();
        const { container } = render(
            <TrayView
                pencils={[pencil('704', 'Old rope green'), pencil('711', 'Dry reed')]}
                chosen={['Slipway/711']}
                isMeant={(p) => p.number === '704'}
                onChosen={onChosen}
            />,
        );
        expect([...container.querySelectorAll('li')].map((li) => li.dataset['meant'])).toEqual(['true', 'false']);
        const first = screen.getByRole('button', { name: /^704 Old rope green, value 8/ });
        expect(screen.getByRole('button', { name: /^711/ }).getAttribute('aria-pressed')).toBe('true');
        first.focus();
        fireEvent.keyDown(first, { key: 'ArrowRight' });
        expect(document.activeElement?.getAttribute('aria-label')).toContain('711');
        fireEvent.click(first);
        expect(onChosen).toHaveBeenCalledWith('Slipway/704');
    });
});

describe('a pencil', () => {
    const portrait: PencilPortrait = {
        worn: { laidMm: 0, leftMm: null, words: '' },
        ...pencil('704', 'Old rope green', { state: 'not owned', owned: false }),
        owned: false,
        usedMm: 0,
        usedTimes: 0,
        brightener: null,
        ring: {
            families: [...Array(18).keys()].map((i) => (i % 3 === 1 ? `base ${i}` : `base ${i}, leaning on`)),
            place: 9,
            words: 'green, leaning yellow',
        },
        families: ['green', 'yellow'],
        hiding: 0.371,
        hidingWords: 'semi-opaque',
        undertone: 'warmer by 5',
        swatches: { heavy: [], light: [], overBlack: [] },
        ladder: [{ pressureWord: 'light', pressureStrokes: 2, coats: [stackStep('704'), stackStep('704')] }],
        neutralisers: [{ pencil: pencil('653', 'Dusk violet'), words: 'value 3 of 9', strata: [] }],
        darkener: null,
        standsOutBy: null,
        nearest: [{ pencil: pencil('F51', 'Moss wall'), strata: [], owned: true, heavyDeltaE00: 5.3, lightDeltaE00: 3.9, near: false }],
        threes: [],
        assumed: ['scattering'],
    };

    const show = (more: Partial<Parameters<typeof PencilView>[0]> = {}) =>
        render(
            <PencilView
                chosen={portrait.id}
                inTray={undefined}
                portrait={portrait}
                fault={null}
                paper="white medium"
                onChosen={vi.fn()}
                onNote={vi.fn()}
                {...more}
            />,
            { wrapper },
        );
    const asleep = (element: HTMLElement): boolean => element.closest('[inert]') !== null;

    it('is itself from the first moment: what is noted while its portrait is laid is noted of it, not of the one before', () => {
        const onNote = vi.fn();
        const next = { ...pencil('711', 'Dry reed', { state: 'low', lengthLeft: 40 }), assumed: ['laydown'] };
        show({ chosen: next.id, inTray: next, onNote });
        expect(screen.getByRole('heading', { level: 2, name: '711 Dry reed' })).toBeTruthy();
        expect(screen.getByTestId('pencil').textContent).toContain('Assumed, not measured: laydown.');
        expect(screen.getByTestId('pencil').textContent).not.toContain('Next to green');
        expect(screen.getByText('40 mm left')).toBeTruthy();
        fireEvent.click(screen.getByRole('radio', { name: 'Wanted' }));
        expect(onNote).toHaveBeenCalledWith({ id: 'Slipway/711', stock: 'wanted' });
        // All that was laid is still the one before's, and sleeps.
        expect(asleep(screen.getByRole('table'))).toBe(true);
        expect(asleep(screen.getByRole('button', { name: 'Show 653' }))).toBe(true);
        cleanup();
        // One that lies in no tray has nothing of its own yet.
        show({ chosen: 'Foghorn/F51' });
        expect(asleep(screen.getByRole('radio', { name: 'Wanted' }))).toBe(true);
        cleanup();
        show();
        expect(asleep(screen.getByRole('table'))).toBe(false);
    });

    it('says what the log of the desk makes of it, and where it runs low', () => {
        const laid = (leftMm: number | null, words = '') => ({ portrait: { ...portrait, worn: { laidMm: 12.4, leftMm, words } } });
        show(laid(null));
        expect(screen.getByText('12 mm used')).toBeTruthy();
        cleanup();
        show(laid(98.6));
        expect(screen.getByText('12 mm used, about 99 mm left by the log')).toBeTruthy();
        cleanup();
        show(laid(41, 'Your 653 runs low: about 41 mm are left.'));
        expect(screen.getByText('Your 653 runs low: about 41 mm are left.')).toBeTruthy();
    });

    it('says what was measured and what is assumed, and is honest when nothing is near', () => {
        const onChosen = vi.fn();
        show({ onChosen });
        const text = screen.getByTestId('pencil').textContent;
        expect(text).toContain('not owned');
        expect(text).toContain('Assumed, not measured: scattering.');
        expect(text).toContain('No close alternative');
        expect(text).toContain('ΔE00 5.3 heavy, 3.9 light');
        expect(screen.getByRole('table', { name: /^One to six coats at each pressure on white medium/ }).textContent).toContain('light');
        fireEvent.click(screen.getByRole('button', { name: 'Show 653' }));
        expect(onChosen).toHaveBeenCalledWith('Slipway/653');
    });

    it('takes notes of its stock, and keeps what is written only on leaving or Enter', () => {
        const onNote = vi.fn();
        show({ onNote });
        fireEvent.click(screen.getByRole('radio', { name: 'Wanted' }));
        expect(onNote).toHaveBeenLastCalledWith({ id: 'Slipway/704', stock: 'wanted' });
        fireEvent.click(screen.getByRole('button', { name: 'Notes' }));
        const length = screen.getByLabelText('Length left, mm');
        fireEvent.change(length, { target: { value: '62,5' } });
        expect(onNote).toHaveBeenCalledTimes(1);
        fireEvent.keyDown(length, { key: 'Enter' });
        expect(onNote).toHaveBeenLastCalledWith({ id: 'Slipway/704', lengthLeft: 62.5 });
        // Leaving it afterwards is not a second note.
        fireEvent.blur(length);
        expect(onNote).toHaveBeenCalledTimes(2);
        fireEvent.change(length, { target: { value: 'half' } });
        fireEvent.blur(length);
        expect(screen.getByRole('alert').textContent).toContain('like 140');
        expect(length).toHaveProperty('value', 'half');
        fireEvent.keyDown(length, { key: 'Escape' });
        expect(screen.queryByRole('alert')).toBeNull();
        expect(onNote).toHaveBeenCalledTimes(2);
        const former = screen.getByLabelText('Former number');
        fireEvent.change(former, { target: { value: '12; Kelp ; ' } });
        fireEvent.blur(former);
        expect(onNote).toHaveBeenLastCalledWith({ id: 'Slipway/704', formerly: ['12', 'Kelp'] });
    });

    it('is asked for when none is chosen, and says what went wrong', () => {
        show({ chosen: null, portrait: undefined });
        expect(screen.getByText(/^Choose a pencil/)).toBeTruthy();
        cleanup();
        show({ portrait: undefined, fault: 'There is no such pencil.' });
        expect(screen.getByText('There is no such pencil.')).toBeTruthy();
    });
});
