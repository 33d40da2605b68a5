import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { RequestFailed, sentenceOf } from '../../api/client';

import { TopBar } from '../../app/TopBar';
import { NativeSelect, TextInput, WordButton, WordChoice } from '../../ui/controls';
import { GrainProvider } from '../../dabs/grain';
import { useInAddress } from '../../ui/useInAddress';
import { Notice } from '../../ui/Notice';
import { BalanceView, DrawerFacts } from './BalanceView';
import {
    beginsSearch,
    isMeant,
    likeliest,
    remember,
    rememberedBeside,
    rememberedMix,
    rememberedOrder,
    rememberedPencil,
    rememberedShown,
    shownKey,
    shownOf,
    spread,
} from './drawerState';
import { FilesView } from './FilesView';
import { LinesView } from './LinesView';
import { MixView } from './MixView';
import { PencilView } from './PencilView';
import { useLines, usePencil, useStockChanges, useTray, type OrderKind } from './queries';
import { TrayView } from './TrayView';
import { useStudies } from '../../api/studies';

const Page = styled.div`
    min-height: 100%;
    display: flex;
    flex-direction: column;
`;

const Two = styled.main`
    flex: 1;
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(520px, 42%);
    @media (max-width: 1099px) {
        /* What lies below begins where the first part ends, however much of it is there yet. */
        grid-template: auto 1fr / minmax(0, 1fr);
    }
`;

const Beside = styled.div`
    border-left: 1.5px solid var(--strong-line);
    min-width: 0;
    @media (max-width: 1099px) {
        border-left: 0;
        border-top: 1.5px solid var(--strong-line);
    }
`;

const Tools = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 14px;
    padding: 4px 12px;
    border-bottom: 1px solid var(--line);
    & input {
        width: 150px;
    }
    & .end {
        margin-left: auto;
    }
