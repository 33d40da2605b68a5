import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { LogSession } from '../../../api/types';
import { TextInput, WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import { inHours, inLength, when } from './words';

const Entry = styled.li`
    padding: var(--space-2) 0 var(--space-3);
    border-top: 1px solid var(--line);
    & .used {
        display: flex;
        flex-wrap: wrap;
        gap: var(--space-2) var(--space-3);
        padding: var(--space-2) 0 var(--space-1);
    }
    & .used > span {
        display: flex;
        align-items: center;
        gap: var(--space-2);
    }
    & .used i {
        width: 26px;
        height: 18px;
    }
    & .note {
        flex: 1;
        min-width: 200px;
        max-width: 60ch;
    }
`;

/** One session: when, how long, what was laid where and with what, and what one noted. */
export function SessionEntry({ session, onNote }: { session: LogSession; onNote: (note: string) => void }) {
    return (
        <Entry>
            <p>
                <b>{when(session.began, session.ended)}</b>
            </p>
            <p>
                <Link to={`/desk/${session.study}`}>{session.studyName}</Link>: {session.passes} {session.passes === 1 ? 'pass' : 'passes'}{' '}
                in {inHours(session.minutes)}
                {session.leftOut > 0 && `, ${session.leftOut} left out`}
                {session.zones.length > 0 && `: ${session.zones.map((z) => `“${z}”`).join(', ')}`}.
            </p>
            <p className="used">
                {session.tools.map((tool) => (
                    <span key={tool.id} title={tool.name}>
                        {tool.hex !== null && <i style={{ background: tool.hex }} />}
                        {tool.number}
                        {tool.usedMm > 0 && `, ${inLength(tool.usedMm)}`}
                    </span>
                ))}
            </p>
            <Note note={session.note} onNote={onNote} />
        </Entry>
    );
}

function Note({ note, onNote }: { note: string; onNote: (note: string) => void }) {
    const [draft, setDraft] = useState<string | null>(null);
    if (draft === null) {
        return (
            <Row>
                {note !== '' && <span>{note}</span>}
                <WordButton onPress={() => setDraft(note)}>{note === '' ? 'Add a note' : 'Edit note'}</WordButton>
            </Row>
        );
    }
    const keep = () => {
        onNote(draft);
        setDraft(null);
    };
    return (
        <Row as="form" onSubmit={keep}>
            <TextInput
                className="note"
                aria-label="Note of this session"
                autoFocus
                maxLength={2000}
                value={draft}
                onChange={(e) => setDraft(e.target.value)}
                onKeyDown={(e) => e.key === 'Escape' && setDraft(null)}
            />
            <WordButton onPress={keep}>Save note</WordButton>
            <WordButton onPress={() => setDraft(null)}>Cancel</WordButton>
        </Row>
    );
}
