import { useRef } from 'react';
import { useMove, type MoveMoveEvent } from 'react-aria/useMove';
import styled from 'styled-components';

/** Four places as shares of a picture, from the top left clockwise. */
export type Corners = readonly (readonly [number, number])[];

const Over = styled.div`
    position: relative;
    max-width: 560px;
    touch-action: none;
    & img {
        display: block;
        width: 100%;
    }
    & svg {
        position: absolute;
        inset: 0;
        width: 100%;
        height: 100%;
        overflow: visible;
    }
    & polygon,
    & line {
        fill: none;
        stroke: #fff;
        stroke-width: 2;
        vector-effect: non-scaling-stroke;
        paint-order: stroke;
        filter: drop-shadow(0 0 1px #000);
    }
    & line {
        stroke-width: 1;
    }
`;

const Handle = styled.button`
    position: absolute;
    width: 44px;
    height: 44px;
    translate: -50% -50%;
    padding: 0;
    border: 0;
    border-radius: 50%;
    background: radial-gradient(circle, #fff 0 3px, #000 3px 5px, transparent 5px 14px, #fff 14px 16px, #000 16px 18px, transparent 18px);
    cursor: grab;
`;

const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'];

type Moved = Pick<MoveMoveEvent, 'deltaX' | 'deltaY' | 'pointerType'>;

const held = (share: number): number => Math.max(0, Math.min(1, share));

export const inShares = (corners: Corners): string =>
    corners
        .flat()
        .map((share) => held(share).toFixed(4))
        .join(',');

/**
 * Where a place of the unit square lies between four corners, as a camera sees it.
 * P. S. Heckbert, "Fundamentals of texture mapping and image warping" (1989), section 2.2.3.
 */
export function between(corners: Corners, u: number, v: number): [number, number] {
    const [[x0, y0], [x1, y1], [x2, y2], [x3, y3]] = corners as [[number, number], [number, number], [number, number], [number, number]];
    const [dx1, dx2, sx] = [x1 - x2, x3 - x2, x0 - x1 + x2 - x3];
    const [dy1, dy2, sy] = [y1 - y2, y3 - y2, y0 - y1 + y2 - y3];
    const whole = dx1 * dy2 - dx2 * dy1 || 1e-9;
    const g = (sx * dy2 - dx2 * sy) / whole;
    const h = (dx1 * sy - sx * dy1) / whole;
    const w = g * u + h * v + 1;
    return [((x1 - x0 + g * x1) * u + (x3 - x0 + h * x3) * v + x0) / w, ((y1 - y0 + g * y1) * u + (y3 - y0 + h * y3) * v + y0) / w];
}

interface FourCornersProps {
    src: string;
    alt: string;
    /** Whose corners they are: "the drawing". */
    of: string;
    corners: Corners;
    onCorners: (next: (corners: Corners) => Corners) => void;
    /** Lines of a grid between them. */
    rows?: number;
    columns?: number;
}

/** Four corners over a picture, dragged or moved by arrow keys to where they belong. */
export function FourCorners({ src, alt, of, corners, onCorners, rows = 1, columns = 1 }: FourCornersProps) {
    const frame = useRef<HTMLDivElement>(null);
    const move = (which: number, { deltaX, deltaY, pointerType }: Moved) => {
        const box = frame.current?.getBoundingClientRect();
        // A key moves by a hundredth of the picture, a pointer by as much as it moves itself.
        const [width, height] = pointerType === 'keyboard' ? [100, 100] : [box?.width ?? 0, box?.height ?? 0];
        if (width > 0 && height > 0) {
            onCorners((all) => all.map((c, i) => (i === which ? [held(c[0] + deltaX / width), held(c[1] + deltaY / height)] : c)));
        }
    };
    const line = (key: string, from: [number, number], to: [number, number]) => {
        const [[x1, y1], [x2, y2]] = [between(corners, ...from), between(corners, ...to)];
        return <line key={key} x1={x1 * 100} y1={y1 * 100} x2={x2 * 100} y2={y2 * 100} />;
    };
    const inner = (count: number) => Array.from({ length: Math.max(0, count - 1) }, (_, i) => (i + 1) / count);
    return (
        <Over ref={frame}>
            <img src={src} alt={alt} draggable={false} />
            <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
                <polygon points={corners.map(([x, y]) => `${x * 100},${y * 100}`).join(' ')} />
                {inner(columns).map((u) => line(`c${u}`, [u, 0], [u, 1]))}
                {inner(rows).map((v) => line(`r${v}`, [0, v], [1, v]))}
            </svg>
            {corners.map((corner, i) => (
                <Corner key={i} name={`${of}'s ${NAMES[i] ?? ''}`} at={corner} onMove={(moved) => move(i, moved)} />
            ))}
        </Over>
    );
}

interface CornerProps {
    name: string;
    at: readonly [number, number];
    onMove: (moved: Moved) => void;
}

function Corner({ name, at, onMove }: CornerProps) {
    const { moveProps } = useMove({ onMove });
    return (
        <Handle
            {...moveProps}
            type="button"
            aria-label={`Corner at ${name}: ${Math.round(at[0] * 100)} % across, ${Math.round(at[1] * 100)} % down`}
            style={{ left: `${at[0] * 100}%`, top: `${at[1] * 100}%` }}
        />
    );
}
