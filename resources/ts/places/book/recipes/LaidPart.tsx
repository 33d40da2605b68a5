import styled from 'styled-components';
import { sentenceOf } from '../../../api/client';
import type { BookRecipe } from '../../../api/types';
import { Dab } from '../../../dabs/Dab';
import { Dabs } from '../../../ui/layout';
import { useLaidAgain } from './queries';

const Part = styled.section`
    padding: var(--space-2) 0 var(--space-2);
    & ol {
        margin: var(--space-1) 0;
        padding-left: var(--space-5);
    }
    & figure {
        margin: 0;
    }
    & .shades {
        display: flex;
        flex-wrap: wrap;
        gap: var(--space-1) var(--space-4);
    }
`;

/** What comes of a recipe with the pencils of today, beside what came of it then; what is missing, and what stands in for it. */
export function LaidPart({ recipe, paper }: { recipe: BookRecipe; paper: string }) {
    const laid = useLaidAgain(recipe.id, paper);
    if (laid.data === undefined) {
        return laid.error === null ? <p aria-busy="true">Working out the recipe…</p> : <p role="alert">{sentenceOf(laid.error)}</p>;
    }
    const { sequence, standIns } = laid.data;
    return (
        <Part aria-label={`“${recipe.name}” with today’s pencils`}>
            {standIns.length === 0 && <p>You have all its pencils.</p>}
            {standIns.map((s) => (
                <p key={s.missing} role="status">
                    <b>{s.words}</b>
                </p>
            ))}
            <div className="shades">
                {recipe.shades.map((s) => {
                    const now = sequence.passes.flatMap((p) => p.dabs[s.shade] ?? []).at(-1);
                    return (
                        <figure key={s.shade}>
                            <Dabs $width={56} $height={36}>
                                <span>
                                    <Dab strata={s.strata} width={56} height={36} label={`${s.name}, then`} />
                                </span>
                                <span>
                                    {now !== undefined && <Dab strata={now.strata} width={56} height={36} label={`${s.name}, now`} />}
                                </span>
                            </Dabs>
                            <figcaption>{s.name}: then, now</figcaption>
                        </figure>
                    );
                })}
            </div>
            <ol>
                {sequence.passes.map((p, i) => (
                    <li key={i}>{p.words}</li>
                ))}
            </ol>
            <p>
                On {paper}: likely error {Math.round(sequence.errorOnPaper)} (ΔE00).
            </p>
            {sequence.warnings.map((w) => (
                <p key={`${w.code}/${w.pass}`}>
                    {w.text} {w.remedy}
                </p>
            ))}
        </Part>
    );
}
