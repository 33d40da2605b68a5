import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Zones } from '../../../resources/ts/api/types';

import { Draft } from '../../../resources/ts/stage/Overlay';
import { ZonesBelow } from '../../../resources/ts/places/photo/zones/ZonesBelow';
import { MemoryRouter } from 'react-router';
import { ZonesColumn } from '../../../resources/ts/places/photo/zones/ZonesColumn';
import { photo, zones } from '../examples';
import { pathOf } from '../../../resources/ts/stage/lines';
import { ZoneShapes } from '../../../resources/ts/stage/ZoneShapes';

afterEach(cleanup);

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('zones', () => {
    const show = (what: Zones | null | undefined, chosen: number | null = null) => {
        const calls = { onChosen: vi.fn(), onTool: vi.fn(), onChange: vi.fn() };
        render(
            <MemoryRouter>
                <ZonesColumn zones={what} chosen={chosen} busy={false} at={{ x: 0.3, y: 0.4 }} {...calls} />
            </MemoryRouter>,
        );
        return calls;
    };

    it('are proposed, as many as one likes', () => {
        const { onChange } = show(null);
        fireEvent.change(screen.getByLabelText('Most zones to propose'), { target: { value: '8' } });
        press('Propose zones');
        expect(onChange).toHaveBeenCalledWith({ kind: 'proposeZones', most: 8 });
    });

    it('are listed with what they ask for, walked with arrows, and chosen', () => {
        const { onChosen } = show(zones);
        const buttons = within(screen.getByRole('list', { name: 'Zones by size' })).getAllByRole('button');
        buttons[0]?.focus();
        fireEvent.keyDown(buttons[0] as Element, { key: 'ArrowDown' });
        expect(document.activeElement).toBe(buttons[1]);
        fireEvent.keyDown(buttons[1] as Element, { key: 'ArrowDown' });
        expect(document.activeElement).toBe(buttons[0]);
        fireEvent.click(buttons[1] as Element);
        expect(onChosen).toHaveBeenCalledWith(4);
    });

    it('are described, merged, drawn and have their targets moved', () => {
        const { onChange, onTool } = show(zones, 4);
        const detail = within(screen.getByRole('group', { name: 'Zone rope' }));
        fireEvent.click(detail.getByText('far'));
        fireEvent.change(detail.getByDisplayValue('smooth'), { target: { value: 'soft and fuzzy' } });
        fireEvent.change(detail.getByLabelText('Merge another zone into rope'), { target: { value: '1' } });
        fireEvent.change(detail.getByLabelText('Make a piece of rope a zone of its own'), { target: { value: '1' } });
        fireEvent.change(detail.getByLabelText('Make a piece of rope a zone of its own'), { target: { value: '-1' } });
        fireEvent.change(detail.getByLabelText('How rope meets its neighbours'), { target: { value: '1/sharp' } });
        press('Remove red');
        fireEvent.change(detail.getByLabelText('Name of touch 1'), { target: { value: 'columns' } });
        fireEvent.blur(detail.getByLabelText('Name of touch 1'));
        press('Reset shades');
        act(() => detail.getByRole('slider', { name: /^dark/ }).focus());
        fireEvent.keyDown(detail.getByRole('slider', { name: /^dark/ }), { key: 'ArrowRight' });
        fireEvent.keyUp(detail.getByRole('slider', { name: /^dark/ }), { key: 'ArrowRight' });
        expect(onChange.mock.calls.slice(0, 9).map(([c]) => c as unknown)).toEqual([
            { kind: 'describeZone', zone: 4, distance: 'far' },
            { kind: 'describeZone', zone: 4, surface: 'soft and fuzzy' },
            { kind: 'mergeZones', zone: 4, with: 1 },
            { kind: 'partZone', zone: 4, x: 0.8, y: 0.75 },
            { kind: 'partZone', zone: 4, x: 0.3, y: 0.4 },
            { kind: 'setBorder', zone: 4, with: 1, meets: 'sharp' },
            { kind: 'setTouches', zone: 4, touches: [{ name: 'teal', x: 0.7, y: 0.6 }] },
            {
                kind: 'setTouches',
                zone: 4,
                touches: [
                    { name: 'columns', x: 0.2, y: 0.3 },
                    { name: 'teal', x: 0.7, y: 0.6 },
                ],
            },
            { kind: 'resetShades', zone: 4 },
        ]);
        press('Split by a line');
        press('Remove a part');
        press('Move red');
        press('Add a touch');
        const [red, teal] = [
            { name: 'red', x: 0.2, y: 0.3 },
            { name: 'teal', x: 0.7, y: 0.6 },
        ];
        expect(onTool.mock.calls.map(([t]) => t as unknown)).toEqual([
            { kind: 'split', zone: 4 },
            { kind: 'take', zone: 4 },
            { kind: 'touch', zone: 4, name: 'red', before: [], after: [teal] },
            { kind: 'touch', zone: 4, name: 'touch 3', before: [red, teal], after: [] },
        ]);
    });

    it('have shades that are named, dropped and added again', () => {
        const [first, ...others] = zones.list;
        if (first === undefined) {
            throw new Error('there is a zone in the example');
        }
        const dull: Zones = {
            ...zones,
            list: [{ ...first, missing: ['light'], shades: first.shades.filter((t) => t.shade !== 'light') }, ...others],
        };
        const { onChange } = show(dull, first.number);
        press('Add a light');
        expect(screen.queryByRole('list', { name: 'Shades by name' })).toBeNull();
        press('Edit shades');
        const named = within(screen.getByRole('list', { name: 'Shades by name' }));
        expect(named.queryByRole('button', { name: 'Drop mid' })).toBeNull();
        const dark = named.getByLabelText('Name of the dark');
        fireEvent.change(dark, { target: { value: 'under the fold' } });
        fireEvent.blur(dark);
        expect((dark as HTMLInputElement).maxLength).toBe(40);
        press('Remove dark');
        // The keyboard is not lost with the button.
        expect(document.activeElement).toBe(named.getByLabelText('Name of the mid'));
        fireEvent.change(named.getByLabelText('Name of the mid'), { target: { value: '' } });
        fireEvent.blur(named.getByLabelText('Name of the mid'));
        const at = { zone: first.number, shade: 'dark' };
        expect(onChange.mock.calls.map(([c]) => c as unknown)).toEqual([
            { kind: 'moveShade', zone: first.number, shade: 'light', place: 0.92 },
            { kind: 'nameShade', ...at, name: 'under the fold' },
            { kind: 'dropShade', ...at },
            { kind: 'nameShade', zone: first.number, shade: 'mid', name: '' },
        ]);
    });

    it('say where neighbours end alike, and try a push', () => {
        const onPair = vi.fn();
        const onChange = vi.fn();
        render(
            <ZonesBelow zones={zones} pair={null} whites={false} onPair={onPair} onWhites={vi.fn()} onTool={vi.fn()} onChange={onChange} />,
        );
        expect(screen.getByText('1 border where neighbours look alike')).toBeTruthy();
        press(/^Preview in grey/);
        expect(onPair).toHaveBeenCalledWith(0);
        const limit = screen.getByLabelText('Keep the paper white above this lightness');
        fireEvent.change(limit, { target: { value: '88' } });
        expect(onChange).not.toHaveBeenCalled();
        fireEvent.keyUp(limit);
        expect(onChange).toHaveBeenCalledWith({ kind: 'keepWhitesFrom', from: 88 });
    });

    it('are drawn as closed lines, and pressed on the photo only when nothing else is in hand', () => {
        expect(pathOf([[0, 0, 0.5, 0.5]], 100, 200, true)).toBe('M0.0 0.0L50.0 100.0Z');
        const onZone = vi.fn();
        const { container, rerender } = render(
            <svg>
                <ZoneShapes zones={zones} extent={photo} chosen={4} pair={null} onZone={onZone} />
            </svg>,
        );
        fireEvent.pointerDown(container.querySelector('[data-zone="4"]') as Element);
        expect(onZone).toHaveBeenCalledWith(4);
        rerender(
            <svg>
                <ZoneShapes zones={zones} extent={photo} chosen={4} pair={0} onZone={null} />
            </svg>,
        );
        expect(container.querySelector<SVGPathElement>('[data-zone="4"]')?.getAttribute('pointer-events')).toBe('none');
    });
});

describe('what is being drawn', () => {
    it('shows nothing before the first point, then a line to the ring, or the width of a brush', () => {
        const draft = (kind: 'split' | 'keepWhite', points: { x: number; y: number }[]) => {
            const { container } = render(
                <svg>
                    <Draft
                        drawing={{ tool: kind === 'split' ? { kind, zone: 1 } : { kind }, points, trailing: false, from: 0 }}
                        extent={{ width: 100, height: 50 }}
                        brush={0.02}
                        cursor={{ x: 0.5, y: 0.5 }}
                    />
                </svg>,
            );
            const found = [...container.querySelectorAll('path')].map((p) => [p.getAttribute('d'), p.getAttribute('stroke-width')]);
            cleanup();
            return found;
        };
        expect(draft('keepWhite', [])).toEqual([]);
        expect(draft('split', [])).toEqual([]);
        expect(draft('split', [{ x: 0.1, y: 0.2 }])[0]?.[0]).toBe('M10.0 10.0L50.0 25.0');
        expect(draft('keepWhite', [{ x: 0.1, y: 0.2 }])[0]?.[1]).toBe('4');
    });
});
