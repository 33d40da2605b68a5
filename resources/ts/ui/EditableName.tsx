import { TextInput } from './controls';
import { useWritten } from './useWritten';

interface EditableNameProps {
    label: string;
    value: string;
    onChange: (name: string) => void;
}

/** A name that is changed by typing over it. */
export function EditableName({ label, value, onChange }: EditableNameProps) {
    const { field } = useWritten({ value, onKeep: onChange });
    return <TextInput aria-label={label} maxLength={80} style={{ flex: 1, width: '100%' }} {...field} />;
}
