import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { PlanSequence, PlanShade } from '../../../resources/ts/api/types';
import { SequenceEditor } from '../../../resources/ts/places/plan/sequence/SequenceEditor';
import { drafted, movedPass, passesOf } from '../../../resources/ts/places/plan/sequence/sequence';
import { within as about } from '../../../resources/ts/ui/within';
import { study } from '../examples';
import { picture, sequence, sequencePass, shade, zoneOfPlan } from './planExamples';
import { fetched, standIn, wrapper } from './planHands';

standIn();

describe('a sequence as it is changed', () => {
    const passes = passesOf(sequence());

    it('moves a pass and never loses one', () => {
        expect(movedPass(passes, 0, 1).map((p) => p.tool)).toEqual(['Slipway/711', 'Slipway/704']);
        expect(movedPass(passes, 0, 2)).toEqual(passes);
        expect(movedPass(passes, 0, -1)).toEqual(passes);
    });

    it('keeps the dabs below what was changed, and waits for those above', () => {
        const shown = sequence().passes;
        const draft = [...passes, { tool: 'solvent', pressures: { mid: 'light' as const } }];
        expect(drafted(shown, draft, []).map((p) => Object.keys(p.dabs))).toEqual([['light', 'mid'], ['mid'], []]);
        expect(drafted(shown, draft, [])[2]).toMatchObject({ finish: 'solvent', pencil: null });
        expect(drafted(shown, movedPass(passes, 0, 1), []).map((p) => [p.pencil?.number, Object.keys(p.dabs).length])).toEqual([
            ['711', 0],
            ['704', 0],
        ]);
    });

    it('says an error as one would: whole, and by halves where it is small', () => {
        expect([1.2, 2.6, 3.62, 11.4].map(about)).toEqual(['1', '2.5', '4', '11']);
    });
});

