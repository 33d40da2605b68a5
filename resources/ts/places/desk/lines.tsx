import { Link } from 'react-router';
import styled from 'styled-components';
import type { Desk, DeskStep, Study } from '../../api/types';
import { Dab } from '../../dabs/Dab';
import { Button, WordButton } from '../../ui/controls';
import { numberOf, type DeskState } from './deskState';

const Next = styled.p`
    font-size: var(--type-title);
    min-height: 44px;
    display: flex;
    align-items: center;
    flex-wrap: wrap;
    gap: 0 var(--space-2);
    & .swatch {
        width: 56px;
        height: 36px;
    }
    & a {
        display: inline-flex;
        align-items: center;
        min-height: 44px;
    }
`;

const Stop = styled.section`
    display: grid;
    gap: var(--space-3);
    justify-items: start;
    & h2 {
        font-size: var(--type-title);
        font-weight: 600;
    }
`;

interface NextLineProps {
    current: DeskStep;
    next: DeskStep | null;
    study: Study;
    /** What lies ready, each pencil with its swatch. */
    tools: Desk['sessions'][number]['tools'];
}

/** What comes after this pass, with the swatch of its pencil; and, before the first of a zone, the way to try it on a scrap. */
export function NextLine({ current, next, study, tools }: NextLineProps) {
    const strata = tools.find((t) => t.pencil !== null && t.pencil.id === next?.pencil?.id)?.strata ?? [];
    return (
        <Next>
            {next !== null && numberOf(next) !== numberOf(current) && strata.length > 0 && (
                <span className="swatch">
                    <Dab strata={strata} width={56} height={36} label="" />
                </span>
            )}
            <span>
                {next === null
                    ? 'This is the last pass.'
                    : `Then ${numberOf(next) === numberOf(current) ? 'the same pencil' : numberOf(next)}, ` +
                      `${next.zone === current.zone ? 'here again' : `“${next.zoneName}”`}.`}{' '}
                About {Math.max(1, Math.round(current.minutes))} min.
            </span>
            {current.pass === 1 && (
                <Link
                    to={
                        `/drawer?beside=hand&paper=${encodeURIComponent(study.paper)}&planOf=${study.id}` +
                        `&zone=${current.zone}&zoneName=${encodeURIComponent(current.zoneName)}`
                    }
                >
                    Try on a scrap first
                </Link>
            )}
        </Next>
    );
}

interface StopPartProps {
    desk: Desk;
    state: DeskState;
    onGoOn: () => void;
    onStop: () => void;
}

/** Whether this is a good place to stop, and where the next one is. */
export function StopPart({ desk, state, onGoOn, onStop }: StopPartProps) {
    const open = desk.zones.filter((z) => z.laid > 0 && z.left > 0);
    const left = desk.sessions[0]?.steps ?? 0;
    const isGood = desk.sessionEnds || state.wet.length > 0 || open.length <= 1 || desk.steps.length === 0;
    return (
        <Stop aria-label="Stop here">
            <h2>{isGood ? 'This is a good place to stop.' : 'You can stop here; all ticks are kept.'}</h2>
            {open.length > 0 && <p>Unfinished: {open.map((z) => `“${z.name}”`).join(', ')}.</p>}
            {state.wet.length > 0 && <p>Let wet zones dry. Close the jar; the rag goes into a lidded metal bin.</p>}
            {!isGood && left > 0 && (
                <p>
                    The next good place is {left} {left === 1 ? 'pass' : 'passes'} on, about {Math.round(desk.sessions[0]?.minutes ?? 0)}{' '}
                    minutes.
                </p>
            )}
            <p>Tap dust off beside the drawing, cover it, and wash your hands.</p>
            <div>
                <Button $main onPress={onStop}>
                    Stop for today
                </Button>
                <WordButton onPress={onGoOn}>Continue drawing</WordButton>
            </div>
        </Stop>
    );
}
