import styled from 'styled-components';

/** Two columns of a part of the book, one below the other where there is no room; the first as many parts wide as is said, of five. */
export const TwoColumns = styled.div<{ $first: 2 | 3 }>`
    display: grid;
    grid-template-columns: minmax(0, ${(p) => p.$first}fr) minmax(0, ${(p) => 5 - p.$first}fr);
    @media (max-width: 899px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

/** Entries one under the other, without marks. */
export const Entries = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
`;
