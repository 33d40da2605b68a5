import styled from 'styled-components';

import type { PlanLight } from '../../api/types';
import { NativeSelect, WordButton, WordChoice, Range } from '../../ui/controls';
import { Inset } from '../../ui/layout';
import type { Light } from './queries';
import type { SeeingState } from './useSeeing';

const Tools = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-4);
    padding: 0 var(--space-4);
    & .wide {
        flex: 1 1 40%;
    }
    & select {
        width: auto;
    }
    & label {
        display: flex;
        align-items: center;
        gap: var(--space-2);
        min-height: 44px;
    }
`;

const LOOKS = [
    { value: 'colour', label: 'Colour' },
    { value: 'grey', label: 'Grey' },
    { value: 'steps', label: 'Values' },
    { value: 'error', label: 'Errors' },
] as const;

interface LaidProps {
    shown: string;
    waiting: boolean;
    state: SeeingState;
}

export function Laid({ shown, waiting, state: { seeing, walk, at } }: LaidProps) {
    const { look, divider, isOver } = seeing;
    return (
        <>
            <img
                src={shown}
                alt={
                    look === 'error'
                        ? 'where the plan differs from the photo; darker means a larger error'
                        : at === 0
                          ? 'the picture as bare paper'
                          : `the picture ${walk.name(at)}`
                }
                style={isOver ? { opacity: 1 - divider / 100 } : { clipPath: `inset(0 0 0 ${divider}%)` }}
                draggable={false}
            />
            {!isOver && <i style={{ left: `${divider}%` }} aria-hidden="true" />}
            <span className="right">{waiting ? 'Drawing preview…' : look === 'error' ? 'darker = larger error' : walk.name(at)}</span>
        </>
    );
}

interface StageToolsProps {
    state: SeeingState;
    /** What a line across the picture is drawn for just now. */
    use: 'fade' | 'strokes' | null;
    setUse: (use: 'fade' | 'strokes' | null) => void;
    loupe: { isOn: boolean; setIsOn: (isOn: boolean) => void };
}

const LIGHTS: readonly (readonly [Light, string])[] = [
    ['D65', 'daylight'],
    ['D50', 'warmer daylight'],
    ['A', 'a warm lamp'],
    ['LED', 'a cool white LED'],
];

const PACES = [
    { value: 'session', label: 'Session' },
    { value: 'step', label: 'Step' },
    { value: 'pass', label: 'Pass' },
] as const;

/** What the slider goes by; steps are passes of one zone, in the order in which they are laid at the desk. */
function Sliders({ state: { seeing, see, walk, at } }: { state: SeeingState }) {
    const { divider, isOver, look } = seeing;
    return (
        <>
            <label className="wide">
                {isOver ? 'Overlay' : 'Divider'}
                <Range
                    min={0}
                    max={100}
                    value={divider}
                    onChange={(e) => see({ divider: Number(e.target.value) })}
                    aria-valuetext={isOver ? `photo through it by ${divider} %` : `photo up to ${divider} %`}
                />
            </label>
            <label className="wide">
                How far
                <Range
                    min={0}
                    max={walk.of}
                    value={at}
                    disabled={look === 'error'}
                    onChange={(e) => see({ step: Number(e.target.value) })}
                    aria-valuetext={walk.name(at)}
                />
            </label>
        </>
    );
}

/** What lies after a step, and what to make of a drawing that is half done. */
export function Told({ state: { walk, at } }: { state: SeeingState }) {
    const told = walk.told(at);
    return told === null ? null : (
        <Inset as="p" role="status">
            {told}
        </Inset>
    );
}

function Looks({ state: { seeing, see, pace } }: { state: SeeingState }) {
    const { look, isOver, squint, light } = seeing;
    return (
        <>
            {pace.isKnown && <WordChoice label="The picture after each" value={pace.now} options={PACES} onChange={pace.set} />}
            <WordChoice label="How it is looked at" value={look} options={LOOKS} onChange={(next) => see({ look: next })} />
            <WordButton aria-pressed={squint} isDisabled={look === 'error'} onPress={() => see({ squint: !squint })}>
                {squint ? 'Eyes open' : 'Squint'}
            </WordButton>
            <WordButton onPress={() => see({ isOver: !isOver })}>{isOver ? 'Side by side' : 'Overlay'}</WordButton>
            <label>
                Light
                <NativeSelect value={light} onChange={(e) => see({ light: LIGHTS.find(([l]) => l === e.target.value)?.[0] ?? 'D65' })}>
                    {LIGHTS.map(([value, words]) => (
                        <option key={value} value={value}>
                            {words}
                        </option>
                    ))}
                </NativeSelect>
            </label>
        </>
    );
}

export function StageTools({ state, use, setUse, loupe }: StageToolsProps) {
    return (
        <Tools>
            <Sliders state={state} />
            <Looks state={state} />
            <WordButton
                aria-pressed={loupe.isOn}
                isDisabled={use !== null || state.seeing.look === 'error'}
                onPress={() => loupe.setIsOn(!loupe.isOn)}
                aria-description="or hold L over the picture, or a finger"
            >
                {loupe.isOn ? 'Zoom out' : 'Zoom in'}
            </WordButton>
            <WordButton aria-expanded={use === 'fade'} onPress={() => setUse(use === 'fade' ? null : 'fade')}>
                {use === 'fade' ? 'Close fade' : 'Fade'}
            </WordButton>
            <WordButton aria-expanded={use === 'strokes'} onPress={() => setUse(use === 'strokes' ? null : 'strokes')}>
                {use === 'strokes' ? 'Close strokes' : 'Strokes'}
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
                ? `Under ${under.words} everything matches as well as in daylight.`
                : `Under ${under.words} these part from the thing itself: ${under.parted
                      .slice(0, 4)
                      .map((p) => `${p.zone}, ${p.shade} (ΔE00 ${p.deltaE00.toFixed(1)} farther)`)
                      .join('; ')}${under.parted.length > 4 ? ` and ${under.parted.length - 4} more` : ''}.`}
        </Inset>
    );
}
