import { useState } from 'react';
import styled from 'styled-components';
import type { Plan, Outcome, PlanZone, SequencePass } from '../../../api/types';
import { PassRow } from './PassRow';
import type { Chosen } from './sequence';

const Table = styled.table`
    width: 100%;
    border-collapse: collapse;
    table-layout: fixed;
    font-size: var(--type-small);
    & th {
        text-align: left;
        font-weight: 700;
        padding: var(--space-1) var(--space-1) var(--space-1) 0;
        vertical-align: top;
    }
    & thead th,
    & tfoot td {
        font-weight: 400;
        font-size: var(--type-figure);
        padding-bottom: var(--space-1);
    }
    & .pass {
        width: 38%;
    }
    & tbody tr {
        border-top: 1px solid var(--line);
    }
    & small {
        display: block;
        font-weight: 400;
        font-size: var(--type-figure);
        color: var(--soft-ink);
    }
    & td {
        padding: var(--space-1) var(--space-2) var(--space-1) 0;
        vertical-align: top;
    }
    & .aim {
        display: block;
        height: 22px;
        max-width: 120px;
    }
`;

interface SequenceTableProps {
    zone: PlanZone;
    passes: readonly SequencePass[];
    pressures: Plan['pressures'];
    chosen: Chosen;
    onChosen: (at: number, shade: Chosen['shade']) => void;
    /** A pass taken to the place of another. */
    onMoved: (from: number, to: number) => void;
}

/** A sequence from the paper up: a row a pass, a column a colour of the zone. */
export function SequenceTable({ zone, passes, pressures, chosen, onChosen, onMoved }: SequenceTableProps) {
    const [lifted, setLifted] = useState<number | null>(null);
    return (
        <Table aria-label={`Sequence of ${zone.name}, from the paper up`}>
            <thead>
                <tr>
                    <th className="pass" scope="col">
                        from the paper up
                    </th>
                    {zone.shades.map((s) => (
                        <th key={s.shade} scope="col">
                            {s.name}
                            <span className="aim" style={{ background: s.aim.hex }} title={`target: ${s.aim.words}`} />
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {passes.map((pass, i) => (
                    <PassRow
                        key={i}
                        {...{ zone, pass, pressures, chosen, onChosen, lifted }}
                        at={i}
                        onLifted={setLifted}
                        onPut={() => lifted !== null && lifted !== i && onMoved(lifted, i)}
                    />
                ))}
            </tbody>
            <tfoot>
                <tr>
                    <td>likely error on paper</td>
                    {zone.shades.map((s) => (
                        <td key={s.shade} title={madeOf(zone.sequence?.outcomes[s.shade])}>
                            {zone.sequence?.outcomes[s.shade]?.errorOnPaper.toFixed(1)}
                        </td>
                    ))}
                </tr>
                <tr>
                    <td>evenness</td>
                    {zone.shades.map((s) => (
                        <td key={s.shade}>{zone.sequence?.outcomes[s.shade]?.evenness}</td>
                    ))}
                </tr>
            </tfoot>
        </Table>
    );
}

function madeOf(outcome: Outcome | undefined): string {
    return outcome === undefined
        ? ''
        : `colour off by ${outcome.missed.toFixed(1)}, varies by ${outcome.sway.toFixed(1)} with the hand, ` +
              `model uncertainty ${outcome.doubt.toFixed(1)}; ${outcome.evenness}`;
}
