import styled from 'styled-components';
import { sentenceOf } from '../../../api/client';
import type { Log, LogTotalOf, Study } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { Button } from '../../../ui/controls';
import { Aired, Row } from '../../../ui/layout';
import { Entries, TwoColumns } from '../TwoColumns';
import { useBookNotes, useLog } from './queries';
import { HoursAWeek } from './HoursAWeek';
import { ThroughTime } from './ThroughTime';
import { SessionEntry } from './SessionEntry';
import { SupplyPart } from './SupplyPart';
import { inHours, inLength } from './words';

const Sums = styled.table`
    border-collapse: collapse;
    & td,
    & th {
        padding: var(--space-1) var(--space-3) var(--space-1) 0;
        text-align: right;
        font-weight: inherit;
    }
    & th:first-child {
        text-align: left;
    }
    & thead th {
        color: var(--soft-ink);
        font-size: var(--type-figure);
    }
`;

interface LogViewProps {
    study: Study;
    onFault: (text: string) => void;
}

/** What was worked, session by session, what it comes to, and which pencil will not last. */
export function LogView({ study, onFault }: LogViewProps) {
    const log = useLog();
    const notes = useBookNotes(onFault);
    const sessions = log.data?.pages.flatMap((page) => page.sessions) ?? [];
    const whole = log.data?.pages[0];
    return (
        <TwoColumns $first={3}>
            <Column aria-label="Sessions">
                <PartHead $first>
                    <h2>Sessions</h2>
                </PartHead>
                {log.isPending && <p aria-busy="true">Opening the log…</p>}
                {log.error !== null && <p role="alert">{sentenceOf(log.error)}</p>}
                {whole !== undefined && sessions.length === 0 && (
                    <Aired>No sessions yet. Passes you tick at the Desk are logged here automatically.</Aired>
                )}
                <ThroughTime sessions={sessions} />
                <Entries>
                    {sessions.map((s) => (
                        <SessionEntry key={s.id} session={s} onNote={(note) => notes.note.mutate({ session: s.id, note })} />
                    ))}
                </Entries>
                {log.hasNextPage && (
                    <Row>
                        <Button isPending={log.isFetchingNextPage} onPress={() => void log.fetchNextPage()}>
                            {log.isFetchingNextPage ? 'Opening…' : 'Earlier sessions'}
                        </Button>
                    </Row>
                )}
            </Column>
            <div>
                <SupplyPart study={study} notes={notes} />
                {whole !== undefined && whole.total.sessions > 0 && <Totals log={whole} />}
            </div>
        </TwoColumns>
    );
}

function Totals({ log }: { log: Log }) {
    return (
        <Column aria-label="Totals">
            <PartHead>
                <h2>Totals</h2>
                <Row className="end">
                    <a href="/api/book/log/log.csv">Table</a>
                    <a href="/api/book/log/log.ics">Calendar</a>
                </Row>
            </PartHead>
            <HoursAWeek weeks={log.weeks} />
            <Sums>
                <thead>
                    <tr>
                        <td />
                        <th scope="col">sessions</th>
                        <th scope="col">hours</th>
                        <th scope="col">passes</th>
                        <th scope="col">pencil used</th>
                    </tr>
                </thead>
                <tbody>
                    <Sum total={{ of: 0, name: 'total', ...log.total }} />
                    {log.years.map((year) => (
                        <Sum key={`year ${year.of}`} total={year} />
                    ))}
                    {log.studies.map((s) => (
                        <Sum key={`study ${s.of}`} total={s} />
                    ))}
                </tbody>
            </Sums>
        </Column>
    );
}

function Sum({ total }: { total: LogTotalOf }) {
    return (
        <tr>
            <th scope="row">{total.name}</th>
            <td>{total.sessions}</td>
            <td>{inHours(total.minutes)}</td>
            <td>{total.passes}</td>
            <td>{inLength(total.usedMm)}</td>
        </tr>
    );
}
