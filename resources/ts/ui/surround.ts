export const SURROUNDS = ['light', 'middle', 'dark'] as const;

export type Surround = (typeof SURROUNDS)[number];

const KEY = 'surround';

/** The surroundings that are shown: those chosen on this device, or else those of the system. */
export function surroundNow(): Surround {
    const chosen = SURROUNDS.find((s) => s === localStorage.getItem(KEY));
    return chosen ?? (window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
}

/** Chooses surroundings for this device. */
export function chooseSurround(surround: Surround): Surround {
    localStorage.setItem(KEY, surround);
    showChosen();
    return surround;
}

/** Puts the chosen surroundings on the page; without a choice the page follows the system. */
export function showChosen(): void {
    const chosen = SURROUNDS.find((s) => s === localStorage.getItem(KEY));
    if (chosen !== undefined) {
        document.documentElement.dataset['surround'] = chosen;
    }
}
