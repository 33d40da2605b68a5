import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Sheet, SheetBox, TrayPencil } from '../../../resources/ts/api/types';
import { MeasureView } from '../../../resources/ts/places/drawer/measure/MeasureView';
import { between } from '../../../resources/ts/ui/FourCorners';

import { application, wrapper } from '../application';

const app = application();

const box = (kind: SheetBox['kind'], more: Partial<SheetBox> = {}): SheetBox => ({
    kind,
    hex: '#aa5522',
    filled: true,
    doubt: 1.2,
    doubtful: false,
    note: null,
    corrected: false,
    ...more,
});

const sheet = (more: Partial<Sheet> = {}): Sheet => ({
    id: 7,
    size: 'a4',
    paper: 'white medium',
    pages: 1,
    pagesRead: 0,
    line: 'Mine',
    measured: 0,
    pencils: [
        { id: 'Mine/3', number: '3', name: 'moss', boxes: [] },
        { id: 'Mine/4', number: '4', name: 'brick', boxes: [] },
    ],
    ...more,
});

const read = sheet({
    pagesRead: 1,
    measured: 1,
    pencils: [
        {
            id: 'Mine/3',
            number: '3',
            name: 'moss',
            boxes: [
                box('heavy'),
                box('light', { doubt: 5.1, doubtful: true, note: 'Glare lies on it: turn the sheet.' }),
                box('black', { filled: false }),
            ],
        },
        {
            id: 'Mine/4',
            number: '4',
            name: 'brick',
            boxes: [box('heavy', { filled: false }), box('light', { filled: false }), box('black', { filled: false })],
        },
    ],
});

const show = (known: readonly Partial<TrayPencil>[] = []) => {
    const onFault = vi.fn();
    render(<MeasureView known={known as TrayPencil[]} onFault={onFault} />, { wrapper });
    return onFault;
};

const list = () => screen.findByLabelText<HTMLTextAreaElement>('Pencils, one per line');

