import { lazy, Suspense, useEffect, useMemo, useReducer, useState } from 'react';
import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { Photo, Recipe, Study } from '../../api/types';
import { FrameBar } from '../../stage/look/FrameBar';
import { LookBar } from '../../stage/look/LookBar';
import { lookActionOf, lookOfText, lookQuery, lookReducer, lookText, rememberedLook, rememberLook } from '../../stage/look/lookState';
import { ValueRuler } from '../../stage/look/ValueRuler';
import { COLUMNS, HistoryBar, rememberColumn, rememberedColumn } from './HistoryBar';
import { Differences } from './photos/Differences';
import { PhotoView } from '../../stage/PhotoView';
import { PlanStrip } from './PlanStrip';
import { useComparison, usePhotoChanges, usePlan, usePlanChanges, useRecipes, useValues } from './queries';
import { ReadingBlock } from './ReadingBlock';
import { RecipeStrip } from './RecipeStrip';
import { rememberedSpot, rememberSpot, spotReducer } from '../../stage/spotState';
import { isUnshown, StudyRescue } from '../../app/StudyRescue';
import { SpotsColumn } from './spots/SpotsColumn';
import { DrawingBar } from '../../stage/DrawingBar';

import { useInAddress, useNumberInAddress, useTextInAddress } from '../../ui/useInAddress';
import { useDrawing } from '../../stage/useDrawing';
import { useSurvey } from './survey/useSurvey';
import { usePastedPhoto } from './usePastedPhoto';
import { usePhotoKeys } from '../../app/useKeys';
import { useSettled } from './useSettled';
import { ZonesBelow } from './zones/ZonesBelow';
import { useDrawer } from '../../api/studies';
import { useSpot } from '../../stage/useSpot';
import { Cross } from '../../stage/Marks';
import { WhiteShapes, ZoneShapes } from '../../stage/ZoneShapes';

/** Photo, reading and plan below one another with a column beside them; on a narrow screen the column follows the reading. */
const Desk = styled.main`
    flex: 1;
    display: grid;
    grid-template: 'photo side' auto 'reading side' auto 'plan side' 1fr / minmax(0, 1fr) minmax(560px, 50%);
    @media (max-width: 1099px) {
        grid-template: 'photo' auto 'reading' auto 'side' auto 'plan' 1fr / minmax(0, 1fr);
    }
`;

const Area = styled.div<{ $at: string }>`
    grid-area: ${(p) => p.$at};
    min-width: 0;
`;

const Side = styled(Area)`
    border-left: 1.5px solid var(--strong-line);
    @media (max-width: 1099px) {
        border-left: 0;
        border-top: 1.5px solid var(--strong-line);
    }
`;

const Along = styled.div`
    display: flex;
    padding: 0 16px 0 8px;
`;

// What lies beside the photo is loaded when it is opened.
const OtherPhoto = lazy(async () => ({ default: (await import('./photos/OtherPhoto')).OtherPhoto }));
const PhotosColumn = lazy(async () => ({ default: (await import('./photos/PhotosColumn')).PhotosColumn }));
const ZonesColumn = lazy(async () => ({ default: (await import('./zones/ZonesColumn')).ZonesColumn }));

/** How long the ring must rest before recipes are asked for, milliseconds. */
const REST = 180;

interface PhotoScreenProps {
    study: Study;
    /** Just opened from a file: the keyboard goes on at its photo. */
    fresh: boolean;
    onPhoto: (file: File) => void;
    onFault: (text: string) => void;
}

