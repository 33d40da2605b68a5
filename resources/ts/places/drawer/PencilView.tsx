import styled from 'styled-components';
import type { PencilPortrait, StockChange, TrayPencil } from '../../api/types';
import { FamilyRing } from './FamilyRing';
import { PencilBody } from './PencilBody';
import { StockBlock } from './StockBlock';

const Sheet = styled.section`
    padding: var(--space-2) var(--space-4);
    min-width: 0;
    & h2.number {
        font-size: var(--type-number);
        font-weight: 700;
        line-height: 1.1;
        & small {
            font-size: var(--type-title);
            font-weight: 400;
        }
    }
    & .soft {
        color: var(--soft-ink);
        font-size: var(--type-small);
    }
`;

const Head = styled.div`
    display: flex;
    justify-content: space-between;
    gap: var(--space-3);
    /* Room for the ring and a third line before they are there: nothing below may move under a finger. */
    min-height: 132px;
`;

/** What is still another pencil's: it can't be acted on, and fades once it is more than a moment. */
const Laid = styled.div`
    &[inert] {
        opacity: 0.15;
        transition: opacity 0.1s 0.2s;
    }
`;

interface PencilViewProps {
    chosen: string | null;
    /** The chosen one as it lies in the tray, which is there before its portrait is. */
    inTray: TrayPencil | undefined;
    /** The chosen one's portrait, or until that is laid the one before. */
    portrait: PencilPortrait | undefined;
    fault: string | null;
    paper: string;
    onChosen: (id: string) => void;
    onNote: (change: StockChange) => void;
}

/**
 * One pencil: what it is in words, what is left of it, and all that was laid of it. Its name and its stock are its own from the first
 * moment.
 */
export function PencilView({ chosen, inTray, portrait, fault, paper, onChosen, onNote }: PencilViewProps) {
    const stale = portrait?.id !== chosen;
    const pencil = stale ? (inTray ?? portrait) : portrait;
    if (pencil === undefined) {
        return (
            <Sheet aria-label="The pencil">
                {fault ?? (chosen === null ? 'Choose a pencil to see its details.' : 'Opening the pencil…')}
            </Sheet>
        );
    }
    const isOther = pencil.id !== chosen;
    return (
        <Sheet aria-label="The pencil" aria-busy={stale && fault === null} data-testid="pencil">
            <Head>
                <Laid inert={isOther}>
                    <h2 className="number">
                        {pencil.number} <small>{pencil.name}</small>
                    </h2>
                    <p>
                        {pencil.line === '' ? 'no line' : pencil.line}, {pencil.binder ?? 'binder assumed'}
                        {!pencil.stock.owned && ', not owned'}
                    </p>
                    <p>
                        {capital(pencil.reading.words)}. {capital(pencil.reading.temperature)}.
                        {!stale && ` Next to ${portrait.families.join(' and to ')}.`}
                    </p>
                    <p className="soft">
                        {pencil.assumed.length === 0 ? 'All measured.' : `Assumed, not measured: ${pencil.assumed.join(', ')}.`}
                        {!stale && ` Hiding ${Math.round(portrait.hiding * 100)} %.`}
                    </p>
                </Laid>
                {portrait !== undefined && (
                    <Laid inert={stale}>
                        <FamilyRing ring={portrait.ring} />
                    </Laid>
                )}
            </Head>
            <Laid inert={isOther}>
                <StockBlock stock={pencil.stock} used={stale ? null : portrait} onNote={(change) => onNote({ id: pencil.id, ...change })} />
            </Laid>
            {fault !== null && <p role="alert">{fault}</p>}
            {portrait !== undefined && (
                <Laid inert={stale}>
                    <PencilBody pencil={portrait} paper={paper} onChosen={onChosen} />
                </Laid>
            )}
        </Sheet>
    );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
