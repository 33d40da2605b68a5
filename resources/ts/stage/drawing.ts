import type { NewTouch } from '../api/types';
import type { Place } from './flip';

/** What is being drawn on the photo, and what it is for. */
export type Tool =
    | { kind: 'split'; zone: number }
    | { kind: 'add'; zone: number }
    | { kind: 'new' }
    | { kind: 'take'; zone: number }
    /** One point: where the colour of a touch is seen; the others stay as they are. */
    | { kind: 'touch'; zone: number; name: string; before: readonly NewTouch[]; after: readonly NewTouch[] }
    | { kind: 'keepWhite' }
    | { kind: 'dropWhite' };

export interface Drawing {
    tool: Tool | null;
    points: readonly Place[];
    /** Whether the pointer is down and leaves a trail. */
    trailing: boolean;
    /** How many points there were when it went down. */
    from: number;
}

export const NOTHING: Drawing = { tool: null, points: [], trailing: false, from: 0 };

export type DrawingAction =
    | { type: 'taken'; tool: Tool }
    | { type: 'left' }
    | { type: 'pressed'; at: Place }
    | { type: 'dragged'; at: Place }
    | { type: 'released' }
    | { type: 'dropped'; at: Place };

/** Points nearer than this to the last one are not worth keeping, as a share of the photo. */
const NEAR = 0.004;

/**
 * What led no farther from where it was pressed than this, as a share of the photo, was a press: it sets one corner, and others may
 * follow.
 */
const TRAIL = 0.015;

const MOST = 2500;

export function drawingReducer(drawing: Drawing, action: DrawingAction): Drawing {
    switch (action.type) {
        case 'taken':
            return { ...NOTHING, tool: action.tool };
        case 'left':
            return NOTHING;
        case 'pressed':
            return drawing.tool === null
                ? drawing
                : { ...drawing, trailing: true, from: drawing.points.length, points: [...drawing.points, action.at] };
        case 'dragged': {
            const last = drawing.points.at(-1);
            const far = last === undefined || Math.hypot(action.at.x - last.x, action.at.y - last.y) >= NEAR;
            return drawing.trailing && far && drawing.points.length < MOST
                ? { ...drawing, points: [...drawing.points, action.at] }
                : drawing;
        }
        case 'released':
            return { ...drawing, trailing: false };
        case 'dropped':
            return drawing.tool === null || drawing.points.length >= MOST
                ? drawing
                : { ...drawing, points: [...drawing.points, action.at] };
    }
}

/** Whether what was just drawn in one go is enough to be used without being asked to end it. */
export function isTrail({ trailing, points, from }: Drawing): boolean {
    const pressed = points[from];
    return trailing && pressed !== undefined && points.some((p, i) => i > from && Math.hypot(p.x - pressed.x, p.y - pressed.y) >= TRAIL);
}

export const leastPoints = (tool: Tool): number => (tool.kind === 'split' ? 2 : isBrush(tool) || isPoint(tool) ? 1 : 3);

export const isClosed = (tool: Tool): boolean => tool.kind === 'add' || tool.kind === 'new' || tool.kind === 'take';

/** Whether one press is all it takes. */
export const isPoint = (tool: Tool): boolean => tool.kind === 'touch';

export const isBrush = (tool: Tool): boolean => tool.kind === 'keepWhite' || tool.kind === 'dropWhite';

/** What to do, for the line under the photo. */
export function toolWords(tool: Tool, nameOf: (zone: number) => string): string {
    switch (tool.kind) {
        case 'split':
            return `Draw a line across “${nameOf(tool.zone)}”, from edge to edge.`;
        case 'add':
            return `Draw round what to add to “${nameOf(tool.zone)}”.`;
        case 'take':
            return `Draw round what to remove from “${nameOf(tool.zone)}”.`;
        case 'new':
            return 'Draw round the new zone.';
        case 'touch':
            return `Press the colour of “${tool.name}” in “${nameOf(tool.zone)}”.`;
        case 'keepWhite':
            return 'Paint where the paper should stay bare.';
        case 'dropWhite':
            return 'Paint where colour may cover the paper again.';
    }
}
