import { useEffect, useState } from 'react';

/** Seconds since 1970, every second while something is waited for; a lid that was closed meanwhile does not stop the clock. */
export function useNow(isWaiting: boolean): number {
    const [now, setNow] = useState(() => Date.now() / 1000);
    useEffect(() => {
        const tick = () => setNow(Date.now() / 1000);
        const timer = setInterval(tick, isWaiting ? 1000 : 20_000);
        document.addEventListener('visibilitychange', tick);
        return () => {
            clearInterval(timer);
            document.removeEventListener('visibilitychange', tick);
        };
    }, [isWaiting]);
    return now;
}
