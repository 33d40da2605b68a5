import { lazy, Suspense } from 'react';

import { RecipeStrip } from './RecipeStrip';

import type { PhotoPlaceState } from './usePhotoPlace';
import { viewOf } from './PhotoParts';

// What lies beside the photo is loaded when it is opened.
const OtherPhoto = lazy(async () => ({ default: (await import('./photos/OtherPhoto')).OtherPhoto }));
const PhotosColumn = lazy(async () => ({ default: (await import('./photos/PhotosColumn')).PhotosColumn }));
const SpotsColumn = lazy(async () => ({ default: (await import('./spots/SpotsColumn')).SpotsColumn }));
const ZonesColumn = lazy(async () => ({ default: (await import('./zones/ZonesColumn')).ZonesColumn }));

/** The photos of the study, with the other one to lay beside. */
function PhotosBeside({ place }: { place: PhotoPlaceState }) {
    const { photo, all, other, photos, handle, spot, share, setOtherId } = place;
    const view = viewOf(place);
    return (
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
                        onPlace={(spotNumber, place) => handle.change({ kind: 'placeSpot', spot: spotNumber, photo: other.id, ...place })}
                    />
                )
            }
            onOther={setOtherId}
            onAdd={(file) => photos.add.mutate(file)}
            onPhoto={(change) => photos.change.mutate(change)}
            onRemove={(id) => photos.remove.mutate(id)}
            onFollow={(colourPhoto) => photos.study.mutate({ colourPhoto })}
            onNeutral={(id) => handle.change({ kind: 'balance', photo: id, ...share, ring: spot.ring })}
            onPlain={(id) => handle.change({ kind: 'unbalance', photo: id })}
        />
    );
}

function SpotsBeside({ place }: { place: PhotoPlaceState }) {
    const { study, photo, survey, reading, spot, share, chosenSpot, setChosenSpot, dispatch, handle } = place;
    return (
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
            onChange={handle.change}
        />
    );
}

/** What lies beside the photo: recipes, spots, zones or photos. */
export function PhotoColumns({ place }: { place: PhotoPlaceState }) {
    const { study, column, recipes, waiting, drawer, choose, handle, zones, chosenZone, setChosenZone, drawing, survey } = place;
    return (
        <Suspense fallback={<p aria-busy="true">Opening…</p>}>
            {column === 'recipes' && (
                <RecipeStrip
                    study={study}
                    answer={recipes.data}
                    fault={recipes.error}
                    waiting={waiting}
                    empty={drawer.data?.pencils.length === 0}
                    onFault={place.onFault}
                    onChoose={choose}
                />
            )}
            {column === 'spots' && handle.fault == null && <SpotsBeside place={place} />}
            {column === 'zones' && handle.fault == null && (
                <ZonesColumn
                    zones={zones}
                    chosen={chosenZone}
                    busy={handle.waiting > 0}
                    at={place.share}
                    onChosen={setChosenZone}
                    onTool={drawing.take}
                    onChange={handle.change}
                />
            )}
            {column === 'photos' && survey !== undefined && <PhotosBeside place={place} />}
        </Suspense>
    );
}
