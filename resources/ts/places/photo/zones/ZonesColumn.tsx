import { useState, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Zones, NewChange } from '../../../api/types';
import { Column } from '../../../ui/Column';
import { Button, NativeSelect, WordButton } from '../../../ui/controls';
import type { Tool } from '../../../stage/drawing';
import { pathOf } from '../../../stage/lines';
import { Aired } from '../../../ui/layout';
import { ZoneDetail } from './ZoneDetail';

const Two = styled.div`
    display: grid;
    grid-template-columns: minmax(170px, 40%) minmax(0, 1fr);
    gap: 0 var(--space-4);
    align-items: start;
    @media (max-width: 620px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

const List = styled.ol`
    margin: 0;
    padding: var(--space-1);
    list-style: none;
    overflow-y: auto;
    max-height: calc(100vh - 192px);
    min-height: 180px;
    & button {
        display: grid;
        grid-template-columns: 54px minmax(0, 1fr) 40px;
        gap: var(--space-2);
        align-items: center;
        width: 100%;
        min-height: 44px;
        padding: 0;
        border: 0;
        border-top: 1px solid var(--line);
        background: none;
        text-align: left;
        cursor: pointer;
        line-height: 1.2;
    }
    & .run {
        display: flex;
        height: 34px;
    }
    & .run span {
        flex: 1;
    }
    & svg {
        width: 40px;
        height: 30px;
        background: var(--line);
    }
    & button[aria-pressed='true'] {
        font-weight: 700;
        text-decoration: underline;
        text-decoration-thickness: 3px;
        text-underline-offset: 4px;
    }
`;

/** As high as what stands beside it. */
const Onward = styled(Link)`
    padding: var(--space-3) var(--space-2);
`;

const Tools = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-1);
    & input[type='range'] {
        accent-color: #555;
        min-height: 44px;
        width: 120px;
    }
`;

interface ZonesColumnProps {
    zones: Zones | null | undefined;
    chosen: number | null;
    busy: boolean;
    /** Where the ring is, as shares of the photo. */
    at: { x: number; y: number };
    onChosen: (zone: number) => void;
    onTool: (tool: Tool) => void;
    onChange: (change: NewChange) => void;
}

const COUNTS = [5, 8, 11, 14, 17, 20];

/** The zones by name with their values, and the chosen one written out. */
export function ZonesColumn({ zones, chosen, busy, at, onChosen, onTool, onChange }: ZonesColumnProps) {
    const propose = <Propose first={zones === null} busy={busy} onPropose={(most) => onChange({ kind: 'proposeZones', most })} />;
    if (zones === undefined) {
        return (
            <Column aria-label="Zones" aria-busy="true">
                <p>Opening the zones…</p>
            </Column>
        );
    }
    if (zones === null) {
        return (
            <Column aria-label="Zones">
                <Aired>
                    A zone is one local colour of the photo with its own light, mid and dark. Propose zones, then name, merge and split them
                    until they suit you.
                </Aired>
                {propose}
            </Column>
        );
    }
    const current = zones.list.find((z) => z.number === chosen);
    return (
        <Column aria-label="Zones">
            <Two>
                <div>
                    <ZoneList zones={zones} chosen={chosen} onChosen={onChosen} />
                    <Tools>
                        <WordButton onPress={() => onTool({ kind: 'new' })}>Draw a new zone</WordButton>
                        <Onward to="/plan">Go to plan</Onward>
                    </Tools>
                    {propose}
                </div>
                {current === undefined ? (
                    <Aired>Choose a zone in the list or on the photo.</Aired>
                ) : (
                    <ZoneDetail key={current.number} zone={current} zones={zones} at={at} onChange={onChange} onTool={onTool} />
                )}
            </Two>
        </Column>
    );
}

function Propose({ first, busy, onPropose }: { first: boolean; busy: boolean; onPropose: (most: number) => void }) {
    const [count, setCount] = useState(14);
    return (
        <Tools>
            <label>
                Up to{' '}
                <NativeSelect value={count} onChange={(e) => setCount(Number(e.target.value))} aria-label="Most zones to propose">
                    {COUNTS.map((n) => (
                        <option key={n}>{n}</option>
                    ))}
                </NativeSelect>
            </label>
            <Button $main={first} isPending={busy} onPress={() => onPropose(count)}>
                {busy ? 'Finding zones…' : first ? 'Propose zones' : 'Propose again'}
            </Button>
        </Tools>
    );
}

function ZoneList({ zones, chosen, onChosen }: { zones: Zones; chosen: number | null; onChosen: (zone: number) => void }) {
    const walk = (event: KeyboardEvent<HTMLOListElement>) => {
        const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        if (by !== 0) {
            event.preventDefault();
            const buttons = [...event.currentTarget.querySelectorAll('button')];
            buttons[(buttons.findIndex((b) => b === document.activeElement) + by + buttons.length) % buttons.length]?.focus();
        }
    };
    return (
        <List onKeyDown={walk} aria-label="Zones by size">
            {zones.list.map((zone) => (
                <li key={zone.number}>
                    <button type="button" aria-pressed={zone.number === chosen} onClick={() => onChosen(zone.number)}>
                        <span className="run" aria-hidden="true">
                            {zone.shades.map((t) => (
                                <span key={t.shade} style={{ background: t.reading.hex }} />
                            ))}
                        </span>
                        {zone.name}
                        <svg viewBox="0 0 40 30" aria-hidden="true">
                            <path d={pathOf(zone.outlines, 40, 30, true)} fill="currentColor" fillRule="evenodd" />
                        </svg>
                    </button>
                </li>
            ))}
        </List>
    );
}
