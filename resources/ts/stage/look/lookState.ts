/** How the photo is looked at. Everything here is remembered for each study on this device; what it looks like is computed by the core. */
export interface Look {
    tone: 'colour' | 'grey' | 'steps';
    steps: 5 | 9 | 10;
    /** Whether step 1 is the lightest. */
    lightest: boolean;
    /** The one value step that shows. */
    only: number | null;
    squint: 0 | 1 | 2 | 3;
    mirror: boolean;
    turned: boolean;
    grid: boolean;
    cut: boolean;
    /** Whether a balance shows where the photo has one. */
    balanced: boolean;
}

export const PLAIN: Look = {
    tone: 'colour',
    steps: 9,
    lightest: false,
    only: null,
    squint: 0,
    mirror: false,
    turned: false,
    grid: false,
    cut: false,
    balanced: true,
};

export type LookAction =
    | { type: 'tone'; tone: Look['tone'] }
    | { type: 'stepsCycled' }
    | { type: 'endTurned' }
    | { type: 'only'; step: number }
    | { type: 'squintCycled' }
    | { type: 'toggled'; what: 'mirror' | 'turned' | 'grid' | 'cut' | 'balanced' }
    | { type: 'plain' };

const SCALES = [9, 10, 5] as const;

export function lookReducer(look: Look, action: LookAction): Look {
    switch (action.type) {
        case 'tone':
            return { ...look, tone: action.tone };
        case 'stepsCycled': {
            // The first press shows steps, every further one another scale.
            const next = SCALES[(SCALES.indexOf(look.steps) + 1) % SCALES.length] ?? 9;
            return look.tone === 'steps' ? { ...look, steps: next, only: null } : { ...look, tone: 'steps' };
        }
        case 'endTurned':
            return { ...look, lightest: !look.lightest, only: look.only === null ? null : look.steps + 1 - look.only };
        case 'only':
            return action.step > look.steps ? look : { ...look, only: look.only === action.step ? null : action.step };
        case 'squintCycled':
            return { ...look, squint: ((look.squint + 1) % 4) as Look['squint'] };
        case 'toggled':
            return { ...look, [action.what]: !look[action.what] };
        case 'plain':
            return PLAIN;
    }
}

/** The key that does each thing; every letter is one of its word. */
const KEYS: Record<string, LookAction> = {
    c: { type: 'tone', tone: 'colour' },
    g: { type: 'tone', tone: 'grey' },
    s: { type: 'stepsCycled' },
    l: { type: 'endTurned' },
    q: { type: 'squintCycled' },
    m: { type: 'toggled', what: 'mirror' },
    t: { type: 'toggled', what: 'turned' },
    r: { type: 'toggled', what: 'grid' },
    u: { type: 'toggled', what: 'cut' },
    b: { type: 'toggled', what: 'balanced' },
    Escape: { type: 'plain' },
};

/** What a pressed key asks for: a letter, or a digit for one value alone (0 is ten). */
export function lookActionOf(key: string): LookAction | null {
    if (/^[0-9]$/.test(key)) {
        return { type: 'only', step: key === '0' ? 10 : Number(key) };
    }
    return KEYS[key.length === 1 ? key.toLowerCase() : key] ?? null;
}

/** What the core needs to know of it; mirror, turn, grid and cut only move what it has computed. */
export function lookQuery(look: Look, push?: { zone: number; lighter: boolean } | null): string {
    const query = new URLSearchParams({ tone: push === undefined || push === null || look.tone === 'steps' ? look.tone : 'grey' });
    query.set('steps', String(look.steps));
    query.set('lightest', look.lightest ? '1' : '0');
    query.set('squint', String(look.squint));
    query.set('balanced', look.balanced ? '1' : '0');
    if (look.only !== null) {
        query.set('only', String(look.only));
    }
    if (push !== undefined && push !== null) {
        query.set('push', String(push.zone));
        query.set('by', push.lighter ? '1' : '-1');
    }
    return query.toString();
}

const keyOf = (study: number): string => `look/${study}`;

export function rememberedLook(study: number): Look {
    try {
        const kept: unknown = JSON.parse(localStorage.getItem(keyOf(study)) ?? 'null');
        return typeof kept === 'object' && kept !== null ? { ...PLAIN, ...(kept as Partial<Look>) } : PLAIN;
    } catch {
        return PLAIN;
    }
}

export const rememberLook = (study: number, look: Look): void => localStorage.setItem(keyOf(study), JSON.stringify(look));

/** A way of looking as the address has it: what differs from the plain photo, "tone:grey,squint:2". */
export const lookText = (look: Look): string =>
    (Object.keys(PLAIN) as (keyof Look)[])
        .filter((key) => look[key] !== PLAIN[key])
        .map((key) => `${key}:${String(look[key])}`)
        .join(',');

/** Null when the text is empty, or says what there is no such way of. */
export function lookOfText(text: string): Look | null {
    if (text === '') {
        return null;
    }
    const look: Record<string, unknown> = { ...PLAIN };
    for (const part of text.split(',')) {
        const [key = '', value = ''] = part.split(':');
        if (!(key in PLAIN)) {
            return null;
        }
        look[key] = value === 'true' ? true : value === 'false' ? false : /^\d+$/.test(value) ? Number(value) : value;
    }
    return isLook(look) ? look : null;
}

const TOGGLES = ['lightest', 'mirror', 'turned', 'grid', 'cut', 'balanced'] as const;

function isLook(look: unknown): look is Look {
    const l = look as Look;
    return (
        ['colour', 'grey', 'steps'].includes(l.tone) &&
        [5, 9, 10].includes(l.steps) &&
        [0, 1, 2, 3].includes(l.squint) &&
        TOGGLES.every((toggle) => typeof l[toggle] === 'boolean') &&
        (l.only === null || (Number.isInteger(l.only) && l.only >= 1 && l.only <= l.steps))
    );
}
