import { useState } from 'react';
import styled from 'styled-components';
import type { Plan } from '../../api/types';
import { Button, WordButton } from '../../ui/controls';
import type { PlanChanges } from './queries';
import { within } from '../../ui/within';

const Bar = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--space-1) var(--space-3);
    padding: var(--space-1) var(--space-4);
    min-height: 48px;
`;

const Changes = styled.ol`
    margin: 0;
    padding: 0 var(--space-4) var(--space-2);
    list-style: none;
    font-size: var(--type-small);
    max-height: 160px;
    overflow-y: auto;
`;

/** The one action of the place, and how far it is; afterwards what was planned again, and why. */
export function RunBar({ picture, changes }: { picture: Plan; changes: PlanChanges }) {
    const [open, setOpen] = useState(false);
    const { run, waiting } = picture;
    const underWay = run?.state === 'waiting' || run?.state === 'working';
    const all = picture.zones.length;
    const changed = run?.changes.filter((c) => c.before !== null && c.before !== c.after) ?? [];
    return (
        <>
            <Bar>
                {underWay ? (
                    <>
                        <Button onPress={() => changes.cancel.mutate()}>Cancel</Button>
                        <span role="status">
                            {run.what === '' ? 'Waiting to start' : run.what}
                            {run.total > 0 && `, ${run.done} of ${run.total}`}
                        </span>
                        {run.total > 0 && <progress aria-label={run.what} value={run.done} max={run.total} />}
                    </>
                ) : (
                    <>
                        {waiting > 0 && (
                            <Button $main isPending={changes.run.isPending} onPress={() => changes.run.mutate()}>
                                {waiting === all ? 'Plan the picture' : `Plan what changed: ${waiting} of ${all}`}
                            </Button>
                        )}
                        <span role="status">{words(picture)}</span>
                        {changed.length > 0 && waiting === 0 && (
                            <WordButton aria-expanded={open} onPress={() => setOpen(!open)}>
                                {changed.length} changed
                            </WordButton>
                        )}
                    </>
                )}
            </Bar>
            {open && changed.length > 0 && (
                <Changes aria-label="Changed zones" tabIndex={0}>
                    {changed.map((c) => (
                        <li key={c.zone}>
                            <b>{c.zone}</b>: {c.after}; it was {c.before}. {c.why}.
                        </li>
                    ))}
                </Changes>
            )}
        </>
    );
}

function words({ run, waiting, errorOnPaper, passes, palette, time, tone }: Plan): string {
    if (run?.state === 'failed') {
        return 'Planning stopped because of an error. Finished zones are kept; press “Plan what changed” to continue.';
    }
    if (run?.state === 'cancelled' && waiting > 0) {
        return 'Cancelled. Finished zones are kept.';
    }
    return waiting > 0
        ? tone
        : `Plan is up to date: ${passes} passes, ${palette.length} pencils, ${time}. ` +
              `Likely error on paper: ${within(errorOnPaper)}. ${tone}`;
}
