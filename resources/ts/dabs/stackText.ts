/** One step of a stack as it is written: a pencil at a pressure, or a finish. */
export type Step = { pencil: string; pressure: number } | { finish: string };

export const MARKS = [
    ['whisper', 0.2],
    ['light', 0.35],
    ['medium', 0.55],
    ['firm', 0.8],
    ['full', 1],
] as const;

export const FINISHES = ['solvent', 'blender', 'tissue', 'lift'] as const;

export function stepsOf(stack: string): Step[] {
    return stack
        .split(',')
        .filter((part) => part !== '')
        .map((part) => {
            const at = part.lastIndexOf('@');
            return at < 0 ? { finish: part } : { pencil: part.slice(0, at), pressure: Number(part.slice(at + 1)) };
        });
}

export const textOf = (steps: readonly Step[]): string =>
    steps.map((s) => ('finish' in s ? s.finish : `${s.pencil}@${s.pressure.toFixed(2)}`)).join(',');

/** The mark nearest to a pressure. */
export const markOf = (pressure: number): string =>
    MARKS.reduce((best, mark) => (Math.abs(mark[1] - pressure) < Math.abs(best[1] - pressure) ? mark : best))[0];

/** A step moved to another place; out of range it stays where it is. */
export function moved(steps: readonly Step[], from: number, to: number): Step[] {
    const next = [...steps];
    if (to >= 0 && to < steps.length) {
        next.splice(to, 0, ...next.splice(from, 1));
    }
    return next;
}
