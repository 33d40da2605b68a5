import styled from 'styled-components';
import type { Zone, Zones, NewChange } from '../../../api/types';
import { NativeSelect, WordButton, WordChoice } from '../../../ui/controls';
import { EditableName } from '../../../ui/EditableName';
import type { Tool } from '../../../stage/drawing';

import { RunShades } from './RunShades';
import { TargetRange } from './TargetRange';
import { Touches } from './Touches';

const Detail = styled.div`
    min-width: 0;
    & .row {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 0 var(--space-1);
    }
    & label:not([data-rac]),
    & .field {
        display: grid;
        grid-template-columns: 88px minmax(0, 1fr);
        align-items: center;
    }
    & .two {
        display: flex;
        gap: var(--space-3);
    }
    & .two > * {
        flex: 1 1 0;
        min-width: 0;
    }
    & .soft {
        color: var(--soft-ink);
        font-size: var(--type-small);
    }
`;

const IMPORTANCE = (['little', 'ordinary', 'most'] as const).map((value) => ({ value, label: value }));
const DISTANCE = (['near', 'middle', 'far'] as const).map((value) => ({ value, label: value }));
const SURFACES = ['hard and shiny', 'smooth', 'soft and fuzzy', 'rough'] as const;

interface ZoneDetailProps {
    zone: Zone;
    zones: Zones;
    /** Where the ring is, as shares of the photo. */
    at: { x: number; y: number };
    onChange: (change: NewChange) => void;
    onTool: (tool: Tool) => void;
}

/** What was said about one zone, what it asks for, and what can be done to its shape. */
export function ZoneDetail({ zone, zones, at, onChange, onTool }: ZoneDetailProps) {
    const n = zone.number;
    const others = zones.list.filter((z) => z.number !== n);
    return (
        <Detail role="group" aria-label={`Zone ${zone.name}`}>
            <EditableName label="Name of the zone" value={zone.name} onChange={(name) => onChange({ kind: 'renameZone', zone: n, name })} />
            <p className="soft">
                {Math.round(zone.area * 100)} % of the picture
                {zone.pieces.length > 1 && ` in ${zone.pieces.length} pieces`}
                {zone.keptWhite >= 0.005 && ` · ${Math.round(zone.keptWhite * 100)} % of it kept white`}
            </p>
            <Targets zone={zone} onChange={onChange} />
            <Touches zone={zone} onChange={onChange} onTool={onTool} />
            <Described zone={zone} onChange={onChange} />
            <div className="field">
                <span>Shape</span>
                <div className="two">
                    <NativeSelect
                        value=""
                        onChange={(e) => onChange({ kind: 'mergeZones', zone: n, with: Number(e.target.value) })}
                        aria-label={`Merge another zone into ${zone.name}`}
                    >
                        <option value="" disabled>
                            merge with …
                        </option>
                        {others.map((z) => (
                            <option key={z.number} value={z.number}>
                                {z.name}
                            </option>
                        ))}
                    </NativeSelect>
                    {zone.pieces.length > 1 && <Part zone={zone} at={at} onChange={onChange} />}
                </div>
            </div>
            <Borders zone={zone} zones={zones} onChange={onChange} />
            <div className="row">
                <WordButton onPress={() => onTool({ kind: 'split', zone: n })}>Split by a line</WordButton>
                <WordButton onPress={() => onTool({ kind: 'add', zone: n })}>Add a part</WordButton>
                <WordButton onPress={() => onTool({ kind: 'take', zone: n })}>Remove a part</WordButton>
            </div>
        </Detail>
    );
}

