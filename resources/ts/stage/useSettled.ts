import { useEffect, useState } from 'react';

/** The value once it has not changed for a while; the same object, so that it can be compared. */
export function useSettled<T>(value: T, milliseconds: number): T {
    const [settled, setSettled] = useState(value);
    useEffect(() => {
        const timer = setTimeout(() => setSettled(value), milliseconds);
        return () => clearTimeout(timer);
    }, [value, milliseconds]);
    return settled;
}