describe('measuring pencils', () => {
    beforeEach(() => {
        localStorage.clear();
        app.says('GET', '/api/drawer/sheets', { sheets: [], papers: ['white medium', 'warm grey'] });
    });

    it('takes the list down once, keeps it where it is refused, and shows the sheet to print', async () => {
        app.refuses('POST', '/api/drawer/sheets', 422, 'Row 2 names 3 again; each pencil is coloured in once.');
        show();
        fireEvent.change(await list(), { target: { value: '3 moss\n3' } });
        fireEvent.change(screen.getByLabelText('of the line'), { target: { value: 'Mine' } });
        fireEvent.change(screen.getByLabelText('on'), { target: { value: 'letter' } });
        fireEvent.change(screen.getByLabelText('coloured in on'), { target: { value: 'warm grey' } });
        fireEvent.click(screen.getByRole('button', { name: 'Create chart' }));
        await screen.findByText(/names 3 again/);
        expect((await list()).value).toBe('3 moss\n3');
        expect(localStorage.getItem('measure-draft')).toBe('3 moss\n3');
        app.says('POST', '/api/drawer/sheets', sheet(), 201);
        fireEvent.click(screen.getByRole('button', { name: 'Create chart' }));
        expect((await screen.findByRole('link', { name: 'Print the chart' })).getAttribute('href')).toBe('/api/drawer/sheets/7/file.pdf');
        expect(app.last('POST')?.body).toEqual({ pencils: '3 moss\n3', line: 'Mine', size: 'letter', paper: 'warm grey' });
        expect(localStorage.getItem('measure-draft')).toBeNull();
        expect(screen.queryByText(/names 3 again/)).toBeNull();
    });

    it('offers the pencils of the drawer to be measured again', async () => {
        show([
            { line: 'Slipway', number: '711', name: 'Dry reed' },
            { line: 'Slipway', number: '741', name: 'Slate step' },
            { line: 'Foghorn', number: 'F59', name: 'Honey tar' },
        ]);
        await list();
        fireEvent.click(screen.getByRole('button', { name: 'Re-measure pencils in my drawer' }));
        expect((await list()).value).toBe('711 Dry reed\n741 Slate step');
        expect(screen.getByLabelText<HTMLInputElement>('of the line').value).toBe('Slipway');
    });

    it('shows what a photo said with its doubts, puts a colour right, leaves one out and back in', async () => {
        app.says('GET', '/api/drawer/sheets', { sheets: [read], papers: [] });
        app.says('PATCH', '/api/drawer/sheets/7', read);
        show();
        const row = await screen.findByRole('row', { name: /^3 moss/ });
        expect(within(row).getByText('Glare lies on it: turn the sheet.')).toBeTruthy();
        const doubtful = within(row).getByLabelText('3, light coat: #aa5522, uncertain by 5');
        expect(doubtful.className).toContain('doubtful');
        expect(within(row).getAllByText('–')).toHaveLength(1);
        expect(screen.getByRole('row', { name: /^4 brick/ }).textContent).toContain('not coloured in');
        // A colour is sent when it is left, and only if it is another.
        fireEvent.blur(doubtful);
        expect(app.last('PATCH')).toBeUndefined();
        fireEvent.change(doubtful, { target: { value: '#bb6633' } });
        fireEvent.blur(doubtful);
        await waitFor(() => expect(app.last('PATCH')?.body).toEqual({ pencil: 'Mine/3', kind: 'light', hex: '#bb6633' }));
        fireEvent.click(within(row).getByRole('button', { name: 'Skip 3, two coats' }));
        await waitFor(() => expect(app.last('PATCH')?.body).toEqual({ pencil: 'Mine/3', kind: 'heavy', hex: null }));
    });

    it('puts a box back that was left out', async () => {
        const left = sheet({
            ...read,
            pencils: [{ id: 'Mine/3', number: '3', name: 'moss', boxes: [box('heavy'), box('light', { filled: false, corrected: true })] }],
        });
        app.says('GET', '/api/drawer/sheets', { sheets: [left], papers: [] });
        app.says('PATCH', '/api/drawer/sheets/7', read);
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Restore 3, light coat' }));
        await waitFor(() => expect(app.last('PATCH')?.body).toEqual({ pencil: 'Mine/3', kind: 'light', hex: '#aa5522' }));
    });

    it('says what is wrong with a photo and keeps the sheet; a made-up one is shown', async () => {
        app.says('GET', '/api/drawer/sheets', { sheets: [sheet()], papers: [] });
        app.refuses('POST', '/api/drawer/sheets/7/photo', 422, 'The photo is blurred. Hold the camera still.');
        show();
        await screen.findByRole('link', { name: 'Print the chart' });
        fireEvent.change(document.querySelector('input[type="file"]') as Element, { target: { files: [new File(['x'], 'page.jpg')] } });
        await screen.findByText(/The photo is blurred/);
        app.says('POST', '/api/drawer/sheets/7/made-up', { ...read, photo: 'data:image/jpeg;base64,AAAA' });
        fireEvent.click(screen.getByRole('button', { name: 'Try with a simulated photo' }));
        expect((await screen.findByAltText('The simulated photo')).getAttribute('src')).toContain('base64,AAAA');
        expect(screen.getByText(/^1 of 2 pencils measured/).textContent).toContain('Nothing is in the drawer yet');
        expect(screen.queryByText(/The photo is blurred/)).toBeNull();
    });

    it('goes back and forth between a new sheet and the last', async () => {
        app.says('GET', '/api/drawer/sheets', { sheets: [sheet()], papers: [] });
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Another chart' }));
        await list();
        fireEvent.click(screen.getByRole('button', { name: 'Back to the last chart' }));
        expect(await screen.findByRole('link', { name: 'Print the chart' })).toBeTruthy();
    });
});

