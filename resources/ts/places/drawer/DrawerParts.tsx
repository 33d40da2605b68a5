import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import { FirstPencils } from '../../app/FirstPencils';

import { NativeSelect, Tabs, TextInput, WordButton, WordChoice } from '../../ui/controls';

import { BalanceView, DrawerFacts } from './BalanceView';
import { isMeant, likeliest, shownKey, shownOf } from './drawerState';
import { FilesView } from './FilesView';
import { HandView } from './hand/HandView';
import { MeasureView } from './measure/MeasureView';
import { LinesView } from './LinesView';
import { MixView } from './MixView';
import { PencilView } from './PencilView';
import { TrayView } from './TrayView';

import { type DrawerPlaceState, ORDERS, BESIDE } from './useDrawerPlace';
import { Inset } from '../../ui/layout';

const Tools = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-3);
    padding: var(--space-1) var(--space-3);
    border-bottom: 1px solid var(--line);
    & input {
        width: 150px;
    }
    & .end {
        margin-left: auto;
    }
`;

/** How the drawer is looked through: by number or name, which pencils, in which order. */
function TrayTools({ place }: { place: DrawerPlaceState }) {
    const { search, typed, setTyped, pencils, beside, show, found, shown, setShown, lines, order, setOrder } = place;
    return (
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
                $width={150}
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
    );
}

/** The pencils as they lie. */
export function TrayPart({ place }: { place: DrawerPlaceState }) {
    const { tray, pencils, shown, knowsNone, beside, mix, chosen, typed, choose } = place;
    return (
        <>
            <TrayTools place={place} />
            {tray.isPending && <p aria-busy="true">Opening the drawer…</p>}
            {tray.error !== null && <p role="alert">{sentenceOf(tray.error)}</p>}
            {tray.data !== undefined && pencils.length === 0 && (
                <Inset as="div">
                    {shown.kind === 'wanted' ? (
                        'You have no wanted pencils.'
                    ) : knowsNone ? (
                        <FirstPencils onFault={place.onFault} onWay={place.setBeside} withExample />
                    ) : (
                        'No pencils here. Choose a line above to mark the ones you own, or add numbers on the right.'
                    )}
                </Inset>
            )}
            {(tray.data?.unfitted ?? 0) > 0 && (
                <Inset as="p" role="status">
                    Fitting {tray.data?.unfitted} pencils to their swatches; they come in as they are done.
                </Inset>
            )}
            <TrayView
                pencils={pencils}
                chosen={beside === 'mixes' ? mix : chosen === null ? [] : [chosen]}
                isMeant={(p) => isMeant(p, typed)}
                onChosen={choose}
            />
            {tray.data !== undefined && pencils.length > 0 && <DrawerFacts tray={tray.data} />}
        </>
    );
}

function BesideTools({ place }: { place: DrawerPlaceState }) {
    const { beside, setBeside, paper, setPaper, papers, lines, changes } = place;
    return (
        <Tools>
            <Tabs label="Beside the drawer" value={beside} options={BESIDE} onChange={setBeside} />
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
    );
}

/** What is asked of one pencil, or of all. */
export function BesidePart({ place }: { place: DrawerPlaceState }) {
    const { beside, chosen, pencils, pencil, paper, show, changes, tray, studies, showPencil, mix, lines, order, onFault } = place;
    return (
        <>
            <BesideTools place={place} />
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
            {beside === 'measure' && <MeasureView known={pencils} onFault={onFault} />}
            {beside === 'hand' && (
                <HandView
                    key={`${paper}/${place.planOf ?? ''}/${place.toTry?.number ?? ''}`}
                    paper={paper}
                    study={place.planOf}
                    zone={place.toTry}
                />
            )}
            {beside === 'files' && (
                <FilesView
                    lines={lines.data?.lines ?? []}
                    formats={lines.data?.formats ?? []}
                    order={order}
                    range={changes.range}
                    onFault={onFault}
                />
            )}
        </>
    );
}
