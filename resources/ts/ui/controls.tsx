import { Button as AriaButton, RadioButton, RadioField, RadioGroup as AriaRadioGroup, type ButtonProps } from 'react-aria-components';
import styled from 'styled-components';

/** While it is at work it keeps its focus and its look, and pressing it again does nothing; whoever uses it says what is under way. */
function AtWork({ isPending = false, onPress, type, ...rest }: ButtonProps) {
    return (
        <AriaButton
            {...rest}
            type={isPending ? 'button' : (type ?? 'button')}
            {...(isPending || onPress === undefined ? {} : { onPress })}
        />
    );
}

/** A plain button: a line round a word. The one that matters most on a screen is filled. */
export const Button = styled(AtWork)<{ $main?: boolean }>`
    min-height: 44px;
    padding: 0 14px;
    border: 1.5px solid var(--strong-line);
    border-radius: 0;
    background: ${(p) => (p.$main === true ? 'var(--ink)' : 'transparent')};
    color: ${(p) => (p.$main === true ? 'var(--ground)' : 'var(--ink)')};
    cursor: pointer;
    &[data-hovered] {
        text-decoration: underline;
        text-underline-offset: 3px;
    }
    &[data-disabled] {
        border-style: dotted;
        cursor: default;
        color: var(--soft-ink);
        background: transparent;
    }
`;

/** A word that can be pressed, underlined, without a frame. */
export const WordButton = styled(AtWork)`
    min-height: 44px;
    padding: 0 6px;
    border: 0;
    background: none;
    color: var(--ink);
    text-decoration: underline;
    text-decoration-thickness: 1px;
    text-underline-offset: 4px;
    cursor: pointer;
    &[data-disabled] {
        text-decoration: none;
        color: var(--soft-ink);
        cursor: default;
    }
    &[data-hovered] {
        text-decoration-thickness: 2px;
    }
`;

export const NativeSelect = styled.select<{ $width?: number }>`
    min-height: 44px;
    padding: 0 8px;
    border: solid transparent;
    border-width: 1.5px 0;
    border-bottom-color: var(--strong-line);
    border-radius: 0;
    background: transparent;
    max-width: ${(p) => p.$width ?? 240}px;
`;

/** A range to be drawn along, or moved by arrows. */
export const Range = styled.input.attrs({ type: 'range' })<{ $width?: number }>`
    flex: 1;
    width: ${(p) => (p.$width === undefined ? '100%' : `${p.$width}px`)};
    min-height: 44px;
`;

export const TextInput = styled.input`
    min-height: 44px;
    padding: 0 8px;
    border: 0;
    border-bottom: 1.5px solid var(--strong-line);
    background: var(--raised);
    min-width: 0;
    &::placeholder {
        color: var(--soft-ink);
        opacity: 1;
    }
`;

const Choices = styled(AriaRadioGroup)`
    display: flex;
    align-items: center;
    gap: 4px;
`;

const Choice = styled(RadioButton)`
    padding: 0 4px;
    min-width: 44px;
    min-height: 44px;
    display: grid;
    place-items: center;
    cursor: pointer;
    /* Above as below, so that words in one line share a baseline. */
    border: solid transparent;
    border-width: 3px 0;
    &[data-selected] {
        border-bottom-color: var(--ink);
        font-weight: 700;
    }
`;

interface WordChoiceProps<T extends string> {
    label: string;
    value: T;
    options: readonly { value: T; label: string }[];
    onChange: (value: T) => void;
}

/** A few words in a row, one of them underlined: the one chosen. */
export function WordChoice<T extends string>({ label, value, options, onChange }: WordChoiceProps<T>) {
    return (
        <Choices aria-label={label} orientation="horizontal" value={value} onChange={(v) => onChange(v as T)}>
            {options.map((o) => (
                <RadioField key={o.value} value={o.value}>
                    <Choice>{o.label}</Choice>
                </RadioField>
            ))}
        </Choices>
    );
}
