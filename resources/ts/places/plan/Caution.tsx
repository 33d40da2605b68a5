import { useState } from 'react';
import { PartHead } from '../../ui/Column';
import { Button, TextInput, WordButton } from '../../ui/controls';

interface CautionProps {
    code: string;
    words: string;
    note: string | null;
    onRemedy: () => void;
    onOverrule: (note: string | null) => void;
}

/** Something to mind: its cause, a remedy to try, and the note with which it was overruled. */
export function Caution({ code, words, note, onRemedy, onOverrule }: CautionProps) {
    const [text, setText] = useState<string | null>(null);
    if (note !== null) {
        return (
            <div className="mind">
                <p>
                    Overruled: {code}. “{note}” <WordButton onPress={() => onOverrule(null)}>Mind it again</WordButton>
                </p>
            </div>
        );
    }
    return (
        <div className="mind">
            <PartHead as="p" style={{ borderTop: 0, minHeight: 0 }}>
                <span>
                    <b>Mind: {code}.</b> {words}
                </span>
            </PartHead>
            {text === null ? (
                <>
                    <WordButton onPress={onRemedy}>Try its remedy</WordButton>
                    <WordButton onPress={() => setText('')}>Overrule it…</WordButton>
                </>
            ) : (
                <form
                    style={{ display: 'flex', gap: 8 }}
                    onSubmit={(e) => {
                        e.preventDefault();
                        if (text.trim() !== '') {
                            onOverrule(text.trim());
                        }
                    }}
                >
                    <TextInput
                        autoFocus
                        aria-label={`Why ${code} does not matter here`}
                        value={text}
                        onChange={(e) => setText(e.target.value)}
                        style={{ flex: 1 }}
                    />
                    <Button type="submit">Overrule</Button>
                    <WordButton onPress={() => setText(null)}>Leave</WordButton>
                </form>
            )}
        </div>
    );
}
