import { useState } from 'react';
import { RadioButton, RadioField, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import type { StripAsked } from '../../../api/types';
import { Dab } from '../../../dabs/Dab';
import { TextInput, WordButton } from '../../../ui/controls';
import { figures, type Said } from './useHand';

const Strip = styled.li`
    padding: var(--space-2) 0 var(--space-2);
    border-top: 1px solid var(--line);
    & > .said {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 0 var(--space-3);
        min-height: 44px;
    }
    & .planned {
        display: block;
        text-align: center;
        font-size: var(--type-figure);
        color: var(--soft-ink);
    }
    & label {
        font-size: var(--type-figure);
        color: var(--soft-ink);
    }
    & .tried {
        display: inline-block;
        width: 44px;
        height: 28px;
    }
`;

const Rungs = styled(RadioGroup)`
    display: grid;
    grid-template-columns: repeat(7, minmax(0, 1fr));
    gap: var(--space-2);
    max-width: 520px;
`;

const Rung = styled(RadioButton)`
    display: block;
    height: 44px;
    cursor: pointer;
    border-bottom: 5px solid transparent;
    &[data-selected] {
        border-bottom-color: var(--ink);
    }
`;

interface StripLadderProps {
    at: number;
    strip: StripAsked;
    said: Said | undefined;
    onSaid: (said: Said | null) => void;
}

/** A strip to lay, and under it dabs a step either way: which is it most like? */
export function StripLadder({ at, strip, said, onSaid }: StripLadderProps) {
    const rung = said !== undefined && 'rung' in said ? said.rung : null;
    const name = `Strip ${at}: ${strip.words}`;
    return (
        <Strip>
            <div className="said">
                <b>{at}</b> {strip.words}
                {said !== undefined && 'hexes' in said && (
                    <>
                        {said.hexes.map((hex, i) => (
                            <span key={i} className="tried" style={{ background: hex }} title={`in the photo, ${hex}`} />
                        ))}
                    </>
                )}
                {rung !== null && <i>{strip.ladder[rung]?.words}</i>}
                {said !== undefined && 'lab' in said && <i>measured {said.lab.join(', ')}</i>}
                {said !== undefined && (
                    <WordButton aria-label={`Skip strip ${at}`} onPress={() => onSaid(null)}>
                        skip
                    </WordButton>
                )}
            </div>
            <Rungs
                aria-label={name}
                orientation="horizontal"
                value={rung === null ? null : String(rung)}
                onChange={(v) => onSaid({ rung: Number(v) })}
            >
                {strip.ladder.map((r, i) => (
                    <RadioField key={r.words} value={String(i)} aria-label={r.words}>
                        <Rung>
                            <Dab strata={r.strata} width={70} height={44} label="" />
                        </Rung>
                        {r.words === 'as planned' && <span className="planned">planned</span>}
                    </RadioField>
                ))}
            </Rungs>
            <Figures name={`Strip ${at} in figures`} onSaid={onSaid} />
        </Strip>
    );
}

/** For who has a meter: the colour that was measured. */
function Figures({ name, onSaid }: { name: string; onSaid: (said: Said) => void }) {
    const [text, setText] = useState('');
    const write = (written: string) => {
        setText(written);
        const said = figures(written);
        if (said !== null) {
            onSaid(said);
        }
    };
    return (
        <label>
            or as measured{' '}
            <TextInput
                aria-label={name}
                aria-invalid={text.trim() !== '' && figures(text) === null}
                placeholder="L* a* b*, or #a1b2c3"
                value={text}
                onChange={(e) => write(e.target.value)}
            />
        </label>
    );
}
