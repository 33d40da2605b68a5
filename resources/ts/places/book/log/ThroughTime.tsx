import styled from 'styled-components';
import type { LogSession } from '../../../api/types';
import { onDay } from './words';

const Strip = styled.ol`
    display: flex;
    gap: var(--space-2);
    margin: 0;
    padding: var(--space-2) 0;
    list-style: none;
    overflow-x: auto;
    & img {
        display: block;
        height: 120px;
    }
    & figure {
        margin: 0;
    }
    & figcaption {
        padding-top: var(--space-1);
        font-size: var(--type-figure);
        color: var(--soft-ink);
    }
`;

/** The drawings as they were photographed at the desk, the first at the left; nothing is shown where there is no photo. */
export function ThroughTime({ sessions }: { sessions: readonly LogSession[] }) {
    const photos = sessions.flatMap((s) => s.checks.map((id) => ({ id, of: s }))).reverse();
    return photos.length === 0 ? null : (
        <Strip aria-label="The drawing through time" tabIndex={0}>
            {photos.map(({ id, of }) => (
                <li key={id}>
                    <figure>
                        <img src={`/api/studies/${of.study}/plan/checks/${id}/photo`} alt={`“${of.studyName}” on ${onDay(of.began)}`} />
                        <figcaption>{onDay(of.began)}</figcaption>
                    </figure>
                </li>
            ))}
        </Strip>
    );
}
