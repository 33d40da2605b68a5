import { useState } from 'react';
import styled from 'styled-components';
import { sentenceOf, withQuery } from '../../api/client';
import type { Pressure, MixingChart } from '../../api/types';
import { Column, PartHead } from '../../ui/Column';
import { NativeSelect } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { chartQuery, useMixingChart } from './queries';
import { Row, Aired } from '../../ui/layout';

const Grid = styled.table`
    border-collapse: collapse;
    width: 100%;
    table-layout: fixed;
    & th {
        font-weight: 700;
        font-size: var(--type-text);
        height: 30px;
        text-align: left;
    }
    & td {
        padding: 0;
        height: 44px;
        border: 1px solid var(--ground);
    }
`;

const Orders = styled.ul`
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: var(--space-2) var(--space-3);
    margin: 0;
    padding: var(--space-1) 0;
    list-style: none;
    font-size: var(--type-small);
    & div {
        height: 40px;
    }
`;

/** Every two of the chosen pencils over each other, both ways round; three of them in every order, too. */
export function MixView({ ids, paper }: { ids: readonly string[]; paper: string }) {
    const [beneath, setBeneath] = useState<Pressure>('medium');
    const [above, setAbove] = useState<Pressure>('medium');
    const chart = useMixingChart(ids, paper, beneath, above);
    const pressure = (label: string, value: string, onChange: (pressure: Pressure) => void) => (
        <label>
            {label}{' '}
            <NativeSelect value={value} onChange={(e) => onChange(e.target.value as Pressure)}>
                {(chart.data?.pressures ?? [value]).map((m) => (
                    <option key={m}>{m}</option>
                ))}
            </NativeSelect>
        </label>
    );
    return (
        <Column aria-label="Mixes">
            <Aired>
                Press pencils in the drawer to add or remove them; {ids.length} of at most 16 are in. Down the side the pencil underneath,
                across the top the one on top.
            </Aired>
            <Row>
                {pressure('Underneath', beneath, setBeneath)}
                {pressure('On top', above, setAbove)}
                {ids.length >= 2 && (
                    <a href={withQuery('/api/drawer/chart.pdf', chartQuery(ids, paper, beneath, above))} target="_blank" rel="noreferrer">
                        Print with empty boxes
                    </a>
                )}
            </Row>
            {chart.error !== null && <p role="alert">{sentenceOf(chart.error)}</p>}
            {ids.length < 2 && <p role="status">Choose at least two pencils.</p>}
            {chart.data !== undefined && ids.length >= 2 && <Chart chart={chart.data} />}
        </Column>
    );
}

function Chart({ chart }: { chart: MixingChart }) {
    const { pencils, pairs, orders } = chart;
    return (
        <>
            <Grid aria-label={`Mixing chart on ${chart.paper}`}>
                <thead>
                    <tr>
                        <th scope="col" aria-label="underneath" />
                        {pencils.map((p) => (
                            <th key={p.id} scope="col" title={p.name}>
                                {p.number}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {pairs.map((row, i) => (
                        <tr key={pencils[i]?.id}>
                            <th scope="row" title={pencils[i]?.name}>
                                {pencils[i]?.number}
                            </th>
                            {row.map((cell, j) => (
                                <td key={pencils[j]?.id} title={cell.words}>
                                    <Dab
                                        strata={cell.strata}
                                        width={Math.round(460 / pencils.length)}
                                        height={44}
                                        label={`${pencils[j]?.number ?? ''} over ${pencils[i]?.number ?? ''}: ${cell.words}`}
                                    />
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </Grid>
            {orders.length > 0 && (
                <>
                    <PartHead>
                        <h2>All three, from the paper up</h2>
                    </PartHead>
                    <Orders>
                        {orders.map((o) => (
                            <li key={o.numbers.join()}>
                                {o.numbers.join(', ')}
                                <div>
                                    <Dab strata={o.strata} width={150} height={40} label={`${o.numbers.join(', then ')}: ${o.words}`} />
                                </div>
                            </li>
                        ))}
                    </Orders>
                </>
            )}
        </>
    );
}
