import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { queryOf } from '../../../resources/ts/places/book/recipes/queries';
import { RecipesView } from '../../../resources/ts/places/book/recipes/RecipesView';
import { application, wrapper as Wrapper } from '../application';
import { study, trayPencil } from '../examples';
import { book, bookRecipe, deskOfZones } from './bookExamples';

const app = application();
const onFault = vi.fn();

const show = () =>
    render(
        <MemoryRouter>
            <Wrapper>
                <RecipesView study={study} onFault={onFault} />
            </Wrapper>
        </MemoryRouter>,
    );

const photo = () => screen.getByRole('application');

describe('the book of recipes', () => {
    beforeEach(() => {
        onFault.mockReset();
        app.says('GET', '/api/book/recipes', book([bookRecipe(1, 'sea'), bookRecipe(2, 'slate', { outcome: 'a little dull' })]));
        app.says('GET', '/desk', deskOfZones([4, 'rope', 2, 3], [5, 'sea', 4, 0], [6, 'post', 0, 4]));
        app.says('GET', '/api/drawer/tray', { pencils: [trayPencil('741', 'Slate step')], unfitted: 0 });
        app.says('GET', /studies$/, { studies: [study], papers: ['white medium', 'grey medium'] });
    });

    it('shows each with its dabs, its passes and what was said of it', async () => {
        show();
        const entry = (await screen.findAllByRole('listitem'))[1] as HTMLElement;
        expect(entry.textContent).toContain('741 light to firm · 735 whisper');
        expect(entry.textContent).toContain('wet slate; a little dull; from “Low water”; white medium');
        expect(
            within(entry)
                .getAllByRole('img')
                .map((i) => i.getAttribute('aria-label')),
        ).toEqual(['light', 'dark']);
        expect(screen.getByRole('heading', { name: 'In the book: 2' })).toBeTruthy();
    });

    it('looks for a colour that is pointed at, by mouse and by arrows, and only for the latest', async () => {
        app.says('GET', '/spot', { hex: '#a1b2c3', words: 'value 7 of 9, cool grey' });
        show();
        await screen.findAllByRole('listitem');
        vi.spyOn(photo(), 'getBoundingClientRect').mockReturnValue(new DOMRect(0, 0, 400, 300));
        fireEvent.click(photo(), { clientX: 100, clientY: 150 });
        await screen.findByText('like this: value 7 of 9, cool grey');
        expect(app.last('GET', '/spot')?.path).toContain(
            `x=${Math.round(0.25 * (study.photoWidth - 1))}&y=${Math.round(0.5 * (study.photoHeight - 1))}`,
        );
        await waitFor(() => expect(app.last('GET', '/api/book/recipes')?.path).toContain('like=%23a1b2c3'));
        fireEvent.keyDown(photo(), { key: 'ArrowRight' });
        fireEvent.keyDown(photo(), { key: 'ArrowDown' });
        fireEvent.keyDown(photo(), { key: 'Enter' });
        await waitFor(() => expect(app.last('GET', '/spot')?.path).toContain(`x=${Math.round(0.27 * (study.photoWidth - 1))}`));
        app.says('GET', '/api/book/recipes', book([]));
        fireEvent.click(screen.getByRole('button', { name: 'any colour' }));
        fireEvent.change(screen.getByLabelText('Words'), { target: { value: ' heron ' } });
        await screen.findByText('No recipe in your Book matches all of that.');
        expect(app.last('GET', '/api/book/recipes')?.path).toContain('words=heron&');
        app.refuses('GET', '/spot', 422, 'No such place.');
        fireEvent.keyDown(photo(), { key: ' ' });
        await waitFor(() => expect(onFault).toHaveBeenCalledWith('No such place.'));
    });

    it('asks only for what is wanted', () => {
        expect(queryOf({ like: null, words: '  ', pencil: '', paper: '' })).toBe('');
        expect(queryOf({ like: '#a1b2c3', words: 'wet slate', pencil: 'Slipway/741', paper: 'grey medium' })).toBe(
            'like=%23a1b2c3&words=wet+slate&pencil=Slipway%2F741&paper=grey+medium',
        );
    });

    it('offers what is done first, and keeps a zone with what is said of it', async () => {
        app.says('POST', '/book-recipes', book([bookRecipe(3, 'sea')]), 201);
        show();
        const zone = await screen.findByRole('combobox', { name: 'Zone to save' });
        expect(
            within(zone)
                .getAllByRole('option')
                .map((o) => o.textContent),
        ).toEqual(['sea, done', 'rope, in progress', 'post']);
        fireEvent.change(screen.getByLabelText('Subject'), { target: { value: 'dusk' } });
        fireEvent.click(screen.getByRole('button', { name: 'Save in the Book' }));
        await waitFor(() => expect(app.last('POST')?.body).toEqual({ zone: 5, words: 'dusk', outcome: '' }));
        await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Subject').value).toBe(''));
    });

    it('lays one with today’s pencils, and says what stands in for what is missing', async () => {
        const pass = { finish: null, pencil: null, pressures: {}, words: '728 over all of it lightly', reason: null };
        const dab = { hex: '#a0b0c0', strata: Array.from({ length: 6 }, () => '#a0b0c0'), colourWords: 'grey', toothUsed: 0.2 };
        app.says('GET', '/laid', {
            id: 1,
            paper: study.paper,
            standIns: [
                {
                    missing: 'Slipway/741',
                    by: 'Slipway/728',
                    steps: 0,
                    deltaE00: 3.2,
                    words: '741 is not available: 728 in its place, 3.2 off.',
                },
            ],
            sequence: {
                label: 'closest',
                words: '',
                passes: [{ ...pass, dabs: { light: dab } }],
                warnings: [],
                errorOnPaper: 4.2,
                errorInHand: 4,
                missed: 3.2,
            },
        });
        show();
        fireEvent.click((await screen.findAllByRole('button', { name: 'Use today’s pencils' }))[0] as HTMLElement);
        const laid = within(await screen.findByRole('region', { name: '“sea” with today’s pencils' }));
        expect(laid.getByRole('status').textContent).toBe('741 is not available: 728 in its place, 3.2 off.');
        expect(laid.getByRole('img', { name: 'light, now' })).toBeTruthy();
        expect(laid.getByText('728 over all of it lightly')).toBeTruthy();
        expect(laid.getByText(/likely error 4/)).toBeTruthy();
    });

    it('changes words, takes one out and puts it back', async () => {
        for (const method of ['PATCH', 'DELETE', 'POST']) {
            app.says(method, '/api/book/recipes/', book([bookRecipe(2, 'slate')]));
        }
        show();
        const entry = within((await screen.findAllByRole('listitem'))[0] as HTMLElement);
        fireEvent.click(entry.getByRole('button', { name: 'Edit details' }));
        fireEvent.change(entry.getByLabelText('Name'), { target: { value: ' ' } });
        expect(entry.getByRole<HTMLButtonElement>('button', { name: 'Save details' }).disabled).toBe(true);
        fireEvent.change(entry.getByLabelText('Name'), { target: { value: 'grey sea' } });
        fireEvent.click(entry.getByRole('button', { name: 'Save details' }));
        await waitFor(() => expect(app.last('PATCH')?.body).toEqual({ name: 'grey sea', words: 'wet slate', outcome: '' }));
        fireEvent.click(entry.getByRole('button', { name: 'Remove “sea” from the Book' }));
        fireEvent.click(await screen.findByRole('button', { name: 'Undo remove' }));
        await waitFor(() => expect(app.last('POST')?.path).toBe('/api/book/recipes/1/restore'));
        await waitFor(() => expect(screen.queryByRole('button', { name: 'Undo remove' })).toBeNull());
    });
});
