import { useEffect } from 'react';

/** Keeps the screen on where the browser can; a lock is lost with the page and taken again when it is back. */
export function useWakeLock(): void {
    useEffect(() => {
        let lock: WakeLockSentinel | null = null;
        let left = false;
        const take = async () => {
            if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) {
                return;
            }
            try {
                lock = await navigator.wakeLock.request('screen');
                if (left) {
                    void lock.release();
                }
            } catch {
                // A battery that is low refuses it: the screen goes dark as it always does.
            }
        };
        void take();
        const onVisible = () => void take();
        document.addEventListener('visibilitychange', onVisible);
        return () => {
            left = true;
            document.removeEventListener('visibilitychange', onVisible);
            void lock?.release();
        };
    }, []);
}
