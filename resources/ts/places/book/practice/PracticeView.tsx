import { useEffect, useState } from 'react';
import { sentenceOf } from '../../../api/client';
import type { Skill, Study, Training } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { NativeSelect } from '../../../ui/controls';
import { Aired, Row } from '../../../ui/layout';
import { TwoColumns } from '../TwoColumns';
import { DrillPart } from './DrillPart';
import { Results, type Result } from './Results';
import { ProgressPart } from './ProgressPart';
import { useAnswer, usePractice } from './queries';

/** A session is short: after so many questions it says so. */
const A_SESSION = 10;

interface PracticeViewProps {
    study: Study;
}

/** Short questions from one's own photo and pencils; each is answered at once. */
export function PracticeView({ study }: PracticeViewProps) {
    const [skill, setSkill] = useState<Skill | null>(null);
    const [round, setRound] = useState(0);
    const { practice, answer, drill, chosen, results, choose, next, leave } = useDrills(study, skill, round, setRound);
    return (
        <TwoColumns $first={3}>
            <Column aria-label="Question">
                <PartHead $first>
                    <h2>{drill === null ? 'Practice' : `${drill.again ? 'Once more: ' : ''}${drill.skill}`}</h2>
                    <Row className="end">
                        <SkillChoice
                            skill={skill}
                            training={practice.data}
                            onSkill={(wanted) => {
                                leave();
                                setSkill(wanted);
                            }}
                        />
                    </Row>
                </PartHead>
                {practice.isPending && <p aria-busy="true">Finding a question…</p>}
                {practice.error !== null && <p role="alert">{sentenceOf(practice.error)}</p>}
                {answer.error !== null && <p role="alert">{sentenceOf(answer.error)}</p>}
                {practice.data !== undefined && drill === null && (
                    <Aired>
                        No question of this kind fits this photo and these pencils. Choose another skill or photo, or add pencils.
                    </Aired>
                )}
                {drill !== null && (
                    <DrillPart study={study} drill={drill} chosen={chosen} answer={answer.data} onChoose={choose} onNext={next} />
                )}
                {round > 0 && round % A_SESSION === 0 && chosen === null && (
                    <p role="status">Well done: five minutes of practice. A little every day helps more than an hour at once.</p>
                )}
            </Column>
            {practice.data !== undefined && (
                <ProgressPart training={practice.data}>
                    <Results results={results} most={A_SESSION} />
                </ProgressPart>
            )}
        </TwoColumns>
    );
}

/** The question that is open, its answer, and what was answered in this sitting. */
function useDrills(study: Study, skill: Skill | null, round: number, setRound: (round: number) => void) {
    const practice = usePractice(study.id, skill, round);
    const answer = useAnswer(study.id);
    const drill = practice.data?.drill ?? null;
    const [chosen, setChosen] = useState<number | null>(null);
    // A strip that is full makes way for an empty one.
    const [results, setResults] = useState<readonly Result[]>([]);
    const isOpen = drill !== null && chosen === null;
    const choose = (choice: number) => {
        if (isOpen && drill.choices[choice] !== undefined) {
            setChosen(choice);
            answer.mutate(
                { drill, choice },
                {
                    onError: () => setChosen(null),
                    onSuccess: ({ right, after }) => setResults([...results, { right, dab: drill.shown[0] ?? after[0] }]),
                },
            );
        }
    };
    const leave = () => {
        answer.reset();
        setChosen(null);
    };
    const next = () => {
        leave();
        setRound(round + 1);
        if (results.length >= A_SESSION) {
            setResults([]);
        }
    };
    useKeys(choose, answer.data === undefined ? null : next);
    return { practice, answer, drill, chosen, results, choose, next, leave };
}

interface SkillChoiceProps {
    skill: Skill | null;
    training: Training | undefined;
    onSkill: (skill: Skill | null) => void;
}

function SkillChoice({ skill, training, onSkill }: SkillChoiceProps) {
    const skills = training?.skills.map((s) => s.skill) ?? [];
    return (
        <NativeSelect
            aria-label="Skill to practise"
            value={skill ?? ''}
            onChange={(e) => onSkill(skills.find((s) => s === e.target.value) ?? null)}
        >
            <option value="">all skills in turn</option>
            {skills.map((s) => (
                <option key={s}>{s}</option>
            ))}
        </NativeSelect>
    );
}

/**
 * A figure chooses, Enter goes on; not while something is written or chosen elsewhere. The tab that opened the practice may keep the focus.
 */
function useKeys(onChoose: (choice: number) => void, onNext: (() => void) | null) {
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const isElsewhere =
                event.target instanceof HTMLElement && event.target.closest('input:not([type=radio]), select, textarea, a') !== null;
            if (isElsewhere || event.ctrlKey || event.metaKey || event.altKey) {
                return;
            }
            if (/^[1-9]$/.test(event.key)) {
                onChoose(Number(event.key) - 1);
            } else if (event.key === 'Enter' && onNext !== null && !(event.target instanceof HTMLButtonElement)) {
                onNext();
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });
}
