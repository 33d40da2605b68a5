import { WordButton } from './controls';

interface UndoRedoProps {
    /** What would be taken back, and what done again; null when there is none. */
    undoWords: string | null | undefined;
    redoWords: string | null | undefined;
    /** Whether there is room to say on the page what would be taken back. */
    wordy?: boolean;
    onUndo: () => void;
    onRedo: () => void;
}

/** The two ways through a history, each named by what it would do. */
export function UndoRedo({ undoWords, redoWords, wordy = false, onUndo, onRedo }: UndoRedoProps) {
    return (
        <>
            <WordButton isDisabled={undoWords == null} onPress={onUndo} aria-label={undoWords == null ? 'Undo' : `Undo: ${undoWords}`}>
                Undo{undoWords == null || !wordy ? '' : `: ${short(undoWords)}`}
            </WordButton>
            <WordButton isDisabled={redoWords == null} onPress={onRedo} aria-label={redoWords == null ? 'Redo' : `Redo: ${redoWords}`}>
                Redo
            </WordButton>
        </>
    );
}

const short = (text: string): string => (text.length > 34 ? `${text.slice(0, 33)}…` : text);
