import { useState } from 'react';
import type { Light, LookTone } from './queries';

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
    /** After which pass; nothing for the end. */
    step: number | null;
}

const FIRST: Seeing = { look: 'colour', divider: 50, isOver: false, squint: false, light: 'D65', step: null };

/** How the picture to come is looked at. */
export function useSeeing(steps: number) {
    const [seeing, setSeeing] = useState(FIRST);
    const see = (change: Partial<Seeing>) => setSeeing((before) => ({ ...before, ...change }));
    return { seeing, see, at: Math.min(seeing.step ?? steps, steps), of: steps };
}

export type SeeingState = ReturnType<typeof useSeeing>;
