import { useState } from 'react';
import type { Desk } from '../../api/types';

const nameOf = (study: number): string => `sitting/${study}`;

/** Minutes after which a break is due. */
const BREAK_AFTER = 45;

/** A sitting that was left for so long, seconds, has ended. */
const ENDED = 6 * 3600;

interface Sitting {
    /** Seconds since 1970. */
    begun: number;
    rested: number;
}

/** Whether the pencils of this session lie here, and since when one sits; over a reload too. */
export function useSitting(study: number, desk: Desk) {
    const [sitting, setSitting] = useState<Sitting | null>(() => read(study));
    const keep = (now: Sitting | null) => {
        setSitting(now);
        try {
            if (now === null) {
                sessionStorage.removeItem(nameOf(study));
            } else {
                sessionStorage.setItem(nameOf(study), JSON.stringify(now));
            }
        } catch {
            // Where nothing can be kept the pencils are laid out again after a reload.
        }
    };
    const now = () => Date.now() / 1000;
    return {
        isBegun: sitting !== null && desk.steps.length > 0,
        begin: () => keep({ begun: now(), rested: now() }),
        end: () => keep(null),
        rest: () => sitting !== null && keep({ ...sitting, rested: now() }),
        isBreakDue: (at: number) => sitting !== null && at - sitting.rested > BREAK_AFTER * 60,
    };
}

function read(study: number): Sitting | null {
    try {
        const kept: unknown = JSON.parse(sessionStorage.getItem(nameOf(study)) ?? 'null');
        const isSitting = typeof kept === 'object' && kept !== null && 'begun' in kept && 'rested' in kept;
        return isSitting && Date.now() / 1000 - Number(kept.rested) < ENDED
            ? { begun: Number(kept.begun), rested: Number(kept.rested) }
            : null;
    } catch {
        return null;
    }
}
