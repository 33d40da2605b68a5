import type { Edit } from '../../api/lane';
import type { Desk, DeskStep, NewTick } from '../../api/types';

/** What stands on the desk now: what the application said, and what was ticked since and waits. */
export interface DeskState {
    /** What is to come, in its order. */
    steps: readonly DeskStep[];
    /** The step to do: the first whose zone is dry; null when all is done or all that is left is wet. */
    current: DeskStep | null;
    /** The one after it. */
    next: DeskStep | null;
    /** Wet zones and until when, seconds since 1970. */
    wet: readonly { zone: number; name: string; until: number }[];
    /** Zones whose rest is planned again once the network is there. */
    pending: readonly string[];
    /** Whether there is a tick to take back. */
    canUndo: boolean;
}

const keyOf = (zone: number, position: number): string => `${zone}/${position}`;

const isTick = (json: object | undefined): json is NewTick => json !== undefined && 'kind' in json && 'position' in json;

/** Ticks that wait, without those that are taken back again before they were sent. */
function ticksOf(waiting: readonly Edit[]): { ticks: NewTick[]; undone: number } {
    const ticks: NewTick[] = [];
    let undone = 0;
    for (const edit of waiting) {
        if (isTick(edit.json)) {
            ticks.push(edit.json);
        } else if (edit.path.endsWith('/undo') && ticks.pop() === undefined) {
            undone++;
        }
    }
    return { ticks, undone };
}

export function deskState(desk: Desk, waiting: readonly Edit[], now: number): DeskState {
    const { ticks, undone } = ticksOf(waiting);
    const known = new Map(ticks.map((m) => [keyOf(m.zone, m.position), m.coats ?? 1]));
    const astray = new Set(ticks.filter((m) => m.kind === 'other').map((m) => m.zone));
    const steps = desk.steps.filter((s) => !astray.has(s.zone)).flatMap((s) => coatsLeft(s, known));
    const until = new Map(desk.wet.map((w) => [w.zone, w.until]));
    for (const tick of ticks) {
        const step = desk.steps.find((s) => s.zone === tick.zone && s.position === tick.position);
        if (tick.kind === 'done' && step !== undefined && step.dries > 0) {
            until.set(tick.zone, tick.at + step.dries * 60);
        }
    }
    const nameOf = (zone: number): string => desk.zones.find((z) => z.number === zone)?.name ?? '';
    const wet = [...until].filter(([, at]) => at > now).map(([zone, at]) => ({ zone, name: nameOf(zone), until: at }));
    const isWet = (zone: number): boolean => wet.some((w) => w.zone === zone);
    const dry = firstOfEach(steps).filter((s) => !isWet(s.zone));
    const current = dry[0] ?? null;
    const after =
        current === null
            ? []
            : firstOfEach(steps.filter((s) => s !== current)).filter(
                  (s) => !isWet(s.zone) && !(s.zone === current.zone && current.dries > 0),
              );
    return {
        steps,
        current,
        next: after[0] ?? null,
        wet,
        pending: [...astray].map(nameOf),
        canUndo: ticks.length > 0 || desk.ticks.length > undone,
    };
}

/** What is left of a step when some of its coats are ticked; nothing when all are. */
function coatsLeft(step: DeskStep, known: ReadonlyMap<string, number>): DeskStep[] {
    const ticked = known.get(keyOf(step.zone, step.position));
    if (ticked === undefined) {
        return [step];
    }
    const coats = step.coats - ticked;
    return coats > 0 ? coatsLeft({ ...step, coats, position: step.position + ticked, pass: step.pass + ticked }, known) : [];
}

/** Of every zone what is next there: a pass is never laid before the one beneath it. */
function firstOfEach(steps: readonly DeskStep[]): DeskStep[] {
    const first = new Map<number, DeskStep>();
    steps.forEach((s) => first.has(s.zone) || first.set(s.zone, s));
    return [...first.values()];
}

/** "12:05" from seconds. */
export const clockOf = (seconds: number): string => {
    const left = Math.max(0, Math.ceil(seconds));
    return `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
};

export const toolOf = (step: Pick<DeskStep, 'pencil' | 'finish'>): string => step.pencil?.id ?? step.finish ?? '';

export const numberOf = (step: Pick<DeskStep, 'pencil' | 'finish'>): string => step.pencil?.number ?? step.finish ?? '';

/** What is ticked when a step is laid as it stands, or left out. */
export const tickOf = (step: DeskStep, kind: 'done' | 'skipped', coats = step.coats): NewTick => ({
    kind,
    coats,
    zone: step.zone,
    position: step.position,
    tool: toolOf(step),
    pressures: Object.fromEntries(Object.entries(step.pressures).filter((e): e is [string, string] => e[1] !== null)),
    at: Math.floor(Date.now() / 1000),
});