describe('a page of swatches that one has', () => {
    const own = sheet({ id: 12, size: 'own page', pagesRead: 1, measured: 2 });
    const choose = (name: string) =>
        fireEvent.change(document.querySelector('input[type="file"]') as Element, { target: { files: [new File(['x'], name)] } });
    const write = (label: string | RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
    const corner = (name: string) => screen.getByRole('button', { name: new RegExp(`^Corner at the grid's ${name}`) });

    beforeEach(() => {
        app.says('GET', '/api/drawer/sheets', { sheets: [], papers: ['white medium', 'warm grey'] });
        vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:page', revokeObjectURL: () => undefined }));
    });

    it('is read by a grid whose corners are set by keys, and what was set is there again when it lay askew', async () => {
        app.says('POST', '/api/drawer/swatches', own, 201);
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Use my own page of swatches' }));
        await screen.findByText(/with bare paper all round/);
        choose('own.jpg');
        expect((await screen.findByAltText('Your page of swatches')).getAttribute('src')).toBe('blob:page');
        corner('top left').focus();
        fireEvent.keyDown(corner('top left'), { key: 'ArrowRight' });
        fireEvent.keyUp(corner('top left'), { key: 'ArrowRight' });
        expect(corner('top left').getAttribute('aria-label')).toContain('11 % across, 10 % down');
        write('rows', '2');
        write('columns', '3');
        write('Pencils in the grid, row by row', '3 moss\n4 brick');
        // Two lines between three columns, one between two rows.
        expect(document.querySelectorAll('svg line')).toHaveLength(3);
        fireEvent.click(screen.getByRole('button', { name: 'Read the page' }));
        await screen.findByText(/2 swatches on your own page/);
        const body = app.last('POST')?.body as FormData;
        expect(Object.fromEntries(['corners', 'rows', 'columns', 'pencils', 'line', 'paper'].map((f) => [f, body.get(f)]))).toEqual({
            corners: '0.1100,0.1000,0.9000,0.1000,0.9000,0.9000,0.1000,0.9000',
            rows: '2',
            columns: '3',
            pencils: '3 moss\n4 brick',
            line: '',
            paper: 'white medium',
        });
        // Nothing is printed of it and nothing photographed again; the grid is where it was.
        expect(screen.queryByRole('link', { name: 'Print the chart' })).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Use my own page of swatches' }));
        expect(corner('top left').getAttribute('aria-label')).toContain('11 % across');
        expect(screen.getByLabelText('columns')).toHaveProperty('value', '3');
    });

    it('says what is wrong with it, and keeps all that was set', async () => {
        app.refuses('POST', '/api/drawer/swatches', 422, 'Too little bare paper is seen around it.');
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Use my own page of swatches' }));
        await screen.findByText(/with bare paper all round/);
        choose('own.jpg');
        await screen.findByAltText('Your page of swatches');
        write('Pencils in the grid, row by row', '3 moss');
        fireEvent.click(screen.getByRole('button', { name: 'Read the page' }));
        await screen.findByText('Too little bare paper is seen around it.');
        expect(screen.getByLabelText('Pencils in the grid, row by row')).toHaveProperty('value', '3 moss');
        fireEvent.click(screen.getByRole('button', { name: 'Back to charts' }));
        expect(await list()).toBeTruthy();
    });
});

describe('a grid between four corners', () => {
    const aslant = [
        [0.1, 0.2],
        [0.8, 0.1],
        [0.95, 0.9],
        [0.2, 0.7],
    ] as const;

    it('ends at the corners, and runs through its middle as a camera sees it', () => {
        for (const [i, [u, v]] of [
            [0, 0],
            [1, 0],
            [1, 1],
            [0, 1],
        ].entries()) {
            expect(between(aslant, u ?? 0, v ?? 0)[0]).toBeCloseTo(aslant[i]?.[0] ?? 0, 9);
            expect(between(aslant, u ?? 0, v ?? 0)[1]).toBeCloseTo(aslant[i]?.[1] ?? 0, 9);
        }
        // The diagonals of what is seen cross where the middle of the page lies.
        const [x, y] = between(aslant, 0.5, 0.5);
        const on = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]) =>
            (bx - ax) * (y - ay) - (by - ay) * (x - ax);
        expect(on(aslant[0], aslant[2])).toBeCloseTo(0, 9);
        expect(on(aslant[1], aslant[3])).toBeCloseTo(0, 9);
    });
});
