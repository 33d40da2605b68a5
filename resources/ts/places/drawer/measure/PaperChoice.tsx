import { NativeSelect } from '../../../ui/controls';

interface PaperChoiceProps {
    papers: readonly string[];
    value: string;
    onChange: (paper: string) => void;
}

/** The paper on which pencils are coloured in; black print must show on it. */
export function PaperChoice({ papers, value, onChange }: PaperChoiceProps) {
    return (
        <label>
            coloured in on{' '}
            <NativeSelect value={value} onChange={(e) => onChange(e.target.value)}>
                {papers.map((name) => (
                    <option key={name}>{name}</option>
                ))}
            </NativeSelect>
        </label>
    );
}
