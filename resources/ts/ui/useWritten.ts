import { useRef, useState, type ChangeEvent, type KeyboardEvent } from 'react';
import { useDraft } from './useDraft';

interface Written {
    value: string;
    onKeep: (text: string) => void;
    /** Why what was written can't be kept; it stays as it was written until it is put right. */
    fault?: (text: string) => string | null;
    /** Whether nothing written is something to keep, and not the old put back. */
    mayBeEmpty?: boolean;
}

/** What is written over a value: Enter or leaving keeps it, Escape puts the old back. */
export function useWritten({ value, onKeep, fault = () => null, mayBeEmpty = false }: Written) {
    const [text, setText] = useDraft(value);
    const [wrong, setWrong] = useState<string | null>(null);
    const kept = useRef<string | null>(null);
    const write = (written: string | null) => {
        kept.current = null;
        setWrong(null);
        setText(written);
    };
    const keep = () => {
        const written = text.trim();
        if (written === '' && !mayBeEmpty) {
            write(null);
            return;
        }
        const found = fault(written);
        setWrong(found);
        if (found === null && written !== value) {
            kept.current = written;
            onKeep(written);
        }
    };
    return {
        wrong,
        field: {
            value: text,
            onChange: (e: ChangeEvent<HTMLInputElement>) => write(e.target.value),
            // Leaving after Enter must not keep the same once more while the answer is under way.
            onBlur: () => kept.current !== text.trim() && keep(),
            onKeyDown: (e: KeyboardEvent) => {
                if (e.key === 'Enter') {
                    keep();
                } else if (e.key === 'Escape') {
                    write(null);
                }
            },
        },
    };
}
