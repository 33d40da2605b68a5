import { useState } from 'react';
import styled from 'styled-components';
import type { BookRecipe, BookRecipeWords } from '../../../api/types';
import { Dab } from '../../../dabs/Dab';
import { TextInput, WordButton } from '../../../ui/controls';
import { Dabs, Row } from '../../../ui/layout';
import { LaidPart } from './LaidPart';

const Entry = styled.li`
    display: grid;
    grid-template-columns: 100px minmax(0, 1fr);
    gap: 0 var(--space-3);
    padding: var(--space-3) 0 var(--space-2);
    border-top: 1px solid var(--line);
    & > img {
        max-width: 100px;
        max-height: 100px;
    }
    & .like {
        width: 40px;
        height: 36px;
    }
`;

interface RecipeEntryProps {
    recipe: BookRecipe;
    /** The colour that was pointed at; it touches the dabs. */
    like: string | null;
    paper: string;
    onChange: (words: BookRecipeWords) => void;
    onRemove: () => void;
}

/** A recipe of the book: where it is from, what it comes to, its passes, and what comes of it today. */
export function RecipeEntry({ recipe, like, paper, onChange, onRemove }: RecipeEntryProps) {
    const [isLaid, setLaid] = useState(false);
    const [isDrafted, setDrafted] = useState(false);
    const passes = recipe.passes.map((p) => `${p.number} ${spanOf(p.pressures)}`).join(' · ');
    return (
        <Entry>
            {recipe.cutout === null ? <span /> : <img src={recipe.cutout} alt={`“${recipe.name}” in its photo`} />}
            <div>
                <Row $tight>
                    <Dabs $width={64} $height={36}>
                        {like !== null && <i className="like" style={{ background: like }} title="the colour you chose" />}
                        {recipe.shades.map((s) => (
                            <span key={s.shade} title={s.name}>
                                <Dab strata={s.strata} width={64} height={36} label={s.name} />
                            </span>
                        ))}
                    </Dabs>
                    <b>{recipe.name}</b>
                    {recipe.deltaE00 !== null && <span>{recipe.deltaE00.toFixed(1)} off</span>}
                </Row>
                <p>{passes}</p>
                <p>
                    {[recipe.words, recipe.outcome, recipe.study === '' ? '' : `from “${recipe.study}”`, recipe.paper]
                        .filter((t) => t !== '')
                        .join('; ')}
                </p>
                {isDrafted ? (
                    <WordsForm
                        recipe={recipe}
                        onKeep={(words) => {
                            onChange(words);
                            setDrafted(false);
                        }}
                        onLeave={() => setDrafted(false)}
                    />
                ) : (
                    <Row $tight>
                        <WordButton aria-expanded={isLaid} onPress={() => setLaid(!isLaid)}>
                            {isLaid ? 'Close' : 'Use today’s pencils'}
                        </WordButton>
                        <WordButton onPress={() => setDrafted(true)}>Edit details</WordButton>
                        <WordButton aria-label={`Remove “${recipe.name}” from the Book`} onPress={onRemove}>
                            Remove from Book
                        </WordButton>
                    </Row>
                )}
                {isLaid && <LaidPart recipe={recipe} paper={paper} />}
            </div>
        </Entry>
    );
}

interface WordsFormProps {
    recipe: BookRecipe;
    onKeep: (words: BookRecipeWords) => void;
    onLeave: () => void;
}

function WordsForm({ recipe, onKeep, onLeave }: WordsFormProps) {
    const [draft, setDraft] = useState({ name: recipe.name, words: recipe.words, outcome: recipe.outcome });
    return (
        <Row $tight>
            {FIELDS.map(([field, label, most]) => (
                <TextInput
                    key={field}
                    aria-label={label}
                    placeholder={label}
                    maxLength={most}
                    value={draft[field]}
                    onChange={(e) => setDraft({ ...draft, [field]: e.target.value })}
                />
            ))}
            <WordButton isDisabled={draft.name.trim() === ''} onPress={() => onKeep(draft)}>
                Save details
            </WordButton>
            <WordButton onPress={onLeave}>Cancel</WordButton>
        </Row>
    );
}

const FIELDS = [
    ['name', 'Name', 120],
    ['words', 'Subject', 500],
    ['outcome', 'How it turned out', 300],
] as const;

/** "light", "whisper to firm": from the lightest of its values to the darkest, or in its touches. */
function spanOf(pressures: Readonly<Record<string, string>>): string {
    const run = ['light', 'mid', 'dark'].flatMap((shade) => pressures[shade] ?? []);
    const [first, last] = run.length === 0 ? Object.values(pressures) : [run[0], run.at(-1)];
    return first === last || last === undefined ? (first ?? '') : `${first ?? ''} to ${last}`;
}
