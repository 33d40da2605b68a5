import styled from 'styled-components';
import type { Tray, TrayPencil } from '../../api/types';
import { Dabs, Row } from '../../ui/layout';

const Counts = styled.dl`
    display: grid;
    grid-template-columns: max-content max-content 1fr;
    gap: var(--space-1) var(--space-3);
    margin: 0;
    padding: var(--space-2) 0;
    & dd {
        margin: 0;
        text-align: right;
    }
    & dd.pencils {
        text-align: left;
    }
`;

interface FamilyBarsProps {
    balance: Tray['balance'];
    pencils: ReadonlyMap<string, TrayPencil>;
}

/** How many pencils of each family there are, each family's bar made of its own pencils. */
export function FamilyBars({ balance, pencils }: FamilyBarsProps) {
    return (
        <Counts aria-label="Pencils of each family">
            {Object.entries(balance.counts).map(([family, count]) => (
                <FamilyRow
                    key={family}
                    family={family}
                    count={count}
                    pencils={(balance.families[family] ?? []).flatMap((id) => pencils.get(id) ?? [])}
                    crowded={balance.crowded.includes(family)}
                />
            ))}
        </Counts>
    );
}

interface FamilyRowProps {
    family: string;
    count: number;
    pencils: readonly TrayPencil[];
    crowded: boolean;
}

/** A family's pencils laid side by side are their own bar. */
function FamilyRow({ family, count, pencils, crowded }: FamilyRowProps) {
    return (
        <>
            <dt>{family}</dt>
            <dd>{count}</dd>
            <Row as="dd" className="pencils" $tight>
                <Dabs $width={26} $height={18}>
                    {pencils.map((p) => (
                        <span key={p.id} title={p.number} style={{ background: p.reading.hex }} />
                    ))}
                </Dabs>
                {crowded ? 'more than needed' : count === 0 ? 'none' : ''}
            </Row>
        </>
    );
}
