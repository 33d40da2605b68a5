import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { SignInScreen } from '../../resources/ts/app/SignInScreen';
import { TopBar } from '../../resources/ts/app/TopBar';
import { AccountPlace } from '../../resources/ts/places/account/AccountPlace';
import { application, wrapper } from './application';

const app = application();
const assign = vi.fn();

beforeEach(() => {
    assign.mockReset();
    vi.stubGlobal('location', { assign, pathname: '/sign-in' });
});

const fill = (label: RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('the door', () => {
    it('signs in with what was filled in, and goes to the photo', async () => {
        app.says('POST', '/sign-in', { name: 'Demo' });
        render(<SignInScreen />);
        fill(/^E-mail/, 'demo@example.org');
        fill(/^Password/, 'a long enough one');
        fireEvent.submit(screen.getByRole('form', { name: 'Sign in' }));
        expect(screen.getByRole('button', { name: 'One moment…' })).toHaveProperty('disabled', true);
        await waitFor(() => expect(assign).toHaveBeenCalledWith('/photo'));
        expect(app.last('POST')).toMatchObject({ path: '/sign-in', body: { email: 'demo@example.org', password: 'a long enough one' } });
    });

    it('says why it stays closed, keeps what was filled in, and can be tried again', async () => {
        app.refuses('POST', '/sign-in', 422, 'That address and password do not belong together.');
        render(<SignInScreen />);
        fill(/^E-mail/, 'demo@example.org');
        fill(/^Password/, 'wrong');
        fireEvent.submit(screen.getByRole('form', { name: 'Sign in' }));
        expect((await screen.findByText(/do not belong together/)).getAttribute('role')).toBe('alert');
        expect(screen.getByLabelText(/^E-mail/)).toHaveProperty('value', 'demo@example.org');
        expect(screen.getByRole('button', { name: 'Sign in' })).toHaveProperty('disabled', false);
        app.says('POST', '/sign-in', null, 0);
        fireEvent.submit(screen.getByRole('form', { name: 'Sign in' }));
        expect(screen.queryByText(/do not belong together/)).toBeNull();
        await screen.findByText(/does not answer/);
        expect(assign).not.toHaveBeenCalled();
    });

    it('opens an account, which asks for a name and a longer password', async () => {
        app.says('POST', '/accounts', { name: 'Mari' }, 201);
        render(<SignInScreen />);
        expect(screen.queryByLabelText('Your name')).toBeNull();
        fireEvent.click(screen.getByRole('radio', { name: 'New account' }));
        fill(/^Your name/, 'Mari');
        fill(/^E-mail/, 'mari@example.org');
        fill(/^Password \(10 characters or more\)/, 'a long enough one');
        fireEvent.submit(screen.getByRole('form', { name: 'New account' }));
        await waitFor(() => expect(assign).toHaveBeenCalledWith('/photo'));
        expect(app.last('POST')?.path).toBe('/accounts');
        expect(app.last('POST')?.body).toMatchObject({ name: 'Mari', email: 'mari@example.org', password: 'a long enough one' });
    });
});

describe('the line above every place', () => {
    const show = (onFault = vi.fn()) => {
        render(
            <MemoryRouter initialEntries={['/drawer']}>
                <TopBar onFault={onFault} />
            </MemoryRouter>,
            { wrapper },
        );
        return onFault;
    };

    it('marks where one is, and keeps the surroundings that were chosen', () => {
        show();
        expect(screen.getByRole('link', { current: 'page' }).textContent).toBe('Drawer');
        fireEvent.click(screen.getByRole('radio', { name: 'middle' }));
        expect(document.documentElement.dataset['surround']).toBe('middle');
        expect(localStorage.getItem('surround')).toBe('middle');
        fireEvent.click(screen.getByRole('radio', { name: 'light' }));
        expect(document.documentElement.dataset['surround']).toBe('light');
    });

    it('signs out who is signed in, and says where that was refused', async () => {
        app.says('GET', '/api/me', { name: 'Demo' });
        app.says('POST', '/sign-out', null, 0);
        const onFault = show();
        fireEvent.click(await screen.findByRole('button', { name: 'Sign out' }));
        await waitFor(() => expect(onFault).toHaveBeenCalledWith(expect.stringContaining('does not answer')));
        expect(assign).not.toHaveBeenCalled();
        app.says('POST', '/sign-out', null, 204);
        fireEvent.click(screen.getByRole('button', { name: 'Sign out' }));
        await waitFor(() => expect(assign).toHaveBeenCalledWith('/sign-in'));
    });
});

describe('one’s own account', () => {
    const account = { name: 'Mari', email: 'mari@example.org', demo: false, studies: 1, pencils: 24, megabytes: 12, mostMegabytes: 2000 };
    const show = () => {
        app.says('GET', '/api/me', { name: 'Mari' });
        render(
            <MemoryRouter initialEntries={['/account']}>
                <AccountPlace />
            </MemoryRouter>,
            { wrapper },
        );
    };

    it('says what is in it, and changes the password against the present one', async () => {
        app.says('GET', '/api/account', account);
        app.refuses('PATCH', '/api/account/password', 422, 'That is not the password of this account; check it and try again.');
        show();
        expect(screen.getByText('Checking your account…')).toBeTruthy();
        expect((await screen.findByText(/12 of 2000 MB/)).closest('dl')?.textContent).toContain('Studies1Pencils24');
        fill(/^Current password/, 'wrong');
        fill(/^New password/, 'another long one');
        fireEvent.submit(screen.getByRole('form', { name: 'Change the password' }));
        expect((await screen.findByText(/not the password of this account/)).getAttribute('role')).toBe('alert');
        // What was filled in stays, to be put right.
        expect(screen.getByLabelText(/^New password/)).toHaveProperty('value', 'another long one');
        app.says('PATCH', '/api/account/password', null, 204);
        fill(/^Current password/, 'a long enough one');
        fireEvent.submit(screen.getByRole('form', { name: 'Change the password' }));
        await screen.findByText(/All other devices are signed out/);
        expect(app.last('PATCH')?.body).toEqual({ password: 'a long enough one', new: 'another long one' });
        expect(screen.queryByText(/not the password of this account/)).toBeNull();
        app.says('POST', '/api/account/elsewhere', null, 204);
        fill(/^Current password/, 'another long one');
        fireEvent.click(screen.getByRole('button', { name: 'Sign out all other devices' }));
        await screen.findByText('All other devices are signed out.');
        expect(app.last('POST')?.body).toEqual({ password: 'another long one' });
    });

    it('is deleted only when that was asked for twice, and proved', async () => {
        app.says('GET', '/api/account', account);
        show();
        fireEvent.click(await screen.findByRole('button', { name: 'Delete account…' }));
        expect(screen.getByRole('form', { name: 'Confirm deleting the account' }).textContent).toContain(
            'all of it will be deleted and can’t be restored',
        );
        fireEvent.click(screen.getByRole('button', { name: 'Keep account' }));
        expect(screen.queryByRole('form', { name: 'Confirm deleting the account' })).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Delete account…' }));
        app.says('DELETE', '/api/account', null, 204);
        fill(/^Password/, 'a long enough one');
        fireEvent.submit(screen.getByRole('form', { name: 'Confirm deleting the account' }));
        await waitFor(() => expect(assign).toHaveBeenCalledWith('/sign-in'));
        expect(app.last('DELETE')?.body).toEqual({ password: 'a long enough one' });
    });

    it('offers neither to whoever works in the demo', async () => {
        app.says('GET', '/api/account', { ...account, demo: true });
        show();
        await screen.findByText(/open to everyone who uses this computer/);
        expect(screen.queryByLabelText(/password/i)).toBeNull();
        expect(screen.queryByRole('button', { name: 'Delete account…' })).toBeNull();
    });
});
