import type { ReactNode } from 'react';
import type { Frame, NamedSpot, Zones } from '../../api/types';
import type { SpotState } from '../spotState';
import { isBrush, isClosed, type Drawing } from './drawing';
import type { Flip, Place } from './flip';

/** Lines on a photo are black on white, so that they show on anything and tint nothing. */
export function Twice({ width = 1.6, children }: { width?: number; children: ReactNode }) {
    return (
        <g fill="none" vectorEffect="non-scaling-stroke">
            <g stroke="#fff" strokeWidth={width + 2.4}>
                {children}
            </g>
            <g stroke="#000" strokeWidth={width}>
                {children}
            </g>
        </g>
    );
}

const thin = { vectorEffect: 'non-scaling-stroke' } as const;

/** Turns shapes in the photo's own coordinates with the photo. */
export const flipTransform = (flip: Flip, width: number, height: number): string =>
    `translate(${flip.x ? width : 0} ${flip.y ? height : 0}) scale(${flip.x ? -1 : 1} ${flip.y ? -1 : 1})`;

/** An SVG path of lines given as x, y, x, y, … in shares. */
export function pathOf(lines: readonly (readonly number[])[], width: number, height: number, closed: boolean): string {
    return lines
        .map((line) => {
            const points: string[] = [];
            for (let i = 0; i + 1 < line.length; i += 2) {
                points.push(`${((line[i] ?? 0) * width).toFixed(1)} ${((line[i + 1] ?? 0) * height).toFixed(1)}`);
            }
            return `M${points.join('L')}${closed ? 'Z' : ''}`;
        })
        .join('');
}

/** A black ring inside a white one shows on any photo; four ticks lead the eye to a small ring. */
export function Ring({ spot: { x, y, ring }, unit }: { spot: SpotState; unit: number }) {
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
export function Cross({ x, y }: { x: number; y: number }) {
    return (
        <g>
            <path d={`M${x - 11} ${y}h22M${x} ${y - 11}v22`} stroke="#fff" strokeWidth="7" />
            <path d={`M${x - 10} ${y}h20M${x} ${y - 10}v20`} stroke="#000" strokeWidth="3" />
        </g>
    );
}

interface Extent {
    width: number;
    height: number;
}

/** Named spots as small rings; their numbers are written beside the photo's own lines, never turned. */
export function SpotMarks({
    spots,
    photo,
    chosen,
    extent,
}: {
    spots: readonly NamedSpot[];
    photo: number;
    chosen: number | null;
    extent: Extent;
}) {
    const unit = extent.width / 640;
    return (
        <g>
            {spots.map((spot) => {
                const place = spot.places.find((p) => p.photo === photo);
                return (
                    place !== undefined && (
                        <g key={spot.number} fill="none" strokeDasharray={place.placed ? undefined : `${3 * unit} ${3 * unit}`}>
                            <circle
                                cx={place.x * extent.width}
                                cy={place.y * extent.height}
                                r={7 * unit}
                                stroke="#fff"
                                strokeWidth={(spot.number === chosen ? 6 : 4) * unit}
                            />
                            <circle
                                cx={place.x * extent.width}
                                cy={place.y * extent.height}
                                r={7 * unit}
                                stroke="#000"
                                strokeWidth={(spot.number === chosen ? 3.4 : 1.5) * unit}
                            />
                        </g>
                    )
                );
            })}
        </g>
    );
}

interface ZoneShapesProps {
    zones: Zones;
    extent: Extent;
    chosen: number | null;
    /** The pair whose border is looked at. */
    pair: number | null;
    onZone: ((zone: number) => void) | null;
}

/** Zones as clean outlines; the chosen one heavier. Borders where two zones end alike are marked with a dashed line beside. */
export function ZoneShapes({ zones, extent: { width, height }, chosen, pair, onZone }: ZoneShapesProps) {
    const current = zones.list.find((z) => z.number === chosen);
    return (
        <g>
            {zones.list.map((zone) => (
                <path
                    key={zone.number}
                    d={pathOf(zone.outlines, width, height, true)}
                    fill="transparent"
                    fillRule="evenodd"
                    stroke="none"
                    style={{ pointerEvents: onZone === null ? 'none' : 'all' }}
                    onPointerDown={() => onZone?.(zone.number)}
                    data-zone={zone.number}
                />
            ))}
            <g style={{ pointerEvents: 'none' }}>
                <Twice width={1}>
                    <path d={zones.list.map((z) => pathOf(z.outlines, width, height, true)).join('')} {...thin} />
                </Twice>
                {current !== undefined && (
                    <Twice width={3.4}>
                        <path d={pathOf(current.outlines, width, height, true)} {...thin} />
                    </Twice>
                )}
                {zones.neighbours.map((n, i) => (
                    <g key={`${n.one}/${n.other}`} fill="none" strokeDasharray="1 8" strokeLinecap="square">
                        <path d={pathOf(n.lines, width, height, false)} stroke="#fff" strokeWidth={i === pair ? 9 : 5} {...thin} />
                        <path d={pathOf(n.lines, width, height, false)} stroke="#000" strokeWidth={i === pair ? 6 : 2.6} {...thin} />
                    </g>
                ))}
            </g>
        </g>
    );
}

/** Where the paper stays bare: hatched, so that it is told from a zone. */
export function WhiteShapes({ zones, extent: { width, height } }: { zones: Zones; extent: Extent }) {
    const d = pathOf(zones.keptWhites.outlines, width, height, true);
    return (
        <g style={{ pointerEvents: 'none' }}>
            <defs>
                <pattern id="kept-white" width="14" height="14" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                    <rect width="4" height="14" fill="#000" />
                </pattern>
            </defs>
            <path d={d} fill="url(#kept-white)" fillRule="evenodd" stroke="#000" strokeWidth={1} {...thin} />
        </g>
    );
}

/** The drawing's grid, in its own millimetres. */
export function GridLines({ frame, extent: { width, height } }: { frame: Frame; extent: Extent }) {
    const [l, t, r, b] = [frame.left * width, frame.top * height, (frame.left + frame.width) * width, (frame.top + frame.height) * height];
    return (
        <g style={{ pointerEvents: 'none' }}>
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
            style={{ pointerEvents: 'none' }}
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
        <g style={{ pointerEvents: 'none' }}>
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
