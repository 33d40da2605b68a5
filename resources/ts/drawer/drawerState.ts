import type { TrayPencil } from '../api/types';

/** Whether a pencil is meant by what was typed: its number from the beginning, or any part of its name, line or family. */
export function isMeant(pencil: TrayPencil, typed: string): boolean {
    const text = typed.trim().toLowerCase();
    return (
        text === '' ||
        pencil.number.toLowerCase().startsWith(text) ||
        [pencil.name, pencil.line, pencil.reading.family].some((field) => field.toLowerCase().includes(text))
    );
}

/** Where an arrow leads in rows of so many; the ends stay. */
export function neighbourOf(at: number, key: string, count: number, perRow: number): number {
    const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: perRow, ArrowUp: -perRow }[key] ?? 0;
    const to = at + by;
    return to < 0 || to >= count ? at : to;
}

const CHOSEN = 'drawer/chosen';
const ORDER = 'drawer/order';

export const rememberedPencil = (): string | null => localStorage.getItem(CHOSEN);
export const rememberPencil = (id: string): void => localStorage.setItem(CHOSEN, id);
export const rememberedOrder = (): string => localStorage.getItem(ORDER) ?? 'gradual';
export const rememberOrder = (order: string): void => localStorage.setItem(ORDER, order);
