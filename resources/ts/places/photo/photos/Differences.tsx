import styled from 'styled-components';
import { sentenceOf } from '../../../api/client';
import type { Comparison, Difference } from '../../../api/types';
import { Column } from '../../../ui/Column';

const Pairs = styled.table`
    border-collapse: collapse;
    width: 100%;
    font-size: var(--type-small);
    & td,
    & th {
        padding: var(--space-1) var(--space-2) var(--space-1) 0;
        text-align: left;
        font-weight: inherit;
        border-top: 1px solid var(--line);
    }
    & th b {
        font-weight: 700;
    }
    & .two {
        width: 76px;
    }
    & .two span {
        display: inline-block;
        width: 34px;
        height: 26px;
    }
`;

const Tables = styled.div`
    overflow-y: auto;
    max-height: max(120px, calc(100vh - 690px));
    & h2 {
        font-weight: 700;
        padding-top: var(--space-2);
    }
`;

const Sentence = styled.p`
    padding: var(--space-2) 0;
    font-size: var(--type-title);
    line-height: 1.25;
`;

/** How the photo at the side differs from the one that the colours follow: in a sentence, then spot by spot and zone by zone. */
export function Differences({ comparison, fault }: { comparison: Comparison | undefined; fault: unknown }) {
    return (
        <Column aria-label="Differences between the photos">
            <Sentence data-testid="comparison" role="status">
                {fault === null ? (comparison?.sentence ?? 'Comparing…') : sentenceOf(fault)}
            </Sentence>
            <Tables tabIndex={0} role="region" aria-label="Differences">
                <PairTable title="Spots in both photos" rows={comparison?.spots ?? []} />
                <PairTable title="Zones in both photos" rows={comparison?.zones ?? []} />
            </Tables>
        </Column>
    );
}

function PairTable({ title, rows }: { title: string; rows: readonly Difference[] }) {
    if (rows.length === 0) {
        return null;
    }
    return (
        <>
            <h2>{title}</h2>
            <Pairs>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.name}>
                            <td className="two">
                                <span style={{ background: row.otherHex }} />
                                <span style={{ background: row.oneHex }} />
                            </td>
                            <th scope="row">
                                <b>{row.name}</b>
                            </th>
                            <td>{row.words}</td>
                        </tr>
                    ))}
                </tbody>
            </Pairs>
        </>
    );
}
