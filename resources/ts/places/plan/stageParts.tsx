import styled from 'styled-components';

import type { PlanLight } from '../../api/types';
import { NativeSelect, WordButton, WordChoice, Range } from '../../ui/controls';
import { Inset } from '../../ui/layout';
import type { Light } from './queries';

const Tools = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 16px;
    padding: 0 16px;
    & .wide {
        flex: 1 1 40%;
    }
    & select {
        width: auto;
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
    light: Light;
    setLight: (light: Light) => void;
    loupe: { isOn: boolean; setIsOn: (isOn: boolean) => void };
}

const LIGHTS: readonly (readonly [Light, string])[] = [
    ['D65', 'daylight'],
    ['D50', 'warmer daylight'],
    ['A', 'a warm lamp'],
    ['LED', 'a cool white LED'],
];

export function StageTools(props: StageToolsProps) {
    const { divider, setDivider, at, of, setStep, look, setLook, drawing, setDrawing, light, setLight, loupe } = props;
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
            <label>
                Seen by
                <NativeSelect value={light} onChange={(e) => setLight(LIGHTS.find(([l]) => l === e.target.value)?.[0] ?? 'D65')}>
                    {LIGHTS.map(([value, words]) => (
                        <option key={value} value={value}>
                            {words}
                        </option>
                    ))}
                </NativeSelect>
            </label>
            <WordButton
                aria-pressed={loupe.isOn}
                isDisabled={drawing || look === 'error'}
                onPress={() => loupe.setIsOn(!loupe.isOn)}
                aria-description="or hold L over the picture, or a finger"
            >
                {loupe.isOn ? 'Step back' : 'Look closer'}
            </WordButton>
            <WordButton aria-expanded={drawing} onPress={() => setDrawing(!drawing)}>
                {drawing ? 'Leave the fade' : 'A fade'}
            </WordButton>
        </Tools>
    );
}

/** What was matched by daylight and parts under another light. */
export function Parted({ under }: { under: PlanLight | undefined }) {
    if (under === undefined) {
        return <Inset as="p">Comparing with daylight…</Inset>;
    }
    return (
        <Inset as="p" role="status">
            {under.parted.length === 0
                ? `Under ${under.words} everything stays as well matched as by daylight.`
                : `Under ${under.words} these part from the thing itself: ${under.parted
                      .slice(0, 4)
                      .map((p) => `${p.zone}, ${p.shade} (ΔE00 ${p.deltaE00.toFixed(1)} farther)`)
                      .join('; ')}${under.parted.length > 4 ? ` and ${under.parted.length - 4} more` : ''}.`}
        </Inset>
    );
}
