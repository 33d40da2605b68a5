import { type ActionDispatch, type ReactNode } from 'react';

import type { Frame, NamedSpot, Photo, Study } from '../api/types';

import { type Look } from './look/lookState';
import { NOTHING, type Drawing, type DrawingAction } from './drawing';
import { type Flip, type Place } from './flip';
import { CutAway, Draft, GridLines } from './Overlay';

import { type SpotAction, type SpotState } from './spotState';

import { flipTransform } from './lines';
import { Ring, SpotMarks } from './Marks';

export interface PhotoViewProps {
    study: Study;
    photo: Photo;
    takesFocus?: boolean;
    look: Look;
    spot: SpotState;
    spots: readonly NamedSpot[];
    chosenSpot: number | null;
    frame: Frame | undefined;
    push?: { zone: number; lighter: boolean } | null;
    /** The number of the survey on which a push depends. */
    stamp: number;
    /** Height that everything else on the screen takes. */
    room: string;
    drawing?: Drawing;
    brush?: number;
    draw?: (action: DrawingAction) => void;
    onEnd?: () => void;
    /** Shapes in pixels of the photo, turned with it. */
    children?: ReactNode;
    dispatch: ActionDispatch<[SpotAction]>;
    onPhoto: (file: File) => void;
}

/** Shapes in pixels of the photo, turned with it. */
export function OnPhoto({
    photo,
    look,
    spot,
    spots,
    chosenSpot,
    frame,
    drawing = NOTHING,
    brush = 0.02,
    flip,
    cursor,
    children,
}: PhotoViewProps & { flip: Flip; cursor: Place }) {
    const extent = { width: photo.width, height: photo.height };
    return (
        <svg viewBox={`0 0 ${photo.width} ${photo.height}`} preserveAspectRatio="none" aria-hidden="true">
            <g transform={flipTransform(flip, photo.width, photo.height)}>
                {children}
                {look.cut && frame !== undefined && <CutAway frame={frame} extent={extent} />}
                {look.grid && frame !== undefined && <GridLines frame={frame} extent={extent} />}
                <SpotMarks spots={spots} photo={photo.id} chosen={chosenSpot} extent={extent} />
                <Draft drawing={drawing} extent={extent} brush={brush} cursor={cursor} />
                <Ring spot={spot} unit={photo.width / 640} />
            </g>
        </svg>
    );
}
