import { useState } from 'react';
import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { ChartPencil, Study, Tray, TrayPencil } from '../../api/types';
import { Column, PartHead } from '../../ui/Column';
import { NativeSelect, WordButton } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { FamilyBars } from './FamilyBars';
import { useReach } from './queries';
import { ReachFigure } from './ReachFigure';
import { usePurchases } from '../../api/studies';
import { Aired } from '../../ui/layout';

const Facts = styled.div`
    padding: var(--space-1) var(--space-4) var(--space-3);
    border-top: 1.5px solid var(--strong-line);
    font-size: var(--type-small);
    & p {
        padding-top: var(--space-1);
    }
    & b {
        font-weight: 700;
    }
`;

const Buys = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
    & li {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 0 var(--space-3);
        min-height: 44px;
        border-bottom: 1px solid var(--line);
    }
    & .dab {
        width: 44px;
        height: 32px;
    }
    & .end {
        margin-left: auto;
    }
`;

/** How gradually the pencils lie, and what the drawer lacks or holds twice. */
export function DrawerFacts({ tray }: { tray: Tray }) {
    const number = (id: string): string => tray.pencils.find((p) => p.id === id)?.number ?? id;
    return (
        <Facts aria-label="The drawer as a whole" role="region">
            <p>
                From each to the next ΔE00 {tray.meanStepDeltaE00.toFixed(1)} on average
                {tray.largestStep !== null &&
                    `, at most ${tray.largestStep.deltaE00.toFixed(0)}, from ` +
                        `${number(tray.largestStep.from)} to ${number(tray.largestStep.to)}`}
                .{tray.notShown > 0 && ` ${tray.notShown} more don’t fit here; choose a line.`}
            </p>
            {tray.gaps.length > 0 && (
                <p>
                    <b>Missing: {tray.gaps.join(', ')}.</b>
                </p>
            )}
        </Facts>
    );
}

interface BalanceViewProps {
    tray: Tray;
    paper: string;
    studies: readonly Study[];
    onPencil: (id: string) => void;
    onWant: (id: string) => void;
}

/** What is there, lacking, there twice; what the drawer reaches on a paper, and what to buy next. */
export function BalanceView({ tray, paper, studies, onPencil, onWant }: BalanceViewProps) {
    const { balance } = tray;
    const pencils = new Map(tray.pencils.map((p) => [p.id, p]));
    const number = (id: string): string => pencils.get(id)?.number ?? id;
    const [chosen, setChosen] = useState<number | null>(null);
    const study = studies.find((s) => s.id === chosen) ?? studies[0];
    return (
        <Column aria-label="Balance">
            <Aired>{balance.words}</Aired>
            <FamilyBars balance={balance} pencils={pencils} />
            <p>
                {tray.gaps.length === 0
                    ? 'Nothing is missing: a light and a dark of every family, browns, greys, an opaque white and a black.'
                    : `Missing: ${tray.gaps.join(', ')}.`}
            </p>
            {balance.twins.length > 0 && (
                <p>
                    Hardly told apart:{' '}
                    {balance.twins
                        .slice(0, 12)
                        .map(
                            (t) =>
                                `${number(t.one)} and ${number(t.other)} (ΔE00 ` +
                                `${t.deltaE00.toFixed(1)}${t.waxAndOil ? ', wax and oil' : ''})`,
                        )
                        .join(', ')}
                    .
                </p>
            )}
            <PartHead>
                <h2>What it reaches on {paper}</h2>
            </PartHead>
            <ReachPart paper={paper} pencils={tray.pencils} study={study} onPencil={onPencil} onWant={onWant} />
            {study !== undefined && (
                <StudyPart studies={studies} study={study.id} onStudy={setChosen} onPencil={onPencil} onWant={onWant} />
            )}
        </Column>
    );
}

interface Takes {
    onPencil: (id: string) => void;
    onWant: (id: string) => void;
}

interface ReachPartProps extends Takes {
    paper: string;
    pencils: readonly TrayPencil[];
    study: Study | undefined;
}

function ReachPart({ paper, pencils, study, onPencil, onWant }: ReachPartProps) {
    const reach = useReach(paper);
    const photo = usePurchases(study?.id ?? null);
    return (
        <div aria-live="polite" aria-busy={reach.isPending}>
            {reach.isPending && <p>Mixing every pair of pencils…</p>}
            {reach.error !== null && <p role="alert">{sentenceOf(reach.error)}</p>}
            {reach.data !== undefined && (
                <>
                    <ReachFigure reach={reach.data} pencils={pencils} photo={photo.data} />
                    <p>
                        {reach.data.share < 0.005 ? 'Almost nothing' : `${Math.round(reach.data.share * 100)} %`} of the colours that all
                        known pencils can mix.
                        {reach.data.purchases.length > 0 && ' These would add most:'}
                    </p>
                    <Buys>
                        {reach.data.purchases.map((p) => (
                            <Buy key={p.id} pencil={p} words={`${(p.gain * 100).toFixed(1)} % more`} onPencil={onPencil} onWant={onWant} />
                        ))}
                    </Buys>
                </>
            )}
        </div>
    );
}

interface StudyPartProps extends Takes {
    studies: readonly Study[];
    study: number;
    onStudy: (study: number) => void;
}

function StudyPart({ studies, study, onStudy, onPencil, onWant }: StudyPartProps) {
    const purchases = usePurchases(study);
    return (
        <>
            <PartHead>
                <h2>For a study</h2>
                <NativeSelect aria-label="Purchases for the study" value={study} onChange={(e) => onStudy(Number(e.target.value))}>
                    {studies.map((s) => (
                        <option key={s.id} value={s.id}>
                            {s.name}
                        </option>
                    ))}
                </NativeSelect>
            </PartHead>
            <p role="status">{purchases.data === undefined ? 'Trying every pencil you don’t have…' : studyWords(purchases.data)}</p>
            <Buys>
                {purchases.data?.purchases.map((p) => (
                    <Buy key={p.id} pencil={p} words={`error ΔE00 ${p.deltaE00.toFixed(1)} lower`} onPencil={onPencil} onWant={onWant} />
                ))}
            </Buys>
        </>
    );
}

function studyWords({ colours, purchases }: { colours: number; purchases: readonly unknown[] }): string {
    if (colours === 0) {
        return 'This study has no plan yet: choose recipes or plan the picture first.';
    }
    const counted = `${colours} planned ${colours === 1 ? 'colour' : 'colours'}`;
    return purchases.length === 0
        ? `${counted}: no other pencil would make a clear difference.`
        : `${counted}; one of these would lower the mean error:`;
}

interface BuyProps {
    pencil: ChartPencil;
    words: string;
    onPencil: (id: string) => void;
    onWant: (id: string) => void;
}

function Buy({ pencil, words, onPencil, onWant }: BuyProps) {
    return (
        <li>
            <span className="dab">
                <Dab strata={pencil.strata} width={44} height={32} label="" />
            </span>
            <WordButton aria-label={`Show ${pencil.number}`} onPress={() => onPencil(pencil.id)}>
                <b>{pencil.number}</b>
            </WordButton>
            {pencil.name}
            <span className="end">{words}</span>
            <WordButton aria-label={`Add ${pencil.number} to wanted`} onPress={() => onWant(pencil.id)}>
                Add to wanted
            </WordButton>
        </li>
    );
}
