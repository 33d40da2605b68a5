import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { photo, study, survey } from '../examples';
import { app, beside, paste, show, stage } from './photoHands';

describe('the study that is opened', () => {
    it('is the one of the address, or the one of last time, or the newest', async () => {
        const { unmount } = show();
        expect((await stage()).getAttribute('aria-label')).toContain('low-water.jpg');
        unmount();
        const named = show('/photo/9');
        expect((await stage()).getAttribute('aria-label')).toContain('high-water.jpg');
        named.unmount();
        show();
        expect((await stage()).getAttribute('aria-label')).toContain('high-water.jpg');
    });

    it('is changed above the photo, and so is its paper', async () => {
        app.says('PATCH', '/api/studies/7', { ...study, paper: 'black' });
        show('/photo/7');
        await stage();
        fireEvent.change(screen.getByLabelText('Paper'), { target: { value: 'black' } });
        await waitFor(() => expect(app.last('PATCH')).toMatchObject({ path: '/api/studies/7', body: { paper: 'black' } }));
        fireEvent.change(screen.getByLabelText('Study'), { target: { value: '9' } });
        await waitFor(async () => expect((await stage()).getAttribute('aria-label')).toContain('high-water.jpg'));
    });

    it('leads to the first pencils where there are none, and says nothing of them where there are', async () => {
        app.says('GET', /\/api\/studies$/, { studies: [], papers: [] });
        const { unmount } = show();
        await screen.findByRole('heading', { name: 'Start with the photo you want to draw' });
        expect(screen.queryByRole('link', { name: 'Photograph my pencils' })).toBeNull();
        unmount();
        app.says('GET', '/api/drawer', { pencils: [] });
        show();
        expect((await screen.findByRole('link', { name: 'Photograph my pencils' })).getAttribute('href')).toBe('/drawer?beside=measure');
        expect(screen.getByRole('link', { name: 'Import a file' }).getAttribute('href')).toBe('/drawer?beside=files');
    });

    it('begins with the sample pencils and the sample photo in a press each', async () => {
        app.says('GET', /\/api\/studies$/, { studies: [], papers: [] });
        app.says('GET', '/api/drawer', { pencils: [] });
        app.says('GET', '/api/drawer/sample.csv', {});
        app.says('POST', '/api/drawer/imports', { id: 5, state: 'preview' }, 202);
        app.says('POST', '/api/drawer/imports/5/take', { id: 5, state: 'working' });
        app.says('GET', '/api/drawer/imports/5', { id: 5, state: 'failed' });
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Use sample pencils' }));
        expect(await screen.findByText(/The sample pencils were not added/)).toBeTruthy();
        app.says('GET', '/api/drawer/imports/5', { id: 5, state: 'done' });
        app.says('GET', /\/api\/drawer$/, { pencils: [{}] });
        fireEvent.click(screen.getByRole('button', { name: 'Use sample pencils' }));
        await waitFor(() => expect(screen.queryByRole('button', { name: /pencils/ })).toBeNull());
        app.says('GET', '/api/studies/sample.jpg', {});
        app.says('POST', /\/api\/studies$/, study, 201);
        app.says('GET', /\/api\/studies$/, { studies: [study], papers: [] });
        fireEvent.click(screen.getByRole('button', { name: 'Use the sample photo' }));
        expect(await stage()).toBeTruthy();
    });

    it('is asked for where there is none; a photo may be pasted, and a refusal is told with what was there left as it was', async () => {
        app.says('GET', /\/api\/studies$/, { studies: [], papers: [] });
        app.refuses('POST', /\/api\/studies$/, 422, 'This is no photo: its first bytes are those of a text.');
        show();
        await screen.findByRole('heading', { name: 'Start with the photo you want to draw' });
        paste(new File(['x'], 'notes.png', { type: 'image/png' }));
        expect(await screen.findByText(/its first bytes are those of a text/)).toBeTruthy();
        paste(new File(['x'], 'notes.txt', { type: 'text/plain' }));
        expect(app.asked.filter((a) => a.method === 'POST')).toHaveLength(1);
        app.says('POST', /\/api\/studies$/, study, 201);
        app.says('GET', /\/api\/studies$/, { studies: [study], papers: [] });
        paste(new File(['x'], 'low-water.png', { type: 'image/png' }));
        // Hands go on at the photo.
        await waitFor(async () => expect(document.activeElement).toBe(await stage()));
        expect(screen.queryByText(/its first bytes are those of a text/)).toBeNull();
    });
});

describe('photos side by side', () => {
    it('are added by pasting where photos are, and the colours follow the one that is chosen', async () => {
        const second = { ...photo, id: 12, name: 'evening.jpg', roles: ['light' as const] };
        app.says('POST', '/photos', { ...survey, photos: [photo, second] }, 201);
        app.says('PATCH', '/api/studies/7', { ...study, photoId: 12 });
        show('/photo/7');
        await stage();
        beside('Photos');
        app.says('GET', '/survey', { ...survey, photos: [photo, second] });
        paste(new File(['x'], 'evening.png', { type: 'image/png' }));
        await waitFor(() => expect(app.last('POST')?.path).toBe('/api/studies/7/photos'));
        await waitFor(() => expect(app.last('GET', '/comparison')?.path).toContain('one=12&other=3'));
        const follow = await screen.findByRole('button', { name: 'Use for colours' });
        fireEvent.click(follow);
        await waitFor(() => expect(app.last('PATCH')?.body).toEqual({ colourPhoto: 12 }));
    });
});
