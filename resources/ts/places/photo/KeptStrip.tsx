import { useState } from 'react';
import styled from 'styled-components';
import type { KeptRecipe, KeptRecipes, Study } from '../../api/types';
import { NativeSelect, WordButton } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { lookOf } from '../../dabs/ofSpot';
import type { useKeptRecipeChanges } from './queries';
import { WideInput } from '../../ui/layout';

const Part = styled.section`
    padding: 0 var(--space-4) var(--space-3);
    min-width: 0;
    & header {
        display: flex;
        align-items: center;
        gap: var(--space-2) var(--space-3);
        white-space: nowrap;
        border-top: 1.5px solid var(--strong-line);
        & > a {
            padding: var(--space-3) 0;
        }
    }
    & h2 {
        font-weight: 700;
    }
    & label {
        margin-left: auto;
        display: flex;
        align-items: center;
        gap: var(--space-2);
    }
    & ol {
        display: flex;
        margin: 0;
        padding: var(--space-1) var(--space-1) var(--space-2);
        list-style: none;
        overflow-x: auto;
    }
`;

const Item = styled.li`
    flex: 0 0 112px;
    font-size: var(--type-small);
    line-height: 1.2;
    & .dab {
        position: relative;
        display: flex;
        height: 46px;
        width: 100%;
        border: 0;
        padding: 0;
        background: none;
        cursor: pointer;
    }
    & .dab > span {
        flex: 0 0 18px;
    }
    & .words {
        padding: var(--space-1) var(--space-2) 0 0;
        overflow-wrap: anywhere;
    }
    &[data-chosen='true'] b {
        text-decoration: underline;
        text-decoration-thickness: 3px;
        text-underline-offset: 3px;
    }
    & b {
        font-weight: 700;
    }
`;

interface KeptStripProps {
    study: Study;
    plan: KeptRecipes | undefined;
    changes: ReturnType<typeof useKeptRecipeChanges>;
    onShow: (entry: KeptRecipe) => void;
}

/** What is chosen so far, light to dark, each with the photo's patch beside its last dab; undo, and the card to print. */
export function KeptStrip({ study, plan, changes, onShow }: KeptStripProps) {
    const [renamed, setRenamed] = useState<number | null>(null);
    const [chosen, setChosen] = useState<number | null>(null);
    const entries = plan?.entries ?? [];
    const current = entries.find((e) => e.id === chosen);
    return (
        <Part aria-label="Saved recipes" data-testid="kept-recipes">
            <StripHead study={study} plan={plan} changes={changes} current={current} onRename={setRenamed} />
            {plan === undefined && <p aria-busy="true">Opening the plan…</p>}
            {plan !== undefined && entries.length === 0 && (
                <p>No recipe chosen yet. Point at a colour in the photo and choose one of its recipes.</p>
            )}
            <ol>
                {entries.map((entry) => (
                    <KeptItem
                        key={entry.id}
                        entry={entry}
                        isChosen={entry.id === chosen}
                        isRenamed={renamed === entry.id}
                        onChosen={() => {
                            setChosen(entry.id);
                            onShow(entry);
                        }}
                        onRenamed={(name) => {
                            setRenamed(null);
                            if (name !== '' && name !== entry.name) {
                                changes.rename.mutate({ id: entry.id, name });
                            }
                        }}
                    />
                ))}
            </ol>
        </Part>
    );
}

interface StripHeadProps {
    study: Study;
    plan: KeptRecipes | undefined;
    changes: ReturnType<typeof useKeptRecipeChanges>;
    current: KeptRecipe | undefined;
    onRename: (id: number) => void;
}

function StripHead({ study, plan, changes, current, onRename }: StripHeadProps) {
    const [size, setSize] = useState('a4');
    const count = plan?.entries.length ?? 0;
    return (
        <header>
            <h2>Kept: {count === 1 ? '1 recipe' : `${count} recipes`}</h2>
            <WordButton
                isDisabled={plan?.undoWords == null || changes.undo.isPending}
                aria-label={plan?.undoWords == null ? 'Undo' : `Undo: ${plan.undoWords}`}
                onPress={() => changes.undo.mutate()}
            >
                Undo
            </WordButton>
            {current !== undefined && (
                <>
                    <WordButton aria-label={`Rename ${current.name}`} onPress={() => onRename(current.id)}>
                        Rename
                    </WordButton>
                    <WordButton aria-label={`Remove ${current.name}`} onPress={() => changes.remove.mutate(current.id)}>
                        Remove
                    </WordButton>
                </>
            )}
            <label>
                Card
                <NativeSelect value={size} onChange={(e) => setSize(e.target.value)}>
                    <option value="a4">A4</option>
                    <option value="a5">A5</option>
                    <option value="letter">Letter</option>
                </NativeSelect>
            </label>
            <a href={`/api/studies/${study.id}/kept-recipes/card?size=${size}`} target="_blank" rel="noreferrer">
                Print the card
            </a>
        </header>
    );
}

interface KeptItemProps {
    entry: KeptRecipe;
    isChosen: boolean;
    isRenamed: boolean;
    onChosen: () => void;
    onRenamed: (name: string) => void;
}

function KeptItem({ entry, isChosen, isRenamed, onChosen, onRenamed }: KeptItemProps) {
    return (
        <Item data-chosen={isChosen}>
            <button type="button" className="dab" aria-pressed={isChosen} onClick={onChosen} aria-label={`Show ${entry.name} on the photo`}>
                <span style={{ background: entry.target.hex }} />
                {entry.recipe !== null && (
                    <Dab
                        strata={lookOf(entry.recipe.passes.at(-1))?.strata ?? []}
                        width={94}
                        height={46}
                        label={lookOf(entry.recipe.passes.at(-1))?.colourWords ?? ''}
                    />
                )}
            </button>
            <div className="words">
                {isRenamed ? <NameField entry={entry} onDone={onRenamed} /> : <b>{entry.name}</b>}
                <p>{entry.recipe === null ? 'a pencil is missing' : numbersOf(entry)}</p>
            </div>
        </Item>
    );
}

function NameField({ entry, onDone }: { entry: KeptRecipe; onDone: (name: string) => void }) {
    const [name, setName] = useState(entry.name);
    return (
        <WideInput
            autoFocus
            aria-label={`New name of ${entry.name}`}
            value={name}
            maxLength={120}
            onChange={(e) => setName(e.target.value)}
            onBlur={() => onDone(name.trim())}
            onKeyDown={(e) => {
                if (e.key === 'Enter') {
                    onDone(name.trim());
                } else if (e.key === 'Escape') {
                    onDone('');
                }
            }}
        />
    );
}

const numbersOf = (entry: KeptRecipe): string => entry.recipe?.passes.map((p) => p.pencil?.number ?? p.finish ?? '').join(' · ') ?? '';
