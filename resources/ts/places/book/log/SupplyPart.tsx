import styled from 'styled-components';
import { sentenceOf } from '../../../api/client';
import type { PencilSupply, Study } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import { useSupply, type BookNotes } from './queries';
import { inLength } from './words';

const Lines = styled.table`
    border-collapse: collapse;
    width: 100%;
    & td,
    & th {
        padding: var(--space-1) var(--space-3) var(--space-1) 0;
        text-align: right;
        font-weight: inherit;
    }
    & th[scope='row'] {
        text-align: left;
        display: flex;
        gap: var(--space-2);
        align-items: center;
    }
    & td {
        white-space: nowrap;
    }
    & .length {
        width: 24%;
    }
    & .length > span {
        display: flex;
        height: 14px;
    }
    & i {
        min-width: 1px;
    }
    /* What the plan still takes is drawn in the open, as long as it will be. */
    & i + i {
        opacity: 0.35;
    }
    & thead th {
        color: var(--soft-ink);
        font-size: var(--type-figure);
    }
`;

/** What is used, left and needed of every pencil for the study in hand. */
export function SupplyPart({ study, notes }: { study: Study; notes: BookNotes }) {
    const supply = useSupply(study.id);
    return (
        <Column aria-label="Pencils">
            <PartHead $first>
                <h2>Pencils, and what “{study.name}” still takes</h2>
            </PartHead>
            {supply.isPending && <p aria-busy="true">Calculating what is left…</p>}
            {supply.error !== null && <p role="alert">{sentenceOf(supply.error)}</p>}
            {supply.data?.pencils.length === 0 && <p>No pencil has been used or planned yet.</p>}
            {supply.data !== undefined && supply.data.pencils.length > 0 && <Known supply={supply.data} notes={notes} />}
        </Column>
    );
}

function Known({ supply, notes }: { supply: PencilSupply; notes: BookNotes }) {
    return (
        <>
            {supply.pencils
                .filter((p) => p.words !== '')
                .map((p) => (
                    <Row key={p.id} role="status">
                        <span>{p.words}</span>
                        {p.stock === 'low' ? (
                            <b>Marked as running low.</b>
                        ) : (
                            <WordButton isPending={notes.low.isPending} onPress={() => notes.low.mutate(p.id)}>
                                Mark {p.number} as running low
                            </WordButton>
                        )}
                    </Row>
                ))}
            <Lengths pencils={supply.pencils} />
            <p>
                Estimated from the film that each pass leaves, and the same again for the sharpener. Lengths you enter in the drawer correct
                it.
            </p>
            {supply.overruled.length > 0 && (
                <>
                    <PartHead>
                        <h2>Warnings you ignored</h2>
                    </PartHead>
                    {supply.overruled.map((o) => (
                        <p key={`${o.zone}/${o.shade}/${o.code}`}>
                            “{o.zone}”, {o.shade}: {o.code}. {o.reason}
                        </p>
                    ))}
                </>
            )}
        </>
    );
}

/** Of each pencil what is used and what the plan still takes, as a length in its colour and in figures. */
function Lengths({ pencils }: { pencils: PencilSupply['pencils'] }) {
    const longest = Math.max(1, ...pencils.map((p) => p.usedMm + p.neededMm));
    return (
        <Lines>
            <thead>
                <tr>
                    <td />
                    <td className="length" />
                    <th scope="col">used</th>
                    <th scope="col">still needed</th>
                    <th scope="col">left</th>
                </tr>
            </thead>
            <tbody>
                {pencils.map((p) => (
                    <tr key={p.id}>
                        <th scope="row">
                            <b>{p.number}</b> {p.name}
                        </th>
                        <td className="length">
                            {p.hex !== null && (
                                <span aria-hidden="true">
                                    <i style={{ background: p.hex, width: `${(100 * p.usedMm) / longest}%` }} />
                                    <i style={{ background: p.hex, width: `${(100 * p.neededMm) / longest}%` }} />
                                </span>
                            )}
                        </td>
                        <td>{p.usedMm === 0 ? 'none' : inLength(p.usedMm)}</td>
                        <td>{p.neededMm === 0 ? 'none' : inLength(p.neededMm)}</td>
                        <td>{p.leftMm === null ? '–' : inLength(p.leftMm)}</td>
                    </tr>
                ))}
            </tbody>
        </Lines>
    );
}
