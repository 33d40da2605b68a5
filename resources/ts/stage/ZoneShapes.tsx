import type { Zones } from '../api/types';
import { Broken, pathOf, thin, Twice, type Extent } from './lines';

interface ZoneShapesProps {
    zones: Zones;
    extent: Extent;
    chosen: number | null;
    /** The pair whose border is looked at. */
    pair: number | null;
    onZone: ((zone: number) => void) | null;
}

/**
 * Zones as clean outlines; the chosen one heavier, with its touches in dashes where they lie. Borders where two zones end alike are marked
 * with a dashed line beside.
 */
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
                    pointerEvents={onZone === null ? 'none' : 'all'}
                    onPointerDown={() => onZone?.(zone.number)}
                    data-zone={zone.number}
                />
            ))}
            <g pointerEvents="none">
                <Twice width={1}>
                    <path d={zones.list.map((z) => pathOf(z.outlines, width, height, true)).join('')} {...thin} />
                </Twice>
                <Broken lines={zones.borders.flatMap((b) => b.graded)} extent={{ width, height }} />
                {current !== undefined && (
                    <Twice width={3.4}>
                        <path d={pathOf(current.outlines, width, height, true)} {...thin} />
                    </Twice>
                )}
                {current !== undefined && (
                    <Broken
                        lines={zones.borders.filter((b) => b.one === chosen || b.other === chosen).flatMap((b) => b.graded)}
                        extent={{ width, height }}
                        wide={3.4}
                    />
                )}
                {current?.touches.map((touch) => (
                    <Twice key={touch.shade} width={1.6}>
                        <path d={pathOf(touch.outlines, width, height, true)} strokeDasharray="3 3" {...thin} />
                    </Twice>
                ))}
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
        <g pointerEvents="none">
            <defs>
                <pattern id="kept-white" width="14" height="14" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                    <rect width="4" height="14" fill="#000" />
                </pattern>
            </defs>
            <path d={d} fill="url(#kept-white)" fillRule="evenodd" stroke="#000" strokeWidth={1} {...thin} />
        </g>
    );
}
