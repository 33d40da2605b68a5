import { fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { beforeEach, vi } from 'vitest';
import type { Recipes, Study } from '../../../resources/ts/api/types';
import { PhotoPlace } from '../../../resources/ts/places/photo/PhotoPlace';
import { application, wrapper } from '../application';
import { entry, pass, plan, recipe, spot, study, survey, zones } from '../examples';

/** The place of the photo with a study and another one, as the application answers for it, and what hands do there. */
export const app = application();

export const other: Study = { ...study, id: 9, name: 'High water', photoId: 12, photoName: 'high-water.jpg' };
const recipes: Recipes = {
    target: spot,
    recipes: [recipe(), recipe({ label: 'fewest pencils' }, { stack: 'Slipway/668@0.80' })],
    nearestSingle: { pencil: pass('668').pencil, deltaE00: 2.4, closenessWords: 'Near' },
} as Recipes;

beforeEach(() => {
    vi.stubGlobal('scrollTo', vi.fn());
    app.says('GET', '/api/me', { name: 'Demo' });
    app.says('GET', /\/api\/studies$/, { studies: [study, other], papers: ['white medium', 'black'] });
    app.says('GET', '/api/drawer', { pencils: [pass('735').pencil, pass('668').pencil] });
    app.says('GET', '/spot?', spot);
    app.says('GET', '/survey', { ...survey, zones });
    app.says('GET', '/kept-recipes', plan(entry(1, 'rope')));
    app.says('GET', '/recipes?', recipes);
});

export const show = (at = '/photo') =>
    render(
        <MemoryRouter initialEntries={[at]}>
            <Routes>
                <Route path="/photo/:studyId?" element={<PhotoPlace />} />
            </Routes>
        </MemoryRouter>,
        { wrapper },
    );
export const stage = () => screen.findByRole('application', { name: /^Photo / });
export const beside = (name: string) =>
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Beside the photo' })).getByText(name));
export const key = (name: string, more: KeyboardEventInit = {}) => fireEvent.keyDown(document.body, { key: name, ...more });
export const paste = (file: File) => {
    const event = new Event('paste', { cancelable: true });
    Object.assign(event, { clipboardData: { files: [file] } });
    window.dispatchEvent(event);
};
export const settle = () => screen.findByText(/^Nearest single pencil/);
