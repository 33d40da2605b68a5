import styled from 'styled-components';
import type { Desk } from '../../api/types';
import { Button } from '../../ui/controls';

const Part = styled.section`
    padding: 8px 24px 24px;
    display: grid;
    gap: 12px;
    justify-items: start;
    & h2 {
        font-size: 26px;
        font-weight: 600;
    }
    & ul {
        list-style: none;
        margin: 0;
        padding: 0;
        display: grid;
        grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
        gap: 6px 18px;
        width: 100%;
    }
    & li b {
        font-size: 56px;
        line-height: 1.1;
        display: block;
        letter-spacing: -0.02em;
    }
    & li {
        font-size: var(--size-lead);
        border-top: 1.5px solid var(--strong-line);
    }
`;

interface LayOutPartProps {
    session: Desk['sessions'][number];
    of: number;
    onBegin: () => void;
}

/** Before a session: what lies beside the drawing for it, so that nobody gets up for a pencil in the middle. */
export function LayOutPart({ session, of, onBegin }: LayOutPartProps) {
    return (
        <Part aria-label="Laying out">
            <h2>
                Lay out for this session: {session.steps} {session.steps === 1 ? 'pass' : 'passes'}, about {Math.round(session.minutes)}{' '}
                minutes
            </h2>
            <ul>
                {session.tools.map((t) => (
                    <li key={t.pencil?.id ?? t.finish}>
                        <b>{t.pencil?.number ?? t.finish}</b>
                        {t.pencil?.name ?? t.layOut}
                    </li>
                ))}
            </ul>
            <p>
                {of > 1 ? `There are ${of} sessions to come, this one counted. ` : ''}Under the hand a clean sheet of paper, so that nothing
                laid is smeared.
            </p>
            {session.body.map((text) => (
                <p key={text} role="note">
                    {text}
                </p>
            ))}
            <Button $main onPress={onBegin}>
                They lie here: begin
            </Button>
        </Part>
    );
}
