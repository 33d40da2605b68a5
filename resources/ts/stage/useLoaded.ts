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
        image.onerror = () => {
            if (stale) {
                return;
            }
            // It may only not have been its turn.
            if (++tries < MOST_TRIES) {
                setTimeout(() => {
                    image.src = url;
                }, 1000 * tries);
            } else {
                setFailed(true);
            }
        };
        image.src = url;
        return () => {
            stale = true;
        };
    }, [url]);
    return { shown, waiting: shown !== url && !failed, failed };
}
