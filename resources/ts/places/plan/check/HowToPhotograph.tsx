import styled from 'styled-components';

const Two = styled.div`
    display: grid;
    grid-template-columns: 190px minmax(0, 1fr);
    gap: var(--space-4);
    align-items: center;
    padding: var(--space-3) 0;
    & svg {
        width: 100%;
        height: auto;
    }
    & ol {
        margin: 0;
        padding-left: var(--space-4);
    }
    & .example {
        display: grid;
        grid-template-columns: 32px 32px minmax(0, 1fr);
        gap: 0 0;
        padding-top: var(--space-3);
        & > span {
            height: 32px;
        }
        & > p {
            padding-left: var(--space-2);
        }
    }
    @media (max-width: 599px) {
        grid-template-columns: minmax(0, 1fr);
        & svg {
            max-width: 190px;
        }
    }
`;

/** How the photo is taken, as a drawing and in words, and what comes of it. */
export function HowToPhotograph() {
    return (
        <Two>
            <svg
                viewBox="0 0 190 140"
                role="img"
                aria-label="The drawing lies flat, photographed from straight above, with bare paper all round it"
            >
                <g fill="none" stroke="var(--ink)" strokeWidth="1.5">
                    <rect x="78" y="6" width="34" height="22" />
                    <circle cx="95" cy="17" r="6" />
                    <path d="M78 28 40 92M112 28l38 64" strokeDasharray="4 4" />
                    <path d="M40 92h110l16 40H24Z" fill="var(--raised)" />
                    <path d="M54 99h82l10 25H44Z" fill="var(--quiet)" />
                    <path d="M52 119c18-16 26 4 40-8s28 2 42-2" />
                </g>
            </svg>
            <div>
                <ol>
                    <li>Lay the drawing flat, in daylight, without shadows.</li>
                    <li>Photograph it from straight above.</li>
                    <li>Leave a finger’s width of bare paper all round.</li>
                </ol>
                <div className="example" aria-label="An example of what you get">
                    <span style={{ background: EXPECTED }} />
                    <span style={{ background: FOUND }} />
                    <p>
                        <b>rope, mid</b>: a step too light. 741 lightly over it.
                    </p>
                </div>
            </div>
        </Two>
    );
}

/** Made up for the example: a grey of rope, and the same a value step lighter. */
const EXPECTED = '#9b9683';
const FOUND = '#b7b29e';
