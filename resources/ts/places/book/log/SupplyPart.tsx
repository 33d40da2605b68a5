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
    & i {
        width: 26px;
        height: 18px;
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
            <Lines>
                <thead>
                    <tr>
                        <td />
                        <th scope="col">used</th>
                        <th scope="col">still needed</th>
                        <th scope="col">left</th>
                    </tr>
                </thead>
                <tbody>
                    {supply.pencils.map((p) => (
                        <tr key={p.id}>
                            <th scope="row">
                                {p.hex !== null && <i style={{ background: p.hex }} />}
                                {p.number} {p.name}
                            </th>
                            <td>{p.usedMm === 0 ? 'none' : inLength(p.usedMm)}</td>
                            <td>{p.neededMm === 0 ? 'none' : inLength(p.neededMm)}</td>
                            <td>{p.leftMm === null ? 'not measured' : inLength(p.leftMm)}</td>
                        </tr>
                    ))}
                </tbody>
            </Lines>
            <p>
                Reckoned from the film that each pass leaves, and as much again for the sharpener; lengths you note in the drawer correct
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
