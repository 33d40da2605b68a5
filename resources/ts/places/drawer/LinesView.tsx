import { useState } from 'react';
import styled from 'styled-components';
import { sentenceOf, withQuery } from '../../api/client';
import type { ChartPencil, DrawerLines, LineTable } from '../../api/types';
import { Column } from '../../ui/Column';
import { NativeSelect, WordButton } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { useLineTable } from './queries';
import { Aired } from '../../ui/layout';

const Choice = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-3);
    padding: var(--space-2) 0;
    & > a {
        padding: var(--space-3) 0;
    }
`;

const Table = styled.table`
    border-collapse: collapse;
    width: 100%;
    font-size: var(--type-text);
    & th {
        text-align: left;
        font-weight: 400;
        font-size: var(--type-small);
    }
    & td {
        border-bottom: 1px solid var(--line);
        padding: 0 var(--space-2) 0 0;
        height: 44px;
    }
    & .dabs {
        display: flex;
        & span {
            width: 40px;
            height: 34px;
        }
    }
    & .figure {
        text-align: right;
    }
`;

const Scroll = styled.div`
    overflow-y: auto;
    max-height: max(320px, calc(100vh - 200px));
`;

interface LinesViewProps {
    lines: DrawerLines['lines'];
    onPencil: (id: string) => void;
}

/** For every pencil of one line the nearest of another, edge to edge; honest where none is near. */
export function LinesView({ lines, onPencil }: LinesViewProps) {
    const [pair, setPair] = useState<{ from: string; to: string } | null>(null);
    const from = pair?.from ?? lines[0]?.line ?? null;
    const to = pair?.to ?? lines[1]?.line ?? null;
    const table = useLineTable(from, to);
    if (lines.length < 2) {
        return (
            <Column aria-label="Lines">
                <Aired>Add a second line under “Import & export” to compare two lines.</Aired>
            </Column>
        );
    }
    const choice = (label: string, value: string | null, onChange: (line: string) => void) => (
        <label>
            {label}{' '}
            <NativeSelect value={value ?? ''} onChange={(e) => onChange(e.target.value)}>
                {lines.map((l) => (
                    <option key={l.line} value={l.line}>
                        {l.line === '' ? 'no line' : l.line}
                    </option>
                ))}
            </NativeSelect>
        </label>
    );
    return (
        <Column aria-label="Lines">
            <Choice>
                {choice('For each of', from, (line) => setPair({ from: line, to: to ?? '' }))}
                {choice('the nearest of', to, (line) => setPair({ from: from ?? '', to: line }))}
                <a href={withQuery('/api/drawer/equivalents.pdf', { from: from ?? '', to: to ?? '' })} target="_blank" rel="noreferrer">
                    Print the table
                </a>
            </Choice>
            {table.isPending && <p aria-busy="true">Comparing the lines…</p>}
            {table.error !== null && <p role="alert">{sentenceOf(table.error)}</p>}
            {table.data !== undefined && <Rows table={table.data} onPencil={onPencil} />}
        </Column>
    );
}

function Rows({ table, onPencil }: { table: LineTable; onPencil: (id: string) => void }) {
    const near = table.rows.filter((r) => r.near).length;
    return (
        <>
            <p role="status">
                {near} of {table.rows.length} have a near match (ΔE00 under 4 in the heavy swatch).
            </p>
            <Scroll tabIndex={0} role="region" aria-label="Table of the two lines">
                <Table aria-label={`${table.from} and the nearest of ${table.to}`}>
                    <thead>
                        <tr>
                            <th scope="col">number</th>
                            <th scope="col">side by side</th>
                            <th scope="col">nearest</th>
                            <th scope="col" className="figure">
                                heavy
                            </th>
                            <th scope="col" className="figure">
                                light
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {table.rows.map((row) => (
                            <tr key={row.from.id}>
                                <td>
                                    <Named pencil={row.from} onPencil={onPencil} />
                                </td>
                                <td>
                                    <span className="dabs">
                                        <span>
                                            <Dab strata={row.from.strata} width={40} height={34} label={row.from.words} />
                                        </span>
                                        {row.near && (
                                            <span>
                                                <Dab strata={row.to.strata} width={40} height={34} label={row.to.words} />
                                            </span>
                                        )}
                                    </span>
                                </td>
                                <td>
                                    {row.near ? (
                                        <Named pencil={row.to} onPencil={onPencil} />
                                    ) : (
                                        <>no near match; least far {row.to.number}</>
                                    )}
                                </td>
                                <td className="figure">{row.heavyDeltaE00.toFixed(1)}</td>
                                <td className="figure">{row.lightDeltaE00.toFixed(1)}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </Scroll>
        </>
    );
}

function Named({ pencil, onPencil }: { pencil: ChartPencil; onPencil: (id: string) => void }) {
    return (
        <>
            <WordButton aria-label={`Show ${pencil.number}`} onPress={() => onPencil(pencil.id)}>
                <b>{pencil.number}</b>
            </WordButton>
            {pencil.name}
        </>
    );
}
