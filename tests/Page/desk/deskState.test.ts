import { describe, expect, it } from 'vitest';
import type { DeskStep } from '../../../resources/ts/api/types';
import { clockOf, deskState, tickOf } from '../../../resources/ts/places/desk/deskState';
import { desk, solvent, step, waitingTick, waitingUndo } from './deskExamples';

const steps = [step(1, 0, '711'), step(2, 0, '741'), step(1, 1, '735')];
const said = (s: DeskStep | null) => (s === null ? null : `${s.zoneName} ${s.position}`);

describe('what stands on the desk', () => {
    it('is the first of what is to come, and the one after it', () => {
        const state = deskState(desk(steps), [], 1000);
        expect([said(state.current), said(state.next), state.canUndo]).toEqual(['rope 0', 'sea 0', false]);
        expect(deskState(desk([]), [], 1000).current).toBeNull();
    });

    it('goes on while ticks wait, each counted once, and back again', () => {
        const one = waitingTick(1, {});
        const other = waitingTick(2, { zone: 2, kind: 'skipped' });
        const after = (...waiting: Parameters<typeof deskState>[1]) => said(deskState(desk(steps), waiting, 1000).current);
        expect(after(one)).toBe('sea 0');
        expect(after(one, other)).toBe('rope 1');
        expect(after(one, other, waitingUndo(3))).toBe('sea 0');
        expect(after(one, waitingUndo(2), waitingTick(3, {}), other)).toBe('rope 1');
        // Its answer has come and it is not forgotten yet: the same step is not counted twice.
        expect(said(deskState(desk(steps.slice(1)), [one], 1000).current)).toBe('sea 0');
    });

    it('takes coats that are alike as one, or leaves those that are not laid yet', () => {
        const coats = [step(1, 0, '711', { coats: 3 }), step(1, 3, '735')];
        const after = (...waiting: Parameters<typeof deskState>[1]) => {
            const { current } = deskState(desk(coats), waiting, 1000);
            return [said(current), current?.pass, current?.coats];
        };
        expect(after(waitingTick(1, { coats: 3 }))).toEqual(['rope 3', 4, 1]);
        expect(after(waitingTick(1, { coats: 1 }))).toEqual(['rope 1', 2, 2]);
        expect(after(waitingTick(1, { coats: 1 }), waitingTick(2, { position: 1, coats: 2 }))).toEqual(['rope 3', 4, 1]);
        expect(after(waitingTick(1, { coats: 3 }), waitingUndo(2))).toEqual(['rope 0', 1, 3]);
    });

    it('takes back what was ticked before it, and no more than there is', () => {
        const ticked = desk(steps, { ticks: [{ id: 7, kind: 'done', zone: 1, zoneName: 'rope', words: '711 lightly', at: 900 }] });
        expect(deskState(ticked, [], 1000).canUndo).toBe(true);
        expect(deskState(ticked, [waitingUndo(1)], 1000).canUndo).toBe(false);
    });

    it('keeps a zone that is wet from being touched until it is dry', () => {
        const wet = [solvent(1, 0), step(1, 1, '711'), step(2, 0, '741')];
        const ticked = [waitingTick(1, { tool: 'solvent', at: 1000 })];
        const during = deskState(desk(wet), ticked, 1100);
        expect([said(during.current), during.wet]).toEqual(['sea 0', [{ zone: 1, name: 'rope', until: 1300 }]]);
        expect(said(deskState(desk(wet), ticked, 1301).current)).toBe('rope 1');
        // Nothing else is to do: it waits.
        expect(deskState(desk(wet.slice(0, 2)), ticked, 1100).current).toBeNull();
        // What is next is not what is wet by then.
        expect(said(deskState(desk(wet), [], 1000).next)).toBe('sea 0');
        expect(said(deskState(desk(steps, { wet: [{ zone: 1, until: 1500 }] }), [], 1400).current)).toBe('sea 0');
        expect(deskState(desk(steps, { wet: [{ zone: 1, until: 1500 }] }), [], 1600).wet).toEqual([]);
    });

    it('leaves a zone alone in which something else was laid, until what is to come there is known', () => {
        const state = deskState(desk(steps), [waitingTick(1, { kind: 'other' })], 1000);
        expect([said(state.current), state.pending]).toEqual(['sea 0', ['rope']]);
    });

    it('says what is ticked without what is left out, and time as a clock', () => {
        expect(tickOf(steps[0] as DeskStep, 'skipped')).toMatchObject({
            kind: 'skipped',
            zone: 1,
            position: 0,
            tool: 'Line/711',
            pressures: { mid: 'light', dark: 'medium' },
        });
        expect(tickOf(solvent(2, 1), 'done').tool).toBe('solvent');
        expect([clockOf(299.2), clockOf(61), clockOf(-3)]).toEqual(['5:00', '1:01', '0:00']);
    });
});
