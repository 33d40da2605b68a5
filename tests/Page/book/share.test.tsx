import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { AccountPart } from '../../../resources/ts/places/book/share/AccountPart';
import { ShareView } from '../../../resources/ts/places/book/share/ShareView';
import { SharedPlace } from '../../../resources/ts/places/shared/SharedPlace';
import { application, wrapper as Wrapper } from '../application';
import { study } from '../examples';
import { sharedPlan } from './bookExamples';

const app = application();
const onFault = vi.fn();

const link = { path: '/shared/abc', photo: null, photoName: null, note: '', at: null };

describe('a plan that is shown', () => {
    beforeEach(() => onFault.mockReset());

    const show = () =>
        render(
            <MemoryRouter>
                <Wrapper>
                    <ShareView study={study} onFault={onFault} />
                </Wrapper>
            </MemoryRouter>,
        );

    it('gets a link when it is wanted, tells what was said, and is withdrawn', async () => {
        app.says('GET', '/share', { link: null });
        app.says('POST', '/share', { link: { ...link, photo: 4, photoName: 'evening', note: 'Warmer.', at: 1_795_000_000 } }, 201);
        app.says('DELETE', '/share', { link: null });
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Create link' }));
        expect((await screen.findByLabelText<HTMLInputElement>('The link')).value).toBe(`${window.location.origin}/shared/abc`);
        expect(screen.getByText(/Warmer\./).textContent).toContain('Colours should follow “evening”.');
        fireEvent.click(screen.getByRole('button', { name: 'Stop sharing' }));
        await screen.findByRole('button', { name: 'Create link' });
        app.refuses('POST', '/share', 503, 'The database does not answer.');
        fireEvent.click(screen.getByRole('button', { name: 'Create link' }));
        await waitFor(() => expect(onFault).toHaveBeenCalledWith('The database does not answer.'));
    });

    it('is copied, or said to be copied by hand where the browser does not let it', async () => {
        app.says('GET', '/share', { link });
        const writeText = vi.fn().mockRejectedValueOnce(new Error('no')).mockResolvedValue(undefined);
        Object.defineProperty(navigator, 'clipboard', { value: { writeText }, configurable: true });
        show();
        await screen.findByText('No replies yet.');
        fireEvent.click(screen.getByRole('button', { name: 'Copy' }));
        await waitFor(() => expect(onFault).toHaveBeenCalledWith(expect.stringContaining('copy it by hand')));
        expect(writeText).toHaveBeenCalledWith(`${window.location.origin}/shared/abc`);
    });
});

