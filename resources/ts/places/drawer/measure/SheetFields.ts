import styled from 'styled-components';

/** What is written down of pencils to be measured, and under it what is done with it. */
export const SheetFields = styled.form`
    display: grid;
    gap: var(--space-2);
    & textarea {
        width: 100%;
        min-height: 180px;
        padding: var(--space-2);
        border: 1.5px solid var(--strong-line);
        border-radius: 0;
        background: var(--ground);
        color: var(--ink);
        font: inherit;
    }
`;
