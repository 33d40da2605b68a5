import { useRef, useState, type ActionDispatch, type KeyboardEvent, type PointerEvent } from 'react';
import { DropZone } from 'react-aria-components';
import styled from 'styled-components';
import type { Entry, Study } from '../api/types';
import { droppedFile } from './droppedFile';
import { UnderPointer } from './UnderPointer';
import { RING_WORDS, type SpotAction, type SpotState } from './spotState';

const Frame = styled(DropZone)`
    padding: 14px 16px 0;
    &[data-drop-target] img {
        opacity: 0.5;
    }
`;

const Stage = styled.div`
    position: relative;
    width: fit-content;
    max-width: 100%;
    margin: 0 auto;
    cursor: crosshair;
    touch-action: none;
    & img {
        display: block;
        max-width: 100%;
        max-height: max(300px, calc(100vh - 368px));
        user-select: none;
    }
    @media (max-width: 1099px) {
        & img {
            max-height: 44vh;
        }
    }
    & svg {
        position: absolute;
        inset: 0;
        width: 100%;
        height: 100%;
        pointer-events: none;
        overflow: visible;
    }
`;

const STEPS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** Pixels of the working copy that an arrow key moves the ring; with Shift, far. */
const NEAR = 4;
const FAR = 40;

interface PhotoViewProps {
    study: Study;
    spot: SpotState;
    entries: readonly Entry[];
    dispatch: ActionDispatch<[SpotAction]>;
    onPhoto: (file: File) => void;
}

/** The photo with the ring on it. Pressing, touching and the arrow keys move the ring; + and − change its size; hovering only reads. */
export function PhotoView({ study, spot, entries, dispatch, onPhoto }: PhotoViewProps) {
    const stage = useRef<HTMLDivElement>(null);
    const [held, setHeld] = useState(false);

    const [pointer, setPointer] = useState<SpotState | null>(null);

    const placeOf = (event: PointerEvent<HTMLDivElement>): { x: number; y: number } | null => {
        const box = stage.current?.getBoundingClientRect();
        if (box === undefined) {
            return null;
        }
        const share = (v: number, from: number, length: number, pixels: number): number =>
            Math.max(0, Math.min(pixels - 1, Math.round(((v - from) / length) * pixels)));
        return {
            x: share(event.clientX, box.left, box.width, study.photoWidth),
            y: share(event.clientY, box.top, box.height, study.photoHeight),
        };
    };
    const point = (event: PointerEvent<HTMLDivElement>) => {
        const place = placeOf(event);
        if (place !== null) {
            dispatch({ type: 'placed', ...place });
            setPointer(null);
        }
    };
    const hover = (event: PointerEvent<HTMLDivElement>) => {
        const place = placeOf(event);
        if (event.pointerType === 'mouse' && place !== null) {
            setPointer({ ...place, ring: spot.ring });
        }
    };
    const onKey = (event: KeyboardEvent<HTMLDivElement>) => {
        const step = STEPS[event.key];
        if (step !== undefined) {
            const by = event.shiftKey ? FAR : NEAR;
            dispatch({ type: 'nudged', dx: step[0] * by, dy: step[1] * by });
        } else if (event.key === '+' || event.key === '-') {
            dispatch({ type: 'ringCycled', by: event.key === '+' ? 1 : -1 });
        } else {
            return;
        }
        event.preventDefault();
    };

    return (
        <Frame onDrop={(e) => void droppedFile(e.items).then((file) => file !== null && onPhoto(file))}>
            <Stage
                ref={stage}
                role="application"
                tabIndex={0}
                aria-label={`Photo ${study.photoName}. Arrow keys move the ring, Shift moves it far, plus and minus change its size.`}
                aria-describedby="reading"
                onKeyDown={onKey}
                onPointerDown={(e) => {
                    setHeld(true);
                    e.currentTarget.setPointerCapture(e.pointerId);
                    point(e);
                }}
                onPointerMove={held ? point : hover}
                onPointerLeave={() => setPointer(null)}
                onPointerUp={() => setHeld(false)}
                onPointerCancel={() => setHeld(false)}
            >
                <img
                    src={`/api/studies/${study.id}/photo`}
                    width={study.photoWidth}
                    height={study.photoHeight}
                    style={{ height: 'auto', width: 'auto' }}
                    alt=""
                    draggable={false}
                />
                <svg viewBox={`0 0 ${study.photoWidth} ${study.photoHeight}`} preserveAspectRatio="none" aria-hidden="true">
                    {entries.map((e) => (
                        <Cross key={e.id} x={e.x} y={e.y} />
                    ))}
                    <Ring spot={spot} unit={study.photoWidth / 640} />
                </svg>
                {pointer !== null && <UnderPointer study={study} spot={pointer} />}
            </Stage>
            <span className="only-read" role="status">
                Ring {RING_WORDS[spot.ring]} at {spot.x}, {spot.y}
            </span>
        </Frame>
    );
}

/** A black ring inside a white one shows on any photo; four ticks lead the eye to a small ring. */
function Ring({ spot: { x, y, ring }, unit }: { spot: SpotState; unit: number }) {
    const r = Math.max(ring, 3 * unit);
    const ticks = [0, 90, 180, 270].map((turn) => (
        <line key={turn} x1={x + r + 2 * unit} x2={x + r + 9 * unit} y1={y} y2={y} transform={`rotate(${turn} ${x} ${y})`} />
    ));
    return (
        <g fill="none">
            <g stroke="#fff" strokeWidth={4 * unit}>
                <circle cx={x} cy={y} r={r} />
                {ticks}
            </g>
            <g stroke="#000" strokeWidth={1.6 * unit}>
                <circle cx={x} cy={y} r={r} />
                {ticks}
            </g>
        </g>
    );
}

/** Where a recipe is chosen already. */
function Cross({ x, y }: { x: number; y: number }) {
    return (
        <g>
            <path d={`M${x - 11} ${y}h22M${x} ${y - 11}v22`} stroke="#fff" strokeWidth="7" />
            <path d={`M${x - 10} ${y}h20M${x} ${y - 10}v20`} stroke="#000" strokeWidth="3" />
        </g>
    );
}
