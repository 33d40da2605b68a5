import styled from 'styled-components';
import { Button, WordButton, WordChoice } from '../ui/controls';
import { isBrush, isPoint, leastPoints, toolWords, type Drawing } from './drawing';

const Bar = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--space-1) var(--space-3);
    padding: var(--space-1) var(--space-4);
    background: repeating-linear-gradient(-45deg, var(--raised) 0 14px, var(--ground) 14px 16px);
    & p {
        flex: 1 1 260px;
    }
`;

export const BRUSHES = [
    { value: '0.008', label: 'fine' },
    { value: '0.02', label: 'wide' },
    { value: '0.045', label: 'broad' },
] as const;

interface DrawingBarProps {
    drawing: Drawing;
    brush: string;
    nameOf: (zone: number) => string;
    onBrush: (brush: string) => void;
    onEnd: () => void;
    onLeave: () => void;
}

/** What is being drawn and how to end it, by pointer or by keys. */
export function DrawingBar({ drawing, brush, nameOf, onBrush, onEnd, onLeave }: DrawingBarProps) {
    if (drawing.tool === null) {
        return null;
    }
    return (
        <Bar role="status">
            <p>
                <b>{toolWords(drawing.tool, nameOf)}</b>{' '}
                {isPoint(drawing.tool)
                    ? 'With keys: arrows move the ring, Space sets the place, Enter ends.'
                    : 'Press and drag, or press corner after corner. With keys: arrows move the ring, Space sets a corner, Enter ends.'}
            </p>
            {isBrush(drawing.tool) && <WordChoice label="Brush" value={brush} options={BRUSHES} onChange={onBrush} />}
            <Button isDisabled={drawing.points.length < leastPoints(drawing.tool)} onPress={onEnd}>
                End
            </Button>
            <WordButton onPress={onLeave}>Cancel</WordButton>
        </Bar>
    );
}
