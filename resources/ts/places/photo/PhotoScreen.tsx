import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { Study } from '../../api/types';

import { lookActionOf } from '../../stage/look/lookState';

import { COLUMNS, HistoryBar } from './HistoryBar';

import { ReadingBlock } from './ReadingBlock';

import { isUnshown, StudyRescue } from '../../app/StudyRescue';

import { usePastedPhoto } from './usePastedPhoto';
import { useKeys } from '../../app/useKeys';

import { usePhotoPlace, type PhotoPlaceState } from './usePhotoPlace';
import { PhotoColumns } from './PhotoColumns';
import { PhotoPart, BelowPart } from './PhotoParts';
import { Inset, Side } from '../../ui/layout';

/** Photo, reading and plan below one another with a column beside them; on a narrow screen the column follows the reading. */
const Sides = styled.main`
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

const SideArea = styled(Side)`
    grid-area: side;
`;

interface PhotoScreenProps {
    study: Study;
    /** Just opened from a file: the keyboard goes on at its photo. */
    fresh: boolean;
    onPhoto: (file: File) => void;
    onFault: (text: string) => void;
}

/** The place to read a reference: ways of looking, the ring and its recipes, named spots, zones, and photos side by side. */
export function PhotoScreen({ study, fresh, onPhoto, onFault }: PhotoScreenProps) {
    const place = usePhotoPlace(study, onFault);
    const { column, setColumn, handle, reading, spot, dispatch, name, setName } = place;
    usePlaceKeys(place, onPhoto);
    return (
        <Sides>
            <Area $at="photo">
                <PhotoPart place={place} fresh={fresh} onPhoto={onPhoto} />
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
            <SideArea>
                {handle.fault != null &&
                    (isUnshown(handle.fault) ? (
                        <StudyRescue study={study} fault={handle.fault} onUndo={handle.undo} onFault={onFault} />
                    ) : (
                        <Inset as="p" role="alert">
                            {sentenceOf(handle.fault)}
                        </Inset>
                    ))}
                <HistoryBar column={column} columns={COLUMNS} handle={handle} onColumn={setColumn} />
                <PhotoColumns place={place} />
            </SideArea>
            <Area $at="plan">
                <BelowPart place={place} />
            </Area>
        </Sides>
    );
}

function usePlaceKeys(place: PhotoPlaceState, onPhoto: (file: File) => void): void {
    const { column, photos, changes, handle, recipes, choose, drawing, dispatchLook } = place;
    usePastedPhoto((file) => (column === 'photos' ? photos.add.mutate(file) : onPhoto(file)));
    useKeys({
        onUndo: () => (column === 'recipes' ? changes.undo.mutate() : handle.undo()),
        onRedo: () => column !== 'recipes' && handle.redo(),
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
}
