import { useEffect, useState } from 'react';

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
        image.onerror = () => !stale && setFailed(true);
        image.src = url;
        return () => {
            stale = true;
        };
    }, [url]);
    return { shown, waiting: shown !== url && !failed, failed };
}
