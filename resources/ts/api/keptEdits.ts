import type { Edit } from './lane';

/**
 * What waits is kept on this device, each change under a name of its own: two tabs of one study neither overwrite nor remove what the
 * other keeps.
 */
const PREFIX = 'waiting/';

const nameOf = (edit: Edit): string => `${PREFIX}${edit.lane}/${edit.key}`;

/** Long enough never to meet itself, short enough for the application. */
export const newKey = (): string => `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 12)}`.padEnd(12, '0');

/** @returns whether this device keeps it */
export function keepEdit(edit: Edit): boolean {
    try {
        localStorage.setItem(nameOf(edit), JSON.stringify(edit));
        return true;
    } catch {
        return false;
    }
}

export const forgetEdit = (edit: Edit): void => localStorage.removeItem(nameOf(edit));

/** In the order in which they were made. */
export const keptEdits = (lane: string): Edit[] =>
    names()
        .filter((name) => name.startsWith(`${PREFIX}${lane}/`))
        .flatMap(read)
        .sort((a, b) => a.at - b.at);

/** The lanes of an account in which something waits. */
export const lanesOf = (account: string): string[] => [
    ...new Set(
        names()
            .filter((name) => name.startsWith(`${PREFIX}${account}/`))
            .flatMap(read)
            .map((edit) => edit.lane),
    ),
];

const names = (): string[] => Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '');

function read(name: string): Edit[] {
    try {
        const edit: unknown = JSON.parse(localStorage.getItem(name) ?? 'null');
        return isEdit(edit) ? [edit] : [];
    } catch {
        return [];
    }
}

const isEdit = (edit: unknown): edit is Edit =>
    typeof edit === 'object' && edit !== null && 'key' in edit && 'lane' in edit && 'path' in edit && 'method' in edit;
