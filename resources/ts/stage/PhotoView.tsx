import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';
import styled from 'styled-components';

import { lookQuery } from './look/lookState';
import { NOTHING } from './drawing';
import { cssFlip, flipOf, flipped, type Flip, type Place } from './flip';
import { CellNumbers, SpotNumbers } from './Labels';
import { useLoaded } from './useLoaded';
import { UnderPointer } from './UnderPointer';
import { RING_WORDS, type SpotState } from './spotState';
import { FileDrop } from '../ui/FileDrop';

import { OnPhoto, PhotoViewProps } from './OnPhoto';

const Target = styled(FileDrop)`
    flex: 1;
    min-width: 0;
    &[data-drop-target] img {
        opacity: 0.5;
    }
`;

/** Its size follows from the photo's shape alone, so that nothing moves when a picture arrives. */
const Stage = styled.div<{ $room: string; $shape: number }>`
    position: relative;
    width: min(100%, calc(max(280px, 100vh - ${(p) => p.$room}) * ${(p) => p.$shape}));
    aspect-ratio: ${(p) => p.$shape};
    margin: 0 auto;
    overflow: hidden;
    cursor: crosshair;
    touch-action: none;
    & img {
        display: block;
        width: 100%;
        height: 100%;
        user-select: none;
    }
    @media (max-width: 1099px) {
        width: min(100%, calc(25vh * ${(p) => p.$shape}));
    }
    & > svg {
        position: absolute;
        inset: 0;
        width: 100%;
        height: 100%;
        overflow: visible;
        pointer-events: none;
    }
`;

const Waiting = styled.span`
    position: absolute;
    right: 0;
    top: 0;
    padding: var(--space-1) var(--space-2);
    background: #777;
    color: #fff;
    font-size: var(--type-small);
    pointer-events: none;
`;

const STEPS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** Pixels of the working copy that an arrow key moves the ring; with Shift, far. */
const NEAR = 4;
const FAR = 40;

/** Pressing and touching move the ring, or draw; hovering only reads. */
function usePointing(props: PhotoViewProps, stage: RefObject<HTMLDivElement | null>, flip: Flip) {
    const { photo, spot, drawing = NOTHING, draw, dispatch } = props;
    const [held, setHeld] = useState(false);
    const [pointer, setPointer] = useState<SpotState | null>(null);
    const placeOf = (event: PointerEvent<HTMLDivElement>): Place | null => {
        const box = stage.current?.getBoundingClientRect();
        if (box === undefined || box.width === 0) {
            return null;
        }
        const share = (v: number, from: number, length: number): number => Math.max(0, Math.min(1, (v - from) / length));
        return flipped({ x: share(event.clientX, box.left, box.width), y: share(event.clientY, box.top, box.height) }, flip);
    };
    const pixel = ({ x, y }: Place) => ({
        x: Math.min(photo.width - 1, Math.round(x * photo.width)),
        y: Math.min(photo.height - 1, Math.round(y * photo.height)),
    });
    const pressed = (event: PointerEvent<HTMLDivElement>, first: boolean) => {
        const place = placeOf(event);
        if (place === null) {
            return;
        }
        if (drawing.tool !== null) {
            draw?.({ type: first ? 'pressed' : 'dragged', at: place });
        }
        dispatch({ type: 'placed', ...pixel(place) });
        setPointer(null);
    };
    const hover = (event: PointerEvent<HTMLDivElement>) => {
        const place = placeOf(event);
        if (event.pointerType === 'mouse' && place !== null && drawing.tool === null) {
            setPointer({ ...pixel(place), ring: spot.ring });
        }
    };
    /** Where the pointer is lifted belongs to what was drawn: a quick stroke has hardly a move besides. */
    const released = (event: PointerEvent<HTMLDivElement>) => {
        setHeld(false);
        if (held) {
            if (event.type === 'pointerup' && drawing.tool !== null) {
                pressed(event, false);
            }
            draw?.({ type: 'released' });
        }
    };
    const handlers = {
        onPointerDown: (e: PointerEvent<HTMLDivElement>) => {
            setHeld(true);
            e.currentTarget.setPointerCapture(e.pointerId);
            pressed(e, true);
        },
        onPointerMove: (e: PointerEvent<HTMLDivElement>) => (held ? pressed(e, false) : hover(e)),
        onPointerLeave: () => setPointer(null),
        onPointerUp: released,
        onPointerCancel: released,
    };
    return { pointer, handlers };
}

