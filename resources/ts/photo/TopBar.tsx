import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { NavLink } from 'react-router';
import styled from 'styled-components';
import { ask, sentenceOf } from '../api/client';
import type { Study } from '../api/types';
import { NativeSelect, WordButton, WordChoice } from '../ui/controls';
import { applySurround, type Surround } from '../ui/surround';
import { DrawerDialog } from './DrawerDialog';
import { useMe } from './queries';

const Bar = styled.header`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 14px;
    padding: 0 16px;
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
        padding: 0 8px;
        border-bottom: 3px solid transparent;
        text-decoration: none;
    }
    & nav a[aria-current='page'] {
        border-bottom-color: var(--ink);
        font-weight: 700;
    }
    & label {
        display: flex;
        align-items: center;
        gap: 6px;
    }
    & .end {
        margin-left: auto;
        display: flex;
        align-items: center;
        gap: 10px;
    }
`;

const SURROUNDS = [
    { value: 'light', label: 'light' },
    { value: 'middle', label: 'middle' },
] as const;

interface TopBarProps {
    studies: readonly Study[];
    study: Study | undefined;
    papers: readonly string[];
    opening: boolean;
    onChoose: (study: Study) => void;
    onPaper: (paper: string) => void;
    onPhoto: (file: File) => void;
    onFault: (text: string) => void;
}

/** The study, its paper, the drawer, the surroundings and the account, in one line of words. */
export function TopBar({ studies, study, papers, opening, onChoose, onPaper, onPhoto, onFault }: TopBarProps) {
    const me = useMe();
    const [surround, setSurround] = useState<Surround>(() => applySurround());

    const signOut = async () => {
        try {
            await ask('/sign-out', { method: 'POST' });
            window.location.assign('/sign-in');
        } catch (error) {
            onFault(sentenceOf(error));
        }
    };

    return (
        <Bar>
            <h1>Knotty Prism</h1>
            <nav aria-label="Places">
                <NavLink to="/photo">Photo</NavLink>
                <NavLink to="/drawer">Drawer</NavLink>
            </nav>
            {study !== undefined && (
                <>
                    <label>
                        <span>Study</span>
                        <NativeSelect
                            value={study.id}
                            onChange={(e) => {
                                const chosen = studies.find((s) => s.id === Number(e.target.value));
                                if (chosen !== undefined) {
                                    onChoose(chosen);
                                }
                            }}
                        >
                            {studies.map((s) => (
                                <option key={s.id} value={s.id}>
                                    {s.name}
                                </option>
                            ))}
                        </NativeSelect>
                    </label>
                    <label>
                        <span>Paper</span>
                        <NativeSelect value={study.paper} onChange={(e) => onPaper(e.target.value)}>
                            {papers.map((p) => (
                                <option key={p}>{p}</option>
                            ))}
                        </NativeSelect>
                    </label>
                    <FileTrigger
                        acceptedFileTypes={['image/*', '.heic', '.heif']}
                        onSelect={(files) => files?.[0] !== undefined && onPhoto(files[0])}
                    >
                        <WordButton isPending={opening}>{opening ? 'Taking the photo in…' : 'Another photo'}</WordButton>
                    </FileTrigger>
                </>
            )}
            <DrawerDialog />
            <div className="end">
                <span>Surroundings</span>
                <WordChoice label="Surroundings" value={surround} options={SURROUNDS} onChange={(s) => setSurround(applySurround(s))} />
                {me.data !== undefined && <WordButton onPress={() => void signOut()}>Sign out {me.data.name}</WordButton>}
            </div>
        </Bar>
    );
}
