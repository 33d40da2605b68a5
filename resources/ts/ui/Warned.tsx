import styled from 'styled-components';

const Line = styled.span`
    display: inline-flex;
    align-items: center;
    gap: var(--space-1);
    white-space: nowrap;
    font-weight: 700;
    color: var(--ink);
    & svg {
        width: 1.15em;
        height: 1.05em;
        flex: none;
    }
`;

/** The sign before every warning: three-cornered, so that it needs no colour of its own. */
export function WarningSign() {
    return (
        <svg viewBox="0 0 22 20" width="16" height="15" role="img" aria-label="Warning">
            <path d="M11 1.5 20.6 18.5H1.4Z" fill="none" stroke="currentColor" strokeWidth="2" strokeLinejoin="round" />
            <path d="M11 7v6M11 15v2" stroke="currentColor" strokeWidth="2.2" />
        </svg>
    );
}

/** How many warnings something has; nothing is shown for none. */
export function Warned({ count }: { count: number }) {
    return count === 0 ? null : (
        <Line>
            <WarningSign />
            {count}
        </Line>
    );
}
