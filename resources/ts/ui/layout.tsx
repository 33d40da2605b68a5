import styled from 'styled-components';
import { TextInput } from './controls';

/** A place: its bar, and what fills the rest. */
export const Page = styled.div`
    min-height: 100%;
    display: flex;
    flex-direction: column;
`;

/** Things in a row, on one line with their words; wrapped where there is no room. */
export const Row = styled.div<{ $tight?: boolean }>`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 ${(p) => (p.$tight === true ? 'var(--space-2)' : 'var(--space-3)')};
    & > a {
        padding: var(--space-3) 0;
    }
`;

/** A row that a finger can press anywhere in. */
export const PressedRow = styled(Row)`
    min-height: 44px;
`;

/** What stands beside the photo; below it where there is no room. */
export const Side = styled.div`
    min-width: 0;
    border-left: 1.5px solid var(--strong-line);
    @media (max-width: 1099px) {
        border-left: 0;
        border-top: 1.5px solid var(--strong-line);
    }
`;

/** The row above it: what it shows, and at the end the history of what was changed there. */
export const SideBar = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-3);
    padding: 0 var(--space-4);
    border-bottom: 1px solid var(--line);
    & .end {
        margin-left: auto;
        display: flex;
        align-items: center;
        gap: var(--space-2);
        min-width: 0;
    }
`;

/** Text with air around it. */
export const Aired = styled.p`
    padding: var(--space-2) 0;
`;

/** What fills a place by itself, or stands at its edge. */
export const Inset = styled.div`
    padding: var(--space-4);
`;

/** Dabs that touch, all of one size. */
export const Dabs = styled.span<{ $width: number; $height: number }>`
    display: flex;
    max-width: 100%;
    & > span {
        flex: 0 1 auto;
        width: ${(p) => p.$width}px;
        height: ${(p) => p.$height}px;
    }
`;

/** As wide as its row lets it be. */
export const WideInput = styled(TextInput)`
    flex: 1;
    width: 100%;
`;
