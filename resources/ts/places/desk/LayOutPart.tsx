import styled from 'styled-components';
import type { Desk, Study } from '../../api/types';
import { Dab } from '../../dabs/Dab';
import { Button } from '../../ui/controls';

const Part = styled.section`
    padding: var(--space-2) var(--space-5) var(--space-6);
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: var(--space-4) var(--space-6);
    align-items: start;
    & .laid-out {
        display: grid;
        gap: var(--space-4);
        justify-items: start;
    }
    & ul {
        list-style: none;
        margin: 0;
        padding: 0;
        display: grid;
        grid-template-columns: repeat(auto-fill, minmax(min(150px, 40%), 1fr));
        gap: var(--space-4);
        width: 100%;
    }
    & li b {
        font-size: calc(0.6 * var(--type-number));
        line-height: 1.15;
        display: block;
        letter-spacing: -0.02em;
    }
    & .swatch {
        height: 64px;
    }
    @media (max-width: 899px) {
        grid-template-columns: minmax(0, 1fr);
    }
    @media (max-width: 599px) {
        padding: var(--space-2) var(--space-4) var(--space-6);
        & .swatch {
            height: 40px;
        }
        & li b {
            font-size: var(--type-title);
        }
    }
`;

/** How the drawing is, and how it will be: one under the other where they are read upright, side by side where there is room. */
const Pictures = styled.div<{ $shape: number }>`
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
    gap: var(--space-3);
    & figure {
        margin: 0;
    }
    & img {
        display: block;
        width: 100%;
        background: var(--raised);
        aspect-ratio: ${(p) => p.$shape};
    }
    & figcaption {
        padding-top: var(--space-1);
        font-size: var(--type-small);
    }
`;

interface LayOutPartProps {
    study: Study;
    /** Of the desk as it is shown, so that another picture is another address. */
    stamp: number;
    /** Whether every zone is planned: a picture with gaps can't be drawn. */
    isWhole: boolean;
    session: Desk['sessions'][number];
    of: number;
    onBegin: () => void;
}

/** Before a session: what it will make of the drawing, and what to lay out for it, so that nothing has to be fetched in the middle. */
export function LayOutPart({ study, stamp, isWhole, session, of, onBegin }: LayOutPartProps) {
    const picture = (when: 'now' | 'then') => `/api/studies/${study.id}/desk/picture/${when}?of=${stamp}`;
    return (
        <Part className="from-afar" aria-label="Laying out">
            <div className="laid-out">
                <h2>
                    Today: {session.steps} {session.steps === 1 ? 'pass' : 'passes'}, about {Math.round(session.minutes)} minutes
                </h2>
                <ul aria-label="To lay out">
                    {session.tools.map((t) => (
                        <li key={t.pencil?.id ?? t.finish}>
                            {t.strata.length > 0 && (
                                <div className="swatch">
                                    <Dab strata={t.strata} width={150} height={64} label="" />
                                </div>
                            )}
                            <b>{t.pencil?.number ?? t.finish}</b>
                            {t.pencil?.name ?? t.layOut}
                        </li>
                    ))}
                </ul>
                <Button $main onPress={onBegin}>
                    Start session
                </Button>
            </div>
            <div className="laid-out">
                {isWhole && (
                    <Pictures $shape={study.photoWidth / study.photoHeight}>
                        <figure>
                            <img src={picture('now')} alt="The drawing as the plan has it now" />
                            <figcaption>now</figcaption>
                        </figure>
                        <figure>
                            <img src={picture('then')} alt="The drawing as the plan has it after this session" />
                            <figcaption>after this session</figcaption>
                        </figure>
                    </Pictures>
                )}
                <p>
                    {of > 1 ? `${of} sessions left, including this one. ` : ''}Put a clean sheet of paper under your hand so that nothing
                    smears.
                </p>
                {session.body.map((text) => (
                    <p key={text} role="note">
                        {text}
                    </p>
                ))}
            </div>
        </Part>
    );
}
