import { useId, useState } from 'react';
import styled from 'styled-components';
import { TextInput } from '../../../ui/controls';

const Box = styled(TextInput)`
    width: 170px;
`;

export interface ToolChoice {
    id: string;
    words: string;
}

interface ToolBoxProps {
    label: string;
    /** What is chosen, in words; empty where nothing is yet. */
    value: string;
    placeholder?: string;
    choices: readonly ToolChoice[];
    onChosen: (id: string) => void;
}

/** One of many pencils, found by typing part of its number or name: the list is the system's own, so it opens as the hand knows it. */
export function ToolBox({ label, value, placeholder, choices, onChosen }: ToolBoxProps) {
    const list = useId();
    const [typed, setTyped] = useState<string | null>(null);
    const write = (text: string) => {
        const found = choiceOf(choices, text);
        setTyped(found === undefined ? text : null);
        if (found !== undefined && found.words !== value) {
            onChosen(found.id);
        }
    };
    return (
        <>
            <Box
                aria-label={label}
                role="combobox"
                aria-expanded={typed !== null}
                aria-controls={list}
                list={list}
                autoComplete="off"
                placeholder={placeholder}
                value={typed ?? value}
                onFocus={(e) => e.target.select()}
                onChange={(e) => write(e.target.value)}
                onKeyDown={(e) => {
                    if (e.key === 'Enter') {
                        e.preventDefault();
                        write(onlyOne(choices, typed ?? '') ?? typed ?? '');
                    } else if (e.key === 'Escape') {
                        setTyped(null);
                    }
                }}
                onBlur={() => setTyped(null)}
            />
            <datalist id={list}>
                {choices.map((c) => (
                    <option key={c.id} value={c.words} />
                ))}
            </datalist>
        </>
    );
}

const choiceOf = (choices: readonly ToolChoice[], text: string): ToolChoice | undefined =>
    choices.find((c) => c.words.toLowerCase() === text.trim().toLowerCase());

/** What is typed may be a number alone, or enough of a name to leave one. */
function onlyOne(choices: readonly ToolChoice[], text: string): string | undefined {
    const like = text.trim().toLowerCase();
    const numbered = choices.filter((c) => c.words.toLowerCase().split(' ')[0] === like);
    const named = numbered.length > 0 ? numbered : choices.filter((c) => c.words.toLowerCase().includes(like));
    return like !== '' && named.length === 1 ? named[0]?.words : undefined;
}
