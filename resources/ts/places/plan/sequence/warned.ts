import type { Plan, PlanShade, PlanZone } from '../../../api/types';

export interface Warned {
    code: string;
    words: string;
}

/**
 * The warnings told under one shade of a zone: those of its sequence's passes, each once and under the first shade in which it is, and
 * those between zones.
 */
export function warnedIn({ sequence, number }: PlanZone, shade: PlanShade, { warnings }: Plan): Warned[] {
    const own = (sequence?.warnings ?? [])
        .filter((w) => w.shades[0] === shade.shade)
        .map((w) => ({ code: w.code, words: `In the ${w.where}: ${w.text} ${w.remedy}` }));
    const between = warnings
        .filter((w) => w.zone === number && w.shade === shade.shade)
        .map((w) => ({ code: w.code, words: `In the ${shade.name}: ${w.text} ${w.remedy}` }));
    return [...own, ...between];
}

/** How many of them the artist has not overruled. */
export const countWarnings = (zone: PlanZone, picture: Plan): number =>
    zone.shades.reduce((sum, s) => sum + warnedIn(zone, s, picture).filter((w) => s.overruled[w.code] === undefined).length, 0);
