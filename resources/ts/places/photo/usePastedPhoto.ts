import { useEffect, useRef } from 'react';

/** Takes a picture from the clipboard, wherever the focus is but in a dialog. */
export function usePastedPhoto(onPhoto: (file: File) => void): void {
    const latest = useRef(onPhoto);
    useEffect(() => {
        latest.current = onPhoto;
    });
    useEffect(() => {
        const onPaste = (event: ClipboardEvent) => {
            const file = [...(event.clipboardData?.files ?? [])].find((f) => f.type.startsWith('image/'));
            if (file !== undefined && document.querySelector('[role="dialog"]') === null) {
                event.preventDefault();
                latest.current(file);
            }
        };
        window.addEventListener('paste', onPaste);
        return () => window.removeEventListener('paste', onPaste);
    }, []);
}
