import { useEffect, useMemo, useReducer, useState } from 'react';
import styled from 'styled-components';
import { sentenceOf } from '../api/client';
import type { Recipe, Study } from '../api/types';
import { PhotoView } from './PhotoView';
import { PlanStrip } from './PlanStrip';
import { useDrawer, usePlan, usePlanChanges, useRecipes, useSpot } from './queries';
import { ReadingBlock } from './ReadingBlock';
import { RecipeStrip } from './RecipeStrip';
import { rememberedSpot, rememberSpot, spotReducer } from './spotState';
import { useSettled } from './useSettled';

/** Photo, reading and plan below one another with the recipes beside them; on a narrow screen the recipes follow the reading. */
const Desk = styled.main`
    flex: 1;
    display: grid;
    grid-template: 'photo recipes' auto 'reading recipes' auto 'plan recipes' 1fr / minmax(0, 1fr) minmax(560px, 50%);
    @media (max-width: 1099px) {
        grid-template: 'photo' auto 'reading' auto 'recipes' auto 'plan' auto / minmax(0, 1fr);
    }
`;

const Area = styled.div<{ $at: string }>`
    grid-area: ${(p) => p.$at};
    min-width: 0;
`;

/** How long the ring must rest before recipes are asked for, milliseconds. */
const REST = 180;

interface PhotoScreenProps {
    study: Study;
    onPhoto: (file: File) => void;
    onFault: (text: string) => void;
}

/** The photo at the desk: point, read the spot, compare four recipes with it, choose. */
export function PhotoScreen({ study, onPhoto, onFault }: PhotoScreenProps) {
    const extent = useMemo(() => ({ width: study.photoWidth, height: study.photoHeight }), [study.photoWidth, study.photoHeight]);
    const [spot, dispatch] = useReducer(spotReducer(extent), null, () => rememberedSpot(study.id, extent));
    const [name, setName] = useState('');
    const settled = useSettled(spot, REST);
    useEffect(() => rememberSpot(study.id, spot), [study.id, spot]);

    const drawer = useDrawer();
    const stamp = drawer.data === undefined ? '' : `${drawer.dataUpdatedAt}/${drawer.data.pencils.length}`;
    const reading = useSpot(study, spot);
    const recipes = useRecipes(study, settled, stamp);
    const plan = usePlan(study);
    const changes = usePlanChanges(study, (error) => onFault(sentenceOf(error)));

    const waiting = recipes.isFetching || settled !== spot;
    const choose = (recipe: Recipe) => {
        if (waiting || changes.add.isPending) {
            return;
        }
        const called = name.trim() === '' ? (recipes.data?.target.family ?? 'spot') : name.trim();
        changes.add.mutate({ ...settled, name: called, label: recipe.label, stack: recipe.stack }, { onSuccess: () => setName('') });
    };

    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement;
            if (typing || document.querySelector('[role="dialog"]') !== null) {
                return;
            }
            if ((event.ctrlKey || event.metaKey) && event.key === 'z') {
                event.preventDefault();
                changes.undo.mutate();
                return;
            }
            const recipe = recipes.data?.recipes[Number(event.key) - 1];
            if (recipe !== undefined && !event.ctrlKey && !event.metaKey && !event.altKey) {
                choose(recipe);
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });

    return (
        <Desk>
            <Area $at="photo">
                <PhotoView study={study} spot={spot} entries={plan.data?.entries ?? []} dispatch={dispatch} onPhoto={onPhoto} />
            </Area>
            <Area $at="reading">
                <ReadingBlock
                    reading={reading.data}
                    fault={reading.error}
                    spot={spot}
                    name={name}
                    onName={setName}
                    onRing={(ring) => dispatch({ type: 'ringChosen', ring })}
                />
            </Area>
            <Area $at="recipes">
                <RecipeStrip
                    study={study}
                    answer={recipes.data}
                    fault={recipes.error}
                    waiting={waiting}
                    empty={drawer.data?.pencils.length === 0}
                    onChoose={choose}
                />
            </Area>
            <Area $at="plan">
                <PlanStrip
                    study={study}
                    plan={plan.data}
                    changes={changes}
                    onShow={(e) => dispatch({ type: 'opened', spot: { x: e.x, y: e.y, ring: e.ring } })}
                />
            </Area>
        </Desk>
    );
}
