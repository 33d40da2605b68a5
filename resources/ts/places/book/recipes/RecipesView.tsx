import { useState } from 'react';
import { sentenceOf } from '../../../api/client';
import type { Study } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { Button, WordButton } from '../../../ui/controls';
import { Aired, Row } from '../../../ui/layout';
import { Entries, TwoColumns } from '../TwoColumns';
import { KeepPart } from './KeepPart';
import { PointAtPhoto } from './PointAtPhoto';
import { queryOf, useBook, useBookChanges, type BookChanges, type Wanted } from './queries';
import { RecipeEntry } from './RecipeEntry';
import { WantedPart } from './WantedPart';

const NOTHING: Wanted = { like: null, words: '', pencil: '', paper: '' };

interface RecipesViewProps {
    study: Study;
    onFault: (text: string) => void;
}

/** What worked, to be found by a colour pointed at, by word, pencil and paper, and laid again with today's drawer. */
export function RecipesView({ study, onFault }: RecipesViewProps) {
    const [wanted, setWanted] = useState<Wanted>(NOTHING);
    const [likeWords, setLikeWords] = useState('');
    const changes = useBookChanges(study.id, onFault);
    return (
        <TwoColumns $first={2}>
            <div>
                <Column aria-label="Search">
                    <PartHead $first>
                        <h2>Search by colour or by words</h2>
                    </PartHead>
                    <PointAtPhoto
                        study={study}
                        onFault={onFault}
                        onColour={(like, words) => {
                            setLikeWords(words);
                            setWanted({ ...wanted, like });
                        }}
                    />
                    <WantedPart wanted={wanted} likeWords={likeWords} onWanted={setWanted} />
                </Column>
                <KeepPart study={study} changes={changes} />
            </div>
            <Found study={study} wanted={wanted} changes={changes} onAll={() => setWanted(NOTHING)} />
        </TwoColumns>
    );
}

interface FoundProps {
    study: Study;
    wanted: Wanted;
    changes: BookChanges;
    onAll: () => void;
}

function Found({ study, wanted, changes, onAll }: FoundProps) {
    const [gone, setGone] = useState<{ id: number; name: string } | null>(null);
    const book = useBook(wanted);
    const recipes = book.data?.pages.flatMap((page) => page.recipes) ?? [];
    const found = book.data?.pages[0]?.found ?? 0;
    const isAll = queryOf(wanted) === '';
    return (
        <Column aria-label="Recipes">
            <PartHead $first>
                <h2>
                    {isAll ? `In the book: ${found}` : `Found: ${found}`}
                    {book.isFetching && !book.isPending ? ' …' : ''}
                </h2>
                <Row className="end">
                    {!isAll && <WordButton onPress={onAll}>Show all</WordButton>}
                    {found > 0 && (
                        <a href={`/api/book/swatches.pdf?${queryOf(wanted)}`} target="_blank" rel="noreferrer">
                            Print swatches
                        </a>
                    )}
                </Row>
            </PartHead>
            {gone !== null && (
                <Row role="status">
                    <span>“{gone.name}” is out of the book.</span>
                    <WordButton onPress={() => changes.restore.mutate(gone.id, { onSuccess: () => setGone(null) })}>Undo remove</WordButton>
                </Row>
            )}
            {book.isPending && <p aria-busy="true">Opening the Book…</p>}
            {book.error !== null && <p role="alert">{sentenceOf(book.error)}</p>}
            {book.data !== undefined && found === 0 && <Aired>{nothing(isAll, wanted)}</Aired>}
            <Entries>
                {recipes.map((recipe) => (
                    <RecipeEntry
                        key={recipe.id}
                        recipe={recipe}
                        like={wanted.like}
                        paper={study.paper}
                        onChange={(words) => changes.change.mutate({ id: recipe.id, ...words })}
                        onRemove={() => changes.remove.mutate(recipe.id, { onSuccess: () => setGone(recipe) })}
                    />
                ))}
            </Entries>
            {book.hasNextPage && (
                <Row>
                    <Button isPending={book.isFetchingNextPage} onPress={() => void book.fetchNextPage()}>
                        {book.isFetchingNextPage ? 'Searching…' : 'More recipes'}
                    </Button>
                </Row>
            )}
        </Column>
    );
}

const nothing = (isAll: boolean, wanted: Wanted): string =>
    isAll
        ? 'Your Book is empty. Save what worked: a zone of this study, or a spot whose recipe you chose.'
        : wanted.like === null
          ? 'No recipe in your Book matches all of that.'
          : 'No recipe in your Book is close to that colour (ΔE00 10 or less).';
