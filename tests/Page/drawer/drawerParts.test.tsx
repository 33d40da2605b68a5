import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { LineTable, MixingChart, Tray } from '../../../resources/ts/api/types';
import { BalanceView, DrawerFacts } from '../../../resources/ts/places/drawer/BalanceView';
import {
    beginsSearch,
    rememberedMix,
    rememberedShown,
    rememberedTray,
    shownKey,
    shownOf,
} from '../../../resources/ts/places/drawer/drawerState';
import { FamilyRing } from '../../../resources/ts/places/drawer/FamilyRing';

import { LinesView } from '../../../resources/ts/places/drawer/LinesView';
import { MixView } from '../../../resources/ts/places/drawer/MixView';
import { application, wrapper } from '../application';
import { chartPencil as pencil, study } from '../examples';

const app = application();

describe('finding by typing anywhere', () => {
    const key = (target: Element, value: string, more: KeyboardEventInit = {}) => {
        let begins = false;
        target.addEventListener('keydown', (e) => (begins = beginsSearch(e as KeyboardEvent)), { once: true });
        fireEvent.keyDown(target, { key: value, ...more });
        return begins;
    };

    it('begins with a letter or a figure, but not in a field, with Control, or with an arrow', () => {
        const { container } = render(
            <div>
                <button type="button">a slot</button>
                <input type="radio" />
                <input type="text" />
                <textarea />
            </div>,
        );
        const at = (selector: string): Element => container.querySelector(selector) as Element;
        expect(key(at('button'), '7')).toBe(true);
        expect(key(at('button'), 'é')).toBe(true);
        expect(key(at('[type="radio"]'), 'F')).toBe(true);
        expect(key(at('button'), '7', { ctrlKey: true })).toBe(false);
        expect(key(at('button'), 'ArrowRight')).toBe(false);
        expect(key(at('[type="text"]'), '7')).toBe(false);
        expect(key(at('textarea'), '7')).toBe(false);
    });

    it('remembers which pencils are shown, and the size of the trays', () => {
        for (const shown of [{ kind: 'owned' }, { kind: 'wanted' }, { kind: 'line', line: 'A: b' }, { kind: 'line', line: '' }] as const) {
            expect(shownOf(shownKey(shown))).toEqual(shown);
        }
        expect(rememberedShown()).toEqual({ kind: 'owned' });
        expect(rememberedTray()).toEqual({ rows: '2', slots: '12' });
        expect(rememberedMix()).toBeNull();
    });
});

describe('the ring of families', () => {
    const families = ['red', 'orange', 'yellow', 'green', 'blue', 'violet'].flatMap((base) => [
        `${base}, leaning back`,
        base,
        `${base}, leaning on`,
    ]);

    it('marks one of eighteen places, or says in the middle what stands apart', () => {
        const { container, rerender } = render(<FamilyRing ring={{ families, place: 10, words: 'green' }} />);
        expect([...container.querySelectorAll('path')].map((p) => p.dataset['here']).indexOf('true')).toBe(10);
        expect(screen.getByRole('img', { name: 'On the ring of families: green' })).toBeTruthy();
        rerender(<FamilyRing ring={{ families, place: null, words: 'warm grey, leaning red' }} />);
        expect(container.querySelectorAll('path[data-here="true"]')).toHaveLength(0);
        expect([...container.querySelectorAll('text')].at(-1)?.textContent).toBe('warm grey');
    });
});

