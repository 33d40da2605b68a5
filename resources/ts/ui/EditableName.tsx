import { useWritten } from './useWritten';
import { WideInput } from './layout';

interface EditableNameProps {
    label: string;
    value: string;
    onChange: (name: string) => void;
    /** Letters. */
    longest?: number;
    /** Whether an emptied name is told, too. */
    mayBeEmpty?: boolean;
}

/** A name that is changed by typing over it. */
export function EditableName({ label, value, onChange, longest = 80, mayBeEmpty = false }: EditableNameProps) {
    const { field } = useWritten({ value, onKeep: onChange, mayBeEmpty });
    return <WideInput aria-label={label} maxLength={longest} {...field} />;
}
