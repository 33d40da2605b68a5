import { render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { DeskStep } from '../../../resources/ts/api/types';
import { PLAIN, rememberLook } from '../../../resources/ts/stage/look/lookState';
import { NextLine } from '../../../resources/ts/places/desk/lines';
import { deskState } from '../../../resources/ts/places/desk/deskState';
import { StopPart } from '../../../resources/ts/places/desk/lines';
import { useWakeLock } from '../../../resources/ts/places/desk/useWakeLock';
import { ZoneOnPhoto } from '../../../resources/ts/places/desk/ZoneOnPhoto';
import { application } from '../application';
import { study } from '../examples';
import { desk, step } from './deskExamples';

application();

const paths = () => [...document.querySelectorAll('svg path')].map((p) => p.getAttribute('d') ?? '');

describe('the zone on the photo', () => {
    const { zones } = desk([]);
    const onTouch = step(1, 0, '711', {
        shades: [
            {
                shade: 'touch',
                name: 'rust',
                seen: '#884422',
                pressure: 'light',
                before: { hex: '#fff', strata: [], evenness: '' },
                after: { hex: '#eee', strata: [], evenness: 'grainy' },
            },
        ],
    });

    it('dims all but the zone that is worked', () => {
        render(<ZoneOnPhoto study={study} zones={zones} zone={1} step={step(1, 0, '711')} />);
        expect(screen.getByAltText('the photo, “rope” in it')).toBeTruthy();
        // The frame, with the zone cut out of it.
        expect(paths()[0]).toMatch(/^M0 0H1000V\d+(\.\d+)?H0ZM0\.0 0\.0L1000\.0 0\.0L/);
    });

    it('shows touches where they lie, when the pass goes over them alone', () => {
        render(<ZoneOnPhoto study={study} zones={zones} zone={1} step={onTouch} />);
        expect(paths()[0]).toContain('M200.0');
        expect(document.querySelectorAll('[stroke-dasharray]').length).toBeGreaterThan(0);
    });

    it('shows the whole photo where no zone is meant', () => {
        render(<ZoneOnPhoto study={study} zones={zones} zone={null} step={null} />);
        expect(screen.getByAltText('the photo')).toBeTruthy();
        expect(document.querySelector('svg')).toBeNull();
    });

    it('is mirrored or upside down where the photo was looked at so', () => {
        rememberLook(study.id, { ...PLAIN, mirror: true });
        const { container } = render(<ZoneOnPhoto study={study} zones={zones} zone={1} step={null} />);
        expect((container.firstChild as HTMLElement).style.transform).toBe('scale(-1, 1)');
    });
});

describe('what comes next, and where to stop', () => {
    const line = (current: DeskStep, next: DeskStep | null) => {
        const { container } = render(
            <MemoryRouter>
                <NextLine current={current} next={next} study={study} tools={[tool('741')]} />
            </MemoryRouter>,
        );
        return container;
    };
    const tool = (number: string) => ({ pencil: step(1, 1, number).pencil, finish: null, care: null, layOut: '', strata: ['#445566'] });

    it('names the pencil and the zone, or says that neither changes', () => {
        const other = line(step(1, 1, '711'), step(2, 0, '741'));
        expect(other.textContent).toContain('Then 741, “sea”.');
        expect(other.querySelectorAll('.swatch')).toHaveLength(1);
        const same = line(step(1, 1, '711'), step(1, 2, '711'));
        expect(same.textContent).toContain('Then the same pencil, here again.');
        expect(same.querySelectorAll('.swatch')).toHaveLength(0);
        expect(line(step(1, 1, '711', { minutes: 0.2 }), null).textContent).toContain('This is the last pass. About 1 min.');
    });

    it('says what is begun and how far the next good place is', () => {
        const open = desk([step(1, 1, '711'), step(2, 1, '741')]);
        open.zones.forEach((z) => Object.assign(z, { laid: 1, left: 1 }));
        render(<StopPart desk={open} state={deskState(open, [], 0)} onGoOn={() => undefined} onStop={() => undefined} />);
        expect(screen.getByRole('heading').textContent).toBe('You can stop here; all ticks are kept.');
        expect(screen.getByText(/Unfinished: “rope”, “sea”/)).toBeTruthy();
        expect(screen.getByText(/next good place is 2 passes on, about 12 minutes/)).toBeTruthy();
    });

    it('calls it a good place where something may dry meanwhile', () => {
        const wet = desk([step(2, 1, '741')], { wet: [{ zone: 1, until: 900 }] });
        render(<StopPart desk={wet} state={deskState(wet, [], 800)} onGoOn={() => undefined} onStop={() => undefined} />);
        expect(screen.getByRole('heading').textContent).toBe('This is a good place to stop.');
        expect(screen.getByText(/lidded metal bin/)).toBeTruthy();
    });
});

describe('the screen', () => {
    const release = vi.fn(() => Promise.resolve());
    const request = vi.fn(() => Promise.resolve({ release }));
    const Kept = () => {
        useWakeLock();
        return null;
    };
    beforeEach(() => {
        request.mockClear();
        release.mockClear();
    });
    afterEach(() => Reflect.deleteProperty(navigator, 'wakeLock'));

    it('is kept on, again after the page was away, and let go of with the desk', async () => {
        Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true });
        const { unmount } = render(<Kept />);
        await waitFor(() => expect(request).toHaveBeenCalledTimes(1));
        document.dispatchEvent(new Event('visibilitychange'));
        await waitFor(() => expect(request).toHaveBeenCalledTimes(2));
        await Promise.resolve();
        unmount();
        expect(release).toHaveBeenCalled();
    });

    it('goes dark as it always does where that is refused or not known', async () => {
        render(<Kept />);
        expect(request).not.toHaveBeenCalled();
        Object.defineProperty(navigator, 'wakeLock', {
            value: { request: () => Promise.reject(new Error('battery')) },
            configurable: true,
        });
        render(<Kept />);
        await Promise.resolve();
    });
});
