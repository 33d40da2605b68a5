export type Surround = 'light' | 'middle';

const KEY = 'surround';

/** Puts the chosen surroundings on the page; the choice is remembered on this device. */
export function applySurround(choice?: Surround): Surround {
    const surround = choice ?? (localStorage.getItem(KEY) === 'middle' ? 'middle' : 'light');
    localStorage.setItem(KEY, surround);
    document.documentElement.dataset['surround'] = surround;
    return surround;
}
