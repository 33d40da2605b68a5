import { useState } from 'react';
import styled from 'styled-components';
import type { Plan } from '../../../api/types';
import { NativeSelect, WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';

/** By zone's number, for those that are laid farther, or less far, than the others. */
export type Laid = Readonly<Record<number, number>>;

export const laidText = (laid: Laid): string =>
    Object.entries(laid)
        .map(([zone, passes]) => `${zone}:${passes}`)
        .join();

/** "one pass", "3 passes", "not begun". */
export const passesWords = (n: number): string => (n === 0 ? 'not begun' : n === 1 ? 'one pass' : `${n} passes`);

const List = styled.ul`
    margin: 0;
    padding: 0;
    columns: 2;
    list-style: none;
    & label {
        display: grid;
        grid-template-columns: minmax(0, 1fr) 130px;
        align-items: center;
        gap: var(--space-2);
        break-inside: avoid;
    }
    & label > span {
        overflow: hidden;
        text-overflow: ellipsis;
        white-space: nowrap;
    }
`;

interface ZonesLaidProps {
    picture: Plan;
    laid: Laid;
    onLaid: (laid: Laid) => void;
}

/** Artists work one area at a time: how far each zone is, where that differs. */
export function ZonesLaid({ picture, laid, onLaid }: ZonesLaidProps) {
    const differing = Object.keys(laid).length;
    const [open, setOpen] = useState(differing > 0);
    const choose = (zone: number, value: string) => {
        const others = Object.fromEntries(Object.entries(laid).filter(([key]) => Number(key) !== zone));
        onLaid(value === '' ? others : { ...others, [zone]: Number(value) });
    };
    return (
        <>
            <Row>
                <WordButton aria-expanded={open} onPress={() => setOpen(!open)}>
                    {differing === 0 ? 'Zones differ' : `${differing} ${differing === 1 ? 'zone differs' : 'zones differ'}`}
                </WordButton>
            </Row>
            {open && (
                <List aria-label="How far each zone is">
                    {picture.zones.map((zone) => (
                        <li key={zone.number}>
                            <label>
                                <span>{zone.name}</span>
                                <NativeSelect value={laid[zone.number] ?? ''} onChange={(e) => choose(zone.number, e.target.value)}>
                                    <option value="">as the others</option>
                                    {Array.from({ length: (zone.sequence?.passes.length ?? 0) + 1 }, (_, n) => (
                                        <option key={n} value={n}>
                                            {n > 0 && n === zone.sequence?.passes.length ? 'all passes' : passesWords(n)}
                                        </option>
                                    ))}
                                </NativeSelect>
                            </label>
                        </li>
                    ))}
                </List>
            )}
        </>
    );
}
