import { useState } from 'react';

/** A value that is being changed on the page: what was put in shows until the value itself has changed, or it is given up (null). */
export function useDraft<T>(value: T): [T, (draft: T | null) => void] {
    const [draft, setDraft] = useState<{ of: T; to: T } | null>(null);
    return [draft !== null && draft.of === value ? draft.to : value, (to) => setDraft(to === null ? null : { of: value, to })];
}
