import type { Plan } from '../../api/types';
import { WordChoice } from '../../ui/controls';
import { Inset } from '../../ui/layout';

const WAYS = [
    { value: 'drawn', label: 'As drawn' },
    { value: 'circles', label: 'Small circles' },
    { value: 'form', label: 'Along the form' },
] as const;

export type StrokesWay = (typeof WAYS)[number]['value'];

interface StrokesPartProps {
    way: StrokesWay;
    onWay: (way: StrokesWay) => void;
    picture: Plan;
}

const CIRCLES = 12;

/** Which way the strokes of a zone run: told by one drag over it, or by a press for what needs no direction. */
export function StrokesPart({ way, onWay, picture }: StrokesPartProps) {
    const own = picture.zones.filter((z) => z.strokes !== null);
    return (
        <Inset>
            <WordChoice label="Direction of strokes" value={way} options={WAYS} onChange={onWay} />
            <p role="status">
                {way === 'drawn'
                    ? 'Drag over a zone in the direction of its strokes. By keyboard: arrows move, Space sets each end.'
                    : 'Press on a zone. By keyboard: arrows move, Space sets it.'}{' '}
                {own.length === 0
                    ? 'All strokes follow the form so far.'
                    : `Your own: ${own.map((z) => `${z.name}${z.strokes === CIRCLES ? ', in small circles' : ''}`).join('; ')}.`}
            </p>
        </Inset>
    );
}
