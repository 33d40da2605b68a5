/** A difference with its sign, to a tenth: "+0.4", "−1.2", "0". */
export const signed = (v: number): string => (Math.abs(v) < 0.05 ? '0' : `${v < 0 ? '−' : '+'}${Math.abs(v).toFixed(1)}`);
