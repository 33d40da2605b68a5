import { useWritten } from './useWritten';
import { WideInput } from './layout';

interface EditableNameProps {
    label: string;
    value: string;
    onChange: (name: string) => void;
}

/** A name that is changed by typing over it. */
export function EditableName({ label, value, onChange }: EditableNameProps) {
    const { field } = useWritten({ value, onKeep: onChange });
    return <WideInput aria-label={label} maxLength={80} {...field} />;
}
