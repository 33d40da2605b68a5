import { beforeEach, describe, expect, it } from 'vitest';
import { rememberedSpot, rememberSpot, RINGS, spotReducer, type SpotAction, type SpotState } from '../../../resources/ts/stage/spotState';

const extent = { width: 1920, height: 1440 };
const start: SpotState = { x: 100, y: 200, ring: 9 };
const after = (...actions: SpotAction[]): SpotState => actions.reduce(spotReducer(extent), start);

describe('the ring on the photo', () => {
    it('goes where one points, to whole pixels', () => {
        expect(after({ type: 'placed', x: 411.6, y: 33.2 })).toEqual({ x: 412, y: 33, ring: 9 });
    });

    it.each([
        ['left', { type: 'placed', x: -50, y: 10 }, { x: 0, y: 10 }],
        ['right', { type: 'placed', x: 5000, y: 10 }, { x: 1919, y: 10 }],
        ['below', { type: 'placed', x: 10, y: 5000 }, { x: 10, y: 1439 }],
        ['pushed out by a key', { type: 'nudged', dx: -400, dy: -400 }, { x: 0, y: 0 }],
    ] as const)('stays on the photo: %s', (_, action, expected) => {
        expect(after(action)).toMatchObject(expected);
    });

    it('moves by keys from where it is', () => {
        expect(after({ type: 'nudged', dx: 4, dy: 0 }, { type: 'nudged', dx: 0, dy: -40 })).toEqual({ x: 104, y: 160, ring: 9 });
    });

    it('grows and shrinks through its sizes and stops at the ends', () => {
        const sizes = Array.from(
            { length: 6 },
            (_, i) => after(...Array.from({ length: i }, (): SpotAction => ({ type: 'ringCycled', by: 1 }))).ring,
        );
        expect(sizes).toEqual([9, 20, 45, 45, 45, 45]);
        expect(after({ type: 'ringCycled', by: -1 }, { type: 'ringCycled', by: -1 }).ring).toBe(RINGS[0]);
        expect(after({ type: 'ringChosen', ring: 45 }).ring).toBe(45);
    });

    it('returns to a spot of the plan with its ring', () => {
        expect(after({ type: 'opened', spot: { x: 1, y: 2, ring: 20 } })).toEqual({ x: 1, y: 2, ring: 20 });
    });

    it('changes nothing but what an action names', () => {
        const before = structuredClone(start);
        after({ type: 'placed', x: 1, y: 1 }, { type: 'ringCycled', by: 1 });
        expect(start).toEqual(before);
    });
});

describe('the remembered spot', () => {
    beforeEach(() => localStorage.clear());

    it('is where one was, for each study by itself', () => {
        rememberSpot(3, { x: 5, y: 6, ring: 20 });
        rememberSpot(4, { x: 7, y: 8, ring: 3 });
        expect(rememberedSpot(3, extent)).toEqual({ x: 5, y: 6, ring: 20 });
        expect(rememberedSpot(4, extent)).toEqual({ x: 7, y: 8, ring: 3 });
    });

    it.each(['', 'nonsense', '1,2', '4000,5,9', '5,4000,9', '5,5,8'])(
        'is a fresh one inside the photo when what is stored is %j',
        (stored) => {
            localStorage.setItem('spot/3', stored);
            const spot = rememberedSpot(3, extent);
            expect(spot.x).toBeGreaterThan(0);
            expect(spot.x).toBeLessThan(extent.width);
            expect(spot.y).toBeLessThan(extent.height);
            expect(RINGS).toContain(spot.ring);
        },
    );
});
