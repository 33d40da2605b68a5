import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { Sequence, Recipes, Study } from '../../api/types';
import { FirstPencils } from '../../app/FirstPencils';
import { RecipeColumn } from './RecipeColumn';

/** A strip of the drawing's paper beside the photo, the patch from the photo across its top. */
const Strip = styled.section`
    padding-top: var(--space-3);
`;

const Patch = styled.div`
    height: 48px;
    margin: 0 var(--space-4);
`;

const Columns = styled.div`
    margin: 0 var(--space-4);
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    align-items: start;
    &[data-waiting='true'] {
        background: repeating-linear-gradient(-45deg, transparent 0 22px, var(--line) 22px 23px);
    }
    &[data-waiting='true'] > * {
        opacity: 0.35;
    }
`;

const Line = styled.p`
    padding: var(--space-2) var(--space-4) var(--space-3);
    min-height: 36px;
`;

interface RecipeStripProps {
    study: Study;
    answer: Recipes | undefined;
    fault: unknown;
    waiting: boolean;
    /** The drawer, so that there is nothing to find recipes with. */
    empty: boolean;
    onFault: (text: string) => void;
    onChoose: (recipe: Sequence) => void;
}

/** Up to four recipes, each a stack read from the paper up; the last dab touches the patch, since the eye judges only touching colours. */
export function RecipeStrip({ study, answer, fault, waiting, empty, onFault, onChoose }: RecipeStripProps) {
    const most = Math.max(1, ...(answer?.recipes.map((r) => r.passes.length) ?? []));
    return (
        <Strip aria-label="Recipes" aria-busy={waiting}>
            <Patch
                style={{ background: answer?.target.hex ?? 'transparent' }}
                role="img"
                aria-label={answer === undefined ? 'the photo' : `from the photo: ${answer.target.words}`}
            />
            <div>
                <Columns data-waiting={waiting}>
                    {answer?.recipes.map((recipe, i) => (
                        <RecipeColumn
                            key={recipe.label}
                            place={i + 1}
                            recipe={recipe}
                            rows={most}
                            paperHex={study.paperHex}
                            waiting={waiting}
                            onChoose={onChoose}
                        />
                    ))}
                </Columns>
                {empty ? <FirstPencils onFault={onFault} /> : <Line role="status">{statusOf(answer, fault, waiting)}</Line>}
            </div>
        </Strip>
    );
}

function statusOf(answer: Recipes | undefined, fault: unknown, waiting: boolean): string {
    if (fault !== null) {
        return sentenceOf(fault);
    }
    if (waiting || answer === undefined) {
        return 'Finding recipes…';
    }
    const { pencil, deltaE00, closenessWords } = answer.nearestSingle;
    return `Nearest single pencil: ${pencil.number} ${pencil.name}. ${closenessWords} (ΔE00 ${deltaE00.toFixed(1)}).`;
}
