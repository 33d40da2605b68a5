import styled from 'styled-components';
import { TextInput } from '../../ui/controls';

/** What the password is asked for with, once more. */
export const Proof = styled.form`
    display: grid;
    gap: var(--space-3);
    & label {
        display: grid;
        gap: var(--space-1);
    }
`;

interface SecretProps {
    label: string;
    kind: 'current-password' | 'new-password';
    value: string;
    onChange: (value: string) => void;
}

export function Secret({ label, kind, value, onChange }: SecretProps) {
    return (
        <label>
            {label}
            <TextInput type="password" autoComplete={kind} value={value} onChange={(e) => onChange(e.target.value)} required />
        </label>
    );
}
