import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { DeskScreen } from '../../../resources/ts/places/desk/DeskScreen';
import { application, wrapper as Wrapper } from '../application';
import { study } from '../examples';
import { desk, pencilAt, solvent, step } from './deskExamples';

const app = application();
const onFault = vi.fn();

const show = () =>
    render(
        <MemoryRouter>
            <Wrapper>
                <DeskScreen study={study} onFault={onFault} />
            </Wrapper>
        </MemoryRouter>,
    );

const steps = [step(1, 0, '711', { warnings: ['This pass swings with the hand.'], turn: 1 }), step(2, 0, '741'), step(1, 1, '735')];

async function sitDown() {
    show();
    fireEvent.click(await screen.findByRole('button', { name: 'Start session' }));
}

const number = () => screen.getByTestId('number').textContent;

describe('the desk', () => {
    beforeEach(() => {
        sessionStorage.clear();
        onFault.mockReset();
        app.says('GET', '/desk', desk(steps));
        app.says('GET', '/drawer', { pencils: [pencilAt('711'), pencilAt('999', 'Spare')] });
    });

    it('lays out the pencils of a session first, with what to mind', async () => {
        show();
        const part = await screen.findByRole('region', { name: 'Laying out' });
        expect(part.textContent).toContain('711');
        expect(part.textContent).toContain('away from the thumb');
        // No key lays a pass while pencils are laid out.
        fireEvent.keyDown(window, { key: ' ' });
        expect(app.last('POST')).toBeUndefined();
    });

    it('shows one pass with all that it takes, and only its own warnings', async () => {
        await sitDown();
        const pass = screen.getByRole('region', { name: 'This pass' });
        expect(number()).toBe('711');
        for (const text of [
            'oil',
            'rope, pass 1 of 3',
            'a little firmer in the darks',
            'a sharp point',
            'turned a quarter to the left',
            'swings with the hand',
        ]) {
            expect(pass.textContent).toContain(text);
        }
        const strip = within(pass).getByRole('table', { name: 'Where to press how much' });
        expect(within(strip).getAllByText('not here')).toHaveLength(1);
        expect(screen.getByText(/Then 741, “sea”/)).toBeTruthy();
        expect(screen.getByRole('link', { name: 'Try on a scrap first' }).getAttribute('href')).toContain(`planOf=${study.id}`);
    });

    it('ticks by touch and by key, with the clock of the device, and goes on before there is an answer', async () => {
        await sitDown();
        fireEvent.click(screen.getByRole('button', { name: 'Laid' }));
        expect(number()).toBe('741');
        expect(app.last('POST')).toMatchObject({
            path: `/api/studies/${study.id}/desk/ticks`,
            body: { kind: 'done', zone: 1, position: 0, tool: 'Line/711', pressures: { mid: 'light', dark: 'medium' } },
        });
        fireEvent.keyDown(window, { key: 's' });
        expect(number()).toBe('735');
        fireEvent.keyDown(window, { key: 'Backspace' });
        expect(number()).toBe('741');
        fireEvent.keyDown(window, { key: 'z', ctrlKey: true });
        expect(number()).toBe('711');
    });

    it('ticks coats that are alike at once, or the first of them alone', async () => {
        app.says('GET', '/desk', desk([step(1, 0, '711', { coats: 2, of: 4 }), step(2, 0, '741')]));
        await sitDown();
        expect(screen.getByRole('region', { name: 'This pass' }).textContent).toContain('rope, passes 1 and 2 of 4');
        fireEvent.click(screen.getByRole('button', { name: 'Laid, two coats' }));
        expect(number()).toBe('741');
        expect(app.last('POST')?.body).toMatchObject({ zone: 1, position: 0, coats: 2 });
        fireEvent.keyDown(window, { key: 'Backspace' });
        fireEvent.click(screen.getByRole('button', { name: 'One coat done' }));
        expect(screen.getByRole('region', { name: 'This pass' }).textContent).toContain('rope, pass 2 of 4');
        expect(screen.getByRole('button', { name: 'Laid' })).toBeTruthy();
    });

    it('keeps what is ticked while nothing answers, and says what was refused', async () => {
        app.says('POST', '/ticks', null, 0);
        await sitDown();
        fireEvent.keyDown(window, { key: ' ' });
        fireEvent.keyDown(window, { key: ' ' });
        expect(number()).toBe('735');
        expect(Object.keys(localStorage).filter((k) => k.startsWith('waiting/'))).toHaveLength(2);
        act(() => localStorage.clear());
    });

    it('says that a tick was made elsewhere, and shows the pass again', async () => {
        app.refuses('POST', '/ticks', 422, '“rope” was ticked elsewhere meanwhile.');
        await sitDown();
        fireEvent.keyDown(window, { key: ' ' });
        await waitFor(() => expect(onFault).toHaveBeenCalled());
        await waitFor(() => expect(number()).toBe('711'));
    });

    it('takes in what was really laid, and refuses nothing at all', async () => {
        await sitDown();
        fireEvent.keyDown(window, { key: 'o' });
        const part = screen.getByRole('region', { name: 'Something else' });
        await within(part).findByRole('option', { name: '999 Spare' });
        fireEvent.change(within(part).getByLabelText('With'), { target: { value: 'Line/999' } });
        for (const shade of ['mid', 'dark']) {
            fireEvent.change(within(part).getByLabelText(shade), { target: { value: '' } });
        }
        expect(within(part).getByRole('alert').textContent).toContain('Skip');
        fireEvent.change(within(part).getByLabelText('rust'), { target: { value: 'full' } });
        fireEvent.click(within(part).getByRole('button', { name: 'Save what I did' }));
        expect(app.last('POST')?.body).toMatchObject({
            kind: 'other',
            zone: 1,
            position: 0,
            tool: 'Line/999',
            pressures: { touch: 'full' },
        });
        expect(number()).toBe('741');
        expect(screen.getByText(/“rope” is planned again/)).toBeTruthy();
        fireEvent.keyDown(window, { key: 'o' });
        fireEvent.keyDown(window, { key: 'Escape' });
        expect(screen.queryByRole('region', { name: 'Something else' })).toBeNull();
    });

    it('shows the caution of a solvent until it is known, and a timer once it is laid', async () => {
        app.says('GET', '/desk', desk([solvent(1, 0), step(2, 0, '741')]));
        await sitDown();
        expect(screen.getByRole('note').textContent).toContain('read its label first');
        fireEvent.click(screen.getByRole('button', { name: 'Hide for this session' }));
        expect(screen.queryByRole('note')).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Laid' }));
        expect(screen.getByRole('timer').textContent).toMatch(/^[45]:\d\d$/);
        fireEvent.click(screen.getByRole('button', { name: 'Laid' }));
        expect(screen.getByText(/Wait until “rope” is dry/)).toBeTruthy();
    });

    it('tells how it is worked, refuses a length beyond reason, and sends what was chosen', async () => {
        await sitDown();
        fireEvent.click(screen.getByRole('button', { name: 'Settings' }));
        const field = screen.getByLabelText('Session, minutes');
        fireEvent.change(field, { target: { value: '5' } });
        fireEvent.keyDown(field, { key: 'Enter' });
        expect(screen.getByRole('alert').textContent).toBe('10 to 480 minutes.');
        fireEvent.change(field, { target: { value: '90' } });
        fireEvent.keyDown(field, { key: 'Enter' });
        expect(app.last('PATCH', '/habits')?.body).toEqual({ session: 90 });
        app.says('PATCH', '/habits', desk(steps));
    });

    it('says whether this is a good place to stop, and what keeps it from being finished', async () => {
        app.says('GET', '/finished', {
            findings: [{ what: 'dark', zone: 2, text: 'The dark of “sea” is a value step too light.', step: 'Go over it once more.' }],
        });
        await sitDown();
        fireEvent.click(screen.getByRole('button', { name: 'Finished?' }));
        fireEvent.click(await screen.findByRole('button', { name: /Show where: The dark of “sea”/ }));
        expect(screen.getByAltText('the photo, “sea” in it')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Stop here' }));
        expect(screen.getByRole('region', { name: 'Stop here' }).textContent).toContain('good place to stop');
        fireEvent.click(screen.getByRole('button', { name: 'Stop for today' }));
        fireEvent.keyDown(window, { key: 'Escape' });
        expect(screen.getByRole('region', { name: 'Laying out' })).toBeTruthy();
    });

    it('says when the session is done, and leads to stopping', async () => {
        app.says('GET', '/desk', desk(steps, { sessionEnds: true }));
        await sitDown();
        const said = screen.getByRole('status');
        expect(said.textContent).toContain('Session done');
        fireEvent.click(within(said).getByRole('button', { name: 'Stop here' }));
        expect(screen.getByRole('region', { name: 'Stop here' }).textContent).toContain('This is a good place to stop.');
    });

    it('asks for a break after three quarters of an hour, and for none where none is wished', async () => {
        const begun = Date.now() / 1000 - 46 * 60;
        sessionStorage.setItem(`sitting/${study.id}`, JSON.stringify({ begun, rested: begun }));
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Done' }));
        expect(screen.queryByText(/A break for eyes and wrists/)).toBeNull();
    });

    it('says what is missing, what is done, and what went wrong with a way to look again', async () => {
        app.says('GET', '/desk', desk([], { cannot: 'The picture is not planned yet: see “Plan”.' }));
        show();
        expect((await screen.findByRole('link', { name: 'Open the plan' })).getAttribute('href')).toBe(`/plan/${study.id}`);
        app.says('GET', '/desk', desk([], { howFar: 'All passes done' }));
        show();
        expect(await screen.findByText(/All passes are done. Press “Finished\?”/)).toBeTruthy();
        app.refuses('GET', '/desk', 500, 'The desk can not be shown.');
        show();
        expect(await screen.findByRole('button', { name: 'Try again' })).toBeTruthy();
    });
});
