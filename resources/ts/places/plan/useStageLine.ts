import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Line } from './queries';

const STEPS: Record<string, readonly [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
const NEAR = 0.01;
const FAR = 0.08;

type Place = readonly [x: number, y: number];

const within = (v: number): number => Math.max(0, Math.min(1, v));

interface StageLineOptions {
    /** Told of every line when it ends. */
    onLine: (line: Line) => void;
    onLeave: () => void;
    /** Whether a place, with no way from it, is a line too. */
    isPlaceEnough?: boolean;
    label: string;
}

/** A line drawn across the picture, by pressing and dragging or by keys. */
export function useStageLine({ onLine, onLeave, isPlaceEnough = false, label }: StageLineOptions) {
    const [cursor, setCursor] = useState<Place>([0.5, 0.5]);
    const [begun, setBegun] = useState<Place | null>(null);
    const placeOf = (event: PointerEvent<HTMLDivElement>): Place => {
        const box = event.currentTarget.getBoundingClientRect();
        return [within((event.clientX - box.left) / box.width), within((event.clientY - box.top) / box.height)];
    };
    const end = (from: Place, to: Place) => {
        setBegun(null);
        if (isPlaceEnough || Math.hypot(to[0] - from[0], to[1] - from[1]) > NEAR) {
            onLine([from[0], from[1], to[0], to[1]]);
        }
    };
    const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
        const by = STEPS[event.key];
        if (by !== undefined) {
            const far = event.shiftKey ? FAR : NEAR;
            setCursor(([x, y]) => [within(x + by[0] * far), within(y + by[1] * far)]);
        } else if (event.key === ' ' || event.key === 'Enter') {
            if (begun === null && !isPlaceEnough) {
                setBegun(cursor);
            } else {
                end(begun ?? cursor, cursor);
            }
        } else if (event.key === 'Escape') {
            setBegun(null);
            onLeave();
        } else {
            return;
        }
        event.preventDefault();
    };
    const handlers = {
        role: 'application',
        tabIndex: 0,
        'aria-label': label,
        onKeyDown,
        onPointerDown: (e: PointerEvent<HTMLDivElement>) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            setBegun(placeOf(e));
            setCursor(placeOf(e));
        },
        onPointerMove: (e: PointerEvent<HTMLDivElement>) => begun !== null && setCursor(placeOf(e)),
        onPointerUp: (e: PointerEvent<HTMLDivElement>) => begun !== null && end(begun, placeOf(e)),
    };
    return { cursor, begun, handlers };
}
