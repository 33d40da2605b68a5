import type { Plan, PlanTarget, PlanZone } from '../../../api/types';

export interface Minded {
    code: string;
    words: string;
}

/**
 * What there is to mind under one colour of a zone: what its sequence's passes cause, said once and under the first colour in which it
 * is; where a stack of one's own is held apart what that causes instead; and what is between zones.
 */
export function mindedApart({ sequence, number }: PlanZone, target: PlanTarget, { cautions }: Plan): Minded[] {
    const own = target.own
        ? (target.recipe?.cautions ?? []).map((c) => ({ code: c.code, words: `In the ${target.name}: ${c.text} ${c.remedy}` }))
        : (sequence?.cautions ?? [])
              .filter((c) => c.roles[0] === target.role)
              .map((c) => ({ code: c.code, words: `In the ${c.where}: ${c.text} ${c.remedy}` }));
    const between = cautions
        .filter((c) => c.zone === number && c.role === target.role)
        .map((c) => ({ code: c.code, words: `In the ${target.name}: ${c.text} ${c.remedy}` }));
    return [...own, ...between];
}

/** How many of them nobody has overruled yet. */
export const toMind = (zone: PlanZone, picture: Plan): number =>
    zone.targets.reduce((sum, t) => sum + mindedApart(zone, t, picture).filter((c) => t.overruled[c.code] === undefined).length, 0);
