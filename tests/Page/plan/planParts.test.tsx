import { fireEvent, render, screen, waitFor } from '@testing-library/react';

import { describe, expect, it, vi } from 'vitest';

import { PictureStage } from '../../../resources/ts/places/plan/PictureStage';
import { stampOf } from '../../../resources/ts/places/plan/queries';
import { RunBar } from '../../../resources/ts/places/plan/RunBar';

import { TakeAlong } from '../../../resources/ts/places/plan/along/TakeAlong';

import { ZonesPart } from '../../../resources/ts/places/plan/ZonesPart';
import { outcome, spot, study } from '../examples';
import { pencilOfPlan as pencil, picture, sequence, shade, zoneOfPlan as zone } from './planExamples';
import { answering, fetched, first, hands, standIn, wrapper } from './planHands';

standIn();

describe('the one action of the plan', () => {
    it('plans what is not planned, and says so when all is', () => {
        const { made, changes } = hands();
        const { rerender } = render(<RunBar picture={picture({ waiting: 2 })} changes={changes} />);
        fireEvent.click(screen.getByRole('button', { name: 'Plan the picture' }));
        expect(made.run.mutate).toHaveBeenCalledTimes(1);
        rerender(<RunBar picture={picture({ waiting: 1 })} changes={changes} />);
        expect(screen.getByRole('button', { name: 'Plan what changed: 1 of 2' })).toBeTruthy();
        rerender(<RunBar picture={picture({ waiting: 0 })} changes={changes} />);
        expect(screen.queryByRole('button', { name: /^Plan/ })).toBeNull();
        expect(screen.getByRole('status').textContent).toContain(
            'Plan is up to date: 2 passes, 2 pencils, about 40 minutes. Likely error on paper: 4. The darkest 6 %',
        );
    });

    it('shows how far it is and can be cancelled; a fault or a cancel loses nothing and says so', () => {
        const { made, changes } = hands();
        const run = { state: 'working' as const, what: 'finding recipes', done: 12, total: 45, changes: [] };
        const { rerender } = render(<RunBar picture={picture({ run })} changes={changes} />);
        expect(screen.getByRole('status').textContent).toBe('finding recipes, 12 of 45');
        expect(screen.getByRole('progressbar')).toHaveProperty('value', 12);
        fireEvent.click(screen.getByRole('button', { name: 'Cancel' }));
        expect(made.cancel.mutate).toHaveBeenCalledTimes(1);
        rerender(<RunBar picture={picture({ run: { ...run, state: 'failed' } })} changes={changes} />);
        expect(screen.getByRole('status').textContent).toContain('Finished zones are kept');
        rerender(<RunBar picture={picture({ run: { ...run, state: 'cancelled' } })} changes={changes} />);
        expect(screen.getByRole('status').textContent).toBe('Cancelled. Finished zones are kept.');
        rerender(<RunBar picture={picture({ run: { ...run, state: 'waiting', what: '', total: 0 } })} changes={changes} />);
        expect(screen.getByRole('status').textContent).toBe('Waiting to start');
    });

    it('tells what was planned again and why, but not what came out the same', () => {
        const change = { zone: 'rope', why: 'its colour changed', before: '711 light', after: '735 light' };
        const run = {
            state: 'done' as const,
            what: '',
            done: 2,
            total: 2,
            changes: [change, { ...change, zone: 'mug', after: '711 light' }, { ...change, zone: 'sea', before: null }],
        };
        render(<RunBar picture={picture({ run, waiting: 0 })} changes={hands().changes} />);
        fireEvent.click(screen.getByRole('button', { name: '1 changed' }));
        expect(screen.getByRole('list', { name: 'Changed zones' }).textContent).toBe(
            'rope: 735 light; it was 711 light. its colour changed.',
        );
    });
});

describe('zones and their sequences', () => {
    it('says of each zone how sure it is and what there is to mind, overruled or not', () => {
        const warnings = [
            {
                code: 'bloom',
                pass: 1,
                shades: ['mid', 'dark'],
                where: 'mid and dark',
                text: 'Much wax.',
                remedy: 'Fix it.',
            },
        ];
        const warned = { sequence: sequence({ warnings }) };
        const overruled = shade('mid', { overruled: { bloom: 'under glass' } });
        const zones = [
            zone(3, 'rope', [shade('mid'), shade('dark')], warned),
            zone(4, 'mug', [overruled], warned),
            zone(5, 'sea', [shade('mid')], { sequence: null }),
        ];
        const twins = { code: 'twins', zone: 3, shade: 'mid', text: 'Alike.', remedy: 'Push.' };
        render(<ZonesPart study={study} picture={picture({ zones, warnings: [twins] })} pencils={[]} changes={hands().changes} />, {
            wrapper,
        });
        const list = screen.getByRole('list', { name: 'Zones of the plan' });
        expect([...list.querySelectorAll('small')].map((s) => s.textContent)).toEqual([
            '2 passes, error 4 2',
            '2 passes, error 4 ',
            'not planned yet',
        ]);
        expect(screen.getByTestId('sequence').textContent).toContain('twins. In the mid: Alike. Push.');
        expect(screen.getAllByText(/In the mid and dark: Much wax/)).toHaveLength(1);
        fireEvent.click(screen.getByRole('button', { name: /^sea/ }));
        expect(screen.getByText('This zone is not planned yet.')).toBeTruthy();
    });
});

