import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Plan, PlanSequence } from '../../../resources/ts/api/types';
import { PlanPlace } from '../../../resources/ts/places/plan/PlanPlace';
import { application, wrapper } from '../application';
import { study } from '../examples';
import { picture, sequence, shade, zoneOfPlan } from './planExamples';

const app = application();

/** One zone of one colour, and all of it planned. */
const planned = (laid: PlanSequence | null = sequence(), more: Partial<Plan> = {}): Plan =>
    picture({
        zones: [zoneOfPlan(3, 'rope', [shade('mid')], { sequence: laid })],
        waiting: 0,
        undoWords: 'use at most 6 pencils',
        ...more,
    });

const says = (...what: Parameters<typeof planned>) => app.says('GET', /\/plan$/, planned(...what));

beforeEach(() => {
    app.says('GET', '/api/me', { name: 'Demo' });
    app.says('GET', /\/api\/studies$/, { studies: [study], papers: ['white medium', 'black'] });
    app.says('GET', '/api/drawer', { pencils: [] });
    says();
});

const show = () =>
    render(
        <MemoryRouter initialEntries={['/plan/7']}>
            <Routes>
                <Route path="/plan/:studyId?" element={<PlanPlace />} />
            </Routes>
        </MemoryRouter>,
        { wrapper },
    );
const parts = () => screen.findByRole('radiogroup', { name: 'Beside the picture' });
const posted = () => app.asked.filter((a) => a.method === 'POST').map((a) => a.path.replace('/api/studies/7/plan', ''));

describe('the plan as a place', () => {
    it('leads on where there is nothing to plan, and says what failed', async () => {
        says(undefined, { cannot: 'There are no zones yet; propose zones in “Photo” first.' });
        const { unmount } = show();
        expect(await screen.findByText(/^There are no zones yet/)).toBeTruthy();
        expect(screen.getByRole('link', { name: 'Go to the zones of the photo' }).getAttribute('href')).toBe('/photo/7?beside=zones');
        unmount();
        app.says('GET', /\/plan$/, null, 0);
        const failed = show();
        expect((await screen.findByText(/does not answer/)).getAttribute('role')).toBe('alert');
        failed.unmount();
        app.says('GET', /\/api\/studies$/, { studies: [], papers: [] });
        show();
        expect((await screen.findByRole('link', { name: 'Start with a photo' })).getAttribute('href')).toBe('/photo');
    });

    it('opens at the part that one was at last', async () => {
        const { unmount } = show();
        fireEvent.click(within(await parts()).getByText('Method'));
        expect(await screen.findByLabelText('Whole picture or zone')).toBeTruthy();
        unmount();
        show();
        await parts();
        expect(await screen.findByLabelText('Whole picture or zone')).toBeTruthy();
        fireEvent.click(within(await parts()).getByText('Print & files'));
        await screen.findByRole('heading', { name: 'Versions' });
        expect(screen.queryByLabelText('Whole picture or zone')).toBeNull();
    });

    it('names what is taken back, takes it back by button and by key, and shows what came of it', async () => {
        app.says('POST', '/undo', planned(undefined, { undoWords: null, redoWords: 'use at most 6 pencils', version: 2 }));
        app.says('POST', '/redo', planned());
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Undo: use at most 6 pencils' }));
        expect(await screen.findByRole('button', { name: 'Redo: use at most 6 pencils' })).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Undo' })).toHaveProperty('disabled', true);
        fireEvent.keyDown(document.body, { key: 'y', ctrlKey: true });
        expect(await screen.findByRole('button', { name: 'Undo: use at most 6 pencils' })).toBeTruthy();
        expect(posted()).toEqual(['/undo', '/redo']);
    });

    it('tells why a change was refused, and leaves what was there', async () => {
        app.refuses('POST', '/changes', 422, 'Nothing that was tried removes this.');
        const warnings = [{ code: 'bloom', pass: 1, shades: ['mid'], where: 'mid', text: 'Much wax.', remedy: '' }];
        says(undefined, { zones: [zoneOfPlan(3, 'rope', [shade('mid')], { sequence: sequence({ warnings }) })] });
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Try the remedy' }));
        expect(await screen.findByText(/Nothing that was tried/)).toBeTruthy();
        expect(app.last('POST')?.body).toMatchObject({ kind: 'remedy', zone: 3, shade: 'mid', code: 'bloom' });
        expect(screen.getByTestId('sequence').textContent).toContain('Much wax.');
    });

    it('asks for one small row while the planner is at work, and for the plan only when there is something new in it', async () => {
        const run = { state: 'working', what: 'choosing the pencils', done: 0, total: 20, changes: [] } as unknown as Plan['run'];
        const progress = (more: object) =>
            app.says('GET', '/plan/run', { run: { state: 'working', what: 'choosing the pencils', done: 0, total: 20, ...more } });
        const plans = () => app.asked.filter((a) => a.path.endsWith('/plan')).length;
        says(null, { run, waiting: 1 });
        progress({ done: 7 });
        show();
        await screen.findByText('This zone is not planned yet.');
        expect(screen.getByRole('button', { name: 'Cancel' })).toBeTruthy();
        // How far the choosing is comes with the row alone.
        expect(await screen.findByText('choosing the pencils, 7 of 20')).toBeTruthy();
        expect(plans()).toBe(1);
        says(undefined, { run: { ...run, state: 'done', done: 1, total: 1 } as Plan['run'] });
        progress({ state: 'done', what: '', done: 1, total: 1 });
        await screen.findByTestId('sequence');
        const before = app.asked.length;
        expect(plans()).toBe(2);
        await new Promise((resolve) => setTimeout(resolve, 900));
        // Done is done: nothing is asked for any more.
        expect(app.asked.filter((a) => a.path.includes('/plan'))).toHaveLength(
            app.asked.slice(0, before).filter((a) => a.path.includes('/plan')).length,
        );
    });

    it('shows how the values of photo and plan are spread, in words too, once all is planned', async () => {
        app.says('GET', '/values', {
            photo: [0, 0.1, 0.2, 0.3, 0.2, 0.1, 0.05, 0.03, 0.02],
            plan: [0, 0.12, 0.18, 0.3, 0.2, 0.1, 0.05, 0.03, 0.02],
        });
        const { unmount } = show();
        const run = await screen.findByRole('img', { name: /^Value run, darkest first/ });
        expect(run.getAttribute('aria-label')).toContain('value 2: photo 10 %, plan 12 %');
        unmount();
        app.asked.length = 0;
        says(undefined, { waiting: 1 });
        show();
        await parts();
        expect(app.last('GET', '/values')).toBeUndefined();
    });

    it('opens the plan again on another paper', async () => {
        app.says('PATCH', '/api/studies/7', { ...study, paper: 'black' });
        show();
        await parts();
        app.says('GET', /\/api\/studies$/, { studies: [{ ...study, paper: 'black' }], papers: ['white medium', 'black'] });
        const before = app.asked.filter((a) => a.path.endsWith('/plan')).length;
        fireEvent.change(screen.getByLabelText('Paper'), { target: { value: 'black' } });
        await waitFor(() => expect(app.asked.filter((a) => a.path.endsWith('/plan')).length).toBeGreaterThan(before));
        expect(app.last('PATCH')?.body).toEqual({ paper: 'black' });
        expect(screen.getByLabelText('Paper')).toHaveProperty('value', 'black');
    });
});
