import type { ActionDispatch } from 'react';
import { ToggleButton } from 'react-aria-components';
import styled from 'styled-components';
import type { Look, LookAction } from './lookState';

const Bar = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    padding: 0 var(--space-3);
    gap: 0 var(--space-1);
    & i {
        width: 1px;
        height: 22px;
        margin: 0 var(--space-1);
        background: var(--line);
    }
`;

const Way = styled(ToggleButton)`
    min-height: 44px;
    min-width: 44px;
    padding: 0 var(--space-2);
    /* A finger has all of it, the eye sees what is within. */
    border: solid transparent;
    border-width: 5px 0;
    background: none;
    background-clip: padding-box;
    color: var(--ink);
    cursor: pointer;
    & u {
        text-underline-offset: 3px;
    }
    &[data-selected] {
        background-color: var(--ink);
        color: var(--ground);
    }
    &[data-hovered]:not([data-selected]) {
        background-color: var(--raised);
    }
    &[data-disabled] {
        color: var(--soft-ink);
        cursor: default;
    }
`;

interface LookBarProps {
    look: Look;
    dispatch: ActionDispatch<[LookAction]>;
    /** Whether something in the photo was said to be neutral. */
    canBalance: boolean;
}

const SQUINTS = ['', ' slightly', ' half', ' hard'];

/** Every way of looking as a word; the underlined letter is its key. */
export function LookBar({ look, dispatch, canBalance }: LookBarProps) {
    const way = (selected: boolean, action: LookAction, before: string, letter: string, after: string, label: string) => (
        <Way isSelected={selected} onChange={() => dispatch(action)} aria-label={`${label} (key ${letter.toUpperCase()})`}>
            {before}
            <u>{letter}</u>
            {after}
        </Way>
    );
    return (
        <Bar role="toolbar" aria-label="Ways of looking">
            {way(look.tone === 'colour', { type: 'tone', tone: 'colour' }, '', 'C', 'olour', 'Colour')}
            {way(look.tone === 'grey', { type: 'tone', tone: 'grey' }, '', 'G', 'rey', 'Grey')}
            {way(
                look.tone === 'steps',
                { type: 'stepsCycled' },
                `${look.steps} `,
                's',
                'teps',
                `Value steps, ${look.steps}; press again for another scale`,
            )}
            {way(look.lightest, { type: 'endTurned' }, '1 is ', 'l', 'ight', 'Step 1 is the lightest')}
            <i />
            {way(
                look.squint > 0,
                { type: 'squintCycled' },
                'S',
                'q',
                `uint${SQUINTS[look.squint] ?? ''}`,
                `Squint${SQUINTS[look.squint] ?? ''}; press again for more`,
            )}
            {way(look.mirror, { type: 'toggled', what: 'mirror' }, '', 'M', 'irror', 'Mirror')}
            {way(look.turned, { type: 'toggled', what: 'turned' }, '', 'T', 'urn', 'Turn upside down')}
            <i />
            {way(look.grid, { type: 'toggled', what: 'grid' }, 'G', 'r', 'id', 'Grid in millimetres of the drawing')}
            {way(look.cut, { type: 'toggled', what: 'cut' }, 'C', 'u', 't', 'Cut to the shape of the drawing')}
            {canBalance && way(look.balanced, { type: 'toggled', what: 'balanced' }, '', 'B', 'alanced', 'Balanced')}
        </Bar>
    );
}
