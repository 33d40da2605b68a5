import styled from 'styled-components';
import type { Frame, StudyChange } from '../../api/types';
import { NativeSelect, TextInput } from '../../ui/controls';
import { useDraft } from '../../ui/useDraft';

const Bar = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-2);
    padding: 0 var(--space-4);
    & input {
        width: 52px;
    }
    & label {
        display: inline-flex;
        align-items: center;
        gap: var(--space-2);
    }
`;

const CUTS = [
    { value: '0', label: 'start' },
    { value: '0.5', label: 'middle' },
    { value: '1', label: 'end' },
] as const;

/** The drawing's size, the grid's squares, and where the photo is cut to the drawing's shape. */
export function FrameBar({ frame, onChange }: { frame: Frame; onChange: (change: StudyChange) => void }) {
    const nearest = CUTS.reduce((best, cut) =>
        Math.abs(Number(cut.value) - frame.cutPlace) < Math.abs(Number(best.value) - frame.cutPlace) ? cut : best,
    );
    return (
        <Bar role="group" aria-label="The drawing">
            <Millimetres
                label="Drawing"
                name="Width of the drawing in millimetres"
                value={frame.drawingWidthMm}
                onChange={(drawingWidthMm) => onChange({ drawingWidthMm })}
            />
            <Millimetres
                label="×"
                name="Height of the drawing in millimetres"
                value={frame.drawingHeightMm}
                onChange={(drawingHeightMm) => onChange({ drawingHeightMm })}
            />
            <Millimetres
                label="mm, squares"
                name="Side of a square of the grid in millimetres"
                value={frame.gridMm}
                onChange={(gridMm) => onChange({ gridMm })}
            />
            <label>
                mm, cut at its
                <NativeSelect
                    value={nearest.value}
                    onChange={(e) => onChange({ cutPlace: Number(e.target.value) })}
                    aria-label="Where the photo is cut"
                >
                    {CUTS.map((cut) => (
                        <option key={cut.value} value={cut.value}>
                            {cut.label}
                        </option>
                    ))}
                </NativeSelect>
            </label>
        </Bar>
    );
}

function Millimetres({ label, name, value, onChange }: { label: string; name: string; value: number; onChange: (value: number) => void }) {
    const [text, setText] = useDraft(String(value));
    const keep = () => {
        const number = Number(text.replace(',', '.'));
        if (text.trim() === '' || Number.isNaN(number)) {
            setText(null);
        } else if (number !== value) {
            onChange(number);
        }
    };
    return (
        <label>
            {label}
            <TextInput
                inputMode="decimal"
                aria-label={name}
                value={text}
                onChange={(e) => setText(e.target.value)}
                onBlur={keep}
                onKeyDown={(e) => e.key === 'Enter' && keep()}
            />
        </label>
    );
}
