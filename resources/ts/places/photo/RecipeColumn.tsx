import styled from 'styled-components';
import type { Sequence, SequencePass } from '../../api/types';
import { Button } from '../../ui/controls';
import { WarningSign } from '../../ui/Warned';
import { Dab } from '../../dabs/Dab';
import { lookOf, outcomeOf, pressureOf } from '../../dabs/ofSpot';
import { Pressure } from '../../dabs/Pressure';
import { signed } from '../../ui/signed';
import { within } from '../../ui/within';

const ROW = 78;
const DAB = 62;

const Column = styled.article`
    padding-right: var(--space-3);
    & ol {
        list-style: none;
        margin: 0;
        padding: 0;
        display: flex;
        flex-direction: column-reverse;
        justify-content: flex-end;
    }
`;

const Layer = styled.li`
    display: grid;
    grid-template-columns: ${DAB}px minmax(0, 1fr);
    height: ${ROW}px;
    line-height: 1.2;
    font-size: var(--type-small);
    & > div {
        padding: var(--space-1) 0 0 var(--space-2);
        overflow: hidden;
        border-top: 1px solid var(--line);
    }
    & strong {
        display: block;
        font-size: var(--type-title);
        line-height: 1.1;
        font-weight: 700;
    }
    & .binder {
        margin-left: var(--space-1);
        font-size: var(--type-small);
        font-weight: 400;
    }
    & .name {
        display: -webkit-box;
        overflow: hidden;
        -webkit-box-orient: vertical;
        -webkit-line-clamp: 2;
        overflow-wrap: anywhere;
        margin-bottom: var(--space-1);
    }
`;

const BarePaper = styled.li`
    height: 18px;
    width: ${DAB}px;
    font-size: var(--type-figure);
`;

const Facts = styled.div`
    padding: var(--space-2) 0 var(--space-2);
    min-height: 150px;
    font-size: var(--type-small);
    line-height: 1.3;
    & h2 {
        font-weight: 700;
        font-size: var(--type-text);
    }
    & .figures {
        color: var(--soft-ink);
    }
    & details summary {
        cursor: pointer;
        min-height: 24px;
    }
`;

interface RecipeColumnProps {
    place: number;
    recipe: Sequence;
    rows: number;
    paperHex: string;
    waiting: boolean;
    onChoose: (recipe: Sequence) => void;
}

/** One recipe: its passes as dabs from the paper up, then what it is good at in words, and the figures. */
export function RecipeColumn({ place, recipe, rows, paperHex, waiting, onChoose }: RecipeColumnProps) {
    const assumed = [...new Set(recipe.passes.flatMap((p) => p.pencil?.assumed ?? []))];
    const outcome = outcomeOf(recipe);
    const bare = recipe.passes.length === 0;
    const spare = (rows - recipe.passes.length) * ROW;
    return (
        <Column aria-label={`Recipe ${place}, ${recipe.label}`} data-testid={`recipe-${place}`}>
            <ol aria-label="passes from the paper up">
                <BarePaper style={{ background: paperHex, height: 18 + spare }} aria-hidden="true" />
                {recipe.passes.map((pass, i) => (
                    <LayerRow key={i} order={i + 1} pass={pass} />
                ))}
            </ol>
            <Facts>
                <h2>{recipe.label}</h2>
                {bare && <p>Leave the paper bare: it already has this colour.</p>}
                <p title="likely error on your paper, ΔE00">
                    <b>Likely error {within(recipe.errorOnPaper)}.</b> {outcome.closenessWords}
                </p>
                <p title={`L* differs by ${recipe.grain.toFixed(0)} between peaks and hollows`}>
                    {outcome.steadinessWords} · {outcome.evenness}
                </p>
                <p title={`${Math.round(outcome.toothUsed * 100)} % of the tooth is filled`}>{outcome.toothWords}</p>
                <p className="figures">
                    missed {outcome.deltaE00.toFixed(1)} (ΔE00)
                    <br />
                    value {signed(outcome.valueError)} · hand ±{outcome.sway.toFixed(1)}
                </p>
                {assumed.length > 0 && <p>* assumed: {assumed.join(', ')}</p>}
                {recipe.warnings.map((w) => (
                    <details key={`${w.code}/${w.pass}`}>
                        <summary>
                            <WarningSign /> {w.code}
                        </summary>
                        {w.text} {w.remedy}
                    </details>
                ))}
            </Facts>
            {!bare && (
                <Button
                    $main={place === 1}
                    isDisabled={waiting}
                    onPress={() => onChoose(recipe)}
                    aria-label={`Choose recipe ${place}, ${recipe.label}`}
                >
                    Choose {place}
                </Button>
            )}
        </Column>
    );
}

function LayerRow({ order, pass }: { order: number; pass: SequencePass }) {
    const look = lookOf(pass);
    return (
        <Layer>
            <Dab strata={look?.strata ?? []} width={DAB} height={ROW} label={`after pass ${order}: ${look?.colourWords ?? ''}`} />
            <div>
                {pass.pencil === null ? (
                    <strong>{pass.finish}</strong>
                ) : (
                    <>
                        <strong>
                            {pass.pencil.number}
                            <span className="binder">
                                {pass.pencil.binder ?? '?'}
                                {pass.pencil.assumed.length > 0 && '*'}
                            </span>
                        </strong>
                        <span className="name" title={pass.pencil.name}>
                            {pass.pencil.name}
                        </span>
                        <Pressure word={pressureOf(pass) ?? ''} />
                    </>
                )}
            </div>
        </Layer>
    );
}
