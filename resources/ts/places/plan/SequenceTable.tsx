import styled from 'styled-components';
import type { Plan, PlanTarget, PlanZone, SequencePass } from '../../api/types';
import { Dab } from '../../dabs/Dab';
import type { Chosen } from './sequence';

const Table = styled.table`
    width: 100%;
    border-collapse: collapse;
    table-layout: fixed;
    font-size: var(--size-note);
    & th {
        text-align: left;
        font-weight: 700;
        padding: 4px 4px 2px 0;
        vertical-align: top;
    }
    & thead th,
    & tfoot td {
        font-weight: 400;
        font-size: var(--size-small);
        padding-bottom: 2px;
    }
    & .pass {
        width: 38%;
    }
    & tbody tr {
        border-top: 1px solid var(--line);
    }
    & tbody tr[data-chosen='true'] {
        box-shadow: inset 4px 0 0 var(--ink);
    }
    & tbody th button {
        display: block;
        width: 100%;
        min-height: 52px;
        padding: 2px 4px 2px 10px;
        border: 0;
        background: none;
        color: var(--ink);
        text-align: left;
        cursor: pointer;
        line-height: 1.25;
    }
    & tbody th b {
        font-size: var(--size-lead);
    }
    & small {
        display: block;
        font-weight: 400;
        font-size: var(--size-small);
        color: var(--soft-ink);
    }
    & td {
        padding: 4px 6px 4px 0;
        vertical-align: top;
    }
    & .aim {
        display: block;
        height: 22px;
        max-width: 120px;
    }
`;

/** A mark of one pass in one shade: what it leaves, touching the colour of the photo, and under it strokes that grow with the pressure. */
const Cell = styled.button`
    display: block;
    width: 100%;
    min-width: 44px;
    max-width: 120px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    cursor: pointer;
    & .dab {
        display: grid;
        grid-template: 28px / 1.6fr 1fr;
    }
    & .left {
        display: grid;
        place-items: center;
        height: 28px;
        color: var(--soft-ink);
    }
    & svg {
        display: block;
        height: 16px;
    }
    &[aria-pressed='true'] {
        outline: 2px solid var(--ink);
        outline-offset: 2px;
    }
`;

interface SequenceTableProps {
    zone: PlanZone;
    passes: readonly SequencePass[];
    marks: Plan['marks'];
    chosen: Chosen;
    onChosen: (at: number, role: Chosen['role']) => void;
}

/** A sequence from the paper up: a row a pass, a column a colour of the zone. */
export function SequenceTable({ zone, passes, marks, chosen, onChosen }: SequenceTableProps) {
    return (
        <Table aria-label={`Sequence of ${zone.name}, from the paper up`}>
            <thead>
                <tr>
                    <th className="pass" scope="col">
                        from the paper up
                    </th>
                    {zone.targets.map((t) => (
                        <th key={t.role} scope="col">
                            {t.name}
                            <span className="aim" style={{ background: t.aim.hex }} title={`aimed at: ${t.aim.words}`} />
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {passes.map((pass, i) => (
                    <tr key={i} data-chosen={i === chosen.at}>
                        <th scope="row">
                            <button type="button" aria-label={`Pass ${i + 1}: ${pass.words}`} onClick={() => onChosen(i, chosen.role)}>
                                <b>{pass.pencil?.number ?? pass.finish}</b> {pass.pencil?.name}
                                <small>{pass.finish === 'solvent' ? 'open a window, no flame, follow the label' : pass.reason}</small>
                            </button>
                        </th>
                        {zone.targets.map((t) => (
                            <td key={t.role}>
                                <Shade
                                    pass={pass}
                                    target={t}
                                    marks={marks}
                                    at={i}
                                    pressed={i === chosen.at && t.role === chosen.role}
                                    onPressed={() => onChosen(i, t.role)}
                                />
                            </td>
                        ))}
                    </tr>
                ))}
            </tbody>
            <tfoot>
                <tr>
                    <td>on your paper, within about</td>
                    {zone.targets.map((t) => (
                        <td key={t.role} title={madeOf(t)}>
                            {t.recipe === null ? '' : t.recipe.errorOnPaper.toFixed(1)}
                        </td>
                    ))}
                </tr>
            </tfoot>
        </Table>
    );
}

interface ShadeProps {
    pass: SequencePass;
    target: PlanTarget;
    marks: Plan['marks'];
    at: number;
    pressed: boolean;
    onPressed: () => void;
}

function Shade({ pass, target: t, marks, at, pressed, onPressed }: ShadeProps) {
    const mark = pass.marks[t.role] ?? null;
    const dab = pass.dabs[t.role];
    return (
        <Cell
            type="button"
            aria-pressed={pressed}
            aria-label={`Pass ${at + 1} in the ${t.role}: ${mark ?? 'left out'}${dab === undefined ? '' : `, leaves ${dab.colourWords}`}`}
            onClick={onPressed}
        >
            {dab === undefined ? (
                <span className="left">{mark === null ? '–' : '…'}</span>
            ) : (
                <span className="dab">
                    <Dab strata={dab.strata} width={40} height={28} label="" />
                    <span style={{ background: t.aim.hex }} />
                </span>
            )}
            <Strokes count={pass.pencil === null ? 0 : (marks.find((m) => m.mark === mark)?.strokes ?? 0)} />
        </Cell>
    );
}

/** One to five strokes, each a little longer and heavier than the one before. */
function Strokes({ count }: { count: number }) {
    return (
        <svg width={50} height={17} aria-hidden="true">
            {Array.from({ length: count }, (_, i) => (
                <line key={i} x1={3 + i * 9} y1={15} x2={8 + i * 9} y2={10 - i * 2} stroke="currentColor" strokeWidth={1.5 + i * 0.6} />
            ))}
        </svg>
    );
}

function madeOf({ recipe }: PlanTarget): string {
    return recipe === null
        ? ''
        : `misses by ${recipe.missed.toFixed(1)}, a hand adds ${recipe.sway.toFixed(1)}, the model may err by ${recipe.doubt.toFixed(1)}`;
}