describe('who looks on', () => {
    const show = () =>
        render(
            <MemoryRouter initialEntries={['/shared/abc']}>
                <Wrapper>
                    <Routes>
                        <Route path="/shared/:token" element={<SharedPlace />} />
                    </Routes>
                </Wrapper>
            </MemoryRouter>,
        );

    it('sees photos, the picture to come and how each zone is laid, and says which photo to follow', async () => {
        app.says('GET', '/api/shared/abc', sharedPlan());
        app.says('POST', '/api/shared/abc/note', sharedPlan({ said: { photo: 4, note: 'Warmer.', at: 5 } }));
        show();
        await screen.findByRole('heading', { name: 'Low water: how it is to be drawn' });
        expect(screen.getByText(/Likely error on paper: 5/)).toBeTruthy();
        expect(screen.getAllByRole('img').map((i) => i.getAttribute('src'))).toEqual([
            '/api/shared/abc/photos/3',
            '/api/shared/abc/photos/4',
            '/api/shared/abc/drawn?step=5',
        ]);
        const zones = within(screen.getByRole('list', { name: 'Zones' })).getAllByRole('listitem');
        expect(zones.map((z) => z.textContent)).toEqual([
            'sea741 Slate step over all of it lightly. Likely error 3.',
            'ropeNot planned yet.',
        ]);
        fireEvent.click(screen.getByRole('radio', { name: 'evening' }));
        fireEvent.change(screen.getByLabelText('A note for the artist'), { target: { value: 'Warmer.' } });
        app.says('GET', '/api/shared/abc', sharedPlan({ said: { photo: 4, note: 'Warmer.', at: 5 } }));
        fireEvent.click(screen.getByRole('button', { name: 'Send reply' }));
        expect((await screen.findByRole('status')).textContent).toContain('Sent. You can change it');
        expect(app.last('POST')?.body).toEqual({ photo: 4, note: 'Warmer.' });
    });

    it('is told that there is nothing any more, or why it can not be shown', async () => {
        app.refuses('GET', '/api/shared/abc', 404, 'Not found.');
        const { unmount } = show();
        expect((await screen.findByRole('alert')).textContent).toContain('Sharing was stopped');
        unmount();
        app.refuses('GET', '/api/shared/abc', 503, 'The database does not answer.');
        show();
        expect((await screen.findByRole('alert')).textContent).toBe('The database does not answer.');
    });

    it('is told of a note that did not arrive, and keeps what was written', async () => {
        app.says('GET', '/api/shared/abc', sharedPlan({ photos: sharedPlan().photos.slice(0, 1), isPlanned: false }));
        app.refuses('POST', '/note', 422, 'A note has up to 1000 characters.');
        show();
        await screen.findByText(/Some zones are not planned yet/);
        expect(screen.queryByRole('radio')).toBeNull();
        fireEvent.change(screen.getByLabelText('A note for the artist'), { target: { value: 'Long.' } });
        fireEvent.click(screen.getByRole('button', { name: 'Send reply' }));
        expect((await screen.findByRole('alert')).textContent).toBe('A note has up to 1000 characters.');
        expect(screen.getByLabelText<HTMLInputElement>('A note for the artist').value).toBe('Long.');
    });
});

describe('everything taken along', () => {
    it('says what of an account file was taken in, and what was not', async () => {
        const { container } = render(
            <Wrapper>
                <AccountPart />
            </Wrapper>,
        );
        expect(screen.getByRole('link', { name: 'Save account as a file' }).getAttribute('href')).toBe('/api/book/account.zip');
        const choose = () =>
            fireEvent.change(container.querySelector('input[type=file]') as HTMLInputElement, {
                target: { files: [new File(['x'], 'all.zip')] },
            });
        app.says('GET', '/api/book/account', { import: null });
        app.refuses('POST', '/api/book/account', 422, 'This is not an account file.');
        choose();
        expect((await screen.findByRole('alert')).textContent).toBe('This is not an account file.');
        const begun = { id: 7, state: 'waiting', done: 0, total: 0, taken: null, problem: null };
        app.says('POST', '/api/book/account', begun, 202);
        app.says('GET', '/api/book/account', { import: { ...begun, state: 'working', done: 1, total: 2 } });
        choose();
        await screen.findByText(/Restoring study 2 of 2/);
        app.says('GET', '/api/book/account', {
            import: {
                ...begun,
                state: 'done',
                taken: { pencils: 3, studies: 1, known: 1, recipes: 5, practice: 40, problems: ['studies/2.json: damaged.'] },
            },
        });
        await waitFor(() =>
            expect(screen.getByRole('status').textContent).toBe(
                'Restored: 3 pencils, 1 study, 5 recipes, 40 answers from practice. ' +
                    '1 study you already have was kept unchanged. studies/2.json: damaged.',
            ),
        );
    });

    it('goes on telling of a file after a reload, and calls it off', async () => {
        const begun = { id: 7, state: 'working', done: 0, total: 9, taken: null, problem: null };
        app.says('GET', '/api/book/account', { import: begun });
        render(
            <Wrapper>
                <AccountPart />
            </Wrapper>,
        );
        await screen.findByText(/Restoring study 1 of 9/);
        app.says('GET', '/api/book/account', { import: { ...begun, state: 'cancelled' } });
        app.says('DELETE', '/api/book/account/imports/7', { ...begun, state: 'cancelled' });
        fireEvent.click(screen.getByRole('button', { name: 'Cancel' }));
        await screen.findByText('Cancelled. Nothing was restored.');
    });
});
