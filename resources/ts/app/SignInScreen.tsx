import { useState, type SyntheticEvent } from 'react';
import styled from 'styled-components';
import { send, sentenceOf } from '../api/client';
import type { Sent } from '../api/described';
import { Button, Tabs, TextInput } from '../ui/controls';

const Page = styled.main`
    min-height: 100%;
    display: grid;
    place-content: center;
    padding: var(--space-5);
`;

const Form = styled.form`
    width: min(360px, 90vw);
    display: grid;
    gap: var(--space-3);
    & h1 {
        font-size: var(--type-title);
    }
    & label {
        display: grid;
        gap: var(--space-1);
    }
    & label.one-line {
        display: flex;
        align-items: center;
        gap: var(--space-2);
        min-height: 44px;
    }
`;

type Mode = 'sign-in' | 'register';

const MODES = [
    { value: 'sign-in', label: 'Sign in' },
    { value: 'register', label: 'New account' },
] as const;

/** Signing in, or opening an account. */
export function SignInScreen() {
    const [mode, setMode] = useState<Mode>('sign-in');
    const [fault, setFault] = useState<string | null>(null);
    const [waiting, setWaiting] = useState(false);

    const enter = async (event: SyntheticEvent<HTMLFormElement>) => {
        event.preventDefault();
        setWaiting(true);
        setFault(null);
        try {
            const json = Object.fromEntries(new FormData(event.currentTarget).entries()) as Sent<'/accounts', 'POST'>;
            await (mode === 'sign-in' ? send('POST', '/sign-in', { json }) : send('POST', '/accounts', { json }));
            window.location.assign('/photo');
        } catch (error) {
            setFault(sentenceOf(error));
            setWaiting(false);
        }
    };

    return (
        <Page>
            <Form onSubmit={(e) => void enter(e)} aria-label={mode === 'sign-in' ? 'Sign in' : 'New account'}>
                <h1>Knotty Prism</h1>
                <Tabs label="Sign in or create an account" value={mode} options={MODES} onChange={setMode} />
                {mode === 'register' && (
                    <label>
                        Your name
                        <TextInput name="name" autoComplete="name" required maxLength={120} />
                    </label>
                )}
                <label>
                    E-mail address
                    <TextInput name="email" type="email" autoComplete="username" required />
                </label>
                <label>
                    Password{mode === 'register' && ' (10 characters or more)'}
                    <TextInput
                        name="password"
                        type="password"
                        autoComplete={mode === 'sign-in' ? 'current-password' : 'new-password'}
                        required
                    />
                </label>
                <label className="one-line">
                    <input type="checkbox" name="stays" value="1" defaultChecked /> Stay signed in on this device
                </label>
                <p role="alert">{fault}</p>
                <Button $main type="submit" isDisabled={waiting}>
                    {waiting ? 'One moment…' : mode === 'sign-in' ? 'Sign in' : 'Create account'}
                </Button>
            </Form>
        </Page>
    );
}
