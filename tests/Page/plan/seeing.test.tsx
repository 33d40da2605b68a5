import { act, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PictureStage } from '../../../resources/ts/places/plan/PictureStage';
import { stampOf } from '../../../resources/ts/places/plan/queries';
import { study } from '../examples';
import { picture, shade, zoneOfPlan as zone } from './planExamples';
import { answering, hands, standIn, wrapper } from './planHands';

standIn();

const whole = picture({ waiting: 0, zones: [zone(3, 'rope', [shade('mid')])] });

const near = () => screen.queryByRole('img', { name: /^the drawing from near/ });

describe('looking closer', () => {
    beforeEach(() => {
        vi.useFakeTimers();
        // Every picture is there as soon as it is asked for.
        vi.stubGlobal(
            'Image',
            class {
                onload: (() => void) | null = null;
                set src(_: string) {
                    setTimeout(() => this.onload?.(), 0);
                }
            },
        );
        Element.prototype.getBoundingClientRect = () => new DOMRect(0, 0, 400, 300);
    });
    afterEach(() => vi.useRealTimers());

    const stage = () => screen.getByRole('region', { name: 'Preview of the drawing' }).firstElementChild as HTMLElement;

    it('follows the pointer when it rests, and the arrow keys, and steps back', () => {
        render(<PictureStage study={study} picture={whole} stamp="s" changes={hands().changes} />, { wrapper });
        expect(near()).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Zoom in' }));
        expect(near()?.getAttribute('alt')).toContain('50 % across and 50 % down');
        fireEvent.pointerMove(stage(), { clientX: 100, clientY: 150 });
        fireEvent.pointerMove(stage(), { clientX: 300, clientY: 75 });
        expect(near()?.getAttribute('alt')).toContain('50 % across');
        act(() => void vi.advanceTimersByTime(200));
        expect(near()?.getAttribute('alt')).toContain('75 % across and 25 % down');
        act(() => void vi.advanceTimersByTime(1));
        expect(near()?.getAttribute('src')).toMatch(/loupe\?step=2&tone=colour&light=D65&of=s&x=0.7500&y=0.2500$/);
        fireEvent.keyDown(stage(), { key: 'ArrowLeft', shiftKey: true });
        act(() => void vi.advanceTimersByTime(200));
        expect(near()?.getAttribute('alt')).toContain('65 % across');
        fireEvent.keyDown(stage(), { key: 'Escape' });
        expect(near()).toBeNull();
    });

    it('lasts as long as the key is held over the picture, or a finger on it', () => {
        render(<PictureStage study={study} picture={whole} stamp="s" changes={hands().changes} />, { wrapper });
        fireEvent.keyDown(window, { key: 'l' });
        expect(near()).toBeNull();
        fireEvent.pointerMove(stage(), { clientX: 200, clientY: 150 });
        fireEvent.keyDown(window, { key: 'l' });
        expect(near()).not.toBeNull();
        fireEvent.keyUp(window, { key: 'l' });
        expect(near()).toBeNull();
        fireEvent.pointerDown(stage(), { clientX: 40, clientY: 30, pointerType: 'touch' });
        act(() => void vi.advanceTimersByTime(300));
        expect(near()).toBeNull();
        act(() => void vi.advanceTimersByTime(200));
        expect(near()?.getAttribute('alt')).toContain('10 % across and 10 % down');
        fireEvent.pointerUp(stage(), { pointerType: 'touch' });
        expect(near()).toBeNull();
    });

    it('is not offered where errors are looked at or a fade is drawn', () => {
        render(<PictureStage study={study} picture={whole} stamp="s" changes={hands().changes} />, { wrapper });
        fireEvent.click(screen.getByRole('radio', { name: 'Errors' }));
        expect(screen.getByRole('button', { name: 'Zoom in' })).toHaveProperty('disabled', true);
        fireEvent.click(screen.getByRole('radio', { name: 'Grey' }));
        expect(screen.getByRole('button', { name: 'Zoom in' })).toHaveProperty('disabled', false);
    });
});

describe('the two sides', () => {
    it('are looked at alike: in values, with half-closed eyes, one over the other', () => {
        vi.stubGlobal(
            'Image',
            class {
                onload: (() => void) | null = null;
                set src(_: string) {
                    this.onload?.();
                }
            },
        );
        const { container } = render(<PictureStage study={study} picture={whole} stamp="s" changes={hands().changes} />, { wrapper });
        const sources = () => [...container.querySelectorAll('img')].map((i) => i.getAttribute('src') ?? '');
        fireEvent.click(screen.getByRole('radio', { name: 'Values' }));
        fireEvent.click(screen.getByRole('button', { name: 'Squint' }));
        expect(sources()).toHaveLength(2);
        for (const src of sources()) {
            expect(src).toContain('tone=steps&squint=2');
        }
        expect(screen.getByRole('img', { name: 'the photo, in value steps' })).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Overlay' }));
        fireEvent.change(screen.getByLabelText('Overlay'), { target: { value: '30' } });
        expect(screen.getByRole('img', { name: /^the picture after/ }).style.opacity).toBe('0.7');
        fireEvent.click(screen.getByRole('button', { name: 'Side by side' }));
        expect(screen.getByLabelText('Divider').getAttribute('aria-valuetext')).toBe('photo up to 30 %');
        fireEvent.click(screen.getByRole('button', { name: 'Eyes open' }));
        expect(sources().join()).not.toContain('squint');
    });
});

