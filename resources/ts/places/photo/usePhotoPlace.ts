import { useEffect, useMemo, useReducer, useState } from 'react';
import { sentenceOf } from '../../api/client';
import type { Photo, Sequence, Study } from '../../api/types';

import { lookOfText, lookQuery, lookReducer, lookText, rememberedLook, rememberLook } from '../../stage/look/lookState';

import { COLUMNS, rememberColumn, rememberedColumn } from './HistoryBar';

import { outcomeOf } from '../../dabs/ofSpot';
import { useComparison, usePhotoChanges, useKeptRecipes, useKeptRecipeChanges, useRecipes, useValues } from './queries';

import { rememberedSpot, rememberSpot, spotReducer } from '../../stage/spotState';

import { useInAddress, useNumberInAddress, useTextInAddress } from '../../ui/useInAddress';
import { useDrawing } from '../../stage/useDrawing';
import { useSurvey } from './survey/useSurvey';

import { useSettled } from '../../stage/useSettled';

import { useDrawer } from '../../api/studies';
import { useSpot } from '../../stage/useSpot';

/** How long the ring must rest before recipes are asked for, milliseconds. */
const REST = 180;

/** The way of looking: remembered by study, and in the address. */
function useLook(study: Study) {
    const [address, writeAddress] = useTextInAddress('look');
    const [look, dispatchLook] = useReducer(lookReducer, null, () => lookOfText(address) ?? rememberedLook(study.id));
    useEffect(() => rememberLook(study.id, look), [study.id, look]);
    useEffect(() => {
        if (lookText(look) !== address) {
            writeAddress(lookText(look));
        }
        // Only where the look has changed: what is looked at leads, the address follows.
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [look]);
    return [look, dispatchLook] as const;
}

/** What is chosen in the place, and kept for the next time. */
function useChosen(study: Study) {
    const extent = useMemo(() => ({ width: study.photoWidth, height: study.photoHeight }), [study.photoWidth, study.photoHeight]);
    const [spot, dispatch] = useReducer(spotReducer(extent), null, () => rememberedSpot(study.id, extent));
    const [look, dispatchLook] = useLook(study);
    const [remembered] = useState(() => rememberedColumn(study.id));
    const [column, setColumn] = useInAddress('beside', COLUMNS, remembered);
    const [name, setName] = useState('');
    const [chosenSpot, setChosenSpot] = useState<number | null>(null);
    const [chosenZone, setChosenZone] = useNumberInAddress('zone');
    const [pair, setPair] = useState<number | null>(null);
    const [whites, setWhites] = useState(false);
    const [otherId, setOtherId] = useState<number | null>(null);
    const settled = useSettled(spot, REST);
    useEffect(() => rememberSpot(study.id, spot), [study.id, spot]);
    useEffect(() => rememberColumn(study.id, column), [study.id, column]);

    return {
        spot,
        dispatch,
        look,
        dispatchLook,
        column,
        setColumn,
        name,
        setName,
        chosenSpot,
        setChosenSpot,
        chosenZone,
        setChosenZone,
        pair,
        setPair,
        whites,
        setWhites,
        otherId,
        setOtherId,
        settled,
    };
}

/** What is asked of the application for what is chosen. */
function useAsked(study: Study, chosen: ReturnType<typeof useChosen>, onFault: (text: string) => void) {
    const { spot, look, column, otherId, pair, settled } = chosen;
    const fault = (error: unknown) => onFault(sentenceOf(error));
    const handle = useSurvey(study, fault);
    const { survey } = handle;
    const photos = usePhotoChanges(study, handle.put, fault);
    const drawing = useDrawing(handle.change);
    const drawer = useDrawer();
    const stamp = drawer.data === undefined ? '' : `${drawer.dataUpdatedAt}/${drawer.data.pencils.length}`;
    const reading = useSpot(study, study.photoId, spot, look);
    const recipes = useRecipes(study, settled, column === 'recipes' ? stamp : '');
    const plan = useKeptRecipes(study);
    const changes = useKeptRecipeChanges(study, fault);
    const values = useValues(study, study.photoId, lookQuery({ ...look, only: null, tone: 'colour' }));

    const all = survey?.photos ?? [];
    const photo: Photo = all.find((p) => p.id === study.photoId) ?? {
        id: study.photoId,
        name: study.photoName,
        width: study.photoWidth,
        height: study.photoHeight,
        roles: ['colour'],
        neutral: null,
    };
    const other = all.find((p) => p.id === otherId && p.id !== photo.id) ?? all.find((p) => p.id !== photo.id) ?? null;
    const comparison = useComparison(study, photo.id, column === 'photos' ? (other?.id ?? null) : null, survey?.stamp ?? 0);
    const zones = survey?.zones;
    const neighbours = pair === null ? undefined : zones?.neighbours[pair];
    const push = neighbours === undefined || column !== 'zones' ? null : { zone: neighbours.push, lighter: neighbours.lighter };
    const share = { x: spot.x / photo.width, y: spot.y / photo.height };
    const here = reading.data?.valueSteps === look.steps ? reading.data.valueStep : null;

    return {
        handle,
        survey,
        photos,
        drawing,
        drawer,
        reading,
        recipes,
        plan,
        changes,
        values,
        all,
        photo,
        other,
        comparison,
        zones,
        push,
        share,
        here,
    };
}

/** All that the parts of the place share. */
export function usePhotoPlace(study: Study, onFault: (text: string) => void) {
    const chosen = useChosen(study);
    const asked = useAsked(study, chosen, onFault);
    const { recipes, changes } = asked;
    const { spot, settled, name, setName } = chosen;
    // Before the drawer has answered nothing is asked for, and nothing is there: that is waiting, too.
    const none = recipes.data === undefined && recipes.error === null;
    const waiting = recipes.isFetching || settled !== spot || none;
    const choose = (recipe: Sequence) => {
        if (waiting || changes.add.isPending) {
            return;
        }
        const called = name.trim() === '' ? (recipes.data?.target.family ?? 'spot') : name.trim();
        changes.add.mutate(
            { ...settled, name: called, label: recipe.label, stack: outcomeOf(recipe).stack },
            { onSuccess: () => setName('') },
        );
    };
    return { study, onFault, ...chosen, ...asked, waiting, choose };
}

export type PhotoPlaceState = ReturnType<typeof usePhotoPlace>;
