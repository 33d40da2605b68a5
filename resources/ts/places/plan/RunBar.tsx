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
    gap: 4px 14px;
    padding: 4px 16px;
    min-height: 54px;
`;

const Changes = styled.ol`
    margin: 0;
    padding: 0 16px 8px;
    list-style: none;
    font-size: var(--size-note);
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
                            {run.what === '' ? 'Waiting for its turn' : run.what}
                            {run.total > 0 && `, ${run.done} of ${run.total}`}
                        </span>
                        {run.total > 0 && <progress aria-label={run.what} value={run.done} max={run.total} />}
                    </>
                ) : (
                    <>
                        <Button
                            $main={waiting > 0}
                            isDisabled={waiting === 0}
                            isPending={changes.run.isPending}
                            onPress={() => changes.run.mutate()}
                        >
                            {waiting === all
                                ? 'Plan the picture'
                                : waiting > 0
                                  ? `Plan what changed: ${waiting} of ${all}`
                                  : 'All is planned'}
                        </Button>
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
                <Changes aria-label="What was planned again" tabIndex={0}>
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
        return 'Planning stopped by a fault. What was found is kept; plan again to go on.';
    }
    if (run?.state === 'cancelled' && waiting > 0) {
        return 'Cancelled. What was found is kept.';
    }
    return waiting > 0
        ? tone
        : `${passes} passes with ${palette.length} pencils, ${time} of drawing, ` +
              `within about ${within(errorOnPaper)} on your paper in the mean. ${tone}`;
}
