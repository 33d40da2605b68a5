import { WordButton } from './controls';

/** What is being read, in words, and a way out of it. */
export function Reading({ words, onCancel }: { words: string; onCancel: () => void }) {
    return (
        <p>
            {words} <WordButton onPress={onCancel}>Cancel</WordButton>
        </p>
    );
}
