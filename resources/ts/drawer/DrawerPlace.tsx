import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { RequestFailed, sentenceOf } from '../api/client';
import type { Tray } from '../api/types';
import { useStudies } from '../photo/queries';
import { TopBar } from '../photo/TopBar';
import { NativeSelect, TextInput, WordChoice } from '../ui/controls';
import { GrainProvider } from '../ui/grain';
import { Notice } from '../ui/Notice';
import { isMeant, rememberedOrder, rememberedPencil, rememberOrder, rememberPencil } from './drawerState';
import { PencilView } from './PencilView';
import { usePencil, useTray, type OrderKind } from './queries';
import { TrayView } from './TrayView';

const Page = styled.div`
    min-height: 100%;
    display: flex;
    flex-direction: column;
`;

const Two = styled.main`
    flex: 1;
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(480px, 40%);
    @media (max-width: 1099px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

const Tools = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 14px;
    padding: 4px 12px;
    & input {
        width: 170px;
    }
`;

const Facts = styled.div`
    padding: 4px 16px 12px;
    border-top: 1.5px solid var(--strong-line);
    margin: 0 0 0;
    font-size: 13px;
    & p {
        padding-top: 4px;
    }
    & b {
        font-weight: 700;
    }
`;

const ORDERS = [
    { value: 'gradual', label: 'Gradual' },
    { value: 'number', label: 'Number' },
    { value: 'value', label: 'Value' },
    { value: 'family', label: 'Family' },
] as const;

/** The place "Drawer": the pencils as they lie, found in two keystrokes, and what each of them is. */
export function DrawerPlace() {
    const [fault, setFault] = useState<string | null>(null);
    const [order, setOrder] = useState<OrderKind>(() => ORDERS.find((o) => o.value === rememberedOrder())?.value ?? 'gradual');
    const [typed, setTyped] = useState('');
    const [wanted, setWanted] = useState<string | null>(() => rememberedPencil());
    const [paper, setPaper] = useState('white medium');
    const studies = useStudies();
    const tray = useTray(order);
    const pencils = tray.data?.pencils ?? [];
    const chosen = wanted ?? pencils[0]?.id ?? null;
    const pencil = usePencil(chosen, paper);

    useEffect(() => rememberOrder(order), [order]);
    useEffect(() => {
        if (tray.error instanceof RequestFailed && tray.error.status === 401) {
            window.location.assign('/sign-in');
        }
    }, [tray.error]);
    const choose = (id: string) => {
        rememberPencil(id);
        setWanted(id);
    };
    const found = pencils.filter((p) => isMeant(p, typed));

    return (
        <GrainProvider>
            <Page>
                <TopBar
                    studies={[]}
                    study={undefined}
                    papers={[]}
                    opening={false}
                    onChoose={() => undefined}
                    onPaper={() => undefined}
                    onPhoto={() => undefined}
                    onFault={setFault}
                />
                <Notice text={fault} onClose={() => setFault(null)} />
                <Two>
                    <div>
                        <Tools>
                            <TextInput
                                type="search"
                                aria-label="Find a pencil by number, name or family"
                                placeholder="number or name"
                                value={typed}
                                onChange={(e) => {
                                    setTyped(e.target.value);
                                    const first =
                                        e.target.value.trim() === '' ? undefined : pencils.find((p) => isMeant(p, e.target.value));
                                    if (first !== undefined) {
                                        choose(first.id);
                                    }
                                }}
                            />
                            <span role="status">{typed.trim() === '' ? `${pencils.length} pencils` : `${found.length} found`}</span>
                            <WordChoice label="Order of the drawer" value={order} options={ORDERS} onChange={setOrder} />
                            <label>
                                Paper{' '}
                                <NativeSelect value={paper} onChange={(e) => setPaper(e.target.value)}>
                                    {(studies.data?.papers ?? [paper]).map((p) => (
                                        <option key={p}>{p}</option>
                                    ))}
                                </NativeSelect>
                            </label>
                        </Tools>
                        {tray.isPending && <p aria-busy="true">Laying the drawer…</p>}
                        {tray.error !== null && <p role="alert">{sentenceOf(tray.error)}</p>}
                        {tray.data !== undefined && pencils.length === 0 && (
                            <p style={{ padding: 16 }}>The drawer is empty. Bring in a drawer file with “Drawer” above.</p>
                        )}
                        <TrayView pencils={pencils} chosen={chosen} isMeant={(p) => isMeant(p, typed)} onChosen={choose} />
                        {tray.data !== undefined && pencils.length > 0 && <DrawerFacts tray={tray.data} />}
                    </div>
                    <PencilView
                        pencil={chosen === null ? undefined : pencil.data}
                        fault={pencil.error === null ? null : sentenceOf(pencil.error)}
                        paper={paper}
                        onChosen={choose}
                    />
                </Two>
            </Page>
        </GrainProvider>
    );
}

/** How gradually the pencils lie, and what the drawer lacks or holds twice. */
function DrawerFacts({ tray }: { tray: Tray }) {
    const number = (id: string): string => tray.pencils.find((p) => p.id === id)?.number ?? id;
    return (
        <Facts aria-label="The drawer as a whole" role="region">
            <p>
                From each to the next ΔE00 {tray.meanStepDeltaE00.toFixed(1)} in the mean
                {tray.largestStep !== null &&
                    `, at most ${tray.largestStep.deltaE00.toFixed(0)}, from ${number(tray.largestStep.from)} to ${number(tray.largestStep.to)}`}
                . {tray.balance.words}
            </p>
            <p>
                {tray.gaps.length === 0 ? 'Nothing is missing.' : <b>Missing: {tray.gaps.join(', ')}.</b>}
                {tray.balance.crowded.length > 0 && ` More than needed: ${tray.balance.crowded.join(', ')}.`}
                {tray.balance.twins.length > 0 &&
                    ` Hardly told apart: ${tray.balance.twins.map((t) => `${number(t.one)} and ${number(t.other)}${t.waxAndOil ? ' (wax and oil)' : ''}`).join(', ')}.`}
            </p>
        </Facts>
    );
}
