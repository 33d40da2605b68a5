import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Training } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';

const Lines = styled.table`
    border-collapse: collapse;
    & td,
    & th {
        padding: var(--space-1) var(--space-3) var(--space-1) 0;
        text-align: left;
        font-weight: inherit;
        border-bottom: 1px solid var(--line);
    }
    & thead th {
        color: var(--soft-ink);
        font-size: var(--type-figure);
    }
    & svg {
        display: block;
    }
`;

const [WIDE, HIGH] = [120, 28];

/** Weeks that a curve shows. */
const WEEKS = 12;

const HARD = ['', 'easy', 'fairly easy', 'medium', 'hard', 'very hard'];

/** How this sitting goes (children) and each skill over the weeks, and what to look at next. */
export function ProgressPart({ training, children }: { training: Training; children: ReactNode }) {
    return (
        <Column aria-label="Progress">
            <PartHead $first>
                <h2>Progress</h2>
            </PartHead>
            {children}
            {training.next !== null && (
                <p role="note">
                    <b>Next, look at “{training.next.skill}”.</b> {training.next.advice}
                </p>
            )}
            <Lines>
                <thead>
                    <tr>
                        <th scope="col">skill</th>
                        <th scope="col">level</th>
                        <th scope="col">right</th>
                        <th scope="col">week by week</th>
                    </tr>
                </thead>
                <tbody>
                    {training.skills.map((s) => (
                        <tr key={s.skill}>
                            <th scope="row">{s.skill}</th>
                            <td>{HARD[s.difficulty]}</td>
                            <td>{s.tries === 0 ? 'not tried yet' : `${s.right} of ${s.tries}`}</td>
                            <td>
                                <Curve name={s.skill} shares={s.weeks.slice(-WEEKS).map((w) => w.right)} />
                            </td>
                        </tr>
                    ))}
                </tbody>
            </Lines>
            <p>Two right in a row and the next is harder; one wrong and it is easier. What was wrong comes back.</p>
        </Column>
    );
}

/** A plain line from the earliest week to the latest: the share that was right, from none below to all above. */
function Curve({ name, shares }: { name: string; shares: readonly number[] }) {
    if (shares.length === 0) {
        return null;
    }
    const at = (share: number, i: number): string =>
        `${shares.length === 1 ? WIDE / 2 : 3 + (i * (WIDE - 6)) / (shares.length - 1)},${3 + (1 - share) * (HIGH - 6)}`;
    return (
        <svg
            width={WIDE}
            height={HIGH}
            role="img"
            aria-label={`${name}, right each week: ${shares.map((s) => `${Math.round(100 * s)} %`).join(', ')}`}
        >
            <line x1="0" x2={WIDE} y1={HIGH - 1} y2={HIGH - 1} stroke="var(--line)" />
            <polyline points={shares.map(at).join(' ')} fill="none" stroke="var(--ink)" strokeWidth="2" />
            {shares.map((s, i) => {
                const [cx, cy] = at(s, i).split(',');
                return <circle key={i} cx={cx} cy={cy} r="2.5" fill="var(--ink)" />;
            })}
        </svg>
    );
}