/** The place to read a reference: ways of looking, the ring and its recipes, named spots, zones, and photos side by side. */
export function PhotoScreen({ study, fresh, onPhoto, onFault }: PhotoScreenProps) {
    const fault = (error: unknown) => onFault(sentenceOf(error));
    const extent = useMemo(() => ({ width: study.photoWidth, height: study.photoHeight }), [study.photoWidth, study.photoHeight]);
    const [spot, dispatch] = useReducer(spotReducer(extent), null, () => rememberedSpot(study.id, extent));
    const [address, writeAddress] = useTextInAddress('look');
    const [look, dispatchLook] = useReducer(lookReducer, null, () => lookOfText(address) ?? rememberedLook(study.id));
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
    useEffect(() => rememberLook(study.id, look), [study.id, look]);
    useEffect(() => {
        if (lookText(look) !== address) {
            writeAddress(lookText(look));
        }
        // Only where the look has changed: what is looked at leads, the address follows.
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [look]);
    useEffect(() => rememberColumn(study.id, column), [study.id, column]);

    const desk = useSurvey(study, fault);
    const { survey } = desk;
    const photos = usePhotoChanges(study, desk.put, fault);
    const drawing = useDrawing(desk.change);
    const drawer = useDrawer();
    const stamp = drawer.data === undefined ? '' : `${drawer.dataUpdatedAt}/${drawer.data.pencils.length}`;
    const reading = useSpot(study, study.photoId, spot, look);
    const recipes = useRecipes(study, settled, column === 'recipes' ? stamp : '');
    const plan = usePlan(study);
    const changes = usePlanChanges(study, fault);
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

    // Before the drawer has answered nothing is asked for, and nothing is there: that is waiting, too.
    const none = recipes.data === undefined && recipes.error === null;
    const waiting = recipes.isFetching || settled !== spot || none;
    const choose = (recipe: Recipe) => {
        if (waiting || changes.add.isPending) {
            return;
        }
        const called = name.trim() === '' ? (recipes.data?.target.family ?? 'spot') : name.trim();
        changes.add.mutate({ ...settled, name: called, label: recipe.label, stack: recipe.stack }, { onSuccess: () => setName('') });
    };
    usePastedPhoto((file) => (column === 'photos' ? photos.add.mutate(file) : onPhoto(file)));
    usePhotoKeys({
        onUndo: () => (column === 'recipes' ? changes.undo.mutate() : desk.undo()),
        onRedo: () => column !== 'recipes' && desk.redo(),
        onRecipe: (place) => {
            const recipe = recipes.data?.recipes[place - 1];
            if (recipe !== undefined && column === 'recipes') {
                choose(recipe);
            }
        },
        onKey: (key) => {
            if (key === 'Escape' && drawing.drawing.tool !== null) {
                drawing.leave();
                return true;
            }
            const action = lookActionOf(key);
            if (action !== null) {
                dispatchLook(action);
            }
            return action !== null;
        },
    });

    const rooms = { recipes: '418px', spots: '268px', zones: '430px', photos: '378px' };
    const room = look.grid || look.cut ? `${rooms[column]} - 48px` : rooms[column];
    const view = {
        study,
        look,
        spots: column === 'spots' || column === 'photos' ? (survey?.spots ?? []) : [],
        chosenSpot,
        frame: survey?.frame,
        stamp: survey?.stamp ?? 0,
    };
    return (
        <Desk>
            <Area $at="photo">
                <LookBar look={look} dispatch={dispatchLook} canBalance={all.some((p) => p.neutral !== null)} />
                {(look.grid || look.cut) && survey !== undefined && (
                    <FrameBar frame={survey.frame} onChange={(c) => photos.study.mutate(c)} />
                )}
                <Along>
                    <ValueRuler values={values.data} only={look.only} here={here} onOnly={(step) => dispatchLook({ type: 'only', step })} />
                    <PhotoView
                        {...view}
                        takesFocus={fresh}
                        photo={photo}
                        spot={spot}
                        push={push}
                        room={room}
                        drawing={drawing.drawing}
                        brush={Number(drawing.brush)}
                        draw={drawing.draw}
                        onEnd={drawing.end}
                        dispatch={dispatch}
                        onPhoto={onPhoto}
                    >
                        {column === 'recipes' && (plan.data?.entries ?? []).map((e) => <Cross key={e.id} x={e.x} y={e.y} />)}
                        {column === 'zones' && zones !== undefined && zones !== null && (
                            <>
                                <ZoneShapes
                                    zones={zones}
                                    extent={photo}
                                    chosen={chosenZone}
                                    pair={pair}
                                    onZone={drawing.drawing.tool === null ? setChosenZone : null}
                                />
                                {(whites || drawing.drawing.tool?.kind === 'keepWhite' || drawing.drawing.tool?.kind === 'dropWhite') && (
                                    <WhiteShapes zones={zones} extent={photo} />
                                )}
                            </>
                        )}
                    </PhotoView>
                </Along>
                <DrawingBar
                    drawing={drawing.drawing}
                    brush={drawing.brush}
                    nameOf={(zone) => zones?.list.find((z) => z.number === zone)?.name ?? ''}
                    onBrush={drawing.setBrush}
                    onEnd={drawing.end}
                    onLeave={drawing.leave}
                />
            </Area>
            <Area $at="reading">
                <ReadingBlock
                    reading={reading.data}
                    fault={reading.error}
                    spot={spot}
                    name={column === 'recipes' ? name : null}
                    onName={setName}
                    onRing={(ring) => dispatch({ type: 'ringChosen', ring })}
                />
            </Area>
            <Side $at="side">
                {desk.fault != null &&
                    (isUnshown(desk.fault) ? (
                        <StudyRescue study={study} fault={desk.fault} onUndo={desk.undo} onFault={onFault} />
                    ) : (
                        <p role="alert" style={{ padding: '8px 16px' }}>
                            {sentenceOf(desk.fault)}
                        </p>
                    ))}
                <HistoryBar column={column} columns={COLUMNS} desk={desk} onColumn={setColumn} />
                <Suspense fallback={<p aria-busy="true">Opening…</p>}>
                    {column === 'recipes' && (
                        <RecipeStrip
                            study={study}
                            answer={recipes.data}
                            fault={recipes.error}
                            waiting={waiting}
                            empty={drawer.data?.pencils.length === 0}
                            onChoose={choose}
                        />
                    )}
                    {column === 'spots' && desk.fault == null && (
                        <SpotsColumn
                            study={study}
                            photo={photo.id}
                            spots={survey?.spots}
                            reading={reading.data}
                            ring={spot}
                            share={share}
                            chosen={chosenSpot}
                            onChosen={(s) => {
                                setChosenSpot(s?.number ?? null);
                                const place = s?.places.find((p) => p.photo === photo.id);
                                if (place !== undefined) {
                                    dispatch({
                                        type: 'opened',
                                        spot: {
                                            x: Math.round(place.x * (photo.width - 1)),
                                            y: Math.round(place.y * (photo.height - 1)),
                                            ring: place.ring,
                                        },
                                    });
                                }
                            }}
                            onChange={desk.change}
                        />
                    )}
                    {column === 'zones' && desk.fault == null && (
                        <ZonesColumn
                            zones={zones}
                            chosen={chosenZone}
                            busy={desk.waiting > 0}
                            onChosen={setChosenZone}
                            onTool={drawing.take}
                            onChange={desk.change}
                        />
                    )}
                    {column === 'photos' && survey !== undefined && (
                        <PhotosColumn
                            photos={all}
                            colourPhoto={photo.id}
                            other={other}
                            adding={photos.add.isPending}
                            view={
                                other !== null && (
                                    <OtherPhoto
                                        {...view}
                                        photo={other}
                                        onPhoto={(file) => photos.add.mutate(file)}
                                        onPlace={(spotNumber, place) =>
                                            desk.change({ kind: 'placeSpot', spot: spotNumber, photo: other.id, ...place })
                                        }
                                    />
                                )
                            }
                            onOther={setOtherId}
                            onAdd={(file) => photos.add.mutate(file)}
                            onPhoto={(change) => photos.change.mutate(change)}
                            onRemove={(id) => photos.remove.mutate(id)}
                            onFollow={(colourPhoto) => photos.study.mutate({ colourPhoto })}
                            onNeutral={(id) => desk.change({ kind: 'balance', photo: id, ...share, ring: spot.ring })}
                            onPlain={(id) => desk.change({ kind: 'unbalance', photo: id })}
                        />
                    )}
                </Suspense>
            </Side>
            {column === 'photos' && other !== null && (
                <Area $at="plan">
                    <Differences comparison={comparison.data} fault={comparison.error} />
                </Area>
            )}
            {column === 'zones' && zones != null && (
                <Area $at="plan">
                    <ZonesBelow
                        zones={zones}
                        pair={pair}
                        whites={whites}
                        onPair={setPair}
                        onWhites={setWhites}
                        onTool={drawing.take}
                        onChange={desk.change}
                    />
                </Area>
            )}
            {column === 'recipes' && (
                <Area $at="plan">
                    <PlanStrip
                        study={study}
                        plan={plan.data}
                        changes={changes}
                        onShow={(e) => dispatch({ type: 'opened', spot: { x: e.x, y: e.y, ring: e.ring } })}
                    />
                </Area>
            )}
        </Desk>
    );
}
