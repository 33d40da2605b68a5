import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { LogView } from '../../../resources/ts/places/book/log/LogView';
import { inHours, inLength } from '../../../resources/ts/places/book/log/words';
import { application, wrapper as Wrapper } from '../application';
import { study } from '../examples';
import { log, session, supply } from './bookExamples';

const app = application();
const onFault = vi.fn();

const show = () =>
    render(
        <MemoryRouter>
            <Wrapper>
                <LogView study={study} onFault={onFault} />
            </Wrapper>
        </MemoryRouter>,
    );

describe('the log', () => {
    beforeEach(() => {
        onFault.mockReset();
        app.says('GET', '/supply', supply());
    });

    it('says that it fills by itself, and then tells each session', async () => {
        app.says('GET', '/api/book/log', { ...log([]), total: { sessions: 0, passes: 0, minutes: 0, usedMm: 0 } });
        const { unmount } = show();
        await screen.findByText(/No sessions yet/);
        expect(screen.queryByRole('region', { name: 'Totals' })).toBeNull();
        unmount();
        app.says('GET', '/api/book/log', log([session(1, { leftOut: 2, checks: [5] }), session(2)]));
        show();
        const first = (await screen.findAllByText(/9 passes/))[0]?.closest('li') as HTMLElement;
        expect(first.textContent).toContain('9 passes in 1 h 00, 2 left out: “sea”, “stone, left”.');
        expect(first.textContent).toContain('741, 6.8 mm');
        expect(
            within(screen.getByRole('list', { name: 'The drawing through time' }))
                .getByRole('img')
                .getAttribute('src'),
        ).toBe('/api/studies/7/plan/checks/5/photo');
        const totals = within(screen.getByRole('region', { name: 'Totals' }));
        expect(totals.getByRole('row', { name: /^total 2 2 h 05 18 131 mm/ })).toBeTruthy();
        expect(totals.getByRole('img', { name: 'Hours a week: week of 2 Nov, 3 h 05' }).querySelectorAll('rect')).toHaveLength(2);
        expect(totals.getByRole('link', { name: 'Calendar' }).getAttribute('href')).toBe('/api/book/log/log.ics');
    });

    it('opens earlier sessions when they are asked for', async () => {
        app.says('GET', 'skip=0', log([session(1)], 1));
        app.says('GET', 'skip=1', log([session(2, { studyName: 'Hills' })]));
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Earlier sessions' }));
        await screen.findByText('Hills');
        expect(screen.getAllByRole('listitem')).toHaveLength(2);
        expect(screen.queryByRole('button', { name: 'Earlier sessions' })).toBeNull();
    });

    it('keeps a note, leaves it on Escape, and says when it could not be kept', async () => {
        app.says('GET', '/api/book/log', log([session(4)]));
        app.says('PATCH', '/api/book/log', log([session(4, { note: 'rain' })]));
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Add a note' }));
        fireEvent.keyDown(screen.getByLabelText('Note of this session'), { key: 'Escape' });
        expect(app.last('PATCH')).toBeUndefined();
        fireEvent.click(screen.getByRole('button', { name: 'Add a note' }));
        fireEvent.change(screen.getByLabelText('Note of this session'), { target: { value: 'rain' } });
        fireEvent.click(screen.getByRole('button', { name: 'Save note' }));
        await waitFor(() => expect(app.last('PATCH')?.body).toEqual({ session: 4, note: 'rain' }));
        app.refuses('PATCH', '/api/book/log', 422, 'A note has up to 2000 characters.');
        fireEvent.click(screen.getByRole('button', { name: /^Add a note|^Edit note/ }));
        fireEvent.click(screen.getByRole('button', { name: 'Save note' }));
        await waitFor(() => expect(onFault).toHaveBeenCalledWith('A note has up to 2000 characters.'));
    });

    it('says which pencil will not last, and notes it in the drawer', async () => {
        app.says('GET', '/api/book/log', log([session(1)]));
        app.says('GET', '/supply', {
            ...supply({ words: 'Your 741 will not last.', runsLow: true, leftMm: 31, neededMm: 14 }),
            overruled: [{ zone: 'sea', shade: 'mid', code: 'flat', reason: 'it is fog' }],
        });
        app.says('PATCH', '/api/drawer/pencil', {});
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Mark 741 as running low' }));
        await waitFor(() => expect(app.last('PATCH', '/api/drawer/pencil')?.body).toEqual({ id: 'Slipway/741', stock: 'low' }));
        expect(screen.getByRole('row', { name: /741 Slate step 24 mm 14 mm 31 mm/ })).toBeTruthy();
        expect(screen.getByText('“sea”, mid: flat. it is fog')).toBeTruthy();
    });

    it('says why it can not be opened', async () => {
        app.refuses('GET', '/api/book/log', 503, 'The database does not answer.');
        show();
        expect((await screen.findByRole('alert')).textContent).toBe('The database does not answer.');
    });

    it('writes minutes and lengths as one says them', () => {
        expect([4, 59.6, 60, 125].map(inHours)).toEqual(['4 min', '1 h 00', '1 h 00', '2 h 05']);
        expect([0.42, 9.96, 14.4, 131].map(inLength)).toEqual(['0.4 mm', '10.0 mm', '14 mm', '131 mm']);
    });
});
