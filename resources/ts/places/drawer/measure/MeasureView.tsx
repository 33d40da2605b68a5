import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { putAnswer } from '../../../api/answers';
import { ask, askFile, askInTurn, askWithFile, faultOf, send, sentenceOf } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { Sheet, SheetBox, Sheets, TrayPencil } from '../../../api/types';
import { useTakenBack } from '../../../api/useTakenBack';
import { Column, PartHead } from '../../../ui/Column';
import { Button, WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import { Reading } from '../../../ui/Reading';
import { Bringing, useImport } from '../ImportPart';
import { MeasuredBoxes } from './MeasuredBoxes';
import { SheetForm, type NewSheet } from './SheetForm';
import { NO_SWATCHES } from './swatchDraft';

const SwatchPage = lazy(() => import('./SwatchPage').then((m) => ({ default: m.SwatchPage })));

const KEY = ['sheets'];

/** The sheets of the account and what can be done with the one in hand. */
function useSheets() {
    const client = useQueryClient();
    const [made, setMade] = useState<string | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const sheets = useQuery({ queryKey: KEY, queryFn: ({ signal }) => ask('/api/drawer/sheets', { signal }) });
    const put = async (sheet: Sheet) => {
        const others = (client.getQueryData<Sheets>(KEY)?.sheets ?? []).filter((s) => s.id !== sheet.id);
        await putAnswer(client, KEY, {
            papers: client.getQueryData<Sheets>(KEY)?.papers ?? [],
            sheets: [sheet, ...others].sort((a, b) => b.id - a.id),
        });
        setFault(null);
        if (sheet.photo !== undefined) {
            setMade(sheet.photo);
        }
    };
    const { begin: asked, takeBack } = useTakenBack();
    const onError = (error: unknown) => setFault(faultOf(error));
    const changing = { onSuccess: put, onError };
    const begin = useMutation({
        mutationFn: (json: NewSheet) => send('POST', '/api/drawer/sheets', { json, key: newKey() }),
        ...changing,
    });
    const ownPage = useMutation({
        mutationFn: ({ file, fields }: { file: File; fields: Readonly<Record<string, string>> }) =>
            askWithFile('/api/drawer/swatches', 'photo', file, asked(), fields),
        ...changing,
        onMutate: () => setMade(null),
    });
    const photograph = useMutation({
        mutationFn: ({ id, file }: { id: number; file: File }) => askWithFile(`/api/drawer/sheets/${id}/photo`, 'photo', file, asked()),
        ...changing,
        onMutate: () => setMade(null),
    });
    const makeUp = useMutation({
        mutationFn: (id: number) => askInTurn(`/api/drawer/sheets/${id}/made-up`, asked()),
        ...changing,
    });
    const correct = useMutation({
        mutationFn: ({ id, ...json }: { id: number; pencil: string; kind: SheetBox['kind']; hex: string | null }) =>
            send('PATCH', `/api/drawer/sheets/${id}`, { json }),
        ...changing,
    });
    return { sheets, begin, ownPage, photograph, makeUp, takeBack, correct, made, fault, setFault };
}

type SheetsState = ReturnType<typeof useSheets>;

interface MeasureViewProps {
    known: readonly TrayPencil[];
    onFault: (text: string) => void;
}

/** One's own pencils by camera: written down, printed, coloured in, photographed, looked over, taken in. */
export function MeasureView({ known, onFault }: MeasureViewProps) {
    const state = useSheets();
    const [isNew, setNew] = useState(false);
    const [isOwn, setOwn] = useState(false);
    const [swatches, setSwatches] = useState(NO_SWATCHES);
    const [chosen, setChosen] = useState<number | null>(null);
    const all = state.sheets.data?.sheets ?? [];
    const papers = state.sheets.data?.papers ?? ['white medium'];
    const sheet = isNew ? undefined : (all.find((s) => s.id === chosen) ?? all[0]);
    const show = (answer: Sheet) => {
        setOwn(false);
        setNew(false);
        setChosen(answer.id);
    };
    if (state.sheets.isPending) {
        return <Column aria-busy="true">Loading your charts…</Column>;
    }
    return (
        <Column aria-label="Measure my pencils">
            <PartHead $first>
                <h2>Measure my pencils</h2>
                {!isOwn && sheet !== undefined && <WordButton onPress={() => setNew(true)}>Another chart</WordButton>}
                {!isOwn && isNew && all.length > 0 && <WordButton onPress={() => setNew(false)}>Back to the last chart</WordButton>}
                <WordButton onPress={() => setOwn(!isOwn)}>{isOwn ? 'Back to charts' : 'Use my own page of swatches'}</WordButton>
            </PartHead>
            {state.sheets.error !== null && <p role="alert">{sentenceOf(state.sheets.error)}</p>}
            {isOwn ? (
                <Suspense fallback={<p>Opening…</p>}>
                    <SwatchPage
                        draft={swatches}
                        papers={papers}
                        isPending={state.ownPage.isPending}
                        onDraft={setSwatches}
                        onRead={(file, fields) => state.ownPage.mutate({ file, fields }, { onSuccess: show })}
                        onCancel={state.takeBack}
                    />
                </Suspense>
            ) : sheet === undefined ? (
                <SheetForm
                    known={known}
                    papers={papers}
                    isPending={state.begin.isPending}
                    onMake={(list, onMade) =>
                        state.begin.mutate(list, {
                            onSuccess: (answer) => {
                                onMade();
                                show(answer);
                            },
                        })
                    }
                />
            ) : (
                <SheetAtHand key={sheet.id} sheet={sheet} state={state} onFault={onFault} />
            )}
            <div role="alert">{state.fault !== null && <p>{state.fault}</p>}</div>
        </Column>
    );
}

function SheetAtHand({ sheet, state, onFault }: { sheet: Sheet; state: SheetsState; onFault: (text: string) => void }) {
    const bringing = useImport();
    const isReading = state.photograph.isPending || state.makeUp.isPending;
    const takeIn = async () => {
        try {
            bringing.setProblems([]);
            bringing.begin.mutate(new File([await askFile(`/api/drawer/sheets/${sheet.id}/drawer.csv`)], 'measured.csv'));
        } catch (error) {
            onFault(sentenceOf(error));
        }
    };
    return (
        <>
            {sheet.size === 'own page' ? (
                <p>
                    {sheet.pencils.length} swatches on your own page. If one shows a problem, set the grid again. Nothing is in the drawer
                    until you import it.
                </p>
            ) : (
                <PrintAndPhotograph sheet={sheet} state={state} isReading={isReading} />
            )}
            <div role="status">
                {isReading && <Reading words="Reading the photo…" onCancel={state.takeBack} />}
                {!isReading && sheet.measured > 0 && (
                    <p>
                        {sheet.measured} of {sheet.pencils.length} pencils measured
                        {sheet.pagesRead < sheet.pages && `; ${sheet.pages - sheet.pagesRead} more to photograph`}. Nothing is in the drawer
                        yet.
                    </p>
                )}
            </div>
            <MeasuredBoxes
                sheet={sheet}
                photo={state.made}
                onCorrect={(pencil, kind, hex) => state.correct.mutate({ id: sheet.id, pencil, kind, hex })}
            />
            {sheet.measured > 0 && bringing.id === null && (
                <Row>
                    <Button $main isPending={bringing.begin.isPending} onPress={() => void takeIn()}>
                        Import {sheet.measured} into the drawer
                    </Button>
                    <span>You can check the changes first.</span>
                </Row>
            )}
            <Bringing bringing={bringing} />
        </>
    );
}

function PrintAndPhotograph({ sheet, state, isReading }: { sheet: Sheet; state: SheetsState; isReading: boolean }) {
    return (
        <>
            <p>
                {sheet.pencils.length} pencils on {sheet.pages === 1 ? 'one page' : `${sheet.pages} pages`} of {sheet.paper} paper: print at
                100 %, colour in, and photograph each page whole, from above, in daylight.
            </p>
            <Row>
                <a href={`/api/drawer/sheets/${sheet.id}/file.pdf`} target="_blank" rel="noreferrer">
                    Print the chart
                </a>
                <FileTrigger
                    acceptedFileTypes={['image/*']}
                    onSelect={(files) => files?.[0] !== undefined && state.photograph.mutate({ id: sheet.id, file: files[0] })}
                >
                    <Button $main={sheet.measured === 0} isPending={isReading}>
                        Choose a photo of it
                    </Button>
                </FileTrigger>
                <WordButton isPending={isReading} onPress={() => state.makeUp.mutate(sheet.id)}>
                    Try with a simulated photo
                </WordButton>
            </Row>
        </>
    );
}
