import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { sentenceOf } from '../../../api/client';
import type { Hand, StripCame } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { Button, NativeSelect, WordButton } from '../../../ui/controls';
import { Aired, Row } from '../../../ui/layout';
import { ByPhoto } from './ByPhoto';
import { StripLadder } from './StripLadder';
import { sent, useHand, type Said, type StripsOf, type ZoneToTry } from './useHand';

const Plain = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
`;

const Came = styled.li`
    display: grid;
    grid-template-columns: 36px 36px minmax(0, 1fr);
    gap: 0 0;
    padding: var(--space-2) 0;
    border-top: 1px solid var(--line);
    & > span {
        min-height: 32px;
    }
    & > p {
        padding-left: var(--space-3);
    }
`;

const STRIPS_OF = ['pencils', 'sequences', 'zone'] as const;

/** One's own hand on a paper: strips are laid on a scrap, judged, and every prediction goes by what they teach. */
export function HandView({ paper, study, zone }: { paper: string; study: number | null; zone: ZoneToTry | null }) {
    const [of, setOf] = useState<StripsOf>(zone === null ? 'pencils' : 'zone');
    const state = useHand(paper, study, of, zone);
    const { hand } = state;
    return (
        <Column aria-label="My hand">
            <PartHead $first>
                <h2>My hand on {paper}</h2>
            </PartHead>
            {hand.isPending && <p aria-busy="true">Loading your strips…</p>}
            {hand.error !== null && <p role="alert">{sentenceOf(hand.error)}</p>}
            {hand.data !== undefined && (
                <>
                    <Known hand={hand.data} />
                    <PartHead>
                        <h2>Strips to draw</h2>
                    </PartHead>
                    {study !== null && (
                        <NativeSelect
                            aria-label="Which strips"
                            value={of}
                            onChange={(e) => setOf(STRIPS_OF.find((s) => s === e.target.value) ?? 'pencils')}
                        >
                            {zone !== null && <option value="zone">as the plan lays “{zone.name}”, shade by shade</option>}
                            <option value="pencils">single pencils (most informative)</option>
                            <option value="sequences">the largest zones of the plan</option>
                        </NativeSelect>
                    )}
                    <Strips key={state.on} hand={hand.data} state={state} />
                    <CameOut came={hand.data.came} />
                    <Versions hand={hand.data} onUse={(number) => state.use.mutate(number)} isPending={state.use.isPending} />
                </>
            )}
        </Column>
    );
}

function Known({ hand: { hand, paper } }: { hand: Hand }) {
    const said = useRef<HTMLParagraphElement>(null);
    const before = useRef(hand?.number);
    useEffect(() => {
        // What was learned stands above the strips that it was learned from.
        if (before.current !== hand?.number) {
            before.current = hand?.number;
            said.current?.scrollIntoView({ block: 'center' });
        }
    }, [hand?.number]);
    if (hand === null) {
        return (
            <Aired role="status" ref={said}>
                Predictions assume an average, even hand. Draw a few strips on a scrap of {paper} and say how they turned out; from then on
                predictions fit your hand. Six strips take about ten minutes.
            </Aired>
        );
    }
    return (
        <Aired role="status" ref={said}>
            <b>{hand.words}</b> Pressure × {hand.pressure.toFixed(2)}, film × {hand.laydown.toFixed(2)}, unevenness ×{' '}
            {hand.spread.toFixed(1)}. Your strips were off by {hand.rmsBeforeDeltaE00.toFixed(1)}; by your hand they are off by{' '}
            {hand.rmsAfterDeltaE00.toFixed(1)} (ΔE00). Every prediction on this paper goes by it.
        </Aired>
    );
}

function Strips({ hand, state }: { hand: Hand; state: ReturnType<typeof useHand> }) {
    const [said, setSaid] = useState<Record<string, Said>>({});
    const say = (stack: string, what: Said | null) =>
        setSaid(
            Object.fromEntries([...Object.entries(said).filter(([s]) => s !== stack), ...(what === null ? [] : [[stack, what] as const])]),
        );
    const count = Object.keys(said).length;
    return (
        <>
            <p>
                Draw each strip as described on a scrap of this paper, the way you usually draw. Then choose the swatch that looks most like
                it.
            </p>
            <ByPhoto state={state} onRead={setSaid} />
            <Plain>
                {hand.strips.map((strip, i) => (
                    <StripLadder
                        key={strip.stack}
                        at={i + 1}
                        strip={strip}
                        said={said[strip.stack]}
                        onSaid={(what) => say(strip.stack, what)}
                    />
                ))}
            </Plain>
            <Row>
                <Button
                    $main
                    isDisabled={count === 0}
                    isPending={state.learn.isPending}
                    onPress={() => state.learn.mutate(sent(said), { onSuccess: () => setSaid({}) })}
                >
                    {state.learn.isPending
                        ? 'Learning…'
                        : count === 0
                          ? 'Learn from these strips'
                          : `Learn from ${count === 1 ? 'one strip' : `${count} strips`}`}
                </Button>
                <span>You can undo this.</span>
            </Row>
        </>
    );
}

function CameOut({ came }: { came: readonly StripCame[] }) {
    if (came.length === 0) {
        return null;
    }
    return (
        <>
            <PartHead>
                <h2>Your results</h2>
                <span>planned, measured</span>
            </PartHead>
            <Plain aria-label="Results of the strips">
                {came.map((c, i) => (
                    <Came key={i}>
                        <span style={{ background: c.meantHex }} title="meant" />
                        <span style={{ background: c.foundHex }} title="found" />
                        <p>
                            <b>{c.words}</b>: {c.fault}. {c.move}
                        </p>
                    </Came>
                ))}
            </Plain>
        </>
    );
}

interface VersionsProps {
    hand: Hand;
    onUse: (number: number) => void;
    isPending: boolean;
}

function Versions({ hand, onUse, isPending }: VersionsProps) {
    if (hand.versions.length === 0) {
        return null;
    }
    return (
        <>
            <PartHead>
                <h2>Hand used for predictions</h2>
            </PartHead>
            <Plain aria-label="Versions of the hand">
                {hand.versions.map((v) => (
                    <li key={v.number}>
                        <Row>
                            <span>
                                {v.number}. {new Date(v.made).toLocaleDateString('en-GB')}: {v.words}
                            </span>
                            {v.inUse ? (
                                <b>in use</b>
                            ) : (
                                <WordButton isPending={isPending} aria-label={`Use version ${v.number}`} onPress={() => onUse(v.number)}>
                                    Use this hand
                                </WordButton>
                            )}
                        </Row>
                    </li>
                ))}
                <li>
                    <Row>
                        <span>Average, even hand</span>
                        {hand.hand === null ? (
                            <b>in use</b>
                        ) : (
                            <WordButton isPending={isPending} aria-label="Use the average hand" onPress={() => onUse(0)}>
                                Use this hand
                            </WordButton>
                        )}
                    </Row>
                </li>
            </Plain>
        </>
    );
}