`;

const ORDERS = [
    { value: 'gradual', label: 'Gradual' },
    { value: 'number', label: 'Number' },
    { value: 'value', label: 'Value' },
    { value: 'family', label: 'Family' },
] as const;

const BESIDE = [
    { value: 'pencil', label: 'Pencil' },
    { value: 'balance', label: 'Balance' },
    { value: 'mixes', label: 'Mixes' },
    { value: 'lines', label: 'Lines' },
    { value: 'files', label: 'In and out' },
] as const;

type BesideName = (typeof BESIDE)[number]['value'];

const MIXED_AT_FIRST = 5;
const MOST_MIXED = 16;

/** The place "Drawer": the pencils as they lie, found in two keystrokes, and beside them what is asked of one, or of all. */
export function DrawerPlace() {
    const [fault, setFault] = useState<string | null>(null);
    const [order, setOrder] = useState<OrderKind>(() => ORDERS.find((o) => o.value === rememberedOrder())?.value ?? 'gradual');
    const [remembered] = useState<BesideName>(() => BESIDE.find((b) => b.value === rememberedBeside())?.value ?? 'pencil');
    const [beside, setBeside] = useInAddress('beside', BESIDE, remembered);
    const [shown, setShown] = useState(rememberedShown);
    const [typed, setTyped] = useState('');
    const [wanted, setWanted] = useState<string | null>(() => rememberedPencil());
    const [mixed, setMixed] = useState<string[] | null>(rememberedMix);
    const [paper, setPaper] = useState('white medium');
    const search = useRef<HTMLInputElement>(null);
    const studies = useStudies();
    const lines = useLines();
    const tray = useTray(order, shown);
    const pencils = tray.data?.pencils ?? [];
    const chosen = wanted ?? pencils[0]?.id ?? null;
    const pencil = usePencil(beside === 'pencil' ? chosen : null, paper);
    const changes = useStockChanges((error) => setFault(sentenceOf(error)));
    const mix = mixed ?? spread(pencils, MIXED_AT_FIRST).map((p) => p.id);
    const papers = studies.data?.papers ?? [paper];
    const knowsNone = lines.data?.lines.length === 0;

    useEffect(() => remember('order', order), [order]);
    useEffect(() => remember('beside', beside), [beside]);
    useEffect(() => remember('shown', shownKey(shown)), [shown]);
    useEffect(() => {
        if (tray.error instanceof RequestFailed && tray.error.status === 401) {
            window.location.assign('/sign-in');
        }
    }, [tray.error]);
    useEffect(() => {
        // A number typed anywhere is looked for.
        const onKey = (event: KeyboardEvent) => beginsSearch(event) && search.current?.focus();
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, []);
    const show = (id: string) => {
        remember('chosen', id);
        setWanted(id);
    };
    const choose = (id: string) => {
        if (beside !== 'mixes') {
            show(id);
            return;
        }
        const next = mix.includes(id) ? mix.filter((m) => m !== id) : [...mix, id].slice(-MOST_MIXED);
        remember('mix', next.join('|'));
        setMixed(next);
    };
    const showPencil = (id: string) => {
        show(id);
        setBeside('pencil');
    };
    const found = pencils.filter((p) => isMeant(p, typed));

    return (
        <GrainProvider>
            <Page>
                <TopBar onFault={setFault} />
                <Notice text={fault} onClose={() => setFault(null)} />
                <Two>
                    <div>
                        <Tools>
                            <TextInput
                                ref={search}
                                type="search"
                                aria-label="Find a pencil by number, name or family"
                                placeholder="number or name"
                                value={typed}
                                onChange={(e) => {
                                    const text = e.target.value;
                                    setTyped(text);
                                    const first = text.trim() === '' ? undefined : likeliest(pencils, text);
                                    if (first !== undefined && beside !== 'mixes') {
                                        show(first.id);
                                    }
                                }}
                            />
                            <span role="status">{typed.trim() === '' ? `${pencils.length} pencils` : `${found.length} found`}</span>
                            <NativeSelect
                                aria-label="Which pencils"
                                value={shownKey(shown)}
                                onChange={(e) => setShown(shownOf(e.target.value))}
                                style={{ maxWidth: 150 }}
                            >
                                <option value="owned">owned</option>
                                <option value="wanted">wanted</option>
                                {lines.data?.lines.map((l) => (
                                    <option key={l.line} value={`line:${l.line}`}>
                                        {l.line === '' ? 'of no line' : `all of ${l.line}`}
                                    </option>
                                ))}
                            </NativeSelect>
                            <WordChoice label="Order of the drawer" value={order} options={ORDERS} onChange={setOrder} />
                        </Tools>
                        {tray.isPending && <p aria-busy="true">Laying the drawer…</p>}
                        {tray.error !== null && <p role="alert">{sentenceOf(tray.error)}</p>}
                        {tray.data !== undefined && pencils.length === 0 && (
                            <p style={{ padding: 16 }}>
                                {shown.kind === 'wanted'
                                    ? 'No pencil is noted as wanted.'
                                    : knowsNone
                                      ? 'The drawer is empty. Bring in a file of pencils at the right.'
                                      : 'No pencil lies here. Choose a line above to say which of it you own, or add numbers at the right.'}
                            </p>
                        )}
                        {(tray.data?.unfitted ?? 0) > 0 && (
                            <p role="status" style={{ padding: '4px 16px' }}>
                                Fitting {tray.data?.unfitted} pencils to their swatches; they come in as they are done.
                            </p>
                        )}
                        <TrayView
                            pencils={pencils}
                            chosen={beside === 'mixes' ? mix : chosen === null ? [] : [chosen]}
                            isMeant={(p) => isMeant(p, typed)}
                            onChosen={choose}
                        />
                        {tray.data !== undefined && pencils.length > 0 && <DrawerFacts tray={tray.data} />}
                    </div>
                    <Beside>
                        <Tools>
                            <WordChoice label="Beside the drawer" value={beside} options={BESIDE} onChange={setBeside} />
                            <NativeSelect aria-label="Paper" value={paper} onChange={(e) => setPaper(e.target.value)}>
                                {papers.map((p) => (
                                    <option key={p}>{p}</option>
                                ))}
                            </NativeSelect>
                            {lines.data?.undoWords != null && (
                                <span className="end">
                                    <WordButton
                                        isPending={changes.undo.isPending}
                                        aria-label={`Undo: ${lines.data.undoWords}`}
                                        onPress={() => changes.undo.mutate()}
                                    >
                                        Undo
                                    </WordButton>
                                </span>
                            )}
                        </Tools>
                        {beside === 'pencil' && (
                            <PencilView
                                key={chosen}
                                chosen={chosen}
                                inTray={pencils.find((p) => p.id === chosen)}
                                portrait={chosen === null ? undefined : pencil.data}
                                fault={pencil.error === null ? null : sentenceOf(pencil.error)}
                                paper={paper}
                                onChosen={show}
                                onNote={(change) => changes.note.mutate(change)}
                            />
                        )}
                        {beside === 'balance' && tray.data !== undefined && (
                            <BalanceView
                                tray={tray.data}
                                paper={paper}
                                studies={studies.data?.studies ?? []}
                                onPencil={showPencil}
                                onWant={(id) => changes.note.mutate({ id, stock: 'wanted' })}
                            />
                        )}
                        {beside === 'mixes' && <MixView ids={mix} paper={paper} />}
                        {beside === 'lines' && <LinesView lines={lines.data?.lines ?? []} onPencil={showPencil} />}
                        {beside === 'files' && (
                            <FilesView lines={lines.data?.lines ?? []} order={order} range={changes.range} onFault={setFault} />
                        )}
                    </Beside>
                </Two>
            </Page>
        </GrainProvider>
    );
}
