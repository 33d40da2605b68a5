import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Dialog, DialogTrigger, FileTrigger, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { ask, RequestFailed, sentenceOf } from '../api/client';
import type { DrawerImport } from '../api/types';
import { Button, WordButton } from '../ui/controls';
import { useDrawer } from './queries';

const Overlay = styled(ModalOverlay)`
    position: fixed;
    inset: 0;
    background: rgb(0 0 0 / 55%);
    display: grid;
    place-items: center;
`;

const Sheet = styled(Modal)`
    width: min(720px, 94vw);
    max-height: 86vh;
    overflow: auto;
    background: var(--ground);
    border: 1.5px solid var(--strong-line);
    padding: 20px 24px;
    & h2 {
        font-size: 22px;
        margin-bottom: 8px;
    }
    & ol {
        list-style: none;
        margin: 12px 0;
        padding: 0;
        columns: 3 190px;
    }
    & li {
        break-inside: avoid;
        padding: 3px 0;
    }
    & .problems {
        columns: 1;
    }
    & b {
        display: inline-block;
        min-width: 42px;
    }
    & footer {
        display: flex;
        flex-wrap: wrap;
        gap: 12px;
        align-items: center;
        margin-top: 12px;
    }
`;

const isUnderWay = (i: DrawerImport | null | undefined): boolean => i?.state === 'waiting' || i?.state === 'working';

/** The pencils at hand, and bringing in another drawer file with its progress. */
export function DrawerDialog() {
    const drawer = useDrawer();
    const pencils = drawer.data?.pencils ?? [];
    return (
        <DialogTrigger>
            <WordButton>Drawer: {drawer.data === undefined ? '…' : `${pencils.length} pencils`}</WordButton>
            <Overlay isDismissable>
                <Sheet>
                    <Dialog>
                        {({ close }) => (
                            <>
                                <Heading slot="title" level={2}>
                                    The drawer: {pencils.length} pencils
                                </Heading>
                                {pencils.length === 0 && (
                                    <p>
                                        No pencil is in it yet. Bring in a file to get recipes: CSV or JSON with a number and a colour
                                        (#rrggbb).
                                    </p>
                                )}
                                <ol>
                                    {pencils.map((p) => (
                                        <li key={p.id}>
                                            <b>{p.number}</b> {p.name}, {p.binder ?? 'binder assumed'}
                                        </li>
                                    ))}
                                </ol>
                                <DrawerImportPart />
                                <footer>
                                    <Button onPress={close}>Close the drawer</Button>
                                </footer>
                            </>
                        )}
                    </Dialog>
                </Sheet>
            </Overlay>
        </DialogTrigger>
    );
}

function DrawerImportPart() {
    const client = useQueryClient();
    const [problems, setProblems] = useState<string[]>([]);
    const [importId, setImportId] = useState<number | null>(null);
    const progress = useQuery({
        queryKey: ['drawer-import', importId],
        queryFn: ({ signal }) => ask<DrawerImport>(`/api/drawer/imports/${importId ?? 0}`, { signal }),
        enabled: importId !== null,
        refetchInterval: (query) => (isUnderWay(query.state.data) ? 300 : false),
    });
    const begin = useMutation({
        mutationFn: (file: File) => {
            const form = new FormData();
            form.set('file', file);
            return ask<DrawerImport>('/api/drawer/imports', { method: 'POST', form });
        },
        onSuccess: (begun) => setImportId(begun.id),
        onError: (error) => setProblems(error instanceof RequestFailed ? (error.problem.problems ?? [error.message]) : [sentenceOf(error)]),
    });
    const state = progress.data?.state;
    useEffect(() => {
        if (state === 'done') {
            void client.invalidateQueries({ queryKey: ['drawer'] });
        }
    }, [state, client]);
    const cancel = async () => {
        await ask(`/api/drawer/imports/${importId ?? 0}`, { method: 'DELETE' });
        await progress.refetch();
    };

    return (
        <section aria-label="Bring in a drawer file">
            <div role="alert">
                {problems.length > 0 && (
                    <>
                        <p>
                            <strong>The file was not taken; the drawer is as it was.</strong>
                        </p>
                        <ol className="problems">
                            {problems.slice(0, 12).map((p) => (
                                <li key={p}>{p}</li>
                            ))}
                        </ol>
                        {problems.length > 12 && <p>and {problems.length - 12} more</p>}
                    </>
                )}
            </div>
            <div role="status">
                {isUnderWay(progress.data) && (
                    <p>
                        Fitting pencil {progress.data?.done} of {progress.data?.total}{' '}
                        <progress aria-label="pencils fitted" value={progress.data?.done} max={progress.data?.total} />{' '}
                        <WordButton onPress={() => void cancel()}>Cancel</WordButton>
                    </p>
                )}
                {state === 'done' && <p>The drawer now holds what the file says. Pencils it does not name are kept as not owned.</p>}
                {state === 'cancelled' && <p>Cancelled; the drawer is as it was.</p>}
                {state === 'failed' && <p>The fitting failed and the drawer is as it was; try the file again.</p>}
            </div>
            <FileTrigger
                acceptedFileTypes={['.csv', '.json', 'text/csv', 'application/json']}
                onSelect={(files) => {
                    setProblems([]);
                    if (files?.[0] !== undefined) {
                        begin.mutate(files[0]);
                    }
                }}
            >
                <Button isPending={begin.isPending || isUnderWay(progress.data)}>Bring in a drawer file…</Button>
            </FileTrigger>
        </section>
    );
}