describe('the picture on its way', () => {
    const raw = 'Raw and patchy.';
    const work = {
        steps: ['Sky with 711', 'Sky with 735', 'Rope with 711', 'Rope with 728', 'Rope with 741'],
        sessions: [
            { ends: 2, words: 'Sky with 711 and 735, about 50 minutes', raw },
            { ends: 5, words: 'Rope with 711, 728 and 741, about 70 minutes', raw: null },
        ],
    };
    const drawn = () => screen.getByRole('img', { name: /^the picture (after|as bare)/ }).getAttribute('alt');
    const walk = (value: string) => {
        fireEvent.change(screen.getByLabelText('How far'), { target: { value } });
    };

    it('is walked through by sessions, by steps or by passes, each told in words, and a place stays where it was', async () => {
        answering('/plan/work', work);
        const asked: string[] = [];
        vi.stubGlobal(
            'Image',
            class {
                set src(url: string) {
                    asked.push(url);
                }
            },
        );
        render(<PictureStage study={study} picture={whole} stamp="s" changes={hands().changes} />, { wrapper });
        expect(drawn()).toBe('the picture after pass 2 of 2');
        await screen.findByRole('radio', { name: 'Session' });
        expect(drawn()).toBe('the picture after session 2 of 2');
        // The end is one picture, whichever way one comes to it.
        expect(asked.every((url) => !url.includes('work='))).toBe(true);
        walk('1');
        expect(drawn()).toBe('the picture after session 1 of 2');
        expect(asked.at(-1)).toMatch(/work=2&order=\w+&/);
        expect(screen.getByRole('status').textContent).toBe(`Sky with 711 and 735, about 50 minutes. ${raw}`);
        fireEvent.click(screen.getByRole('radio', { name: 'Step' }));
        expect(drawn()).toBe('the picture after step 2 of 5');
        walk('3');
        expect(screen.getByRole('status').textContent).toBe('Rope with 711.');
        fireEvent.click(screen.getByRole('radio', { name: 'Session' }));
        expect(drawn()).toBe('the picture after session 2 of 2');
        walk('0');
        expect(drawn()).toBe('the picture as bare paper');
        expect(screen.queryByRole('status')).toBeNull();
        expect(asked.at(-1)).toContain('step=0');
        fireEvent.click(screen.getByRole('radio', { name: 'Pass' }));
        expect(screen.getByLabelText('How far').getAttribute('aria-valuetext')).toBe('the bare paper');
    });
});

describe('which way strokes run', () => {
    const strokesOf = (strokes: number | null) => picture({ waiting: 0, zones: [{ ...zone(3, 'rope', [shade('mid')]), strokes }] });

    it('is said by one drag, or by a press for what needs no direction, by keys too', () => {
        const { made, changes } = hands();
        const { rerender } = render(<PictureStage study={study} picture={strokesOf(null)} stamp="s" changes={changes} />, { wrapper });
        Element.prototype.getBoundingClientRect = () => new DOMRect(0, 0, 400, 300);
        Element.prototype.setPointerCapture = () => undefined;
        fireEvent.click(screen.getByRole('button', { name: 'Strokes' }));
        expect(screen.getByText(/All strokes follow the form so far/)).toBeTruthy();
        const stage = screen.getByRole('application');
        fireEvent.pointerDown(stage, { clientX: 100, clientY: 150, pointerId: 1 });
        fireEvent.pointerUp(stage, { clientX: 101, clientY: 150, pointerId: 1 });
        expect(made.change.mutate).not.toHaveBeenCalled();
        fireEvent.pointerDown(stage, { clientX: 100, clientY: 150, pointerId: 1 });
        fireEvent.pointerUp(stage, { clientX: 200, clientY: 75, pointerId: 1 });
        expect(made.change.mutate).toHaveBeenLastCalledWith({ kind: 'strokes', how: 'drawn', x1: 0.25, y1: 0.5, x2: 0.5, y2: 0.25 });
        fireEvent.click(screen.getByRole('radio', { name: 'Small circles' }));
        fireEvent.keyDown(stage, { key: ' ' });
        expect(made.change.mutate).toHaveBeenLastCalledWith(expect.objectContaining({ how: 'circles' }));
        rerender(<PictureStage study={study} picture={strokesOf(12)} stamp="t" changes={changes} />);
        expect(screen.getByText(/Your own: rope, in small circles\./)).toBeTruthy();
        fireEvent.keyDown(stage, { key: 'Escape' });
        expect(screen.queryByRole('application')).toBeNull();
    });

    it('is another picture', () => {
        expect(stampOf(strokesOf(2))).not.toBe(stampOf(strokesOf(null)));
    });
});

describe('another light', () => {
    it('is what the picture is drawn under, and says what parts', async () => {
        answering('/plan/light', { light: 'A', words: 'a warm lamp', parted: [{ zone: 'float', shade: 'dark', deltaE00: 3.4 }] });
        render(<PictureStage study={study} picture={whole} stamp="s" changes={hands().changes} />, { wrapper });
        fireEvent.change(screen.getByLabelText('Light'), { target: { value: 'A' } });
        await screen.findByText('Under a warm lamp these part from the thing itself: float, dark (ΔE00 3.4 farther).');
        fireEvent.change(screen.getByLabelText('Light'), { target: { value: 'D65' } });
        expect(screen.queryByText(/these part/)).toBeNull();
    });
});
