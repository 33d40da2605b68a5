import { lazy, Suspense } from 'react';
import styled from 'styled-components';
import { LookBar } from '../../stage/look/LookBar';
import { ValueRuler } from '../../stage/look/ValueRuler';
import { PhotoView } from '../../stage/PhotoView';
import { KeptStrip } from './KeptStrip';
import { Cross } from '../../stage/Marks';
import type { PhotoPlaceState } from './usePhotoPlace';

// What is asked for now and then comes when it is asked for.
const DrawingBar = lazy(async () => ({ default: (await import('../../stage/DrawingBar')).DrawingBar }));
const FrameBar = lazy(async () => ({ default: (await import('../../stage/look/FrameBar')).FrameBar }));
const Differences = lazy(async () => ({ default: (await import('./photos/Differences')).Differences }));
const ZoneShapes = lazy(async () => ({ default: (await import('../../stage/ZoneShapes')).ZoneShapes }));
const WhiteShapes = lazy(async () => ({ default: (await import('../../stage/ZoneShapes')).WhiteShapes }));
const ZonesBelow = lazy(async () => ({ default: (await import('./zones/ZonesBelow')).ZonesBelow }));

const Along = styled.div`
    display: flex;
    padding: 0 var(--space-4) 0 var(--space-2);
`;

/** What photo and second photo are shown with alike. */
export function viewOf(place: PhotoPlaceState) {
    const { study, look, column, survey, chosenSpot } = place;
    const rooms = { recipes: '418px', spots: '268px', zones: '430px', photos: '378px' };
    const room = look.grid || look.cut ? `${rooms[column]} - 48px` : rooms[column];
    return {
        study,
        look,
        spots: column === 'spots' || column === 'photos' ? (survey?.spots ?? []) : [],
        chosenSpot,
        frame: survey?.frame,
        stamp: survey?.stamp ?? 0,
        room,
    };
}

/** What lies over the photo in the column that is open. */
function OverPhoto({ place }: { place: PhotoPlaceState }) {
    const { column, plan, zones, photo, chosenZone, setChosenZone, pair, whites, drawing } = place;
    return (
        <>
            {column === 'recipes' && (plan.data?.entries ?? []).map((e) => <Cross key={e.id} x={e.x} y={e.y} />)}
            {column === 'zones' && zones !== undefined && zones !== null && (
                <Suspense fallback={null}>
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
                </Suspense>
            )}
        </>
    );
}

/** The photo with its ways of looking, and what is being drawn on it. */
export function PhotoPart({ place, fresh, onPhoto }: { place: PhotoPlaceState; fresh: boolean; onPhoto: (file: File) => void }) {
    const { look, dispatchLook, all, survey, photos, values, here, photo, spot, push, drawing, dispatch, zones } = place;
    return (
        <>
            <LookBar look={look} dispatch={dispatchLook} canBalance={all.some((p) => p.neutral !== null)} />
            <Suspense fallback={null}>
                {(look.grid || look.cut) && survey !== undefined && (
                    <FrameBar frame={survey.frame} onChange={(c) => photos.study.mutate(c)} />
                )}
            </Suspense>
            <Along>
                <ValueRuler values={values.data} only={look.only} here={here} onOnly={(step) => dispatchLook({ type: 'only', step })} />
                <PhotoView
                    {...viewOf(place)}
                    takesFocus={fresh}
                    photo={photo}
                    spot={spot}
                    push={push}
                    drawing={drawing.drawing}
                    brush={Number(drawing.brush)}
                    draw={drawing.draw}
                    onEnd={drawing.end}
                    dispatch={dispatch}
                    onPhoto={onPhoto}
                >
                    <OverPhoto place={place} />
                </PhotoView>
            </Along>
            <Suspense fallback={null}>
                <DrawingBar
                    drawing={drawing.drawing}
                    brush={drawing.brush}
                    nameOf={(zone) => zones?.list.find((z) => z.number === zone)?.name ?? ''}
                    onBrush={drawing.setBrush}
                    onEnd={drawing.end}
                    onLeave={drawing.leave}
                />
            </Suspense>
        </>
    );
}

/** What lies below: how photos differ, borders and whites of zones, or the recipes kept. */
export function BelowPart({ place }: { place: PhotoPlaceState }) {
    const { study, column, other, comparison, zones, pair, setPair, whites, setWhites, drawing, handle, plan, changes, dispatch } = place;
    return (
        <Suspense fallback={null}>
            {column === 'photos' && other !== null && <Differences comparison={comparison.data} fault={comparison.error} />}
            {column === 'zones' && zones != null && (
                <ZonesBelow
                    zones={zones}
                    pair={pair}
                    whites={whites}
                    onPair={setPair}
                    onWhites={setWhites}
                    onTool={drawing.take}
                    onChange={handle.change}
                />
            )}
            {column === 'recipes' && (
                <KeptStrip
                    study={study}
                    plan={plan.data}
                    changes={changes}
                    onShow={(e) => dispatch({ type: 'opened', spot: { x: e.x, y: e.y, ring: e.ring } })}
                />
            )}
        </Suspense>
    );
}