/** Arrows move the ring, plus and minus change its size; while something is drawn, Space sets a corner and Enter ends. */
function useRingKeys({ drawing = NOTHING, draw, onEnd, dispatch }: PhotoViewProps, flip: Flip, cursor: Place) {
    return (event: KeyboardEvent<HTMLDivElement>) => {
        const step = STEPS[event.key];
        if (step !== undefined) {
            const by = event.shiftKey ? FAR : NEAR;
            dispatch({ type: 'nudged', dx: step[0] * by * (flip.x ? -1 : 1), dy: step[1] * by * (flip.y ? -1 : 1) });
        } else if (event.key === '+' || event.key === '-') {
            dispatch({ type: 'ringCycled', by: event.key === '+' ? 1 : -1 });
        } else if (drawing.tool !== null && event.key === ' ') {
            draw?.({ type: 'dropped', at: cursor });
        } else if (drawing.tool !== null && event.key === 'Enter') {
            onEnd?.();
        } else {
            return;
        }
        event.preventDefault();
    };
}

/**
 * The photo with the ring on it. Pressing, touching and the arrow keys move the ring, + and − change its size, hovering only reads. While
 * something is drawn, pressing draws, Space sets a corner where the ring is, Enter ends and Escape leaves.
 */
export function PhotoView(props: PhotoViewProps) {
    const { study, photo, takesFocus = false, look, spot, spots, frame, push, onPhoto } = props;
    const stage = useRef<HTMLDivElement>(null);
    useEffect(() => {
        if (takesFocus) {
            stage.current?.focus({ preventScroll: true });
        }
    }, [takesFocus]);
    const flip = flipOf(look);
    // The address names all that the picture depends on, so that what is cached under it stays true.
    const stamp = push === undefined || push === null ? '' : `&of=${props.stamp}`;
    const neutral = look.balanced && photo.neutral !== null ? `&neutral=${encodeURIComponent(photo.neutral.lab.join())}` : '';
    const picture = useLoaded(`/api/studies/${study.id}/photos/${photo.id}/look?${lookQuery(look, push)}${stamp}${neutral}`);
    const cursor: Place = { x: spot.x / photo.width, y: spot.y / photo.height };
    const { pointer, handlers } = usePointing(props, stage, flip);
    const onKey = useRingKeys(props, flip, cursor);
    return (
        <Target onFile={onPhoto}>
            <Stage
                ref={stage}
                $room={props.room}
                $shape={photo.width / photo.height}
                role="application"
                tabIndex={0}
                aria-label={`Photo ${photo.name}. Arrow keys move the ring, Shift moves it far, plus and minus change its size.`}
                aria-describedby="reading"
                aria-busy={picture.waiting}
                onKeyDown={onKey}
                {...handlers}
            >
                <img src={picture.shown} style={{ transform: cssFlip(flip) }} alt="" draggable={false} />
                <OnPhoto {...props} flip={flip} cursor={cursor} />
                <SpotNumbers spots={spots} photo={photo.id} flip={flip} />
                {look.grid && frame !== undefined && <CellNumbers frame={frame} flip={flip} />}
                {pointer !== null && <UnderPointer study={study} photo={photo.id} spot={pointer} look={look} />}
                {(picture.waiting || picture.failed) && (
                    <Waiting>{picture.failed ? 'This view could not be loaded; choose it again.' : 'Loading view…'}</Waiting>
                )}
            </Stage>
            <span className="only-read" role="status">
                Ring {RING_WORDS[spot.ring]} at {spot.x}, {spot.y}
            </span>
        </Target>
    );
}
