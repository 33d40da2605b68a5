import styled from 'styled-components';

import { WordButton, WordChoice, Range } from '../../ui/controls';

const Tools = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 16px;
    padding: 0 16px;
    & .wide {
        flex: 1;
    }
    & label {
        display: flex;
        align-items: center;
        gap: 8px;
        min-height: 44px;
    }
`;

const LOOKS = [
    { value: 'colour', label: 'Colour' },
    { value: 'grey', label: 'Grey' },
    { value: 'error', label: 'Errors' },
] as const;

export type LookName = (typeof LOOKS)[number]['value'];

interface LaidProps {
    shown: string;
    waiting: boolean;
    look: LookName;
    at: number;
    of: number;
    divider: number;
}

export function Laid({ shown, waiting, look, at, of, divider }: LaidProps) {
    return (
        <>
            <img
                src={shown}
                alt={
                    look === 'error'
                        ? 'where the plan differs from the photo: the darker, the more'
                        : `the picture after pass ${at} of ${of}`
                }
                style={{ clipPath: `inset(0 0 0 ${divider}%)` }}
                draggable={false}
            />
            <i style={{ left: `${divider}%` }} aria-hidden="true" />
            <span className="right">{waiting ? 'Drawing it…' : look === 'error' ? 'darker: farther off' : `after ${at} of ${of}`}</span>
        </>
    );
}

interface StageToolsProps {
    divider: number;
    setDivider: (share: number) => void;
    at: number;
    of: number;
    setStep: (step: number) => void;
    look: LookName;
    setLook: (look: LookName) => void;
    drawing: boolean;
    setDrawing: (drawing: boolean) => void;
}

export function StageTools({ divider, setDivider, at, of, setStep, look, setLook, drawing, setDrawing }: StageToolsProps) {
    return (
        <Tools>
            <label className="wide">
                Divider
                <Range
                    min={0}
                    max={100}
                    value={divider}
                    onChange={(e) => setDivider(Number(e.target.value))}
                    aria-valuetext={`photo up to ${divider} %`}
                />
            </label>
            <label className="wide">
                Pass
                <Range
                    min={0}
                    max={of}
                    value={at}
                    disabled={look === 'error'}
                    onChange={(e) => setStep(Number(e.target.value))}
                    aria-valuetext={at === 0 ? 'the bare paper' : `after pass ${at} of ${of}`}
                />
            </label>
            <WordChoice label="How it is looked at" value={look} options={LOOKS} onChange={setLook} />
            <WordButton aria-expanded={drawing} onPress={() => setDrawing(!drawing)}>
                {drawing ? 'Leave the fade' : 'A fade'}
            </WordButton>
        </Tools>
    );
}
