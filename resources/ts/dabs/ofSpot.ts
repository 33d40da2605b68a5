import type { Dab, Pressure, Outcome, Sequence, SequencePass } from '../api/types';

/** What the one shade of a spot is called. */
const SPOT = 'spot';

/** What comes of a spot's recipe. */
export function outcomeOf(recipe: Sequence): Outcome {
    const outcome = recipe.outcomes[SPOT];
    if (outcome === undefined) {
        throw new Error('This is no recipe of a spot.');
    }
    return outcome;
}

/** How a spot looks after a pass; undefined for a pass that leaves it out. */
export const lookOf = (pass: SequencePass | undefined): Dab | undefined => pass?.dabs[SPOT];

/** How hard a spot's pass is pressed; null for a finish, which is done the same everywhere. */
export const pressureOf = (pass: SequencePass): Pressure | null => (pass.pencil === null ? null : (pass.pressures[SPOT] ?? null));
