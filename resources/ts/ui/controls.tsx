import { Button as AriaButton, RadioButton, RadioField, RadioGroup as AriaRadioGroup, type ButtonProps } from 'react-aria-components';
import styled, { css } from 'styled-components';

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

/** The colour of a control lies within this: a finger has 44 pixels, the eye sees 36. */
const seenWithin = css`
    min-height: var(--touch);
    border-block: var(--space-1) solid transparent;
    background-clip: padding-box;
    border-radius: 0;
`;

/** A button with a line round its words. The one that matters most on a screen is filled. */
export const Button = styled(AtWork)<{ $main?: boolean }>`
    min-height: var(--touch);
    padding: 0 var(--space-4);
    border: 1.5px solid var(--strong-line);
    border-radius: 0;
    background: ${(p) => (p.$main === true ? 'var(--ink)' : 'transparent')};
    color: ${(p) => (p.$main === true ? 'var(--ground)' : 'var(--ink)')};
    font-weight: 600;
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

/** What else can be done: words on a quiet ground, without a line. Links are underlined, and lead elsewhere. */
export const WordButton = styled(AtWork)`
    ${seenWithin}
    border-inline: 0;
    padding: 0 var(--space-2);
    background-color: var(--quiet);
    color: var(--ink);
    cursor: pointer;
    &[data-disabled] {
        background-color: transparent;
        color: var(--soft-ink);
        cursor: default;
    }
    &[data-hovered],
    &[aria-expanded='true'] {
        text-decoration: underline;
        text-underline-offset: 3px;
    }
`;

export const NativeSelect = styled.select<{ $width?: number }>`
    min-height: var(--touch);
    padding: 0 var(--space-2);
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
    padding: 0 var(--space-2);
    border: 0;
    border-bottom: 1.5px solid var(--strong-line);
    background: var(--raised);
    min-width: 0;
    &::placeholder {
        color: var(--soft-ink);
        opacity: 1;
    }
`;

const Choices = styled(AriaRadioGroup)<{ $isTabs: boolean }>`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 ${(p) => (p.$isTabs ? 'var(--space-2)' : '0')};
`;

/** One of a few values: cells that touch, the chosen one filled. */
const Choice = styled(RadioButton)`
    ${seenWithin}
    border-inline: 0;
    /* A line that belongs to what is seen, shared with the neighbour. */
    box-shadow: inset 0 0 0 1px var(--line);
    margin-left: -1px;
    padding: 0 var(--space-2);
    min-width: var(--touch);
    display: grid;
    place-items: center;
    cursor: pointer;
    &[data-selected] {
        background-color: var(--ink);
        color: var(--ground);
    }
`;

/** One of the parts of a place: a word, with a bar under the one that is open. */
const Tab = styled(RadioButton)`
    min-height: var(--touch);
    padding: 0 var(--space-1);
    display: grid;
    place-items: center;
    cursor: pointer;
    /* Above as below, so that words in one line share a baseline. */
    border: solid transparent;
    border-width: 4px 0;
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

/** A few values in a row, of which one is chosen. */
export const WordChoice = <T extends string>(props: WordChoiceProps<T>) => <Words {...props} isTabs={false} />;

/** The parts of a place in a row, of which one is open. */
export const Tabs = <T extends string>(props: WordChoiceProps<T>) => <Words {...props} isTabs />;

function Words<T extends string>({ label, value, options, onChange, isTabs }: WordChoiceProps<T> & { isTabs: boolean }) {
    const Word = isTabs ? Tab : Choice;
    return (
        <Choices aria-label={label} orientation="horizontal" value={value} onChange={(v) => onChange(v as T)} $isTabs={isTabs}>
            {options.map((o) => (
                <RadioField key={o.value} value={o.value}>
                    <Word>{o.label}</Word>
                </RadioField>
            ))}
        </Choices>
    );
}
