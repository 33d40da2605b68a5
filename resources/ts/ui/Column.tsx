import styled from 'styled-components';

/** A heading between two parts of a column: a line, a word, and what belongs beside it. */
export const PartHead = styled.div<{ $first?: boolean }>`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-3);
    min-height: 44px;
    margin-top: ${(p) => (p.$first === true ? '0' : 'var(--space-3)')};
    border-top: ${(p) => (p.$first === true ? '0' : '1.5px solid var(--strong-line)')};
    & h2 {
        font-weight: 700;
    }
    & > .end {
        margin-left: auto;
    }
    & a {
        padding: var(--space-3) 0;
    }
    & .kind {
        margin-left: var(--space-3);
    }
`;

/** A column beside the photo. */
export const Column = styled.section`
    display: flex;
    flex-direction: column;
    gap: 0;
    padding: 0 var(--space-4) var(--space-3);
    min-width: 0;
    /* Weaker than what a paragraph says of itself. */
    :where(& > p) {
        padding: var(--space-1) 0;
    }
`;
