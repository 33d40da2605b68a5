import type { Drawer, Pressure, PlanChange, PlanShade, Sequence, SequencePass } from '../../../api/types';

type ShadeName = PlanShade['shade'];

/** Passes as a change sends them. */
export type Passes = NonNullable<PlanChange['passes']>;

export type Pass = Passes[number];

/** The pass that is worked on, and the shade. */
export interface Chosen {
    at: number;
    shade: ShadeName;
}

/** A pencil as it is found and shown in a list. */
export const choiceOfPencil = (p: { id: string; number: string; name: string }) => ({ id: p.id, words: `${p.number} ${p.name}` });

export const toolOf = (pass: SequencePass): string => pass.pencil?.id ?? pass.finish ?? '';

export const passesOf = (sequence: Sequence): Pass[] => sequence.passes.map((p) => ({ tool: toolOf(p), pressures: p.pressures }));

export const withPressure = (passes: readonly Pass[], at: number, shade: ShadeName, pressure: Pressure | null): Pass[] =>
    passes.map((p, i) => (i === at ? { ...p, pressures: { ...p.pressures, [shade]: pressure } } : p));

export const withTool = (passes: readonly Pass[], at: number, tool: string): Pass[] =>
    passes.map((p, i) => (i === at ? { ...p, tool } : p));

export const without = (passes: readonly Pass[], at: number): Pass[] => passes.filter((_, i) => i !== at);

/** One more pass over every colour of the zone, lightly, at the end. */
export const withMore = (passes: readonly Pass[], tool: string, names: readonly ShadeName[]): Pass[] => [
    ...passes,
    { tool, pressures: Object.fromEntries(names.map((r) => [r, 'light' as const])) },
];

/** A pass moved to another place; out of range it stays where it is. */
export function movedPass(passes: readonly Pass[], from: number, to: number): Pass[] {
    const next = [...passes];
    if (to >= 0 && to < passes.length) {
        next.splice(to, 0, ...next.splice(from, 1));
    }
    return next;
}

/**
 * The passes as they are being changed, with what is known of each: a dab is shown where nothing was changed up to it, and comes with the
 * answer elsewhere.
 */
export function drafted(shown: readonly SequencePass[], draft: readonly Pass[], pencils: Drawer['pencils']): SequencePass[] {
    let same = true;
    return draft.map((pass, i) => {
        const before = shown[i];
        same &&=
            before !== undefined && toolOf(before) === pass.tool && JSON.stringify(before.pressures) === JSON.stringify(pass.pressures);
        if (same && before !== undefined) {
            return before;
        }
        const pencil = pencils.find((p) => p.id === pass.tool) ?? shown.find((p) => p.pencil?.id === pass.tool)?.pencil ?? null;
        return {
            finish: pencil === null ? pass.tool : null,
            care: null,
            pencil,
            pressures: pass.pressures,
            words: pencil?.number ?? pass.tool,
            reason: null,
            dabs: {},
        };
    });
}
