import styled from 'styled-components';

/** Shades of a zone one below the other: what each is, its name, and what can be done with it. */
export const ShadeList = styled.ul<{ $first: string; $last: string }>`
    margin: 0;
    padding: 0;
    list-style: none;
    & li {
        display: grid;
        grid-template-columns: ${(p) => p.$first} minmax(0, 1fr) ${(p) => p.$last};
        gap: 0 var(--space-3);
        align-items: center;
        min-height: 44px;
    }
`;
