import { useState, type DragEvent } from 'react';
import styled from 'styled-components';
import type { Drawer, PlanRecipe } from '../../api/types';
import { NativeSelect, WordButton } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { MARKS, markOf, moved, type Step } from '../../dabs/stackText';

const Steps = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
    display: flex;
    flex-direction: column-reverse;
    & li {
        display: grid;
        grid-template-columns: 44px minmax(0, 1.25fr) minmax(0, 1fr) auto;
        align-items: center;
        gap: 0 8px;
        border-top: 1px solid var(--line);
    }
    & li[data-over='true'] {
        border-top: 3px solid var(--ink);
    }
    & .dab {
        height: 44px;
    }
    & select {
        padding: 0;
        max-width: 100%;
        width: 100%;
    }
    & .hands {
        display: flex;
    }
    & .hands button {
        min-width: 44px;
    }
`;

interface StackStepsProps {
    steps: readonly Step[];
    /** What each of them makes. */
    passes: PlanRecipe['passes'];
    pencils: Drawer['pencils'];
    onKeep: (steps: readonly Step[]) => void;
}

/** Dragging one of a list to the place of another. */
function useDragging(onMove: (from: number, to: number) => void) {
    const [dragged, setDragged] = useState<number | null>(null);
    const [over, setOver] = useState<number | null>(null);
    const end = () => {
        setDragged(null);
        setOver(null);
    };
    const handlers = (i: number) => ({
        onDragStart: (e: DragEvent) => {
            e.dataTransfer.effectAllowed = 'move';
            setDragged(i);
        },
        onDragOver: (e: DragEvent) => {
            e.preventDefault();
            setOver(i);
        },
        onDragEnd: end,
        onDrop: (e: DragEvent) => {
            e.preventDefault();
            if (dragged !== null && dragged !== i) {
                onMove(dragged, i);
            }
            end();
        },
    });
    return { isOver: (i: number) => over === i && dragged !== i, handlers };
}

/** The passes of a stack from the paper up, each with its dab: dragged or moved by the arrows, another pencil, another pressure, dropped. */
export function StackSteps({ steps, passes, pencils, onKeep }: StackStepsProps) {
    const { isOver, handlers } = useDragging((from, to) => onKeep(moved(steps, from, to)));
    const change = (i: number, step: Step) => onKeep(steps.map((s, k) => (k === i ? step : s)));
    return (
        <Steps aria-label="Passes from the paper up">
            {steps.map((step, i) => (
                <li key={i} draggable data-over={isOver(i)} {...handlers(i)}>
                    <span className="dab">
                        <Dab
                            strata={passes[i]?.strata ?? []}
                            width={44}
                            height={44}
                            label={`after pass ${i + 1}: ${passes[i]?.colourWords ?? ''}`}
                        />
                    </span>
                    <WhatIsLaid at={i + 1} step={step} pencils={pencils} onChange={(next) => change(i, next)} />
                    <Hands
                        at={i}
                        of={steps.length}
                        onMove={(to) => onKeep(moved(steps, i, to))}
                        onDrop={() => onKeep(steps.filter((_, k) => k !== i))}
                    />
                </li>
            ))}
        </Steps>
    );
}

interface WhatIsLaidProps {
    at: number;
    step: Step;
    pencils: Drawer['pencils'];
    onChange: (step: Step) => void;
}

function WhatIsLaid({ at, step, pencils, onChange }: WhatIsLaidProps) {
    const optionsFor = (id: string) => (pencils.some((p) => p.id === id) ? pencils : [...pencils, { id, number: id, name: 'not at hand' }]);
    return (
        <>
            {'finish' in step ? (
                <>
                    <span>
                        <b>{step.finish}</b>
                        {step.finish === 'solvent' && ': open a window, no flame, follow the label'}
                    </span>
                    <span />
                </>
            ) : (
                <>
                    <NativeSelect
                        aria-label={`Pencil of pass ${at}`}
                        value={step.pencil}
                        onChange={(e) => onChange({ ...step, pencil: e.target.value })}
                    >
                        {optionsFor(step.pencil).map((p) => (
                            <option key={p.id} value={p.id}>
                                {p.number} {p.name}
                            </option>
                        ))}
                    </NativeSelect>
                    <NativeSelect
                        aria-label={`Pressure of pass ${at}`}
                        value={markOf(step.pressure)}
                        onChange={(e) => onChange({ ...step, pressure: MARKS.find((m) => m[0] === e.target.value)?.[1] ?? 0.55 })}
                    >
                        {MARKS.map(([word], k) => (
                            <option key={word} value={word}>
                                {'/'.repeat(k + 1)} {word}
                            </option>
                        ))}
                    </NativeSelect>
                </>
            )}
        </>
    );
}

interface HandsProps {
    at: number;
    of: number;
    onMove: (to: number) => void;
    onDrop: () => void;
}

function Hands({ at: i, of, onMove, onDrop }: HandsProps) {
    return (
        <span className="hands">
            <WordButton aria-label={`Pass ${i + 1} later`} isDisabled={i === of - 1} onPress={() => onMove(i + 1)}>
                ↑
            </WordButton>
            <WordButton aria-label={`Pass ${i + 1} earlier`} isDisabled={i === 0} onPress={() => onMove(i - 1)}>
                ↓
            </WordButton>
            <WordButton aria-label={`Drop pass ${i + 1}`} isDisabled={of === 1} onPress={onDrop}>
                ×
            </WordButton>
        </span>
    );
}
