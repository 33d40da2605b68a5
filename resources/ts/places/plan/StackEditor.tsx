import { useState } from 'react';
import styled from 'styled-components';
import type { Drawer, Plan, PlanAnswers, PlanRecipe, PlanTarget, PlanZone, Study } from '../../api/types';
import { NativeSelect, WordButton } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { signed } from '../../ui/signed';
import { Caution } from './Caution';
import { useAnswers, useTried, type PlanChanges } from './queries';
import { FINISHES, stepsOf, textOf, type Step } from '../../dabs/stackText';
import { StackSteps } from './StackSteps';
import { Row, Dabs } from '../../ui/layout';

const Block = styled.section`
    padding: 4px 16px 12px 12px;
    & p {
        padding: 2px 0;
    }
    & .mind {
        border-top: 1px solid var(--line);
        font-size: var(--size-text);
    }
`;

const Answer = styled.p`
    display: flex;
    align-items: center;
    gap: var(--space-small);
    border-top: 1px solid var(--line);
    & > span:nth-child(2) {
        flex: 1;
        font-size: var(--size-note);
    }
`;

interface StackEditorProps {
    study: Study;
    zone: PlanZone;
    target: PlanTarget;
    cautions: Plan['cautions'];
    pencils: Drawer['pencils'];
    changes: PlanChanges;
    /** What every answer follows from beside its own colour: paper, way of working, pencils. */
    basis: string;
}

/**
 * One stack to argue with: its passes reordered by dragging or by the arrows, pencils and pressures changed, passes added and dropped. What
 * comes of it shows at once; it is kept at once too, and undone with Undo.
 */
export function StackEditor({ study, zone, target, cautions, pencils, changes, basis }: StackEditorProps) {
    const { recipe } = target;
    const [draft, setDraft] = useState<string | null>(null);
    const [compared, setCompared] = useState(false);
    const stack = draft ?? recipe?.stack ?? '';
    const tried = useTried(study.id, zone.number, target.role, draft !== null && draft !== recipe?.stack && draft !== '' ? draft : null);
    const answers = useAnswers(
        study.id,
        zone.number,
        target.role,
        `${basis}/${target.aim.lab.join()}/${zone.school?.join() ?? ''}`,
        compared,
    );
    const shown = draft !== null && draft !== recipe?.stack ? (tried.data ?? recipe) : recipe;
    if (recipe === null || shown === null) {
        return <Block>{changes.run.isPending ? 'Planning…' : 'This colour is not planned yet.'}</Block>;
    }
    const at = { zone: zone.number, role: target.role };
    const keep = (steps: readonly Step[] | null) => {
        const text = steps === null ? null : textOf(steps);
        if (text === '') {
            return;
        }
        setDraft(text);
        // What was changed further meanwhile stays what one works on.
        changes.change.mutate({ kind: 'stack', ...at, stack: text }, { onSettled: () => setDraft((d) => (d === text ? null : d)) });
    };
    const steps = stepsOf(stack);
    return (
        <Block aria-label={`${target.role} of ${zone.name}`} data-testid="stack">
            <HowClose shown={shown} target={target} />
            <StackSteps steps={steps} passes={shown.passes} pencils={pencils} onKeep={keep} />
            <Row>
                <AddOnTop pencils={pencils} onAdd={(step) => keep([...steps, step])} />
                {target.own ? (
                    <WordButton onPress={() => changes.change.mutate({ kind: 'stack', ...at, stack: null })}>
                        Give it back to the planner
                    </WordButton>
                ) : (
                    <WordButton onPress={() => keep(steps)}>Hold it as it is</WordButton>
                )}
                <WordButton aria-expanded={compared} onPress={() => setCompared(!compared)}>
                    Compare answers
                </WordButton>
            </Row>
            {compared && <Answers answers={answers.data} target={target} onTake={(taken) => keep(stepsOf(taken))} />}
            <Mind at={at} shown={shown} target={target} cautions={cautions} changes={changes} />
        </Block>
    );
}

