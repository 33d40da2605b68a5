import { newKey } from '../../../api/keptEdits';

import type { NewChange } from '../../../api/types';
import type { NewEdit } from '../../../api/lane';

const keyOf = (study: number): string => `pending/${study}`;

type Pending = { key?: string } & ({ change: NewChange } | { move: 'undo' | 'redo' });

/**
 * What an earlier version of this page kept for a study's survey, taken over once. Undos are left: what they stood on is not known.
 */
export function takeOverPending(study: number, edit: (change: NewChange) => NewEdit): NewEdit[] {
    const text = localStorage.getItem(keyOf(study));
    if (text === null) {
        return [];
    }
    localStorage.removeItem(keyOf(study));
    try {
        const kept = JSON.parse(text) as Pending[];
        return kept.flatMap((p) => ('change' in p ? [{ ...edit(p.change), json: { ...p.change, key: p.key ?? newKey() } }] : []));
    } catch {
        return [];
    }
}
