import { useState } from 'react';
import styled from 'styled-components';
import { PRESSURES } from '../../dabs/Pressure';
import type { Desk, DeskStep, DrawerPencil, NewTick } from '../../api/types';
import { Button, NativeSelect, WordButton } from '../../ui/controls';

const Part = styled.section`
    display: grid;
    gap: var(--space-2);
    padding: var(--space-2) 0;
    & h2 {
        font-size: var(--type-title);
        font-weight: 600;
    }
    & .pressures {
        display: flex;
        flex-wrap: wrap;
        gap: 0 var(--space-3);
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
    /** All others that are available. */
    others: readonly DrawerPencil[];
    onTick: (tick: NewTick) => void;
    onClose: () => void;
}

/** What was really laid, where that is not what stands here: the rest of the zone is planned again from what lies there. */
export function OtherPart({ step, pencils, finishes, others, onTick, onClose }: OtherPartProps) {
    const [tool, setTool] = useState(step.pencil?.id ?? step.finish ?? '');
    const [pressures, setPressures] = useState<Record<string, string | null>>(() => ({ ...step.pressures }));
    const laid = Object.fromEntries(Object.entries(pressures).filter((e): e is [string, string] => e[1] !== null && e[1] !== ''));
    const nothing = Object.keys(laid).length === 0;
    return (
        <Part aria-label="Something else">
            <h2>What did you lay on “{step.zoneName}”?</h2>
            <ToolChoice tool={tool} pencils={pencils} finishes={finishes} others={others} onTool={setTool} />
            <PressuresChoice step={step} pressures={pressures} onPressures={setPressures} />
            {nothing && <p role="alert">Choose a pressure for at least one shade. If you left the pass out, press “Skip pass”.</p>}
            <div>
                <Button
                    $main
                    isDisabled={nothing}
                    onPress={() =>
                        onTick({
                            kind: 'other',
                            zone: step.zone,
                            position: step.position,
                            tool,
                            pressures: laid,
                            at: Math.floor(Date.now() / 1000),
                        })
                    }
                >
                    Save what I did
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

interface PressuresChoiceProps {
    step: DeskStep;
    pressures: Readonly<Record<string, string | null>>;
    onPressures: (pressures: Record<string, string | null>) => void;
}

function PressuresChoice({ step, pressures, onPressures }: PressuresChoiceProps) {
    return (
        <div className="pressures">
            {step.shades.map((s) => (
                <label key={s.shade}>
                    {s.name}
                    <NativeSelect
                        value={pressures[s.shade] ?? ''}
                        onChange={(e) => onPressures({ ...pressures, [s.shade]: e.target.value === '' ? null : e.target.value })}
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
