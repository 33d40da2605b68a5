import { useRef, useState } from 'react';
import type { NewChange, Zone, ZoneShade } from '../../../api/types';
import { WordButton } from '../../../ui/controls';
import { EditableName } from '../../../ui/EditableName';
import { ShadeList } from './ShadeList';

/** Where a shade that is added stands at first, on the zone's own values. */
const FIRST_PLACE = { light: 0.92, dark: 0.08 } as const;

interface RunShadesProps {
    zone: Zone;
    onChange: (change: NewChange) => void;
}

/** The shades of a zone's own values: called as one likes, dropped where the zone needs no such step, and added again. */
export function RunShades({ zone, onChange }: RunShadesProps) {
    const [naming, setNaming] = useState(false);
    const n = zone.number;
    const list = useRef<HTMLUListElement>(null);
    const drop = (shade: ZoneShade['shade']) => {
        // The button goes with its shade; the mid stays, and the keyboard with it.
        list.current?.querySelectorAll('input')[zone.shades.findIndex((t) => t.shade === 'mid')]?.focus();
        onChange({ kind: 'dropShade', zone: n, shade });
    };
    return (
        <>
            <div className="row">
                <WordButton aria-expanded={naming} onPress={() => setNaming(!naming)}>
                    Edit shades
                </WordButton>
                {zone.missing.map((shade) => (
                    <WordButton key={shade} onPress={() => onChange({ kind: 'moveShade', zone: n, shade, place: FIRST_PLACE[shade] })}>
                        Add a {shade}
                    </WordButton>
                ))}
                {(zone.placed || zone.renamed || zone.shades.some((t) => t.moved)) && (
                    <WordButton onPress={() => onChange({ kind: 'resetShades', zone: n })}>Reset shades</WordButton>
                )}
            </div>
            {naming && (
                <ShadeList $first="52px" $last="64px" ref={list} aria-label="Shades by name">
                    {zone.shades.map((target) => (
                        <li key={target.shade}>
                            <span>{target.shade}</span>
                            <EditableName
                                label={`Name of the ${target.shade}`}
                                longest={40}
                                mayBeEmpty
                                value={target.name}
                                onChange={(name) => onChange({ kind: 'nameShade', zone: n, shade: target.shade, name })}
                            />
                            {target.shade === 'mid' ? (
                                <span className="soft">always there</span>
                            ) : (
                                <WordButton aria-label={`Remove ${target.name}`} onPress={() => drop(target.shade)}>
                                    Remove
                                </WordButton>
                            )}
                        </li>
                    ))}
                </ShadeList>
            )}
        </>
    );
}
