import type { NamedSpot } from '../api/types';
import type { SpotState } from './spotState';
import type { Extent } from './lines';

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
