import { useId, useState } from 'react';
import styled from 'styled-components';
import type { Stock, StockChange } from '../../api/types';
import { TextInput, WordButton, WordChoice } from '../../ui/controls';
import { useWritten } from '../../ui/useWritten';
import { PressedRow } from '../../ui/layout';

const Block = styled.div`
    & .beside {
        display: contents;
    }
    border-top: 1px solid var(--line);
    & .line {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 0 var(--space-3);
    }
    & .fields {
        display: grid;
        grid-template-columns: max-content 1fr;
        align-items: center;
        gap: var(--space-1) var(--space-3);
        padding-bottom: var(--space-2);
    }
    & input.short {
        width: 76px;
    }
    & .wrong {
        grid-column: 2;
    }
`;

const STATES = [
    { value: 'owned', label: 'Owned' },
    { value: 'low', label: 'Low' },
    { value: 'wanted', label: 'Wanted' },
    { value: 'not owned', label: 'Not owned' },
] as const;

interface StockBlockProps {
    stock: Stock;
    /** How much of it was used up by the lengths noted, once that is known. */
    used: { usedMm: number; usedTimes: number; worn: { laidMm: number; leftMm: number | null; words: string } } | null;
    onNote: (change: Omit<StockChange, 'id'>) => void;
}

/** Whether the pencil is available and what is left of it; what else is noted opens below. */
export function StockBlock({ stock, used: spent, onNote }: StockBlockProps) {
    const [open, setOpen] = useState(false);
    const times = spent?.usedTimes ?? 0;
    const used = spent === null || times === 0 ? '' : `${spent.usedMm.toFixed(0)} mm used so far`;
    const more = notedOf(stock, used, wornBy(spent?.worn));
    return (
        <Block>
            <div className="line">
                <WordChoice label="Stock" value={stock.state} options={STATES} onChange={(state) => onNote({ stock: state })} />
                <WordButton aria-expanded={open} onPress={() => setOpen(!open)}>
                    {open ? 'Less' : 'Notes'}
                </WordButton>
                {!open && more.length > 0 && <span className="soft">{more.join('; ')}</span>}
            </div>
            {open && (
                <div className="fields">
                    <Field
                        label="Length left, mm"
                        short
                        value={stock.lengthLeft === null ? '' : String(stock.lengthLeft)}
                        fault={(text) => (Number.isNaN(lengthOf(text)) ? 'Enter the length in millimetres, like 140.' : null)}
                        onKeep={(text) => onNote({ lengthLeft: lengthOf(text) })}
                    />
                    <Field
                        label="Former number"
                        value={stock.formerly.join('; ')}
                        onKeep={(text) =>
                            onNote({
                                formerly: text
                                    .split(';')
                                    .map((t) => t.trim())
                                    .filter((t) => t !== ''),
                            })
                        }
                    />
                    <Field label="Notes" value={stock.notes} onKeep={(text) => onNote({ notes: text })} />
                    <span />
                    <PressedRow as="label" $tight>
                        <input type="checkbox" checked={stock.discontinued} onChange={(e) => onNote({ discontinued: e.target.checked })} />
                        No longer made
                    </PressedRow>
                    {used !== '' && (
                        <>
                            <span />
                            <span>
                                {used}, noted {times === 1 ? 'once' : `${times} times`}
                            </span>
                        </>
                    )}
                </div>
            )}
        </Block>
    );
}

/** All that is noted or reckoned of it, in a few words each. */
const notedOf = (stock: Stock, used: string, worn: string): string[] =>
    [
        stock.lengthLeft === null ? '' : `${stock.lengthLeft.toFixed(0)} mm left`,
        used,
        worn,
        stock.discontinued ? 'no longer made' : '',
        stock.formerly.length === 0 ? '' : `used to be ${stock.formerly.join(' and ')}`,
        stock.notes,
    ].filter((t) => t !== '');

/** What the log of the desk says of it. */
function wornBy(worn: { laidMm: number; leftMm: number | null; words: string } | undefined): string {
    if (worn === undefined || worn.laidMm === 0) {
        return '';
    }
    const left = worn.leftMm === null ? '' : `, about ${worn.leftMm.toFixed(0)} mm left by the log`;
    return worn.words === '' ? `${worn.laidMm.toFixed(0)} mm used${left}` : worn.words;
}

/** Nothing written is nothing noted; what is no number is none. */
const lengthOf = (text: string): number | null => (text === '' ? null : Number(text.replace(',', '.')));

interface FieldProps {
    label: string;
    value: string;
    short?: boolean;
    fault?: (text: string) => string | null;
    onKeep: (text: string) => void;
}

function Field({ label, value, short = false, fault, onKeep }: FieldProps) {
    const { wrong, field } = useWritten({ value, onKeep, mayBeEmpty: true, ...(fault === undefined ? {} : { fault }) });
    const alert = useId();
    return (
        <>
            <label className="beside">
                {label}
                <TextInput
                    className={short ? 'short' : ''}
                    inputMode={short ? 'decimal' : 'text'}
                    aria-invalid={wrong !== null}
                    aria-describedby={wrong === null ? undefined : alert}
                    {...field}
                />
            </label>
            {wrong !== null && (
                <span id={alert} role="alert" className="wrong">
                    {wrong}
                </span>
            )}
        </>
    );
}
