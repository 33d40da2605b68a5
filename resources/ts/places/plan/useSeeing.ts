import { useState } from 'react';
import type { PlanWork } from '../../api/types';
import type { Light, LookTone } from './queries';
import { alike, walkOf, type Pace } from './walks';

/** What is seen of the picture to come: its colours, its values, or where it will differ from the photo. */
export type LookName = LookTone | 'error';

export interface Seeing {
    look: LookName;
    /** Per cent: how far the photo reaches, or how far it comes through. */
    divider: number;
    /** The picture over the photo as if on tracing paper, and not beside it. */
    isOver: boolean;
    squint: boolean;
    light: Light;
    /** After each of what it is shown. */
    pace: Pace;
    /** After which of them; nothing for the end. */
    step: number | null;
}

const FIRST: Seeing = { look: 'colour', divider: 50, isOver: false, squint: false, light: 'D65', pace: 'session', step: null };

/** How the picture to come is looked at; after each pass of all zones as long as no order of work is known. */
export function useSeeing(passes: number, work: PlanWork | undefined) {
    const [seeing, setSeeing] = useState(FIRST);
    const see = (change: Partial<Seeing>) => setSeeing((before) => ({ ...before, ...change }));
    const pace = work === undefined ? 'pass' : seeing.pace;
    const walk = walkOf(pace, passes, work);
    return {
        seeing,
        see,
        pace: { now: pace, isKnown: work !== undefined, set: (to: Pace) => see({ pace: to, step: alike(pace, seeing.step, to, work) }) },
        walk,
        at: Math.min(seeing.step ?? walk.of, walk.of),
    };
}

export type SeeingState = ReturnType<typeof useSeeing>;
