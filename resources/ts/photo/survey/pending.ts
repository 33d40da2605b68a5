import type { SurveyChange } from '../../api/types';

/** A change as it is made on the page; it gets its key when it is queued. */
export type NewChange = Omit<SurveyChange, 'key'>;

/** What waits to be sent: a change, or a step in the history. */
export type Pending = { key: string } & ({ change: NewChange } | { move: 'undo' | 'redo' });

const keyOf = (study: number): string => `pending/${study}`;

/** What was done and not yet taken in by the application: it outlives a reload and a lost connection. */
export function pendingOf(study: number): Pending[] {
    try {
        const kept: unknown = JSON.parse(localStorage.getItem(keyOf(study)) ?? '[]');
        return Array.isArray(kept) ? (kept as Pending[]) : [];
    } catch {
        return [];
    }
}

export function keepPending(study: number, pending: readonly Pending[]): void {
    if (pending.length === 0) {
        localStorage.removeItem(keyOf(study));
    } else {
        localStorage.setItem(keyOf(study), JSON.stringify(pending));
    }
}

/** Long enough never to meet itself, short enough for the application. */
export const newKey = (): string => `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 12)}`.padEnd(12, '0');
