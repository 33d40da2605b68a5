import { useReducer } from 'react';
import styled from 'styled-components';
import type { Frame, NamedSpot, Photo, Study } from '../../../api/types';
import { WordButton } from '../../../ui/controls';
import type { Look } from '../../../stage/look/lookState';
import { PhotoView } from '../../../stage/PhotoView';
import { spotReducer } from '../../../stage/spotState';

interface OtherPhotoProps {
    study: Study;
    photo: Photo;
    look: Look;
    spots: readonly NamedSpot[];
    chosenSpot: number | null;
    frame: Frame | undefined;
    stamp: number;
    /** A file dropped here joins the study. */
    onPhoto: (file: File) => void;
    onPlace: (spot: number, place: { x: number; y: number; ring: number }) => void;
}

/** As wide as the first photo beside its ruler. */
const BesideRuler = styled.div`
    margin-right: var(--space-6);
`;

/** A second photo in the same way of looking, with the same spots; the chosen one can be placed where its ring is. */
export function OtherPhoto({ photo, onPlace, onPhoto, ...view }: OtherPhotoProps) {
    const [spot, dispatch] = useReducer(spotReducer(photo), { x: Math.round(photo.width / 2), y: Math.round(photo.height / 2), ring: 9 });
    const chosen = view.spots.find((s) => s.number === view.chosenSpot);
    return (
        <BesideRuler>
            <PhotoView {...view} photo={photo} spot={spot} room="378px" dispatch={dispatch} onPhoto={onPhoto} />
            {chosen !== undefined && (
                <WordButton onPress={() => onPlace(chosen.number, { x: spot.x / photo.width, y: spot.y / photo.height, ring: spot.ring })}>
                    Here is “{chosen.name}” on this photo
                </WordButton>
            )}
        </BesideRuler>
    );
}
