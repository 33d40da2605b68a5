import { Link } from 'react-router';
import styled from 'styled-components';
import type { Desk, Study } from '../../api/types';
import { sentenceOf } from '../../api/client';
import { Button, WordButton } from '../../ui/controls';
import { useFinished } from './queries';

const Part = styled.section`
    display: grid;
    gap: var(--space-3);
    justify-items: start;
    & h2 {
        font-size: var(--type-title);
        font-weight: 600;
    }
    & ul {
        margin: 0;
        padding: 0;
        list-style: none;
        display: grid;
        gap: var(--space-2);
        max-width: 86ch;
    }
    & li {
        border-top: 1px solid var(--line);
        padding-bottom: var(--space-2);
    }
    & li button {
        text-align: left;
    }
`;

interface FinishedPartProps {
    study: Study;
    desk: Desk;
    onZone: (zone: number) => void;
    onClose: () => void;
}

/** Whether it is finished: how far it is, and each thing that keeps it from it with the one step that would help. */
export function FinishedPart({ study, desk, onZone, onClose }: FinishedPartProps) {
    const asked = useFinished(study.id, desk.stamp, true);
    const findings = asked.data?.findings ?? [];
    return (
        <Part aria-label="Finished?">
            <h2>
                {desk.howFar}{' '}
                {desk.steps.length > 0 &&
                    `${desk.steps.length} ${desk.steps.length === 1 ? 'pass' : 'passes'} ` +
                        `left, about ${Math.round(desk.minutesLeft)} minutes.`}
            </h2>
            {asked.isPending && <p aria-busy="true">Checking the zones…</p>}
            {asked.error !== null && <p role="alert">{sentenceOf(asked.error)}</p>}
            {asked.data !== undefined && findings.length === 0 && (
                <p>
                    As far as the plan can tell, darks, lights and edges match the photo. Look at the drawing upside down and from across
                    the room.
                </p>
            )}
            <ul>
                {findings.map((f) => (
                    <li key={`${f.what}/${f.zone}`}>
                        <WordButton onPress={() => onZone(f.zone)} aria-label={`Show where: ${f.text}`}>
                            {f.text}
                        </WordButton>
                        <p>{f.step}</p>
                    </li>
                ))}
            </ul>
            <p>
                Keep what worked: <Link to={`/book/${study.id}?part=recipes`}>save recipes in the Book</Link>.
            </p>
            <Button onPress={onClose}>Back to the desk</Button>
        </Part>
    );
}
