import { useState } from 'react';
import styled from 'styled-components';
import type { Drawer, Plan, PlanSequence, PlanShade, PlanZone, Study } from '../../../api/types';
import { WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import { within } from '../../../ui/within';
import { Answers } from './Answers';
import { WarningLine } from './WarningLine';
import { PassBar } from './PassBar';
import { useAnswers, type PlanChanges } from '../queries';
import { warnedIn } from './warned';
import { choiceOfPencil, drafted, movedPass, passesOf, withMore, type Chosen, type Pass } from './sequence';
import { SequenceTable } from './SequenceTable';
import { ToolBox } from './ToolBox';

const Block = styled.section`
    padding: var(--space-1) var(--space-4) var(--space-3) var(--space-3);
    min-width: 0;
    & p {
        padding: var(--space-1) 0;
    }
    & .mind {
        border-top: 1px solid var(--line);
        font-size: var(--type-text);
    }
    & .mind svg {
        height: 1em;
        vertical-align: -0.1em;
    }
`;

interface SequenceEditorProps {
    study: Study;
    zone: PlanZone;
    picture: Plan;
    pencils: Drawer['pencils'];
    changes: PlanChanges;
    /** What every answer follows from: paper, method, pencils, colours. */
    basis: string;
}

/** One zone's sequence to argue with. Every change is kept at once, and undone with Undo. */
export function SequenceEditor({ study, zone, picture, pencils, changes, basis }: SequenceEditorProps) {
    const { sequence } = zone;
    const [compared, setCompared] = useState(false);
    const answers = useAnswers(study.id, zone.number, basis, compared);
    const work = useSequence(zone, sequence, pencils, changes);
    if (sequence === null) {
        return <Block>{changes.run.isPending ? 'Planning…' : 'This zone is not planned yet.'}</Block>;
    }
    const { passes, shown, chosen, keep } = work;
    const pass = shown[chosen.at];
    const names = zone.shades.map((s) => s.shade);
    return (
        <Block aria-label={`Sequence of ${zone.name}`} data-testid="sequence">
            <HowSure sequence={sequence} />
            <SequenceTable
                zone={zone}
                passes={shown}
                pressures={picture.pressures}
                chosen={chosen}
                onChosen={work.choose}
                onMoved={(from, to) => keep(movedPass(passes, from, to), to)}
            />
            {pass !== undefined && (
                <PassBar {...{ zone, picture, pass, passes, pencils, changes, keep }} at={chosen.at} shade={chosen.shade} />
            )}
            <Row>
                <AddPass
                    pencils={pencils}
                    finishes={picture.finishes}
                    onAdd={(tool) => keep(withMore(passes, tool, names), passes.length)}
                />
                {sequence.own ? (
                    <WordButton onPress={() => keep(null)}>Plan this zone again</WordButton>
                ) : (
                    <WordButton onPress={() => keep(passes)}>Keep this sequence</WordButton>
                )}
                <WordButton aria-expanded={compared} onPress={() => setCompared(!compared)}>
                    Compare sequences
                </WordButton>
            </Row>
            {compared && <Answers zone={zone} answers={answers.data} onTake={(taken) => keep(passesOf(taken), 0)} />}
            {zone.shades.map((s) => (
                <Warnings key={s.shade} zone={zone} shade={s} picture={picture} changes={changes} />
            ))}
        </Block>
    );
}

/**
 * Which pass and shade is chosen, and the passes as they are worked on: faster than the application answers, each change on the one
 * before.
 */
function useSequence(zone: PlanZone, sequence: PlanSequence | null, pencils: Drawer['pencils'], { change }: PlanChanges) {
    const [chosen, setChosen] = useState<Chosen>({ at: 0, shade: zone.shades[0]?.shade ?? 'mid' });
    const [draft, setDraft] = useState<readonly Pass[] | null>(null);
    const kept = sequence === null ? [] : passesOf(sequence);
    const passes = draft ?? kept;
    const keep = (next: readonly Pass[] | null, at = chosen.at) => {
        setChosen({ ...chosen, at });
        setDraft(next);
        const json = { kind: 'sequence' as const, zone: zone.number, passes: next === null ? null : [...next] };
        change.mutate(json, { onSettled: () => setDraft((d) => (d === next ? null : d)) });
    };
    return {
        passes,
        shown: sequence === null ? [] : draft === null ? sequence.passes : drafted(sequence.passes, draft, pencils),
        chosen: { ...chosen, at: Math.min(chosen.at, Math.max(0, passes.length - 1)) },
        choose: (at: number, shade: Chosen['shade']) => setChosen({ at, shade }),
        keep,
    };
}

function HowSure({ sequence }: { sequence: PlanSequence }) {
    return (
        <>
            <p role="status">
                <b>Likely error on paper: {within(sequence.errorOnPaper)}</b> (ΔE00). Colour off by {sequence.missed.toFixed(1)} as planned,
                by {sequence.errorInHand.toFixed(1)} in your hand. {sequence.own ? 'Your own sequence.' : `Planned: ${sequence.label}.`}
            </p>
            {sequence.passes.length === 0 && <p>{sequence.words}</p>}
        </>
    );
}

function AddPass({ pencils, finishes, onAdd }: { pencils: Drawer['pencils']; finishes: readonly string[]; onAdd: (tool: string) => void }) {
    const choices = [...pencils.map(choiceOfPencil), ...finishes.map((f) => ({ id: f, words: f }))];
    return <ToolBox label="Add a pass at the end" value="" placeholder="Add a pass…" choices={choices} onChosen={onAdd} />;
}

interface WarningsProps {
    zone: PlanZone;
    shade: PlanShade;
    picture: Plan;
    changes: PlanChanges;
}

/** What to look out for in one shade, by its passes and beside its neighbours. */
function Warnings({ zone, shade, picture, changes }: WarningsProps) {
    const at = { zone: zone.number, shade: shade.shade };
    return (
        <>
            {warnedIn(zone, shade, picture).map((w) => (
                <WarningLine
                    key={w.words}
                    words={w.words}
                    code={w.code}
                    note={shade.overruled[w.code] ?? null}
                    onRemedy={() => changes.change.mutate({ kind: 'remedy', ...at, code: w.code })}
                    onOverrule={(note) => changes.change.mutate({ kind: 'overrule', ...at, code: w.code, note })}
                />
            ))}
        </>
    );
}
