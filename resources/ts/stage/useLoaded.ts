import { useEffect, useState } from 'react';

const MOST_TRIES = 3;

/** The address of the last picture that has arrived; the one before stays while the next is on its way. */
export function useLoaded(url: string): { shown: string; waiting: boolean; failed: boolean } {
    const [shown, setShown] = useState(url);
    const [failed, setFailed] = useState(false);
    useEffect(() => {
        let stale = false;
        const image = new Image();
        image.onload = () => {
            if (!stale) {
                setShown(url);
                setFailed(false);
            }
        };
        let tries = 0;
        let again: ReturnType<typeof setTimeout> | undefined;
        image.onerror = () => {
            // It may only not have been its turn.
            if (++tries < MOST_TRIES) {
                again = setTimeout(() => {
                    image.src = url;
                }, 1000 * tries);
            } else if (!stale) {
                setFailed(true);
            }
        };
        image.src = url;
        return () => {
            stale = true;
            clearTimeout(again);
        };
    }, [url]);
    return { shown, waiting: shown !== url && !failed, failed };
}
