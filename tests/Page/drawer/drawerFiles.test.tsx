import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { DrawerImport } from '../../../resources/ts/api/types';
import { rememberedTray } from '../../../resources/ts/places/drawer/drawerState';

import { FilesView } from '../../../resources/ts/places/drawer/FilesView';
import { ImportPart } from '../../../resources/ts/places/drawer/ImportPart';

import { application, wrapper } from '../application';

const app = application();

const formats = ['csv', 'json', 'gpl', 'cgats', 'spectral'].map((kind) => ({ kind, ending: kind, name: kind, holds: '' }));

describe('a file on its way in', () => {
    const preview: DrawerImport = {
        id: 4,
        state: 'preview',
        done: 0,
        total: 3,
        choices: { known: 'renew', twice: 'merge', others: 'keep' },
        preview: {
            counts: { new: 2, changed: 1, same: 0, dropped: 0, problems: 1 },
            problems: ['row 5, column heavy: A colour is written #rrggbb.'],
            twice: [{ rows: [3, 4], id: '2', differs: ['over_black'] }],
            rows: [{ row: 2, what: 'new', id: '1', number: '1', name: 'Hull', line: '', stock: 'owned' }],
        },
    };
    const choose = (name = 'drawer.csv') => {
        const input = document.querySelector('input[type="file"]');
        fireEvent.change(input as Element, { target: { files: [new File(['number,heavy'], name)] } });
    };

    it('is looked at first: every problem, rows of one pencil, and what would change', async () => {
        app.says('POST', '/api/drawer/imports', preview, 201);
        app.says('POST', '/api/drawer/imports/4/take', { ...preview, state: 'working', done: 1, preview: null }, 202);
        app.says('PATCH', '/api/drawer/imports/4', {
            ...preview,
            choices: { ...preview.choices, others: 'not owned' },
            preview: { ...preview.preview, counts: { new: 2, changed: 1, same: 0, dropped: 20, problems: 1 } },
        });
        render(<ImportPart formats={formats} />, { wrapper });
        expect(screen.getByText(/before anything is imported/)).toBeTruthy();
        choose();
        await screen.findByText('2 new, 1 changed, 0 as they are.');
        expect(screen.getByText('1 row has a problem; these rows are skipped:')).toBeTruthy();
        expect(screen.getByRole('list', { name: 'Several rows for one pencil' }).textContent).toBe(
            '2 is in rows 3, 4; they differ in over black, the first row is used',
        );
        expect(screen.getByRole('list', { name: 'Pencils that would change' }).textContent).toContain(
            'row 2: 1 Hull (new, owned)and 2 more',
        );
        fireEvent.change(screen.getByLabelText('Pencils not in the file:'), { target: { value: 'not owned' } });
        await screen.findByText('2 new, 1 changed, 0 as they are, 20 no longer owned.');
        expect(app.last('PATCH')?.body).toEqual({ known: 'renew', twice: 'merge', others: 'not owned' });
        fireEvent.click(screen.getByRole('button', { name: 'Import 23 pencils' }));
        await screen.findByText(/^Importing pencil 1 of 3/);
        expect(screen.getByRole('progressbar')).toHaveProperty('value', 1);
    });

    it('is left with nothing changed, and a file that can not be read says why', async () => {
        app.says('POST', '/api/drawer/imports', preview, 201);
        app.says('DELETE', '/api/drawer/imports/4', { ...preview, state: 'cancelled', preview: null });
        render(<ImportPart formats={formats} />, { wrapper });
        choose();
        fireEvent.click(await screen.findByRole('button', { name: 'Cancel' }));
        await screen.findByText('Import cancelled; your drawer is unchanged.');
        app.refuses('POST', '/api/drawer/imports', 422, 'x', { problems: ['Row 1 must name the columns.'] });
        choose('list.csv');
        await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('Row 1 must name the columns.'));
    });
});

describe('in and out', () => {
    it('notes a run of numbers of a line, and offers every format', () => {
        const mutate = vi.fn((_: unknown, after?: { onSuccess?: (answer: unknown) => void }) => after?.onSuccess?.({ changed: 7 }));
        const range = { mutate, isPending: false };
        render(
            <FilesView lines={[{ line: 'A', pencils: 3, owned: 1 }]} formats={formats} order="value" range={range} onFault={vi.fn()} />,
            { wrapper },
        );
        fireEvent.change(screen.getByLabelText('Numbers'), { target: { value: '601-624' } });
        fireEvent.change(screen.getByLabelText('are'), { target: { value: 'wanted' } });
        fireEvent.click(screen.getByRole('button', { name: 'Mark pencils' }));
        expect(mutate.mock.calls[0]?.[0]).toEqual({ line: 'A', numbers: '601-624', stock: 'wanted' });
        expect(screen.getByText('7 changed.')).toBeTruthy();
        expect(screen.getAllByRole('link').map((a) => a.getAttribute('href'))).toEqual(
            ['csv', 'json', 'gpl', 'cgats', 'spectral'].map((k) => `/api/drawer/file/${k}`),
        );
        fireEvent.change(screen.getByLabelText('slots'), { target: { value: '18' } });
        expect(rememberedTray()).toEqual({ rows: '2', slots: '18' });
    });
});
