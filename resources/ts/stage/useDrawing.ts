import { useRef, useState } from 'react';

import { drawingReducer, isBrush, isPoint, isTrail, leastPoints, NOTHING, type Drawing, type DrawingAction, type Tool } from './drawing';
import type { NewChange } from '../api/types';

/** The change that a finished drawing asks for. */
export function changeOf(tool: Tool, points: Drawing['points'], brush: number): NewChange {
    const pairs = points.map((p) => [p.x, p.y]);
    switch (tool.kind) {
        case 'split':
            return { kind: 'splitZone', zone: tool.zone, line: pairs };
        case 'add':
            return { kind: 'redrawZone', zone: tool.zone, outline: pairs };
        case 'new':
            return { kind: 'redrawZone', zone: null, outline: pairs };
        case 'take':
            return { kind: 'takeFromZone', zone: tool.zone, outline: pairs };
        case 'touch': {
            const at = points[0] ?? { x: 0, y: 0 };
            return { kind: 'setTouches', zone: tool.zone, touches: [...tool.before, { name: tool.name, x: at.x, y: at.y }, ...tool.after] };
        }
        case 'keepWhite':
        case 'dropWhite':
            return { kind: 'paintWhites', keep: tool.kind === 'keepWhite', radius: brush, points: pairs };
    }
}

/**
 * Drawing on the photo: a trail ends when the pointer is lifted, corners when one says so; a brush stays in hand. The drawing is carried
 * on at once, not with the next picture of the page: on a slow machine a pointer is lifted before its last moves have been shown.
 */
export function useDrawing(onChange: (change: NewChange) => void) {
    const [drawing, show] = useState(NOTHING);
    const [brush, setBrush] = useState('0.02');
    const latest = useRef(NOTHING);
    const dispatch = (action: DrawingAction) => {
        latest.current = drawingReducer(latest.current, action);
        show(latest.current);
    };

    const end = (done: Drawing = latest.current) => {
        if (done.tool === null || done.points.length < leastPoints(done.tool)) {
            return;
        }
        onChange(changeOf(done.tool, done.points, Number(brush)));
        dispatch(isBrush(done.tool) ? { type: 'taken', tool: done.tool } : { type: 'left' });
    };
    const draw = (action: DrawingAction) => {
        const { tool } = latest.current;
        const drawn = isTrail(latest.current) || (tool !== null && (isBrush(tool) || isPoint(tool)));
        dispatch(action);
        if (action.type === 'released' && drawn) {
            end();
        }
    };
    return {
        drawing,
        brush,
        setBrush,
        draw,
        end: () => end(),
        take: (tool: Tool) => dispatch({ type: 'taken', tool }),
        leave: () => dispatch({ type: 'left' }),
    };
}
