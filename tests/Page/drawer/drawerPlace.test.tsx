import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Tray, TrayPencil } from '../../../resources/ts/api/types';
import { DrawerPlace } from '../../../resources/ts/places/drawer/DrawerPlace';
import { application, wrapper } from '../application';
import { study, trayPencil as pencil } from '../examples';

const app = application();

const tray = (pencils: TrayPencil[], more: Partial<Tray> = {}): Tray => ({
    order: 'gradual',
    pencils,
    notShown: 0,
    unfitted: 0,
    meanStepDeltaE00: 7,
    largestStep: null,
    balance: { words: 'Enough.', counts: {}, families: {}, crowded: [], twins: [] },
    gaps: [],
    ...more,
});

const rope = pencil('704', 'Old rope green');
const reed = pencil('711', 'Dry reed');
const iron = pencil('745', 'Bollard iron');

beforeEach(() => {
    app.says('GET', '/api/me', { name: 'Demo' });
    app.says('GET', '/api/studies', { studies: [study], papers: ['white medium', 'black'] });
    app.says('GET', '/api/drawer/lines', { formats: [], lines: [{ line: 'Slipway', pencils: 3, owned: 3 }], undoWords: null });
    app.says('GET', '/api/drawer/tray', tray([rope, reed, iron]));
});

const show = () =>
    render(
        <MemoryRouter>
            <DrawerPlace />
        </MemoryRouter>,
        { wrapper },
    );
const slots = () => within(screen.getByRole('list', { name: 'Pencils in the drawer' })).getAllByRole('button');
const pressedNumbers = () =>
    slots()
        .filter((b) => b.getAttribute('aria-pressed') === 'true')
        .map((b) => b.textContent.slice(0, 3));
const heading = (name: string) => screen.findByRole('heading', { level: 2, name });
const beside = (name: string) => fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Beside the drawer' })).getByText(name));

describe('the drawer as a place', () => {
    it('finds by what is typed anywhere, in two keys, and shows the likeliest', async () => {
        show();
        await heading('704 Old rope green');
        fireEvent.keyDown(document.body, { key: '7' });
        const search = screen.getByRole('searchbox');
        expect(document.activeElement).toBe(search);
        fireEvent.change(search, { target: { value: '74' } });
        await heading('745 Bollard iron');
        expect(screen.getByText('1 found')).toBeTruthy();
        expect(pressedNumbers()).toEqual(['745']);
        fireEvent.change(search, { target: { value: 'plaid' } });
        expect(screen.getByText('0 found')).toBeTruthy();
        // Nothing meant leaves what was shown.
        expect(pressedNumbers()).toEqual(['745']);
        fireEvent.change(search, { target: { value: '' } });
        expect(screen.getByText('3 pencils')).toBeTruthy();
    });

    it('asks for the portrait of what is shown only where it shows, on the paper chosen', async () => {
        show();
        await heading('704 Old rope green');
        await waitFor(() => expect(app.last('GET', '/api/drawer/pencil')?.path).toContain('id=Slipway%2F704&paper=white+medium'));
        fireEvent.click(slots()[1] as Element);
        await waitFor(() => expect(app.last('GET', '/api/drawer/pencil')?.path).toContain('id=Slipway%2F711'));
        fireEvent.change(screen.getByLabelText('Paper'), { target: { value: 'black' } });
        await waitFor(() => expect(app.last('GET', '/api/drawer/pencil')?.path).toContain('paper=black'));
        const before = app.asked.length;
        beside('Import & export');
        fireEvent.click(slots()[2] as Element);
        expect(app.asked.slice(before).filter((a) => a.path.includes('/api/drawer/pencil'))).toEqual([]);
    });

    it('sends a note, asks again for all of the drawer, and tells what it was refused for', async () => {
        app.says('PATCH', '/api/drawer/pencil', null, 204);
        show();
        await heading('704 Old rope green');
        const asked = () => app.asked.filter((a) => a.path.startsWith('/api/drawer/tray')).length;
        const before = asked();
        fireEvent.click(screen.getByRole('radio', { name: 'Low' }));
        await waitFor(() => expect(asked()).toBe(before + 1));
        expect(app.last('PATCH')?.body).toEqual({ id: 'Slipway/704', stock: 'low' });
        app.refuses('PATCH', '/api/drawer/pencil', 422, 'There is no such pencil.');
        fireEvent.click(screen.getByRole('radio', { name: 'Wanted' }));
        expect(await screen.findByText('There is no such pencil.')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Close' }));
        expect(screen.queryByText('There is no such pencil.')).toBeNull();
    });

    it('names what Undo takes back, and takes it back', async () => {
        app.says('GET', '/api/drawer/lines', { formats: [], lines: [], undoWords: '704 low' });
        app.says('POST', '/api/drawer/undo', { undone: '704 low' });
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Undo: 704 low' }));
        await waitFor(() => expect(app.last('POST')?.path).toBe('/api/drawer/undo'));
    });

    it('takes pencils into a mix and out of it by pressing them, and remembers all that was chosen', async () => {
        const { unmount } = show();
        await heading('704 Old rope green');
        beside('Mixes');
        expect(pressedNumbers()).toEqual(['704', '711', '745']);
        fireEvent.click(slots()[1] as Element);
        expect(pressedNumbers()).toEqual(['704', '745']);
        fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Order of the drawer' })).getByText('Value'));
        fireEvent.change(screen.getByLabelText('Which pencils'), { target: { value: 'line:Slipway' } });
        await waitFor(() => expect(app.last('GET', '/api/drawer/tray')?.path).toBe('/api/drawer/tray?order=value&line=Slipway'));
        unmount();
        app.asked.length = 0;
        show();
        await waitFor(() => expect(app.last('GET', '/api/drawer/tray')?.path).toBe('/api/drawer/tray?order=value&line=Slipway'));
        await waitFor(() => expect(pressedNumbers()).toEqual(['704', '745']));
    });

    it.each([
        ['owned', [], 'Your drawer is empty. Add a dozen'],
        ['owned', ['Slipway'], 'No pencils here. Choose a line above'],
        ['wanted', ['Slipway'], 'You have no wanted pencils.'],
    ])('says what to do where nothing lies (%s, lines %j)', async (shown, lines, words) => {
        localStorage.setItem('drawer/shown', shown);
        app.says('GET', '/api/drawer/tray', tray([]));
        app.says('GET', '/api/drawer/lines', {
            formats: [],
            lines: lines.map((line) => ({ line, pencils: 2, owned: 0 })),
            undoWords: null,
        });
        show();
        expect(await screen.findByText(new RegExp(`^${words}`))).toBeTruthy();
    });

    it('says that pencils are being fitted, that more lie there than are shown, and what went wrong', async () => {
        app.says('GET', '/api/drawer/tray', tray([rope], { unfitted: 40, notShown: 12 }));
        const { unmount } = show();
        expect(await screen.findByText(/^Fitting 40 pencils/)).toBeTruthy();
        expect(screen.getByText(/12 more don’t fit here/)).toBeTruthy();
        unmount();
        app.says('GET', '/api/drawer/tray', null, 0);
        show();
        expect(await screen.findByText(/^The application does not answer/)).toBeTruthy();
    });

    it('leads who is not signed in to the door', async () => {
        const assign = vi.fn();
        vi.stubGlobal('location', { assign, pathname: '/drawer' });
        app.refuses('GET', '/api/drawer/tray', 401, 'Sign in first.');
        show();
        await waitFor(() => expect(assign).toHaveBeenCalledWith('/sign-in'));
    });
});
