import type { PlanWork } from '../../api/types';
import { hashed } from './queries';

/** After each of what the picture to come is shown: a session, a step of the order of work, or a pass of all zones at once. */
export type Pace = 'session' | 'step' | 'pass';

/** A way from the bare paper to the end. */
export interface Walk {
    /** Places beyond the bare paper. */
    of: number;
    /** What is asked for there. */
    laid: (at: number) => string;
    /** What that place is called: "after session 2 of 5". */
    name: (at: number) => string;
    /** What is laid there, and what to make of it. */
    told: (at: number) => string | null;
}

const named = (what: string, of: number) => (at: number) => (at === 0 ? 'the bare paper' : `after ${what} ${at} of ${of}`);

/** Steps that are laid at a place of the way. */
function stepsAt(pace: Pace, at: number, work: PlanWork): number {
    return pace === 'session' ? (work.sessions[at - 1]?.ends ?? 0) : at;
}

export function walkOf(pace: Pace, passes: number, work: PlanWork | undefined): Walk {
    if (pace === 'pass' || work === undefined) {
        return { of: passes, laid: (at) => `step=${at}`, name: named('pass', passes), told: () => null };
    }
    // The same step of another order is another picture.
    const order = hashed(work.steps.join());
    const of = pace === 'session' ? work.sessions.length : work.steps.length;
    return {
        of,
        // The end is the same whichever way one comes to it, and is kept once.
        laid: (at) => (at === of ? `step=${passes}` : at === 0 ? 'step=0' : `work=${stepsAt(pace, at, work)}&order=${order}`),
        name: named(pace, of),
        told: (at) => {
            const session = work.sessions[pace === 'session' ? at - 1 : work.sessions.findIndex((s) => s.ends >= at)];
            const words = pace === 'session' ? session?.words : work.steps[at - 1];
            return at === 0 || session === undefined || words === undefined
                ? null
                : `${words}.${session.raw === null ? '' : ` ${session.raw}`}`;
        },
    };
}

/** The place in another way that lies as far along; nothing is the end. */
export function alike(from: Pace, at: number | null, to: Pace, work: PlanWork | undefined): number | null {
    if (at === null || at === 0 || from === to) {
        return at;
    }
    if (work === undefined || from === 'pass' || to === 'pass') {
        return null;
    }
    const steps = stepsAt(from, at, work);
    return to === 'step' ? steps : work.sessions.findIndex((s) => s.ends >= steps) + 1;
}
