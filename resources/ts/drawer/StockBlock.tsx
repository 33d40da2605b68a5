import { useState } from 'react';
import styled from 'styled-components';
import type { PencilPortrait, StockChange } from '../api/types';
import { TextInput, WordButton, WordChoice } from '../ui/controls';
import { useDraft } from '../ui/useDraft';

const Block = styled.div`
    border-top: 1px solid var(--line);
    & .line {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 0 12px;
    }
    & .fields {
        display: grid;
        grid-template-columns: max-content 1fr;
        align-items: center;
        gap: 4px 12px;
        padding-bottom: 8px;
    }
    & input.short {
        width: 76px;
    }
`;

const STATES = [
    { value: 'owned', label: 'Owned' },
    { value: 'low', label: 'Low' },
    { value: 'wanted', label: 'Wanted' },
    { value: 'not owned', label: 'Not owned' },
] as const;

interface StockBlockProps {
    pencil: PencilPortrait;
    onNote: (change: Omit<StockChange, 'id'>) => void;
}

/** Whether the pencil is at hand and what is left of it; what else is noted opens below. */
export function StockBlock({ pencil, onNote }: StockBlockProps) {
    const [open, setOpen] = useState(false);
    const { stock } = pencil;
    const used = pencil.usedTimes === 0 ? '' : `${pencil.usedMm.toFixed(0)} mm used so far`;
    const more = [
        stock.lengthLeft === null ? '' : `${stock.lengthLeft.toFixed(0)} mm left`,
        used,
        stock.discontinued ? 'no longer made' : '',
        stock.formerly.length === 0 ? '' : `used to be ${stock.formerly.join(' and ')}`,
        stock.notes,
    ].filter((t) => t !== '');
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
                        onKeep={(text) => onNote({ lengthLeft: text === '' ? null : Number(text.replace(',', '.')) })}
                    />
                    <Field
                        label="Used to be"
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
                    <label style={{ minHeight: 44, display: 'flex', alignItems: 'center', gap: 8 }}>
                        <input type="checkbox" checked={stock.discontinued} onChange={(e) => onNote({ discontinued: e.target.checked })} />
                        No longer made
                    </label>
                    {used !== '' && (
                        <>
                            <span />
                            <span>
                                {used}, noted {pencil.usedTimes === 1 ? 'once' : `${pencil.usedTimes} times`}
                            </span>
                        </>
                    )}
                </div>
            )}
        </Block>
    );
}

/** Enter or leaving keeps what was written, Escape puts the old back. */
function Field({ label, value, short = false, onKeep }: { label: string; value: string; short?: boolean; onKeep: (text: string) => void }) {
    const [text, setText] = useDraft(value);
    const keep = () => {
        if (text.trim() !== value) {
            onKeep(text.trim());
        }
    };
    return (
        <label style={{ display: 'contents' }}>
            {label}
            <TextInput
                className={short ? 'short' : ''}
                inputMode={short ? 'decimal' : 'text'}
                value={text}
                onChange={(e) => setText(e.target.value)}
                onBlur={keep}
                onKeyDown={(e) => (e.key === 'Enter' ? keep() : e.key === 'Escape' && setText(null))}
            />
        </label>
    );
}
