import { useState } from 'react';
import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { ChartPencil, Study, Tray } from '../../api/types';
import { Column, PartHead } from '../../ui/Column';
import { NativeSelect, WordButton } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { useReach } from './queries';
import { usePurchases } from '../../api/studies';
import { Row, Aired } from '../../ui/layout';

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

const Counts = styled.dl`
    display: grid;
    grid-template-columns: max-content max-content 1fr;
    gap: var(--space-1) var(--space-3);
    margin: 0;
    padding: var(--space-2) 0;
    & dd {
        margin: 0;
        text-align: right;
    }
    & span {
        align-self: center;
        height: 10px;
        background: var(--ink);
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
    const most = Math.max(1, ...Object.values(balance.counts));
    const number = (id: string): string => tray.pencils.find((p) => p.id === id)?.number ?? id;
    return (
        <Column aria-label="Balance">
            <Aired>{balance.words}</Aired>
            <Counts aria-label="Pencils of each family">
                {Object.entries(balance.counts).map(([family, count]) => (
                    <FamilyRow key={family} family={family} count={count} most={most} crowded={balance.crowded.includes(family)} />
                ))}
            </Counts>
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
            <ReachPart paper={paper} onPencil={onPencil} onWant={onWant} />
            {studies.length > 0 && <StudyPart studies={studies} onPencil={onPencil} onWant={onWant} />}
        </Column>
    );
}

interface Takes {
    onPencil: (id: string) => void;
    onWant: (id: string) => void;
}

function ReachPart({ paper, onPencil, onWant }: { paper: string } & Takes) {
    const reach = useReach(paper);
    return (
        <div aria-live="polite" aria-busy={reach.isPending}>
            {reach.isPending && <p>Mixing every pair of pencils…</p>}
            {reach.error !== null && <p role="alert">{sentenceOf(reach.error)}</p>}
            {reach.data !== undefined && (
                <>
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

function StudyPart({ studies, onPencil, onWant }: { studies: readonly Study[] } & Takes) {
    const [study, setStudy] = useState<number | null>(studies[0]?.id ?? null);
    const purchases = usePurchases(study ?? studies[0]?.id ?? null);
    return (
        <>
            <PartHead>
                <h2>For a study</h2>
                <NativeSelect
                    aria-label="Purchases for the study"
                    value={study ?? studies[0]?.id}
                    onChange={(e) => setStudy(Number(e.target.value))}
                >
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

function FamilyRow({ family, count, most, crowded }: { family: string; count: number; most: number; crowded: boolean }) {
    return (
        <>
            <dt>{family}</dt>
            <dd>{count}</dd>
            <Row as="dd" $tight>
                <span aria-hidden="true" style={{ width: `${(count / most) * 60}%` }} />
                {crowded ? 'more than needed' : count === 0 ? 'none' : ''}
            </Row>
        </>
    );
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
