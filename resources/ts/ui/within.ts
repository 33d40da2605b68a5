/** An error as one would say it: whole ΔE00, half ones where they are small. */
export const within = (error: number): string => (error < 3 ? (Math.round(error * 2) / 2).toString() : Math.round(error).toString());
