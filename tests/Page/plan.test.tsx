import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { PlanRecipe, PlanTarget, PlanZone, Study } from '../../resources/ts/api/types';
import type { PlanChanges } from '../../resources/ts/places/plan/queries';
import { StackEditor } from '../../resources/ts/places/plan/StackEditor';
import { markOf, moved, stepsOf, textOf } from '../../resources/ts/dabs/stackText';
import { pass, spot } from './examples';

afterEach(cleanup);

describe('a stack as text', () => {
    it('is read and written back the same, finishes and lines with their slashes', () => {
        for (const text of ['Slipway/624@0.55', '1@0.20,solvent,A/2@1.00,lift', '']) {
            expect(textOf(stepsOf(text))).toBe(text);
        }
        expect(stepsOf('A@b/7@0.35')).toEqual([{ pencil: 'A@b/7', pressure: 0.35 }]);
    });

    it('names the nearest of five pressures', () => {
        expect([0.05, 0.3, 0.5, 0.7, 0.95].map(markOf)).toEqual(['whisper', 'light', 'medium', 'firm', 'full']);
    });

    it('moves a pass and never loses one', () => {
        const steps = stepsOf('1@0.20,2@0.20,3@0.20');
        expect(textOf(moved(steps, 0, 2))).toBe('2@0.20,3@0.20,1@0.20');
        expect(textOf(moved(steps, 2, 0))).toBe('3@0.20,1@0.20,2@0.20');
        expect(moved(steps, 0, 3)).toEqual(steps);
        expect(moved(steps, 0, -1)).toEqual(steps);
    });
});

