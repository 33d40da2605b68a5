import { useRef } from 'react';
import { send, type Sending } from './client';
import { newKey } from './keptEdits';

/** Something that is asked for, one at a time, and can be taken back while the answer is under way: nothing of it is kept then. */
export function useTakenBack() {
    const under = useRef<(() => void) | null>(null);
    const begin = (): Required<Sending> => {
        const away = new AbortController();
        const key = newKey();
        under.current = () => {
            away.abort();
            // Where this is not heard either, what comes of it is kept and can be removed.
            void send('POST', '/api/unwanted', { json: { key } }).catch(() => undefined);
        };
        return { key, signal: away.signal };
    };
    const takeBack = () => {
        under.current?.();
        under.current = null;
    };
    return { begin, takeBack };
}
