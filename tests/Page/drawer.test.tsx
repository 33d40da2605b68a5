import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { PencilPortrait, TrayPencil } from '../../resources/ts/api/types';
import { isMeant, neighbourOf } from '../../resources/ts/drawer/drawerState';
import { PencilView } from '../../resources/ts/drawer/PencilView';
import { TrayView } from '../../resources/ts/drawer/TrayView';
import { pass, spot } from './examples';

afterEach(cleanup);

const pencil = (number: string, name: string): TrayPencil => ({
    id: `Slipway/${number}`,
    line: 'Slipway',
    number,
    name,
    binder: 'oil',
    assumed: [],
    reading: { ...spot, family: 'green, leaning yellow' },
    strata: [],
    lightStrata: [],
});

describe('finding a pencil', () => {
    it('takes a number from its beginning, and any part of a name, a line or a family', () => {
        const rope = pencil('704', 'Old rope green');
        expect(['7', '70', '704', 'rope', ' GREEN ', 'slip', 'leaning yellow', ''].map((t) => isMeant(rope, t))).not.toContain(false);
        expect(['04', '71', 'blue'].map((t) => isMeant(rope, t))).not.toContain(true);
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
                chosen="Slipway/711"
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
        ...pencil('704', 'Old rope green'),
        owned: false,
        families: ['green', 'yellow'],
        hiding: 0.371,
        hidingWords: 'half hides what lies beneath',
        undertone: 'warmer by 5',
        swatches: { heavy: [], light: [], overBlack: [] },
        ladder: [{ pressureWord: 'light', pressureStrokes: 2, coats: [pass('704'), pass('704')] }],
        neutralisers: [{ pencil: pencil('653', 'Dusk violet'), words: 'value 3 of 9', strata: [] }],
        darkener: null,
        standsOutBy: null,
        nearest: [{ pencil: pencil('F51', 'Moss wall'), strata: [], owned: true, heavyDeltaE00: 5.3, lightDeltaE00: 3.9, near: false }],
        threes: [],
        assumed: ['scattering'],
    };

    it('says what was measured and what is assumed, and is honest when nothing is near', () => {
        const onChosen = vi.fn();
        render(<PencilView pencil={portrait} fault={null} paper="white medium" onChosen={onChosen} />);
        const text = screen.getByTestId('pencil').textContent;
        expect(text).toContain('not owned');
        expect(text).toContain('Assumed, not measured: scattering.');
        expect(text).toContain('Nothing near takes its place');
        expect(text).toContain('ΔE00 5.3 heavy, 3.9 light');
        expect(screen.getByRole('table', { name: /^One to six coats at each pressure on white medium/ }).textContent).toContain('light');
        fireEvent.click(screen.getByRole('button', { name: 'Show 653' }));
        expect(onChosen).toHaveBeenCalledWith('Slipway/653');
    });

    it('is asked for when none is chosen, and says what went wrong', () => {
        render(<PencilView pencil={undefined} fault={null} paper="white medium" onChosen={vi.fn()} />);
        expect(screen.getByText(/^Choose a pencil/)).toBeTruthy();
        cleanup();
        render(<PencilView pencil={undefined} fault="There is no such pencil." paper="white medium" onChosen={vi.fn()} />);
        expect(screen.getByText('There is no such pencil.')).toBeTruthy();
    });
});
