import type { ReactNode } from 'react';
import type { Flip } from './flip';

export interface Extent {
    width: number;
    height: number;
}

/** Lines on a photo are black on white, so that they show on anything and tint nothing. */
export function Twice({ width = 1.6, children }: { width?: number; children: ReactNode }) {
    return (
        <g fill="none" vectorEffect="non-scaling-stroke">
            <g stroke="#fff" strokeWidth={width + 2.4}>
                {children}
            </g>
            <g stroke="#000" strokeWidth={width}>
                {children}
            </g>
        </g>
    );
}

export const thin = { vectorEffect: 'non-scaling-stroke' } as const;

/** White pieces along a line that is drawn already: broken where two zones grade into each other. */
export function Broken({
    lines,
    extent: { width, height },
    wide = 1.6,
}: {
    lines: readonly (readonly number[])[];
    extent: Extent;
    wide?: number;
}) {
    return <path d={pathOf(lines, width, height, false)} fill="none" stroke="#fff" strokeWidth={wide} strokeDasharray="6 6" {...thin} />;
}

/** Turns shapes in the photo's own coordinates with the photo. */
export const flipTransform = (flip: Flip, width: number, height: number): string =>
    `translate(${flip.x ? width : 0} ${flip.y ? height : 0}) scale(${flip.x ? -1 : 1} ${flip.y ? -1 : 1})`;

/** An SVG path of lines given as x, y, x, y, … in shares. */
export function pathOf(lines: readonly (readonly number[])[], width: number, height: number, closed: boolean): string {
    return lines
        .map((line) => {
            const points: string[] = [];
            for (let i = 0; i + 1 < line.length; i += 2) {
                points.push(`${((line[i] ?? 0) * width).toFixed(1)} ${((line[i + 1] ?? 0) * height).toFixed(1)}`);
            }
            return `M${points.join('L')}${closed ? 'Z' : ''}`;
        })
        .join('');
}
