/** Where the ring lies on the photo, in pixels of its working copy, and how large it is. */
export interface SpotState {
    x: number;
    y: number;
    ring: number;
}

export const RINGS = [3, 9, 20, 45] as const;

export const RING_WORDS: Record<number, string> = { 3: 'fine', 9: 'small', 20: 'wide', 45: 'broad' };

export type SpotAction =
    | { type: 'placed'; x: number; y: number }
    | { type: 'nudged'; dx: number; dy: number }
    | { type: 'ringChosen'; ring: number }
    | { type: 'ringCycled'; by: 1 | -1 }
    | { type: 'opened'; spot: SpotState };

interface Extent {
    width: number;
    height: number;
}

/** The ring stays on the photo whatever is asked. */
export function spotReducer({ width, height }: Extent) {
    const within = (v: number, most: number): number => Math.max(0, Math.min(most - 1, Math.round(v)));
    return (state: SpotState, action: SpotAction): SpotState => {
        switch (action.type) {
            case 'placed':
                return { ...state, x: within(action.x, width), y: within(action.y, height) };
            case 'nudged':
                return { ...state, x: within(state.x + action.dx, width), y: within(state.y + action.dy, height) };
            case 'ringChosen':
                return { ...state, ring: action.ring };
            case 'ringCycled': {
                const at = RINGS.findIndex((r) => r === state.ring);
                return { ...state, ring: RINGS[Math.max(0, Math.min(RINGS.length - 1, at + action.by))] ?? state.ring };
            }
            case 'opened':
                return action.spot;
        }
    };
}

const keyOf = (studyId: number): string => `spot/${studyId}`;

/** Where one was in this study when last here, or a little off its middle. */
export function rememberedSpot(studyId: number, { width, height }: Extent): SpotState {
    const [x, y, ring] = (localStorage.getItem(keyOf(studyId)) ?? '').split(',').map(Number);
    const known = x !== undefined && y !== undefined && ring !== undefined && x < width && y < height && RINGS.some((r) => r === ring);
    return known ? { x, y, ring } : { x: Math.round(width * 0.411), y: Math.round(height * 0.7), ring: 9 };
}

export function rememberSpot(studyId: number, spot: SpotState): void {
    localStorage.setItem(keyOf(studyId), `${spot.x},${spot.y},${spot.ring}`);
}