function HowClose({ shown, target }: { shown: PlanRecipe; target: PlanTarget }) {
    return (
        <>
            <p role="status">
                <b>{shown.closenessWords}</b> (ΔE00 {shown.deltaE00.toFixed(1)}; value {signed(shown.valueError)}; tooth{' '}
                {Math.round(shown.toothUsed * 100)} %; hand ±{shown.steadiness.toFixed(1)}).{' '}
                {target.own ? 'Your own stack, held.' : `The planner's: ${shown.label}.`}
            </p>
            {shown.reasons.map((r) => (
                <p key={r}>{r}</p>
            ))}
        </>
    );
}

function AddOnTop({ pencils, onAdd }: { pencils: Drawer['pencils']; onAdd: (step: Step) => void }) {
    return (
        <NativeSelect
            aria-label="Add a pass on top"
            value=""
            $width={150}
            onChange={(e) => {
                const chosen = e.target.value;
                onAdd((FINISHES as readonly string[]).includes(chosen) ? { finish: chosen } : { pencil: chosen, pressure: 0.35 });
            }}
        >
            <option value="">Add on top…</option>
            {pencils.map((p) => (
                <option key={p.id} value={p.id}>
                    {p.number} {p.name}
                </option>
            ))}
            {FINISHES.map((f) => (
                <option key={f}>{f}</option>
            ))}
        </NativeSelect>
    );
}

interface AnswersProps {
    answers: PlanAnswers | undefined;
    target: PlanTarget;
    onTake: (stack: string) => void;
}

function Answers({ answers, target, onTake }: AnswersProps) {
    return (
        <div role="group" aria-label="Answers">
            {answers === undefined && <p role="status">Finding up to four answers…</p>}
            {answers?.recipes.map((r) => (
                <Answer key={r.stack}>
                    <Dabs $width={34} $height={34}>
                        {r.passes.map((p, i) => (
                            <span key={i}>
                                <Dab strata={p.strata} width={34} height={34} label="" />
                            </span>
                        ))}
                        <span style={{ background: target.aim.hex }} />
                    </Dabs>
                    <span>
                        <b>{r.label}</b>: {r.passes.map((p) => p.pencil?.number ?? p.finish).join(', ')}. {r.closenessWords} (ΔE00{' '}
                        {r.deltaE00.toFixed(1)})
                    </span>
                    <WordButton aria-label={`Take ${r.label}`} onPress={() => onTake(r.stack)}>
                        Take
                    </WordButton>
                </Answer>
            ))}
        </div>
    );
}

interface MindProps {
    at: { zone: number; role: PlanTarget['role'] };
    shown: PlanRecipe;
    target: PlanTarget;
    cautions: Plan['cautions'];
    changes: PlanChanges;
}

function Mind({ at, shown, target, cautions, changes }: MindProps) {
    return (
        <>
            {shown.cautions.map((c) => (
                <Caution
                    key={c.code}
                    words={`${c.step > 0 ? `Pass ${c.step}: ` : ''}${c.text} ${c.remedy}`}
                    code={c.code}
                    note={target.overruled[c.code] ?? null}
                    onRemedy={() => changes.change.mutate({ kind: 'remedy', ...at, code: c.code })}
                    onOverrule={(note) => changes.change.mutate({ kind: 'overrule', ...at, code: c.code, note })}
                />
            ))}
            {cautions.map((c) => (
                <Caution
                    key={c.text}
                    words={`${c.text} ${c.remedy}`}
                    code={c.code}
                    note={target.overruled[c.code] ?? null}
                    onRemedy={() => changes.change.mutate({ kind: 'remedy', ...at, code: c.code })}
                    onOverrule={(note) => changes.change.mutate({ kind: 'overrule', ...at, code: c.code, note })}
                />
            ))}
        </>
    );
}
