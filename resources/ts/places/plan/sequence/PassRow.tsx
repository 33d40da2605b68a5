import { useRef } from 'react';
import { useDrag } from 'react-aria/useDrag';
import { useDrop } from 'react-aria/useDrop';
import { useButton } from 'react-aria/useButton';
import styled from 'styled-components';
import type { Plan, PlanShade, PlanZone, SequencePass } from '../../../api/types';
import { Dab } from '../../../dabs/Dab';
import type { Chosen } from './sequence';

/** A row of the table; the one that is worked on has a line at its edge, and where a lifted one would come there is a heavy line. */
const Line = styled.tr`
    &[data-chosen='true'] {
        box-shadow: inset 4px 0 0 var(--ink);
    }
    &[data-lifted='true'] {
        opacity: 0.45;
    }
    &[data-takes='above'] {
        box-shadow: inset 0 4px 0 0 var(--ink);
    }
    &[data-takes='below'] {
        box-shadow: inset 0 -4px 0 0 var(--ink);
    }
    & .named {
        display: grid;
        grid-template-columns: 28px 1fr;
    }
    & th button {
        min-height: 52px;
        padding: var(--space-1) var(--space-1);
        border: 0;
        background: none;
        color: var(--ink);
        text-align: left;
        cursor: pointer;
        line-height: 1.25;
    }
    & th .grip {
        padding: 0;
        text-align: center;
        cursor: grab;
        color: var(--soft-ink);
        font-size: var(--type-title);
    }
    & th b {
        font-size: var(--type-title);
    }
`;

/** The pressure of one pass in one shade: what it leaves, touching the colour of the photo, and under it strokes that grow with it. */
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

/** What is carried while a pass is moved: nothing else on the page takes it. */
const CARRIED = 'application/x-knotty-prism-pass';

interface PassRowProps {
    zone: PlanZone;
    pass: SequencePass;
    pressures: Plan['pressures'];
    at: number;
    chosen: Chosen;
    onChosen: (at: number, shade: Chosen['shade']) => void;
    /** The pass that is being moved. */
    lifted: number | null;
    onLifted: (at: number | null) => void;
    onPut: () => void;
}

/** One pass: lifted by its grip and put where another one is, by mouse, finger or keyboard. */
export function PassRow({ zone, pass, pressures, at, chosen, onChosen, lifted, onLifted, onPut }: PassRowProps) {
    const row = useRef<HTMLTableRowElement>(null);
    const grip = useRef<HTMLButtonElement>(null);
    const { dragProps, dragButtonProps } = useDrag({
        hasDragButton: true,
        getItems: () => [{ [CARRIED]: String(at) }],
        getAllowedDropOperations: () => ['move'],
        onDragStart: () => onLifted(at),
        onDragEnd: () => onLifted(null),
    });
    const { dropProps, isDropTarget } = useDrop({
        ref: row,
        getDropOperation: (types) => (types.has(CARRIED) ? 'move' : 'cancel'),
        onDrop: onPut,
    });
    const { buttonProps } = useButton({ ...dragButtonProps, 'aria-label': `Move pass ${at + 1}` }, grip);
    const takes = !isDropTarget || lifted === null || lifted === at ? undefined : lifted > at ? 'above' : 'below';
    return (
        <Line
            {...dragProps}
            {...dropProps}
            ref={row}
            tabIndex={lifted === null ? undefined : -1}
            data-chosen={at === chosen.at}
            data-lifted={at === lifted}
            data-takes={takes}
            aria-label={lifted === null ? undefined : `Place of pass ${at + 1}`}
        >
            <th scope="row">
                <span className="named">
                    <button {...buttonProps} ref={grip} type="button" className="grip" title="drag to another place">
                        ⋮
                    </button>
                    <button type="button" aria-label={`Pass ${at + 1}: ${pass.words}`} onClick={() => onChosen(at, chosen.shade)}>
                        <b>{pass.pencil?.number ?? pass.finish}</b> {pass.pencil?.name}
                        <small>{pass.care ?? pass.reason}</small>
                    </button>
                </span>
            </th>
            {zone.shades.map((t) => (
                <td key={t.shade}>
                    <Shade
                        pass={pass}
                        target={t}
                        pressures={pressures}
                        at={at}
                        pressed={at === chosen.at && t.shade === chosen.shade}
                        onPressed={() => onChosen(at, t.shade)}
                    />
                </td>
            ))}
        </Line>
    );
}

interface ShadeProps {
    pass: SequencePass;
    target: PlanShade;
    pressures: Plan['pressures'];
    at: number;
    pressed: boolean;
    onPressed: () => void;
}

function Shade({ pass, target: t, pressures, at, pressed, onPressed }: ShadeProps) {
    const pressure = pass.pressures[t.shade] ?? null;
    const dab = pass.dabs[t.shade];
    return (
        <Cell
            type="button"
            aria-pressed={pressed}
            aria-label={
                `Pass ${at + 1} in the ${t.shade}: ` +
                `${pressure ?? 'left out'}${dab === undefined ? '' : `, leaves ${dab.colourWords}, ${dab.evenness}`}`
            }
            onClick={onPressed}
        >
            {dab === undefined ? (
                <span className="left">{pressure === null ? '–' : '…'}</span>
            ) : (
                <span className="dab">
                    <Dab strata={dab.strata} width={40} height={28} label="" />
                    <span style={{ background: t.aim.hex }} />
                </span>
            )}
            <Strokes count={pass.pencil === null ? 0 : (pressures.find((m) => m.pressure === pressure)?.strokes ?? 0)} />
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
