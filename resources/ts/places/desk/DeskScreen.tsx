import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { Desk, Study } from '../../api/types';
import { WordButton } from '../../ui/controls';
import { BesideThePhoto } from './BesideThePhoto';
import { UnderTheHand } from './UnderTheHand';
import { HabitsPart } from './HabitsPart';
import { LayOutPart } from './LayOutPart';
import { PlanAgain } from './PlanAgain';
import { useDesk, useDeskChanges, type DeskChanges } from './queries';
import { Timers } from './Timers';
import { useDeskWork, type DeskWork } from './useDeskWork';
import { useWakeLock } from './useWakeLock';
import { ZoneOnPhoto } from './ZoneOnPhoto';

const Head = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-4);
    padding: 0 var(--space-5);
    & .end {
        margin-left: auto;
        display: flex;
        flex-wrap: wrap;
        gap: 0 var(--space-2);
    }
`;

/* What is pressed lies under the photo, on the side of the hand that does not draw. */
const Two = styled.main<{ $isLeft: boolean }>`
    display: grid;
    grid-template-columns: ${(p) => (p.$isLeft ? 'minmax(0, 6fr) minmax(0, 5fr)' : 'minmax(0, 5fr) minmax(0, 6fr)')};
    grid-template-areas: ${(p) => (p.$isLeft ? "'beside photo' 'beside hand'" : "'photo beside' 'hand beside'")};
    grid-template-rows: auto 1fr;
    gap: var(--space-2) var(--space-5);
    /* The hand rests on the lower edge of a tablet that is propped up: nothing stands there. */
    padding: var(--space-1) var(--space-5) var(--space-6);
    & > .photo {
        grid-area: photo;
    }
    & > .beside {
        grid-area: beside;
    }
    & > .hand {
        grid-area: hand;
    }
    @media (max-width: 899px) {
        grid-template-columns: minmax(0, 1fr);
        grid-template-areas: 'photo' 'beside' 'hand';
    }
`;

const Plain = styled.main`
    padding: var(--space-5);
`;

interface DeskScreenProps {
    study: Study;
    onFault: (text: string) => void;
}

/** The desk of a study, as soon as it is there. */
export function DeskScreen({ study, onFault }: DeskScreenProps) {
    const desk = useDesk(study.id);
    const changes = useDeskChanges(study.id, (error) => onFault(sentenceOf(error)));
    useWakeLock();
    if (desk.data === undefined) {
        return desk.error === null ? (
            <Plain aria-busy="true">Opening the desk…</Plain>
        ) : (
            <Plain>
                <p role="alert">{sentenceOf(desk.error)}</p>
                <WordButton onPress={() => void desk.refetch()}>Try again</WordButton>
            </Plain>
        );
    }
    const { cannot, unplanned } = desk.data;
    const stale = desk.error !== null && (
        <Plain as="div">
            <p role="alert">
                {sentenceOf(desk.error)} What you see may be out of date.{' '}
                <WordButton onPress={() => void desk.refetch()}>Try again</WordButton>
            </p>
        </Plain>
    );
    const planAgain = unplanned !== null && (
        <PlanAgain study={study.id} words={unplanned} onFault={(error) => onFault(sentenceOf(error))} />
    );
    if (cannot !== null) {
        return planAgain === false ? (
            <Plain>
                {cannot} <Link to={`/plan/${study.id}`}>Open the plan</Link>.
            </Plain>
        ) : (
            <main>
                {stale}
                {planAgain}
            </main>
        );
    }
    return (
        <>
            {stale}
            {planAgain}
            <AtWork study={study} desk={desk.data} changes={changes} />
        </>
    );
}

function AtWork({ study, desk, changes }: { study: Study; desk: Desk; changes: DeskChanges }) {
    const work = useDeskWork(study.id, desk, changes);
    const [looked, setLooked] = useState<number | null>(null);
    const [isHow, setIsHow] = useState(false);
    const { current, wet, pending } = work.state;
    const session = desk.sessions[0];
    return (
        <>
            <HeadLine desk={desk} work={work} isHow={isHow} onHow={() => setIsHow(!isHow)} />
            {isHow && <HabitsPart desk={desk} onChange={(change) => changes.habits.mutate(change)} />}
            {!work.sitting.isBegun && session !== undefined && current !== null && work.beside === 'pass' ? (
                <LayOutPart
                    study={study}
                    stamp={desk.stamp}
                    isWhole={desk.unplanned === null}
                    session={session}
                    of={desk.sessions.length}
                    onBegin={work.sitting.begin}
                />
            ) : (
                <Two className="from-afar" $isLeft={desk.habits.hand === 'left'}>
                    <div className="photo">
                        <ZoneOnPhoto
                            study={study}
                            zones={desk.zones}
                            zone={work.beside === 'finished' ? looked : (current?.zone ?? null)}
                            step={work.beside === 'finished' ? null : current}
                        />
                    </div>
                    <div className="beside">
                        <BesideThePhoto study={study} desk={desk} work={work} onLook={setLooked} />
                    </div>
                    <div className="hand">
                        {work.beside === 'pass' && <UnderTheHand study={study} desk={desk} work={work} />}
                        <Timers wet={wet} now={work.now} pending={pending} />
                        {work.sitting.isBreakDue(work.now) && desk.habits.breaks && (
                            <p role="status">
                                Take a break: look into the distance and let your hands hang.{' '}
                                <WordButton onPress={work.sitting.rest}>Done</WordButton>
                            </p>
                        )}
                    </div>
                </Two>
            )}
        </>
    );
}

interface HeadLineProps {
    desk: Desk;
    work: DeskWork;
    isHow: boolean;
    onHow: () => void;
}

const sum = ({ zones }: Desk, what: 'laid' | 'left'): number => zones.reduce((n, z) => n + z[what], 0);

/** How far it is, what this session holds, and what can be asked. */
function HeadLine({ desk, work, isHow, onHow }: HeadLineProps) {
    const session = desk.sessions[0];
    return (
        <Head>
            <span>{desk.howFar}</span>
            <progress aria-label="Passes done" value={sum(desk, 'laid')} max={Math.max(1, sum(desk, 'laid') + sum(desk, 'left'))} />
            {session !== undefined && (
                <span>
                    {desk.sessions.length === 1 ? 'last session' : `${desk.sessions.length} sessions left`} · now {session.steps}{' '}
                    {session.steps === 1 ? 'pass' : 'passes'}, about {Math.round(session.minutes)} min
                </span>
            )}
            <div className="end">
                <WordButton aria-expanded={isHow} onPress={onHow}>
                    Settings
                </WordButton>
                <WordButton onPress={() => work.toggle('finished')}>Finished?</WordButton>
                <WordButton onPress={() => work.toggle('stop')}>Stop here</WordButton>
            </div>
        </Head>
    );
}