describe('the picture to come', () => {
    const whole = picture({ waiting: 0, zones: [zone(3, 'rope', [shade('mid')])] });

    it('is not asked for before all is planned', () => {
        render(<PictureStage study={study} picture={picture()} stamp="s" changes={hands().changes} />, { wrapper });
        expect(screen.getByText(/appears when every zone is planned/)).toBeTruthy();
        expect(screen.queryByLabelText('How far')).toBeNull();
    });

    it('is scrubbed from the bare paper on, laid over the photo as far as the divider, and looked at in grey', () => {
        render(<PictureStage study={study} picture={whole} stamp="s" changes={hands().changes} />, { wrapper });
        const laid = () => screen.getByRole('img', { name: /^the picture (after pass|as bare)/ });
        expect(laid().getAttribute('alt')).toBe('the picture after pass 2 of 2');
        fireEvent.change(screen.getByLabelText('How far'), { target: { value: '0' } });
        expect(screen.getByLabelText('How far').getAttribute('aria-valuetext')).toBe('the bare paper');
        fireEvent.change(screen.getByLabelText('Divider'), { target: { value: '20' } });
        expect(laid().style.clipPath).toContain('20%');
        fireEvent.click(screen.getByRole('radio', { name: 'Errors' }));
        expect(screen.getByRole('img', { name: /^where the plan differs/ })).toBeTruthy();
        expect(screen.getByLabelText('How far')).toHaveProperty('disabled', true);
    });

    it('takes a line for a fade by keyboard, and says what the fade is', async () => {
        const answer = {
            zone: 'rope',
            joining: 'leave the marks',
            joiningWords: 'It is soft and fuzzy: leave the marks.',
            pencils: [
                { ...pencil('711'), from: 0, to: 0.6 },
                { ...pencil('735'), from: 0.4, to: 1 },
            ],
            overlaps: [[0.4, 0.6]],
            unevenness: 1.1,
            photo: ['#888888'],
            steps: [{ share: 0, words: 'value 7', strata: [], passes: [{ number: '711', pressureWord: 'medium', pressure: 0.55 }] }],
        };
        answering('/plan/ramp', answer);
        render(<PictureStage study={study} picture={whole} stamp="s" changes={hands().changes} />, { wrapper });
        fireEvent.click(screen.getByRole('button', { name: 'Fade' }));
        const stage = screen.getByRole('application');
        fireEvent.keyDown(stage, { key: ' ' });
        for (let i = 0; i < 3; i++) {
            fireEvent.keyDown(stage, { key: 'ArrowRight', shiftKey: true });
        }
        fireEvent.keyDown(stage, { key: ' ' });
        await waitFor(() =>
            expect(screen.getByRole('region', { name: 'The fade' }).textContent).toContain(
                '711 fades while 735 grows between 40 % and 60 % of the line. It is soft and fuzzy',
            ),
        );
        const asked = fetched.mock.lastCall?.[0];
        expect(typeof asked === 'string' ? asked : '').toMatch(/x1=0.5&y1=0.5&x2=0.7[34]\d*&y2=0.5$/);
        fireEvent.keyDown(stage, { key: 'Escape' });
        expect(screen.queryByRole('application')).toBeNull();
    });

    it('is drawn again when a stack or a colour changes, and only then', () => {
        const stamp = stampOf(whole);
        expect(stampOf({ ...whole, meanDeltaE00: 9, palette: [] })).toBe(stamp);
        const other = zone(3, 'rope', [shade('mid')], {
            sequence: sequence({ outcomes: { mid: outcome({ stack: 'Slipway/735@0.55' }) } }),
        });
        expect(stampOf({ ...whole, zones: [other] })).not.toBe(stamp);
        const moved = zone(3, 'rope', [shade('mid', { aim: { ...spot, lab: [70, 0, 0] } })]);
        expect(stampOf({ ...whole, zones: [moved] })).not.toBe(stamp);
    });
});

describe('what is taken along', () => {
    it('prints in the size that was chosen, and keeps a version by its name', () => {
        const { made, changes } = hands();
        const named = [
            { number: 2, name: 'violet evening' },
            { number: 4, name: 'as it was' },
        ];
        render(<TakeAlong study={study} picture={picture({ version: 4, named })} changes={changes} />, { wrapper });
        expect(screen.getByText(/Not all is planned yet/)).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Size of the paper'), { target: { value: 'a5' } });
        expect(screen.getByRole('link', { name: 'Step sheet' }).getAttribute('href')).toBe('/api/studies/7/plan/steps.pdf?size=a5');
        expect(screen.getByText('as it was, shown now')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Go to “violet evening”' }));
        expect(first(made.version)).toEqual({ number: 2 });
        fireEvent.change(screen.getByLabelText('Name of this version'), { target: { value: '  three pencils ' } });
        fireEvent.click(screen.getByRole('button', { name: 'Save version' }));
        expect(first(made.version)).toEqual({ name: 'three pencils' });
    });

    it('saves the whole study under its name, and says so where it is too large for a file', async () => {
        const saved: string[] = [];
        vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:study', revokeObjectURL: () => undefined }));
        const click = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
            saved.push(`${this.download} from ${this.href}`);
        });
        // The survey is asked for as well, for the contours.
        const bundle = (answer: Response) =>
            fetched.mockImplementation((input) =>
                input === '/api/studies/7/bundle' ? Promise.resolve(answer) : new Promise(() => undefined),
            );
        bundle(new Response('{}'));
        render(<TakeAlong study={study} picture={picture()} changes={hands().changes} />, { wrapper });
        fireEvent.click(screen.getByRole('button', { name: 'Save study as a file' }));
        await waitFor(() => expect(saved).toEqual(['Low water.study.json from blob:study']));
        const tooLarge = { type: 'about:blank', title: 'No', status: 422, detail: 'The photos of this study are 170 MB together.' };
        bundle(new Response(JSON.stringify(tooLarge), { status: 422 }));
        fireEvent.click(await screen.findByRole('button', { name: 'Save study as a file' }));
        expect(await screen.findByText('The photos of this study are 170 MB together.')).toBeTruthy();
        click.mockRestore();
    });
});
