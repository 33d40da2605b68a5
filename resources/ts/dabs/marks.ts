/** The five pressures that a hand tells apart, as words and as shares of the firmest stroke. */
export const MARKS = [
    ['whisper', 0.2],
    ['light', 0.35],
    ['medium', 0.55],
    ['firm', 0.8],
    ['full', 1],
] as const;
