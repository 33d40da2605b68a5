import { useEffect, useMemo } from 'react';

/** An address for a file that is on this device, as long as it is shown. */
export function usePicture(file: File): string {
    const address = useMemo(() => URL.createObjectURL(file), [file]);
    useEffect(() => () => URL.revokeObjectURL(address), [address]);
    return address;
}
