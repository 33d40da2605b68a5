import type { Frame } from '../api/types';
import { isBrush, isClosed, type Drawing } from './drawing';
import type { Place } from './flip';
import { thin, Twice, type Extent } from './lines';

/** The drawing's grid, in its own millimetres. */
export function GridLines({ frame, extent: { width, height } }: { frame: Frame; extent: Extent }) {
    const [l, t, r, b] = [frame.left * width, frame.top * height, (frame.left + frame.width) * width, (frame.top + frame.height) * height];
    return (
        <g pointerEvents="none">
            <Twice width={0.8}>
                <rect x={l} y={t} width={r - l} height={b - t} {...thin} />
                {frame.across.map((x) => (
                    <line key={`a${x}`} x1={x * width} x2={x * width} y1={t} y2={b} {...thin} />
                ))}
                {frame.down.map((y) => (
                    <line key={`d${y}`} y1={y * height} y2={y * height} x1={l} x2={r} {...thin} />
                ))}
            </Twice>
        </g>
    );
}

/** Everything outside the drawing's shape, covered by the surroundings. */
export function CutAway({ frame, extent: { width, height } }: { frame: Frame; extent: Extent }) {
    const [l, t, w, h] = [frame.left * width, frame.top * height, frame.width * width, frame.height * height];
    return (
        <path
            d={`M-2 -2H${width + 2}V${height + 2}H-2ZM${l} ${t}V${t + h}H${l + w}V${t}Z`}
            fill="var(--ground)"
            fillRule="evenodd"
            pointerEvents="none"
        />
    );
}

/** What is being drawn. */
export function Draft({
    drawing,
    extent: { width, height },
    brush,
    cursor,
}: {
    drawing: Drawing;
    extent: Extent;
    brush: number;
    cursor: Place;
}) {
    const { tool, points } = drawing;
    if (tool === null) {
        return null;
    }
    const shown = drawing.trailing || points.length === 0 ? points : [...points, cursor];
    const d = shown.map((p, i) => `${i === 0 ? 'M' : 'L'}${(p.x * width).toFixed(1)} ${(p.y * height).toFixed(1)}`).join('');
    if (shown.length === 0) {
        return null;
    }
    if (isBrush(tool)) {
        return (
            <path
                d={`${d}l0.1 0`}
                stroke={tool.kind === 'keepWhite' ? '#fff' : '#000'}
                strokeOpacity={0.75}
                strokeWidth={2 * brush * width}
                strokeLinecap="round"
                strokeLinejoin="round"
                fill="none"
            />
        );
    }
    return (
        <g pointerEvents="none">
            <Twice width={2}>
                <path
                    d={isClosed(tool) && shown.length > 2 ? `${d}Z` : d}
                    strokeDasharray={drawing.trailing ? undefined : '8 5'}
                    {...thin}
                />
            </Twice>
        </g>
    );
}
