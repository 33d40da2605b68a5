import { useState } from 'react';
import styled from 'styled-components';
import { PRESSURES } from '../../dabs/Pressure';
import type { Desk, DeskStep, DrawerPencil, NewDeskMark } from '../../api/types';
import { Button, NativeSelect, WordButton } from '../../ui/controls';

const Part = styled.section`
    display: grid;
    gap: 8px;
    padding: 8px 0;
    & h2 {
        font-size: var(--size-title);
        font-weight: 600;
    }
    & .marks {
        display: flex;
        flex-wrap: wrap;
        gap: 0 14px;
    }
    & label {
        display: grid;
    }
`;

interface OtherPartProps {
    step: DeskStep;
    pencils: Desk['pencils'];
    /** What can be done besides laying a pencil. */
    finishes: readonly string[];
    /** All others at hand. */
    others: readonly DrawerPencil[];
    onMark: (mark: NewDeskMark) => void;
    onClose: () => void;
}

/** What was really laid, where that is not what stands here: the rest of the zone is planned again from what lies there. */
export function OtherPart({ step, pencils, finishes, others, onMark, onClose }: OtherPartProps) {
    const [tool, setTool] = useState(step.pencil?.id ?? step.finish ?? '');
    const [marks, setMarks] = useState<Record<string, string | null>>(() => ({ ...step.marks }));
    const laid = Object.fromEntries(Object.entries(marks).filter((e): e is [string, string] => e[1] !== null && e[1] !== ''));
    const nothing = Object.keys(laid).length === 0;
    return (
        <Part aria-label="Something else">
            <h2>What did you lay on “{step.zoneName}”?</h2>
            <ToolChoice tool={tool} pencils={pencils} finishes={finishes} others={others} onTool={setTool} />
            <MarksChoice step={step} marks={marks} onMarks={setMarks} />
            {nothing && <p role="alert">Say how hard, in at least one of them; what you left out altogether is “Skip”.</p>}
            <div>
                <Button
                    $main
                    isDisabled={nothing}
                    onPress={() =>
                        onMark({
                            kind: 'other',
                            zone: step.zone,
                            position: step.position,
                            tool,
                            marks: laid,
                            at: Math.floor(Date.now() / 1000),
                        })
                    }
                >
                    That lies there now
                </Button>
                <WordButton onPress={onClose}>Back to the pass</WordButton>
            </div>
        </Part>
    );
}

interface ToolChoiceProps {
    tool: string;
    pencils: Desk['pencils'];
    finishes: readonly string[];
    others: readonly DrawerPencil[];
    onTool: (tool: string) => void;
}

function ToolChoice({ tool, pencils, finishes, others, onTool }: ToolChoiceProps) {
    return (
        <label>
            With
            <NativeSelect $width={320} value={tool} onChange={(e) => onTool(e.target.value)}>
                <optgroup label="Of this plan">
                    {pencils.map((p) => (
                        <option key={p.id} value={p.id}>
                            {p.number} {p.name}
                        </option>
                    ))}
                </optgroup>
                <optgroup label="Other than a pencil">
                    {finishes.map((f) => (
                        <option key={f}>{f}</option>
                    ))}
                </optgroup>
                <optgroup label="Of the drawer">
                    {others.map((p) => (
                        <option key={p.id} value={p.id}>
                            {p.number} {p.name}
                        </option>
                    ))}
                </optgroup>
            </NativeSelect>
        </label>
    );
}

interface MarksChoiceProps {
    step: DeskStep;
    marks: Readonly<Record<string, string | null>>;
    onMarks: (marks: Record<string, string | null>) => void;
}

function MarksChoice({ step, marks, onMarks }: MarksChoiceProps) {
    return (
        <div className="marks">
            {step.shades.map((s) => (
                <label key={s.role}>
                    {s.name}
                    <NativeSelect
                        value={marks[s.role] ?? ''}
                        onChange={(e) => onMarks({ ...marks, [s.role]: e.target.value === '' ? null : e.target.value })}
                    >
                        <option value="">not here</option>
                        {PRESSURES.map((m) => (
                            <option key={m}>{m}</option>
                        ))}
                    </NativeSelect>
                </label>
            ))}
        </div>
    );
}
