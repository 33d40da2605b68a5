import { useState } from 'react';
import styled from 'styled-components';
import type { NamedSpot, Spot, Study, NewChange } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { Button, TextInput, WordButton } from '../../../ui/controls';
import { EditableName } from '../../../ui/EditableName';

import type { SpotState } from '../../../stage/spotState';

const Keep = styled.form`
    display: flex;
    align-items: center;
    gap: var(--space-3);
    padding: var(--space-3) 0;
    & input {
        flex: 1;
    }
`;

const Strip = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
    overflow-y: auto;
    max-height: calc(100vh - 240px);
    min-height: 120px;
    & li {
        display: grid;
        grid-template-columns: 84px minmax(0, 1fr);
        min-height: 64px;
    }
    & .patch {
        border: 0;
        padding: 0;
        cursor: pointer;
        font-weight: 700;
        font-size: var(--type-title);
        text-align: left;
    }
    & .patch span {
        padding: 0 var(--space-1);
        background: #fff;
        color: #000;
    }
    & .words {
        padding: var(--space-1) 0 var(--space-2) var(--space-3);
        border-top: 1px solid var(--line);
    }
    & .words b {
        font-weight: 700;
    }
    & li[data-chosen='true'] .patch span {
        background: #000;
        color: #fff;
    }
    & .soft {
        color: var(--soft-ink);
        font-size: var(--type-small);
    }
    & .row {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 0 var(--space-2);
    }
`;

interface SpotsColumnProps {
    study: Study;
    photo: number;
    spots: readonly NamedSpot[] | undefined;
    reading: Spot | undefined;
    ring: SpotState;
    share: { x: number; y: number };
    chosen: number | null;
    onChosen: (spot: NamedSpot | null) => void;
    onChange: (change: NewChange) => void;
}

/** Named spots as one strip, light to dark, their patches touching; the chosen one is written out. */
export function SpotsColumn({ study, photo, spots, reading, ring, share, chosen, onChosen, onChange }: SpotsColumnProps) {
    const [name, setName] = useState('');
    const here = { photo, x: share.x, y: share.y, ring: ring.ring };
    return (
        <Column aria-label="Spots">
            <Keep
                onSubmit={(e) => {
                    e.preventDefault();
                    onChange({ kind: 'addSpot', name: name.trim() === '' ? (reading?.family ?? 'spot') : name.trim(), ...here });
                    setName('');
                }}
            >
                <TextInput
                    aria-label="Name of the new spot"
                    value={name}
                    maxLength={80}
                    placeholder={reading?.family ?? ''}
                    onChange={(e) => setName(e.target.value)}
                />
                <Button type="submit" $main isDisabled={reading === undefined}>
                    Save spot
                </Button>
            </Keep>
            <PartHead>
                <h2>{spots?.length === 1 ? '1 spot' : `${spots?.length ?? 0} spots`}, light to dark</h2>
                <span className="end">
                    {(['gpl', 'csv', 'json'] as const).map((kind) => (
                        <a
                            key={kind}
                            href={`/api/studies/${study.id}/spots.${kind}`}
                            download
                            className="kind"
                            aria-label={`Save the spots as ${kind}`}
                        >
                            .{kind}
                        </a>
                    ))}
                </span>
            </PartHead>
            {spots === undefined && <p aria-busy="true">Loading spots…</p>}
            {spots?.length === 0 && <p>No spots yet. Point at a colour, name it and save it.</p>}
            <Strip>
                {spots?.map((spot, i) => (
                    <SpotRow
                        key={spot.number}
                        order={i + 1}
                        spot={spot}
                        photo={photo}
                        isChosen={spot.number === chosen}
                        onChosen={() => onChosen(spot.number === chosen ? null : spot)}
                        onChange={onChange}
                        here={here}
                    />
                ))}
            </Strip>
        </Column>
    );
}

interface SpotRowProps {
    order: number;
    spot: NamedSpot;
    photo: number;
    isChosen: boolean;
    onChosen: () => void;
    onChange: (change: NewChange) => void;
    here: { photo: number; x: number; y: number; ring: number };
}

function SpotRow({ order, spot, photo, isChosen, onChosen, onChange, here }: SpotRowProps) {
    const reading = spot.places.find((p) => p.photo === photo)?.reading;
    if (reading === undefined) {
        return null;
    }
    return (
        <li data-chosen={isChosen}>
            <button
                type="button"
                className="patch"
                style={{ background: reading.hex }}
                aria-pressed={isChosen}
                aria-label={`Spot ${order}, ${spot.name}: ${reading.words}`}
                onClick={onChosen}
            >
                <span>{order}</span>
            </button>
            <div className="words">
                {isChosen ? (
                    <EditableName
                        label={`Name of spot ${order}`}
                        value={spot.name}
                        onChange={(name) => onChange({ kind: 'renameSpot', spot: spot.number, name })}
                    />
                ) : (
                    <b>{spot.name}</b>
                )}
                <p>{reading.words}</p>
                {spot.nearest !== null && (
                    <p className="soft">
                        Nearest pencil <b>{spot.nearest.pencil.number}</b> {spot.nearest.pencil.name}. {spot.nearest.closenessWords} (ΔE00{' '}
                        {spot.nearest.deltaE00.toFixed(1)}).
                    </p>
                )}
                {isChosen && (
                    <>
                        <p className="soft">
                            Next to {spot.families.join(' and to ')} · L* {reading.lab[0]?.toFixed(1)} · C* {reading.chroma.toFixed(1)} · h{' '}
                            {reading.hueDegrees.toFixed(0)}°
                        </p>
                        <div className="row">
                            <WordButton onPress={() => onChange({ kind: 'placeSpot', spot: spot.number, ...here })}>
                                Move to the ring
                            </WordButton>
                            <WordButton onPress={() => onChange({ kind: 'removeSpot', spot: spot.number })}>Remove</WordButton>
                        </div>
                    </>
                )}
            </div>
        </li>
    );
}