/** A piece that is another thing of the same colour, a grey cat before a grey wall, becomes a zone of its own. */
function Part({ zone, at, onChange }: Pick<ZoneDetailProps, 'zone' | 'at' | 'onChange'>) {
    return (
        <NativeSelect
            value=""
            onChange={(e) => {
                const { x, y } = zone.pieces[Number(e.target.value)] ?? at;
                onChange({ kind: 'partZone', zone: zone.number, x, y });
            }}
            aria-label={`Make a piece of ${zone.name} a zone of its own`}
        >
            <option value="" disabled>
                separate a piece …
            </option>
            <option value="-1">the piece under the ring</option>
            {zone.pieces.map((piece, i) => (
                <option key={`${piece.x}/${piece.y}`} value={i}>
                    {piece.where}, {(100 * piece.area).toFixed(piece.area < 0.01 ? 1 : 0)} % of the picture
                </option>
            ))}
        </NativeSelect>
    );
}

const MEETS = {
    sharp: 'sharp (your choice)',
    grades: 'soft (your choice)',
    photo: 'sharp in the photo',
    photoGrades: 'soft in the photo',
};

/** How the zone meets those that it touches: what the photo has, or what is said here of it. */
function Borders({ zone, zones, onChange }: Pick<ZoneDetailProps, 'zone' | 'zones' | 'onChange'>) {
    const borders = zones.borders
        .filter((b) => b.one === zone.number || b.other === zone.number)
        .map((b) => ({ ...b, beyond: zones.list.find((z) => z.number === (b.one === zone.number ? b.other : b.one)) }));
    return (
        <label>
            Borders
            <NativeSelect
                value=""
                onChange={(e) => {
                    const [beyond, meets] = e.target.value.split('/');
                    onChange({
                        kind: 'setBorder',
                        zone: zone.number,
                        with: Number(beyond),
                        meets: meets as 'sharp' | 'grades' | 'as the photo has it',
                    });
                }}
                aria-label={`How ${zone.name} meets its neighbours`}
            >
                <option value="" disabled>
                    {borders.filter((b) => b.graded.length > 0).length} of {borders.length} grade …
                </option>
                {borders.map((b) => (
                    <optgroup
                        key={`${b.one}/${b.other}`}
                        label={`${b.beyond?.name ?? ''}: ${MEETS[b.said ?? (b.graded.length > 0 ? 'photoGrades' : 'photo')]}`}
                    >
                        {b.said !== 'grades' && <option value={`${b.beyond?.number}/grades`}>make it soft</option>}
                        {b.said !== 'sharp' && <option value={`${b.beyond?.number}/sharp`}>make it sharp</option>}
                        {b.said !== null && <option value={`${b.beyond?.number}/as the photo has it`}>as in the photo</option>}
                    </optgroup>
                ))}
            </NativeSelect>
        </label>
    );
}

function Targets({ zone, onChange }: Pick<ZoneDetailProps, 'zone' | 'onChange'>) {
    const n = zone.number;
    return (
        <>
            {zone.shades.map((target) => (
                <TargetRange
                    key={target.shade}
                    zone={zone}
                    target={target}
                    onMove={(place) => onChange({ kind: 'moveShade', zone: n, shade: target.shade, place })}
                />
            ))}
            <RunShades zone={zone} onChange={onChange} />
        </>
    );
}

function Described({ zone, onChange }: Pick<ZoneDetailProps, 'zone' | 'onChange'>) {
    const n = zone.number;
    return (
        <>
            <div className="field">
                <span>Importance</span>
                <WordChoice
                    label="Importance"
                    value={zone.importance}
                    options={IMPORTANCE}
                    onChange={(importance) => onChange({ kind: 'describeZone', zone: n, importance })}
                />
            </div>
            <div className="field">
                <span>Distance</span>
                <WordChoice
                    label="Distance"
                    value={zone.distance}
                    options={DISTANCE}
                    onChange={(distance) => onChange({ kind: 'describeZone', zone: n, distance })}
                />
            </div>
            <label>
                Surface
                <NativeSelect
                    value={zone.surface}
                    onChange={(e) => onChange({ kind: 'describeZone', zone: n, surface: e.target.value as Zone['surface'] })}
                >
                    {SURFACES.map((s) => (
                        <option key={s}>{s}</option>
                    ))}
                </NativeSelect>
            </label>
            <p className="soft">On smooth surfaces the plan avoids paper grain.</p>
        </>
    );
}
