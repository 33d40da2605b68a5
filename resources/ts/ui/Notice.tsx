import styled from 'styled-components';
import { WordButton } from './controls';

export const Line = styled.div`
    display: flex;
    align-items: center;
    gap: var(--space-3);
    padding: var(--space-1) var(--space-4);
    border-bottom: 1.5px solid var(--strong-line);
    background: repeating-linear-gradient(-45deg, var(--raised) 0 14px, var(--ground) 14px 16px);
    & button {
        white-space: nowrap;
    }
    & strong {
        font-weight: 700;
    }
`;

interface NoticeProps {
    text: string | null;
    onClose: () => void;
}

/** What went wrong and what to do about it, in one line that stays until it is closed. */
export function Notice({ text, onClose }: NoticeProps) {
    return (
        <div role="alert">
            {text !== null && (
                <Line>
                    <span>
                        <strong>Problem:</strong> {text}
                    </span>
                    <WordButton onPress={onClose}>Close</WordButton>
                </Line>
            )}
        </div>
    );
}
