import { useState, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import styled from 'styled-components';
import { send, sentenceOf } from '../api/client';
import { WordButton, WordChoice } from '../ui/controls';
import { WaitingLine } from './WaitingLine';
import { chooseSurround, surroundNow, SURROUNDS, type Surround } from '../ui/surround';
import { useMe } from '../api/studies';

const Bar = styled.header`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-3);
    padding: 0 var(--space-4);
    border-bottom: 1.5px solid var(--strong-line);
    & h1 {
        font-weight: 700;
    }
    & nav {
        display: flex;
    }
    & nav a {
        display: grid;
        place-items: center;
        min-height: 44px;
        padding: 0 var(--space-2);
        /* Above as below, so that words in one line share a baseline. */
        border: solid transparent;
        border-width: 3px 0;
        text-decoration: none;
    }
    & nav a[aria-current='page'] {
        border-bottom-color: var(--ink);
        font-weight: 700;
    }
    & label {
        display: flex;
        align-items: center;
        gap: var(--space-2);
    }
    & .end a {
        display: grid;
        place-items: center;
        min-height: 44px;
    }
    & .end {
        margin-left: auto;
        display: flex;
        align-items: center;
        gap: var(--space-3);
    }
    /* On a phone the places come first; what a list or a choice is for is still read out. */
    @media (max-width: 599px) {
        gap: 0 var(--space-3);
        & h1,
        & label > span,
        & .end > span {
            position: absolute;
            width: 1px;
            height: 1px;
            overflow: hidden;
            clip-path: inset(50%);
        }
        & nav {
            width: 100%;
            justify-content: space-between;
        }
        & .end {
            width: 100%;
            margin-left: 0;
            justify-content: space-between;
        }
    }
`;

const CHOICES = SURROUNDS.map((s) => ({ value: s, label: s }));

interface TopBarProps {
    /** What the place is about: its study, its paper. */
    children?: ReactNode;
    onFault: (text: string) => void;
}

/** The places, what the present one is about, the surroundings and the account, in one line of words. */
export function TopBar({ children, onFault }: TopBarProps) {
    const me = useMe();
    const [surround, setSurround] = useState<Surround>(surroundNow);

    const signOut = async () => {
        try {
            await send('POST', '/sign-out', {});
            window.location.assign('/sign-in');
        } catch (error) {
            onFault(sentenceOf(error));
        }
    };

    return (
        <>
            <Bar>
                <h1>Knotty Prism</h1>
                <nav aria-label="Places">
                    <NavLink to="/photo">Photo</NavLink>
                    <NavLink to="/drawer">Drawer</NavLink>
                    <NavLink to="/plan">Plan</NavLink>
                    <NavLink to="/desk">Desk</NavLink>
                    <NavLink to="/book">Book</NavLink>
                </nav>
                {children}
                <div className="end">
                    <span>Surroundings</span>
                    <WordChoice label="Surroundings" value={surround} options={CHOICES} onChange={(s) => setSurround(chooseSurround(s))} />
                    {me.data !== undefined && (
                        <>
                            <Link to="/account">{me.data.name}</Link>
                            <WordButton onPress={() => void signOut()}>Sign out</WordButton>
                        </>
                    )}
                </div>
            </Bar>
            <WaitingLine />
        </>
    );
}
