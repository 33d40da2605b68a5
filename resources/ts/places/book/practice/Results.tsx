import styled from 'styled-components';
import { Dab } from '../../../dabs/Dab';
import { Aired } from '../../../ui/layout';
import { strata } from './DrillPart';
import type { DrillDab } from '../../../api/types';

const Strip = styled.ol`
    display: flex;
    gap: var(--space-1);
    margin: 0;
    padding: 0;
    list-style: none;
    & li {
        width: 40px;
        border-bottom: 4px solid transparent;
        text-align: center;
    }
    & .dab {
        display: block;
        height: 28px;
        margin-bottom: var(--space-1);
    }
    & li[data-is='right'] {
        border-color: var(--ink);
    }
    & li[data-is='open'] .dab {
        border: 1px dashed var(--line);
    }
`;

export interface Result {
    right: boolean;
    dab: DrillDab | undefined;
}

/**
 * The questions of this sitting, each by its colour: a bar beneath those that were right, a sign beneath those that were not. It stands
 * away from the question: colours beside a colour change how it looks.
 */
export function Results({ results, most }: { results: readonly Result[]; most: number }) {
    const open = Array.from({ length: Math.max(0, most - results.length) }, (_, i) => results.length + i);
    const right = results.filter((r) => r.right).length;
    return results.length === 0 ? null : (
        <div>
            <Strip aria-label="This sitting">
                {results.map((r, i) => (
                    <li key={i} data-is={r.right ? 'right' : 'wrong'} aria-label={`${i + 1}: ${r.right ? 'right' : 'wrong'}`}>
                        <span className="dab">{r.dab !== undefined && <Dab strata={strata(r.dab)} width={40} height={28} label="" />}</span>
                        {r.right ? '' : '×'}
                    </li>
                ))}
                {open.map((i) => (
                    <li key={i} data-is="open" aria-hidden="true">
                        <span className="dab" />
                    </li>
                ))}
            </Strip>
            <Aired>
                {right} of {results.length} right.
            </Aired>
        </div>
    );
}
