import { useLayoutEffect, useRef } from 'react';
import { WordButton } from './controls';

/** What is being read, in words, and a way out of it; whoever cancels by keyboard is where the reading was begun. */
export function Reading({ words, onCancel }: { words: string; onCancel: () => void }) {
    const own = useRef<HTMLParagraphElement>(null);
    useLayoutEffect(() => {
        const [began, here] = [document.activeElement, own.current];
        return () => {
            if (began instanceof HTMLElement && here?.contains(document.activeElement)) {
                // What began it can be used again only when this is gone.
                setTimeout(() => {
                    began.focus();
                });
            }
        };
    }, []);
    return (
        <p ref={own}>
            {words} <WordButton onPress={onCancel}>Cancel</WordButton>
        </p>
    );
}
