import { TextInput } from './controls';
import { useDraft } from './useDraft';

interface EditableNameProps {
    label: string;
    value: string;
    onChange: (name: string) => void;
}

/** A name that is changed by typing over it: Enter or leaving keeps it, Escape puts the old one back. */
export function EditableName({ label, value, onChange }: EditableNameProps) {
    const [text, setText] = useDraft(value);
    const keep = () => {
        const name = text.trim();
        if (name === '') {
            setText(null);
        } else if (name !== value) {
            onChange(name);
        }
    };
    return (
        <TextInput
            aria-label={label}
            value={text}
            maxLength={80}
            style={{ flex: 1, width: '100%' }}
            onChange={(e) => setText(e.target.value)}
            onBlur={keep}
            onKeyDown={(e) => {
                if (e.key === 'Enter') {
                    keep();
                } else if (e.key === 'Escape') {
                    setText(null);
                }
            }}
        />
    );
}