describe('balance', () => {
    const tray: Tray = {
        order: 'gradual',
        pencils: [],
        notShown: 12,
        unfitted: 0,
        meanStepDeltaE00: 7.64,
        largestStep: { from: 'Slipway/1', to: 'Slipway/2', deltaE00: 31 },
        balance: {
            words: '24 pencils: enough.',
            counts: { red: 7, blue: 0 },
            families: { red: ['Slipway/1', 'Slipway/2'], blue: [] },
            crowded: ['red'],
            twins: [{ one: 'Slipway/1', other: 'F/2', deltaE00: 1.2, waxAndOil: true }],
        },
        gaps: ['a light violet'],
    };

    it('says what is missing, twice there, crowded, and too many to be laid', () => {
        render(<DrawerFacts tray={tray} />);
        expect(screen.getByRole('region').textContent).toContain(
            'ΔE00 7.6 on average, at most 31, from Slipway/1 to Slipway/2. 12 more don’t fit here',
        );
        cleanup();
        render(<BalanceView tray={tray} paper="black" studies={[]} onPencil={vi.fn()} onWant={vi.fn()} />, { wrapper });
        const text = screen.getByRole('region', { name: 'Balance' }).textContent;
        expect(text).toContain('Missing: a light violet.');
        expect(text).toContain('Slipway/1 and F/2 (ΔE00 1.2, wax and oil)');
        expect(text).toContain('more than needed');
        expect(text).toContain('Mixing every pair of pencils…');
    });

    it('names what to buy, for the drawer and for a study, and notes the wish', async () => {
        app.says('GET', '/api/drawer/reach', {
            paper: 'black',
            share: 0.594,
            outline: [40, 40, 40, 40],
            outlineOfAll: [60, 50, 60, 50],
            purchases: [{ ...pencil('F21', false), gain: 0.042 }],
        });
        app.says('GET', '/purchases', {
            study: 'Low water',
            colours: 1,
            seen: [{ hex: '#33565c', chroma: 14, hueDegrees: 210 }],
            purchases: [{ ...pencil('F20', false), deltaE00: 0.84 }],
        });
        const onWant = vi.fn();
        const onPencil = vi.fn();
        render(<BalanceView tray={tray} paper="black" studies={[study]} onPencil={onPencil} onWant={onWant} />, { wrapper });
        await screen.findByText(/^59 % of the colours that all known pencils can mix/);
        await screen.findByText('1 planned colour; one of these would lower the mean error:');
        expect(screen.getByText('4.2 % more')).toBeTruthy();
        const picture = screen.getByRole('img', { name: /reach farther than yours by at most 20/ });
        expect([...picture.querySelectorAll('rect')].map((r) => r.getAttribute('fill'))).toEqual(['#33565c']);
        expect(screen.getByText('error ΔE00 0.8 lower')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Add F21 to wanted' }));
        fireEvent.click(screen.getByRole('button', { name: 'Show F20' }));
        expect(onWant).toHaveBeenCalledWith('Slipway/F21');
        expect(onPencil).toHaveBeenCalledWith('Slipway/F20');
    });
});

describe('mixes and lines', () => {
    it('names every field of a chart by what lies over what, and offers it to print', async () => {
        const cell = (words: string) => ({ strata: [], words });
        const chart: MixingChart = {
            paper: 'black',
            pressures: ['whisper', 'light', 'medium', 'firm', 'full'],
            beneath: 'firm',
            above: 'medium',
            pencils: [pencil('1'), pencil('2')],
            pairs: [
                [cell('a'), cell('b')],
                [cell('c'), cell('d')],
            ],
            orders: [],
        };
        app.says('GET', '/api/drawer/chart?', chart);
        render(<MixView ids={['Slipway/1', 'Slipway/2']} paper="black" />, { wrapper });
        expect(await screen.findByRole('img', { name: '2 over 1: b' })).toBeTruthy();
        expect(screen.getByRole('img', { name: '1 over 2: c' })).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Underneath'), { target: { value: 'firm' } });
        expect(screen.getByRole('link', { name: 'Print with empty boxes' }).getAttribute('href')).toBe(
            '/api/drawer/chart.pdf?ids%5B%5D=Slipway%2F1&ids%5B%5D=Slipway%2F2&paper=black&beneath=firm&above=medium',
        );
        cleanup();
        render(<MixView ids={['Slipway/1']} paper="black" />, { wrapper });
        expect(screen.getByText('Choose at least two pencils.')).toBeTruthy();
    });

    it('lays two lines side by side and is honest where nothing is near', async () => {
        const lines = [
            { line: 'A', pencils: 3, owned: 1 },
            { line: 'B', pencils: 2, owned: 0 },
        ];
        const row = (from: string, to: string, near: boolean) => ({
            from: pencil(from),
            to: pencil(to),
            near,
            heavyDeltaE00: near ? 1.2 : 7.3,
            lightDeltaE00: 3,
        });
        const table: LineTable = { from: 'A', to: 'B', rows: [row('1', '8', true), row('2', '9', false)] };
        app.says('GET', '/api/drawer/equivalents', table);
        const onPencil = vi.fn();
        render(<LinesView lines={lines} onPencil={onPencil} />, { wrapper });
        await screen.findByText(/^1 of 2 have a near match/);
        expect(screen.getByText('no near match; least far 9')).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Show 9' })).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Show 8' }));
        expect(onPencil).toHaveBeenCalledWith('Slipway/8');
        fireEvent.change(screen.getByLabelText('For each of'), { target: { value: 'B' } });
        expect(screen.getByRole('link', { name: 'Print the table' }).getAttribute('href')).toBe('/api/drawer/equivalents.pdf?from=B&to=B');
        cleanup();
        render(<LinesView lines={lines.slice(0, 1)} onPencil={onPencil} />, { wrapper });
        expect(screen.getByText(/^Add a second line/)).toBeTruthy();
    });
});
