import styled from 'styled-components';
import type { DeskStep } from '../../api/types';
import { WordButton } from '../../ui/controls';
import { WarningSign } from '../../ui/Warned';
import { numberOf } from './deskState';
import { ShadeStrip } from './ShadeStrip';

/* Figures of 8 mm and more on a tablet of 10 inches are read from 70 cm: a capital is 0.73 of its size. */
const Card = styled.section`
    display: grid;
    gap: var(--space-2);
    & .tool {
        display: flex;
        flex-wrap: wrap;
        align-items: baseline;
        gap: 0 var(--space-4);
    }
    & .number {
        font-size: var(--type-number);
        line-height: 1;
        font-weight: 700;
        letter-spacing: -0.02em;
    }
    & .finish {
        font-size: var(--type-number);
    }
    & .name {
        font-size: var(--type-title);
        line-height: 1.15;
    }
    & .how {
        font-size: var(--type-title);
        line-height: 1.2;
        font-weight: 600;
    }
    & .point {
        font-size: var(--type-title);
    }
    & .note {
        max-width: 64ch;
    }
    & .note svg {
        height: 1em;
        vertical-align: -0.1em;
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
                    <WarningSign /> {text}
                </p>
            ))}
            {body.map((text) => (
                <p key={text} className="note" role="note">
                    {text} <WordButton onPress={() => onHide(text)}>Hide for this session</WordButton>
                </p>
            ))}
        </Card>
    );
}
