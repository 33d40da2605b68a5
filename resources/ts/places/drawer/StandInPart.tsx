import { useState } from 'react';
import { sentenceOf } from '../../api/client';
import type { PencilPortrait, Recipe } from '../../api/types';
import { WordButton } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { Pressure } from '../../dabs/Pressure';
import { useStandIn } from './queries';

/** The mixes of owned pencils that make another: one for its heavy swatch, one for its light. Worked out when asked for. */
export function StandInPart({ pencil, paper }: { pencil: PencilPortrait; paper: string }) {
    const [wanted, setWanted] = useState(false);
    const mix = useStandIn(pencil.id, paper, wanted);
    if (!wanted) {
        return <WordButton onPress={() => setWanted(true)}>Mix it from the owned ones</WordButton>;
    }
    if (mix.data === undefined) {
        return <p role="status">{mix.error === null ? 'Looking for mixes…' : sentenceOf(mix.error)}</p>;
    }
    return (
        <div aria-live="polite" style={{ display: 'flex', flexWrap: 'wrap', gap: '4px 24px' }}>
            <Mix name="heavy" strata={pencil.swatches.heavy} recipe={mix.data.heavy} />
            <Mix name="light" strata={pencil.swatches.light} recipe={mix.data.light} />
        </div>
    );
}

function Mix({ name, strata, recipe }: { name: string; strata: readonly string[]; recipe: Recipe }) {
    const last = recipe.passes[recipe.passes.length - 1];
    return (
        <div>
            <p>
                <b>{name}</b>: ΔE00 {recipe.deltaE00.toFixed(1)}, {recipe.closenessWords}
            </p>
            <div style={{ display: 'flex', alignItems: 'center', gap: 10 }}>
                <span style={{ display: 'flex' }}>
                    <span style={{ width: 44, height: 40 }}>
                        <Dab strata={strata} width={44} height={40} label="the pencil" />
                    </span>
                    <span style={{ width: 44, height: 40 }}>
                        <Dab strata={last?.strata ?? []} width={44} height={40} label="the mix" />
                    </span>
                </span>
                <ol style={{ margin: 0, paddingLeft: 18 }}>
                    {recipe.passes.map((p, i) => (
                        <li key={i}>
                            <b>{p.pencil?.number ?? p.finish}</b>{' '}
                            {p.pressureWord !== null && <Pressure strokes={p.pressureStrokes ?? 1} word={p.pressureWord} />}
                        </li>
                    ))}
                </ol>
            </div>
        </div>
    );
}