describe('a sequence to argue with', () => {
    const pencils = ['704', '711', '745'].map((number) => ({
        id: `Slipway/${number}`,
        line: 'Slipway',
        number,
        name: `Pencil ${number}`,
        binder: 'oil',
        assumed: [],
    }));
    const warning = { code: 'bloom', pass: 2, shades: ['mid'], where: 'mid', text: 'Much wax.', remedy: 'Fix it.' };

    function shown(more: Partial<PlanSequence> = {}, mid: Partial<PlanShade> = {}) {
        const mutate = vi.fn<(json: unknown, options?: { onSettled: () => void }) => void>();
        const shades = [shade('light'), shade('mid', mid)];
        const zone = zoneOfPlan(3, 'rope', shades, { sequence: sequence(more) });
        const changes = { change: { mutate }, run: { isPending: false } } as never;
        render(<SequenceEditor {...{ study, zone, pencils, changes }} picture={picture({ zones: [zone] })} basis="" />, { wrapper });
        return mutate;
    }
    const last = (mutate: ReturnType<typeof shown>): unknown => mutate.mock.lastCall?.[0];
    const cell = (name: RegExp) => screen.getByRole('button', { name });
    const bar = () => within(screen.getByTestId('pass'));

    it('says first how far off it may be on paper, and what that is made of', () => {
        shown();
        expect(screen.getByRole('status').textContent).toBe(
            'Likely error on paper: 4 (ΔE00). Colour off by 1.1 as planned, by 2.9 in your hand. Planned: surest on paper.',
        );
        expect(screen.getAllByTitle(/^colour off by 0.4, varies by 2.6 with the hand, model uncertainty 1.8; (grainy|even)$/)).toHaveLength(
            2,
        );
        expect(screen.getByRole('row', { name: /evenness/ }).textContent).toContain('grainyeven');
    });

    it('reads from the paper up, each pass once, with its pressure, its dab and its reason', () => {
        shown();
        const rows = screen.getAllByRole('row').slice(1, -2);
        expect(rows.map((r) => r.querySelector('b')?.textContent)).toEqual(['704', '711']);
        expect(rows[0]?.textContent).toContain('Without it the dark ends a step too light.');
        expect(cell(/^Pass 1 in the mid: light, leaves value 5/).querySelectorAll('line')).toHaveLength(2);
        expect(cell(/^Pass 2 in the light: left out$/).querySelectorAll('line')).toHaveLength(0);
    });

    it('has a pressure changed in one shade, a pencil, the place of a pass, a pass more or less: each is one change', () => {
        const mutate = shown();
        fireEvent.click(cell(/^Pass 2 in the light/));
        fireEvent.click(bar().getByRole('radio', { name: 'whisper' }));
        const pressures = (n: number) => (last(mutate) as { passes: { pressures: Record<string, unknown> }[] }).passes[n]?.pressures;
        expect(last(mutate)).toMatchObject({ kind: 'sequence', zone: 3 });
        expect(pressures(1)).toEqual({ light: 'whisper', mid: 'medium' });
        cleanup();
        const tools = (m: ReturnType<typeof shown>) => (last(m) as { passes: { tool: string }[] }).passes.map((p) => p.tool);
        const swapped = shown();
        const pencil = screen.getByLabelText('Pencil of pass 1');
        fireEvent.change(pencil, { target: { value: '74' } });
        fireEvent.keyDown(pencil, { key: 'Escape' });
        expect(pencil).toHaveProperty('value', '704 Pencil 704');
        expect(swapped).not.toHaveBeenCalled();
        fireEvent.change(pencil, { target: { value: '745' } });
        fireEvent.keyDown(pencil, { key: 'Enter' });
        expect(tools(swapped)).toEqual(['Slipway/745', 'Slipway/711']);
        cleanup();
        const moved = shown();
        expect(bar().getByRole('button', { name: 'earlier' })).toHaveProperty('disabled', true);
        fireEvent.click(bar().getByRole('button', { name: 'later' }));
        expect(tools(moved)).toEqual(['Slipway/711', 'Slipway/704']);
        cleanup();
        const added = shown();
        fireEvent.change(screen.getByLabelText('Add a pass at the end'), { target: { value: 'solvent' } });
        expect(tools(added)).toEqual(['Slipway/704', 'Slipway/711', 'solvent']);
        cleanup();
        const dropped = shown();
        fireEvent.click(bar().getByRole('button', { name: 'remove' }));
        expect(tools(dropped)).toEqual(['Slipway/711']);
    });

    it('leaves to the application how a whole pass is graded', () => {
        const mutate = shown();
        fireEvent.click(cell(/^Pass 2: /));
        fireEvent.click(bar().getByRole('button', { name: 'steeper' }));
        expect(last(mutate)).toEqual({ kind: 'regrade', zone: 3, pass: 1, how: 'steeper' });
    });

    it('is worked on faster than the application answers: a later change stands on the one before it, and stays until it is kept', () => {
        const mutate = shown();
        fireEvent.click(bar().getByRole('button', { name: 'later' }));
        const firstKept = mutate.mock.lastCall?.[1]?.onSettled;
        fireEvent.change(screen.getByLabelText('Add a pass at the end'), { target: { value: 'lift' } });
        expect(last(mutate)).toMatchObject({ passes: [{ tool: 'Slipway/711' }, { tool: 'Slipway/704' }, { tool: 'lift' }] });
        act(() => firstKept?.());
        expect(screen.getAllByRole('row')).toHaveLength(6);
        act(() => mutate.mock.lastCall?.[1]?.onSettled());
        // Once it is kept, what was kept shows: here the sequence as it was given.
        expect(screen.getAllByRole('row')).toHaveLength(5);
    });

    it('is compared with up to three answers, one of which can be taken', async () => {
        const mutate = shown();
        const fewest = {
            ...sequence({ label: 'fewest pencils', words: '704 over all of it.', errorOnPaper: 5.2 }),
            passes: [sequencePass('704', { mid: 'firm' })],
        };
        fetched.mockImplementation(() => Promise.resolve(new Response(JSON.stringify({ answers: [sequence(), fewest] }))));
        fireEvent.click(screen.getByRole('button', { name: 'Compare sequences' }));
        expect(screen.getByText('Finding up to three sequences…')).toBeTruthy();
        fireEvent.click(await screen.findByRole('button', { name: 'Use fewest pencils' }));
        expect(screen.getByRole('group', { name: 'Answers' }).textContent).toContain(
            'fewest pencils, likely error 5704 over all of it lightly',
        );
        expect(last(mutate)).toMatchObject({ kind: 'sequence', passes: [{ tool: 'Slipway/704', pressures: { mid: 'firm' } }] });
    });

    it('has its warnings remedied, or overruled with a note that is asked for', () => {
        const mutate = shown({ warnings: [warning] });
        expect(screen.getByText(/In the mid: Much wax/)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Try the remedy' }));
        expect(last(mutate)).toEqual({ kind: 'remedy', zone: 3, shade: 'mid', code: 'bloom' });
        fireEvent.click(screen.getByRole('button', { name: 'Ignore with a note…' }));
        fireEvent.click(screen.getByRole('button', { name: 'Ignore warning' }));
        expect(mutate).toHaveBeenCalledTimes(1);
        fireEvent.change(screen.getByLabelText('Why bloom does not matter here'), { target: { value: 'it is framed under glass' } });
        fireEvent.submit(screen.getByLabelText('Why bloom does not matter here').closest('form') as Element);
        expect(last(mutate)).toEqual({ kind: 'overrule', zone: 3, shade: 'mid', code: 'bloom', note: 'it is framed under glass' });
    });

    it("shows what was overruled; a sequence of one's own can be given back", () => {
        const mutate = shown({ own: true, warnings: [warning] }, { overruled: { bloom: 'under glass' } });
        expect(screen.getByText(/Ignored: bloom/).textContent).toContain('under glass');
        fireEvent.click(screen.getByRole('button', { name: 'Plan this zone again' }));
        expect(last(mutate)).toEqual({ kind: 'sequence', zone: 3, passes: null });
    });

    it('says so where the paper is left bare', () => {
        shown({ passes: [], words: 'Leave the paper bare.' });
        expect(screen.getByText('Leave the paper bare.')).toBeTruthy();
        expect(screen.queryByTestId('pass')).toBeNull();
    });
});
