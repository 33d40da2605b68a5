import { useRef, useState } from 'react';
import type { NewChange, Zone } from '../../../api/types';
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
    const drop = (role: Zone['targets'][number]['role']) => {
        // The button goes with its shade; the mid stays, and the keyboard with it.
        list.current?.querySelectorAll('input')[zone.targets.findIndex((t) => t.role === 'mid')]?.focus();
        onChange({ kind: 'dropTarget', zone: n, role });
    };
    return (
        <>
            <div className="row">
                <WordButton aria-expanded={naming} onPress={() => setNaming(!naming)}>
                    Name or drop shades
                </WordButton>
                {zone.missing.map((role) => (
                    <WordButton key={role} onPress={() => onChange({ kind: 'moveTarget', zone: n, role, place: FIRST_PLACE[role] })}>
                        Add a {role}
                    </WordButton>
                ))}
                {(zone.placed || zone.renamed || zone.targets.some((t) => t.moved)) && (
                    <WordButton onPress={() => onChange({ kind: 'resetTargets', zone: n })}>Put targets back</WordButton>
                )}
            </div>
            {naming && (
                <ShadeList $first="52px" $last="64px" ref={list} aria-label="Shades by name">
                    {zone.targets.map((target) => (
                        <li key={target.role}>
                            <span>{target.role}</span>
                            <EditableName
                                label={`Name of the ${target.role}`}
                                longest={40}
                                mayBeEmpty
                                value={target.name}
                                onChange={(name) => onChange({ kind: 'nameTarget', zone: n, role: target.role, name })}
                            />
                            {target.role === 'mid' ? (
                                <span className="soft">stays</span>
                            ) : (
                                <WordButton aria-label={`Drop ${target.name}`} onPress={() => drop(target.role)}>
                                    Drop
                                </WordButton>
                            )}
                        </li>
                    ))}
                </ShadeList>
            )}
        </>
    );
}
