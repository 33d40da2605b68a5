import { memo, useRef, type KeyboardEvent, type MouseEvent } from 'react';
import styled from 'styled-components';
import type { TrayPencil } from '../../api/types';
import { Dab } from '../../dabs/Dab';
import { neighbourOf } from './drawerState';

/** A drawer of few pencils has room for large dabs; pixels. */
const SIZES = { few: { slot: 90, heavy: 84, light: 50 }, many: { slot: 66, heavy: 58, light: 34 } };
const FEW = 40;

type Size = (typeof SIZES)['few'];

const Rows = styled.ol<{ $size: Size }>`
    display: grid;
    grid-template-columns: repeat(auto-fill, ${(p) => p.$size.slot}px);
    margin: 0;
    padding: var(--space-1) var(--space-1) var(--space-3);
    list-style: none;
    overflow-y: auto;
    max-height: max(320px, calc(100vh - 190px));
    & button {
        display: block;
        width: 100%;
        padding: 0 0 var(--space-3);
        border: 0;
        background: none;
        text-align: left;
        cursor: pointer;
    }
    & .lead {
        display: block;
        height: ${(p) => p.$size.heavy}px;
    }
    & .light {
        height: ${(p) => p.$size.light}px;
    }
    & .number {
        display: block;
        padding: var(--space-1) 0 0 var(--space-1);
        font-size: var(--type-title);
        font-weight: 700;
        line-height: 1.2;
    }
    & .step {
        display: block;
        padding-left: var(--space-1);
        font-size: var(--type-figure);
    }
    & button[aria-pressed='true'] .number {
        background: var(--ink);
        color: var(--ground);
    }
    & li[data-meant='false'] {
        opacity: 0.22;
    }
`;

const stateWord = (pencil: TrayPencil): string => (pencil.stock.state === 'owned' ? '' : pencil.stock.state);

/** What there is to say of its stock; nothing of a pencil that is simply there. */
const notes = (pencil: TrayPencil): string[] =>
    [stateWord(pencil), pencil.stock.formerly.length === 0 ? '' : `used to be ${pencil.stock.formerly.join(' and ')}`].filter(
        (t) => t !== '',
    );

interface TrayViewProps {
    pencils: readonly TrayPencil[];
    chosen: readonly string[];
    isMeant: (pencil: TrayPencil) => boolean;
    onChosen: (id: string) => void;
}

/**
 * The pencils side by side as they lie, each as it looks in a heavy hand and in a light one, with its number; arrows walk from one to the
 * next.
 */
export function TrayView({ pencils, chosen, isMeant, onChosen }: TrayViewProps) {
    const list = useRef<HTMLOListElement>(null);
    const size = pencils.length <= FEW ? SIZES.few : SIZES.many;
    const walk = (event: KeyboardEvent<HTMLOListElement>) => {
        if (!event.key.startsWith('Arrow') || list.current === null) {
            return;
        }
        event.preventDefault();
        const buttons = [...list.current.querySelectorAll('button')];
        const at = buttons.findIndex((b) => b === document.activeElement);
        const perRow = Math.max(1, Math.floor(list.current.clientWidth / size.slot));
        buttons[neighbourOf(at, event.key, buttons.length, perRow)]?.focus();
    };
    // One listener for all slots: a slot is drawn again only when it changes itself.
    const press = (event: MouseEvent<HTMLOListElement>) => {
        const slot = event.target instanceof Element ? event.target.closest('li') : null;
        const pencil = pencils[slot === null || list.current === null ? -1 : [...list.current.children].indexOf(slot)];
        if (pencil !== undefined) {
            onChosen(pencil.id);
        }
    };
    return (
        <Rows $size={size} ref={list} onKeyDown={walk} onClick={press} aria-label="Pencils in the drawer">
            {pencils.map((pencil) => (
                <Slot key={pencil.id} size={size} pencil={pencil} meant={isMeant(pencil)} chosen={chosen.includes(pencil.id)} />
            ))}
        </Rows>
    );
}

const Slot = memo(function Slot({ pencil, size, meant, chosen }: { pencil: TrayPencil; size: Size; meant: boolean; chosen: boolean }) {
    return (
        <li data-meant={meant}>
            <button
                type="button"
                aria-pressed={chosen}
                aria-label={[`${pencil.number} ${pencil.name}`, pencil.reading.words, ...notes(pencil)].join(', ')}
                title={[pencil.name, ...notes(pencil)].join(', ')}
            >
                <span className="lead">
                    <Dab strata={pencil.strata} width={size.slot} height={size.heavy} label="" />
                </span>
                <span className="lead light">
                    <Dab strata={pencil.lightStrata} width={size.slot} height={size.light} label="" />
                </span>
                <span className="number">{pencil.number}</span>
                <span className="step">value {pencil.reading.valueStep}</span>
                {notes(pencil).length > 0 && <span className="step">{stateWord(pencil)}</span>}
            </button>
        </li>
    );
});
