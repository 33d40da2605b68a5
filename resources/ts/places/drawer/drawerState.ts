import type { TrayPencil } from '../../api/types';
import type { Shown } from './queries';

/**
 * Whether a pencil is meant by what was typed: its number from the beginning, one it had before, or any part of its name, line or family.
 */
export function isMeant(pencil: TrayPencil, typed: string): boolean {
    const text = typed.trim().toLowerCase();
    return (
        text === '' ||
        [pencil.number, ...pencil.stock.formerly].some((number) => number.toLowerCase().startsWith(text)) ||
        [pencil.name, pencil.line, pencil.reading.family, ...pencil.stock.formerly].some((field) => field.toLowerCase().includes(text))
    );
}

/** What was most likely meant: the first whose number begins so, or else the first that is meant at all. */
export const likeliest = (pencils: readonly TrayPencil[], typed: string): TrayPencil | undefined =>
    pencils.find((p) => p.number.toLowerCase().startsWith(typed.trim().toLowerCase())) ?? pencils.find((p) => isMeant(p, typed));

/** Where an arrow leads in rows of so many; the ends stay. */
export function neighbourOf(at: number, key: string, count: number, perRow: number): number {
    const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: perRow, ArrowUp: -perRow }[key] ?? 0;
    const to = at + by;
    return to < 0 || to >= count ? at : to;
}

/** So many of a list, evenly spread along it. */
export function spread<T>(list: readonly T[], count: number): T[] {
    return list.length <= count
        ? [...list]
        : list.filter((_, i) => Math.floor((i * count) / list.length) !== Math.floor(((i - 1) * count) / list.length));
}

/** Whether a key that was pressed somewhere on the page begins a search. */
export function beginsSearch(event: KeyboardEvent): boolean {
    const target = event.target;
    const writes =
        target instanceof HTMLElement &&
        target.closest('input:not([type="radio"], [type="checkbox"]), textarea, select, [contenteditable]') !== null;
    return !writes && !event.ctrlKey && !event.metaKey && !event.altKey && /^[\p{L}\p{N}]$/u.test(event.key);
}

export const shownKey = (shown: Shown): string => (shown.kind === 'line' ? `line:${shown.line}` : shown.kind);

export const shownOf = (key: string): Shown =>
    key.startsWith('line:') ? { kind: 'line', line: key.slice(5) } : key === 'wanted' ? { kind: 'wanted' } : { kind: 'owned' };

const remembered = (name: string): string | null => localStorage.getItem(`drawer/${name}`);
export const remember = (name: 'chosen' | 'order' | 'beside' | 'mix' | 'tray' | 'shown', value: string): void =>
    localStorage.setItem(`drawer/${name}`, value);

export const rememberedPencil = (): string | null => remembered('chosen');
export const rememberedOrder = (): string => remembered('order') ?? 'gradual';
export const rememberedBeside = (): string => remembered('beside') ?? 'pencil';
export const rememberedShown = (): Shown => shownOf(remembered('shown') ?? 'owned');

/** Rows and slots of the artist's trays. */
export function rememberedTray(): { rows: string; slots: string } {
    const [rows, slots] = (remembered('tray') ?? '2/12').split('/');
    return { rows: rows ?? '2', slots: slots ?? '12' };
}

export const rememberedMix = (): string[] | null => {
    const ids = remembered('mix');
    return ids === null || ids === '' ? null : ids.split('|');
};
