import { useEffect, useRef } from 'react';

interface Keys {
    onUndo: () => void;
    onRedo: () => void;
    /** Shift and a digit. */
    onRecipe: (place: number) => void;
    /** Anything else that is pressed alone; whether it meant something. */
    onKey: (key: string) => boolean;
}

const isTyping = (target: EventTarget | null): boolean =>
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement ||
    (target instanceof HTMLInputElement && !['checkbox', 'radio', 'range', 'file'].includes(target.type));

const isElsewhere = (): boolean => document.querySelector('[role="dialog"]') !== null;

/** The keys of a place, wherever the focus is but in a field or a dialog. */
export function useKeys(keys: Keys): void {
    const latest = useRef(keys);
    useEffect(() => {
        latest.current = keys;
    });
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            if (event.defaultPrevented || event.altKey || isTyping(event.target) || isElsewhere()) {
                return;
            }
            if (event.ctrlKey || event.metaKey) {
                const key = event.key.toLowerCase();
                if (key === 'z' || key === 'y') {
                    event.preventDefault();
                    (key === 'y' || event.shiftKey ? latest.current.onRedo : latest.current.onUndo)();
                }
                return;
            }
            const digit = /^Digit([1-9])$/.exec(event.code)?.[1];
            if (event.shiftKey && digit !== undefined) {
                latest.current.onRecipe(Number(digit));
            } else if (latest.current.onKey(event.key)) {
                event.preventDefault();
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, []);
}
