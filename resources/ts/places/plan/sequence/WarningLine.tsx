import { useState, type SyntheticEvent } from 'react';

import { Button, WordButton } from '../../../ui/controls';
import { WarningSign } from '../../../ui/Warned';
import { Row, WideInput } from '../../../ui/layout';

interface WarningLineProps {
    code: string;
    words: string;
    note: string | null;
    onRemedy: () => void;
    onOverrule: (note: string | null) => void;
}

/** Something to mind: its cause, a remedy to try, and the note with which it was overruled. */
export function WarningLine({ code, words, note, onRemedy, onOverrule }: WarningLineProps) {
    const [text, setText] = useState<string | null>(null);
    if (note !== null) {
        return (
            <div className="mind">
                <p>
                    Ignored: {code}. “{note}” <WordButton onPress={() => onOverrule(null)}>Show this warning again</WordButton>
                </p>
            </div>
        );
    }
    return (
        <div className="mind">
            <p>
                <span>
                    <WarningSign /> <b>{code}.</b> {words}
                </span>
            </p>
            {text === null ? (
                <>
                    <WordButton onPress={onRemedy}>Try the remedy</WordButton>
                    <WordButton onPress={() => setText('')}>Ignore with a note…</WordButton>
                </>
            ) : (
                <Row
                    as="form"
                    $tight
                    onSubmit={(e: SyntheticEvent) => {
                        e.preventDefault();
                        if (text.trim() !== '') {
                            onOverrule(text.trim());
                        }
                    }}
                >
                    <WideInput
                        autoFocus
                        aria-label={`Why ${code} does not matter here`}
                        value={text}
                        onChange={(e) => setText(e.target.value)}
                    />
                    <Button type="submit">Ignore warning</Button>
                    <WordButton onPress={() => setText(null)}>Cancel</WordButton>
                </Row>
            )}
        </div>
    );
}
