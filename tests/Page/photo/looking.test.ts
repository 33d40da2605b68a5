import { describe, expect, it } from 'vitest';
import {
    lookActionOf,
    lookQuery,
    lookReducer,
    PLAIN,
    rememberedLook,
    rememberLook,
    type Look,
} from '../../../resources/ts/stage/look/lookState';
import { drawingReducer, isTrail, leastPoints, NOTHING, type Drawing, type DrawingAction } from '../../../resources/ts/stage/drawing';
import { flipOf, flipped } from '../../../resources/ts/stage/flip';
import { changeOf } from '../../../resources/ts/stage/useDrawing';

const pressed = (keys: string, from: Look = PLAIN): Look =>
    Array.from(keys).reduce((look, key) => {
        const action = lookActionOf(key);
        return action === null ? look : lookReducer(look, action);
    }, from);

describe('ways of looking', () => {
    it('have one key each and combine', () => {
        expect(pressed('g')).toMatchObject({ tone: 'grey' });
        expect(pressed('sqqmtru7')).toEqual({
            ...PLAIN,
            tone: 'steps',
            squint: 2,
            mirror: true,
            turned: true,
            grid: true,
            cut: true,
            only: 7,
        });
        expect(pressed('qqqq')).toEqual(PLAIN);
        expect(lookActionOf('x')).toBeNull();
    });

    it('go through the scales with one key, and drop a value that another scale does not have', () => {
        expect(Array.from('ssss').map((_, i) => pressed('s'.repeat(i + 1)).steps)).toEqual([9, 10, 5, 9]);
        expect(pressed('s8s').only).toBeNull();
        expect(pressed('ss0').only).toBe(10);
        expect(pressed('s0').only).toBeNull();
    });

    it('keep the same grey alone when the other end becomes 1, and leave it with the same key', () => {
        expect(pressed('3l')).toMatchObject({ only: 7, lightest: true });
        expect(pressed('33').only).toBeNull();
    });

    it('ask the core only for what it computes', () => {
        expect(lookQuery(pressed('mtru'))).toBe(lookQuery(PLAIN));
        expect(lookQuery(pressed('g5'))).toContain('tone=grey');
        expect(lookQuery(PLAIN, { zone: 4, lighter: false })).toContain('tone=grey&');
        expect(lookQuery(PLAIN, { zone: 4, lighter: false })).toContain('push=4&by=-1');
    });

    it('are remembered for each study, whatever was kept before', () => {
        rememberLook(1, pressed('gq'));
        expect(rememberedLook(1)).toEqual(pressed('gq'));
        expect(rememberedLook(2)).toEqual(PLAIN);
        localStorage.setItem('look/3', '{broken');
        expect(rememberedLook(3)).toEqual(PLAIN);
    });
});

describe('a photo that is shown the other way round', () => {
    it('is pointed at where one points', () => {
        expect(flipped({ x: 0.25, y: 0.1 }, flipOf({ mirror: true, turned: false }))).toEqual({ x: 0.75, y: 0.1 });
        expect(flipped({ x: 0.25, y: 0.1 }, flipOf({ mirror: false, turned: true }))).toEqual({ x: 0.75, y: 0.9 });
        expect(flipped({ x: 0.25, y: 0.1 }, flipOf({ mirror: true, turned: true }))).toEqual({ x: 0.25, y: 0.9 });
    });
});

describe('drawing on the photo', () => {
    const after = (...actions: DrawingAction[]): Drawing =>
        actions.reduce(drawingReducer, drawingReducer(NOTHING, { type: 'taken', tool: { kind: 'split', zone: 4 } }));
    const at = (x: number, y = 0.5) => ({ x, y });

    it('leaves a trail while the pointer is down, without points that are hardly apart', () => {
        const drawn = after(
            { type: 'pressed', at: at(0.1) },
            ...[0.101, 0.12, 0.121, 0.15, 0.2, 0.3].map((x): DrawingAction => ({ type: 'dragged', at: at(x) })),
        );
        expect(drawn.points.map((p) => p.x)).toEqual([0.1, 0.12, 0.15, 0.2, 0.3]);
        expect(isTrail(drawn)).toBe(true);
        expect(isTrail(after({ type: 'pressed', at: at(0.1) }))).toBe(false);
    });

    it('sets corners by presses and by the Space key, and asks for what the tool is for', () => {
        const corners = after({ type: 'pressed', at: at(0.1) }, { type: 'released' }, { type: 'dropped', at: at(0.9, 0.4) });
        expect(corners.points).toHaveLength(2);
        const { tool } = corners;
        expect(tool !== null && leastPoints(tool)).toBe(2);
        expect(tool !== null && changeOf(tool, corners.points, 0.02)).toEqual({
            kind: 'splitZone',
            zone: 4,
            line: [
                [0.1, 0.5],
                [0.9, 0.4],
            ],
        });
        expect(changeOf({ kind: 'new' }, corners.points, 0.02)).toMatchObject({ kind: 'redrawZone', zone: null });
        expect(changeOf({ kind: 'dropWhite' }, corners.points, 0.02)).toMatchObject({ kind: 'paintWhites', keep: false, radius: 0.02 });
    });

    it('does nothing while no tool is in hand', () => {
        // A touch is one press, and leaves the others as they are.
        const red = { name: 'red', x: 0.1, y: 0.2 };
        const touch = { kind: 'touch' as const, zone: 4, name: 'trim', before: [red], after: [] };
        expect(leastPoints(touch)).toBe(1);
        expect(changeOf(touch, [at(0.5)], 0.02)).toEqual({ kind: 'setTouches', zone: 4, touches: [red, { name: 'trim', ...at(0.5) }] });
        expect(drawingReducer(NOTHING, { type: 'pressed', at: at(0.1) })).toBe(NOTHING);
        expect(drawingReducer(NOTHING, { type: 'dropped', at: at(0.1) })).toBe(NOTHING);
    });
});
