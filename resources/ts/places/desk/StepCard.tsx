import styled from 'styled-components';
import type { DeskStep } from '../../api/types';
import { WordButton } from '../../ui/controls';
import { numberOf } from './deskState';
import { ShadeStrip } from './ShadeStrip';

/* Figures of 8 mm and more on a tablet of 10 inches are read from 70 cm: a capital is 0.73 of its size. */
const Card = styled.section`
    display: grid;
    gap: 8px;
    & .tool {
        display: flex;
        flex-wrap: wrap;
        align-items: baseline;
        gap: 0 16px;
    }
    & .number {
        font-size: 84px;
        line-height: 1;
        font-weight: 700;
        letter-spacing: -0.02em;
    }
    & .finish {
        font-size: 64px;
    }
    & .name {
        font-size: 26px;
        line-height: 1.15;
    }
    & .how {
        font-size: 26px;
        line-height: 1.2;
        font-weight: 600;
    }
    & .point {
        font-size: 19px;
    }
    & .note {
        max-width: 64ch;
    }
`;

const BINDERS: Record<string, string> = { wax: 'wax', oil: 'oil', 'wax-oil': 'wax and oil' };

interface StepCardProps {
    step: DeskStep;
    hidden: ReadonlySet<string>;
    onHide: (text: string) => void;
}

const TURNS = ['upright', 'turned a quarter to the left', 'upside down', 'turned a quarter to the right'];

const passesOf = ({ pass, coats }: DeskStep): string =>
    coats === 1 ? `pass ${pass}` : `passes ${pass}${coats === 2 ? ' and ' : ' to '}${pass + coats - 1}`;

/** One pass: what to take, where to press how much, and what comes of it. */
export function StepCard({ step, hidden, onHide }: StepCardProps) {
    const body = step.body.filter((text) => !hidden.has(text));
    const binder = step.pencil?.binder ?? null;
    return (
        <Card className="card" aria-label="This pass" aria-live="polite">
            <div className="tool">
                <span className={step.finish === null ? 'number' : 'number finish'} data-testid="number">
                    {numberOf(step)}
                </span>
                <span className="name">
                    {step.pencil?.name ?? ''}
                    {binder === null ? '' : `, ${BINDERS[binder] ?? binder}`}
                    <br />
                    {step.zoneName}, {passesOf(step)} of {step.of}
                </span>
            </div>
            <p className="how">{step.how}</p>
            <p className="point">
                {step.point}; {step.strokes}
                {step.turn !== 0 && <>; the sheet {TURNS[step.turn] ?? ''}, so that the hand keeps off what is fresh</>}
            </p>
            {step.pieces !== null && <p className="note">{step.pieces}</p>}
            {step.runsOut !== null && <p className="note">{step.runsOut}</p>}
            <ShadeStrip shades={step.shades} />
            {step.warnings.map((text) => (
                <p key={text} className="note">
                    Mind: {text}
                </p>
            ))}
            {body.map((text) => (
                <p key={text} className="note" role="note">
                    {text} <WordButton onPress={() => onHide(text)}>I know, for this session</WordButton>
                </p>
            ))}
        </Card>
    );
}