describe('a stack to argue with', () => {
    const recipe: PlanRecipe = {
        label: 'closest',
        stack: 'Slipway/704@0.35,Slipway/711@0.55',
        deltaE00: 0.4,
        valueError: 0,
        steadiness: 2,
        toothUsed: 0.4,
        closenessWords: 'A match',
        steadinessWords: 'steady',
        toothWords: 'tooth left',
        passes: [pass('704'), pass('711')],
        cautions: [{ code: 'bloom', step: 2, text: 'Much wax.', remedy: 'Fix it.' }],
        reasons: ['Without 704 light beneath it ends a step too light.'],
    };
    const target: PlanTarget = { role: 'mid', seen: spot, aim: spot, own: false, overruled: {}, recipe };
    const zone = { number: 3, name: 'rope', school: null, targets: [target] } as unknown as PlanZone;
    const pencils = [
        { id: 'Slipway/704', line: 'Slipway', number: '704', name: 'Old rope green', binder: 'oil', assumed: [] },
        { id: 'Slipway/711', line: 'Slipway', number: '711', name: 'Dry reed', binder: 'oil', assumed: [] },
    ];

    function shown(more: Partial<PlanTarget> = {}) {
        const mutate = vi.fn();
        const changes = { change: { mutate }, run: { isPending: false } } as unknown as PlanChanges;
        const wrapper = ({ children }: { children: ReactNode }) => (
            <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
        );
        vi.stubGlobal(
            'fetch',
            vi.fn(() => new Promise(() => undefined)),
        );
        render(
            <StackEditor
                study={{ id: 1 } as Study}
                zone={zone}
                target={{ ...target, ...more }}
                cautions={[]}
                pencils={pencils}
                changes={changes}
                basis=""
            />,
            { wrapper },
        );
        return mutate;
    }
    const last = (mutate: ReturnType<typeof vi.fn>): unknown => (mutate.mock.lastCall as unknown[] | undefined)?.[0];

    it('says why it is so, and reads from the paper up', () => {
        shown();
        expect(screen.getByTestId('stack').textContent).toContain('Without 704 light beneath it ends a step too light.');
        expect(screen.getAllByRole('listitem')).toHaveLength(2);
        expect(screen.getByLabelText<HTMLSelectElement>('Pencil of pass 1').value).toBe('Slipway/704');
        expect(screen.getByRole('button', { name: 'Pass 2 later' })).toHaveProperty('disabled', true);
    });

    it('is reordered, pressed otherwise, swapped, added to and dropped from; each is one change', () => {
        const mutate = shown();
        fireEvent.click(screen.getByRole('button', { name: 'Pass 1 later' }));
        expect(last(mutate)).toEqual({ kind: 'stack', zone: 3, role: 'mid', stack: 'Slipway/711@0.55,Slipway/704@0.35' });
        cleanup();
        const pressed = shown();
        fireEvent.change(screen.getByLabelText('Pressure of pass 2'), { target: { value: 'full' } });
        expect(last(pressed)).toMatchObject({ stack: 'Slipway/704@0.35,Slipway/711@1.00' });
        cleanup();
        const swapped = shown();
        fireEvent.change(screen.getByLabelText('Pencil of pass 1'), { target: { value: 'Slipway/711' } });
        expect(last(swapped)).toMatchObject({ stack: 'Slipway/711@0.35,Slipway/711@0.55' });
        cleanup();
        const added = shown();
        fireEvent.change(screen.getByLabelText('Add a pass on top'), { target: { value: 'lift' } });
        expect(last(added)).toMatchObject({ stack: 'Slipway/704@0.35,Slipway/711@0.55,lift' });
        cleanup();
        const dropped = shown();
        fireEvent.click(screen.getByRole('button', { name: 'Drop pass 1' }));
        expect(last(dropped)).toMatchObject({ stack: 'Slipway/711@0.55' });
        cleanup();
        const dragged = shown();
        const rows = screen.getAllByRole('listitem');
        const dataTransfer = { effectAllowed: '' };
        fireEvent.dragStart(rows[1] as Element, { dataTransfer });
        fireEvent.dragOver(rows[0] as Element, { dataTransfer });
        fireEvent.drop(rows[0] as Element, { dataTransfer });
        expect(last(dragged)).toMatchObject({ stack: 'Slipway/711@0.55,Slipway/704@0.35' });
    });

    it('is worked on faster than the application answers: a later change stands on the one before it, and stays until it is kept', () => {
        const mutate = shown();
        fireEvent.click(screen.getByRole('button', { name: 'Pass 1 later' }));
        const firstKept = (mutate.mock.lastCall?.[1] as { onSettled: () => void }).onSettled;
        fireEvent.change(screen.getByLabelText('Pressure of pass 1'), { target: { value: 'full' } });
        expect(last(mutate)).toMatchObject({ stack: 'Slipway/711@1.00,Slipway/704@0.35' });
        act(firstKept);
        expect(screen.getByLabelText<HTMLSelectElement>('Pressure of pass 1').value).toBe('full');
        fireEvent.click(screen.getByRole('button', { name: 'Drop pass 2' }));
        expect(last(mutate)).toMatchObject({ stack: 'Slipway/711@1.00' });
        act((mutate.mock.lastCall?.[1] as { onSettled: () => void }).onSettled);
        // Once it is kept, what was kept shows: here the recipe as it was given.
        expect(screen.getByLabelText<HTMLSelectElement>('Pencil of pass 1').value).toBe('Slipway/704');
    });

    it('is compared with up to four answers, one of which can be taken', async () => {
        const mutate = shown();
        const other = { ...recipe, label: 'fewest pencils', stack: 'Slipway/704@0.80', passes: [pass('704')], deltaE00: 1.2 };
        vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify({ recipes: [recipe, other] }))));
        fireEvent.click(screen.getByRole('button', { name: 'Compare answers' }));
        expect(screen.getByText('Finding up to four answers…')).toBeTruthy();
        fireEvent.click(await screen.findByRole('button', { name: 'Take fewest pencils' }));
        expect(screen.getByRole('group', { name: 'Answers' }).textContent).toContain('fewest pencils: 704. A match (ΔE00 1.2)');
        expect(last(mutate)).toMatchObject({ kind: 'stack', stack: 'Slipway/704@0.80' });
    });

    it('has its cautions remedied, or overruled with a note that is asked for', () => {
        const mutate = shown();
        fireEvent.click(screen.getByRole('button', { name: 'Try its remedy' }));
        expect(last(mutate)).toEqual({ kind: 'remedy', zone: 3, role: 'mid', code: 'bloom' });
        fireEvent.click(screen.getByRole('button', { name: 'Overrule it…' }));
        fireEvent.click(screen.getByRole('button', { name: 'Overrule' }));
        expect(mutate).toHaveBeenCalledTimes(1);
        fireEvent.change(screen.getByLabelText('Why bloom does not matter here'), { target: { value: 'it is framed under glass' } });
        fireEvent.submit(screen.getByLabelText('Why bloom does not matter here').closest('form') as Element);
        expect(last(mutate)).toEqual({ kind: 'overrule', zone: 3, role: 'mid', code: 'bloom', note: 'it is framed under glass' });
    });

    it("shows what was overruled, and a stack of one's own can be given back", () => {
        const mutate = shown({ own: true, overruled: { bloom: 'under glass' } });
        expect(screen.getByText(/Overruled: bloom/).textContent).toContain('under glass');
        fireEvent.click(screen.getByRole('button', { name: 'Give it back to the planner' }));
        expect(last(mutate)).toEqual({ kind: 'stack', zone: 3, role: 'mid', stack: null });
    });
});
