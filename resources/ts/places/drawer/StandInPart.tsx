import { useState } from 'react';
import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { PencilPortrait, Sequence } from '../../api/types';
import { WordButton } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { lookOf, outcomeOf, pressureOf } from '../../dabs/ofSpot';
import { Pressure } from '../../dabs/Pressure';
import { useStandIn } from './queries';
import { Row, Dabs } from '../../ui/layout';

const Passes = styled.ol`
    margin: 0;
    padding-left: var(--space-4);
`;

/** The mixes of owned pencils that make another: one for its heavy swatch, one for its light. Worked out when asked for. */
export function StandInPart({ pencil, paper }: { pencil: PencilPortrait; paper: string }) {
    const [wanted, setWanted] = useState(false);
    const mix = useStandIn(pencil.id, paper, wanted);
    if (!wanted) {
        return <WordButton onPress={() => setWanted(true)}>Mix it from pencils you own</WordButton>;
    }
    if (mix.data === undefined) {
        return <p role="status">{mix.error === null ? 'Finding mixes…' : sentenceOf(mix.error)}</p>;
    }
    return (
        <Row aria-live="polite">
            <Mix name="heavy" strata={pencil.swatches.heavy} recipe={mix.data.heavy} />
            <Mix name="light" strata={pencil.swatches.light} recipe={mix.data.light} />
        </Row>
    );
}

function Mix({ name, strata, recipe }: { name: string; strata: readonly string[]; recipe: Sequence }) {
    const outcome = outcomeOf(recipe);
    return (
        <div>
            <p>
                <b>{name}</b>: ΔE00 {outcome.deltaE00.toFixed(1)}, {outcome.closenessWords}
            </p>
            <Row>
                <Dabs $width={44} $height={40}>
                    <span>
                        <Dab strata={strata} width={44} height={40} label="the pencil" />
                    </span>
                    <span>
                        <Dab strata={lookOf(recipe.passes.at(-1))?.strata ?? []} width={44} height={40} label="the mix" />
                    </span>
                </Dabs>
                <Passes>
                    {recipe.passes.map((p, i) => (
                        <li key={i}>
                            <b>{p.pencil?.number ?? p.finish}</b> <Pressure word={pressureOf(p) ?? ''} />
                        </li>
                    ))}
                </Passes>
            </Row>
        </div>
    );
}
