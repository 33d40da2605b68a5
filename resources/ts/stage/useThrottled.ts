import { useEffect, useRef, useState } from 'react';

/** The value, renewed at once and then at most every so many milliseconds; the last one always comes through. */
export function useThrottled<T>(value: T, milliseconds: number): T {
    const [shown, setShown] = useState(value);
    const last = useRef(0);
    useEffect(() => {
        const wait = Math.max(0, last.current + milliseconds - performance.now());
        const timer = setTimeout(() => {
            last.current = performance.now();
            setShown(value);
        }, wait);
        return () => clearTimeout(timer);
    }, [value, milliseconds]);
    return shown;
}
