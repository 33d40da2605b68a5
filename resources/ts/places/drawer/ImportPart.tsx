import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { askAgain, putAnswer } from '../../api/answers';
import { ask, askWithFile, RequestFailed, send, sentenceOf } from '../../api/client';
import { newKey } from '../../api/keptEdits';
import type { DrawerImport, DrawerLines, ImportChoices } from '../../api/types';
import { PartHead } from '../../ui/Column';
import { Button, WordButton } from '../../ui/controls';

import { Preview, Lines } from './ImportPreview';

const isUnderWay = (i: DrawerImport | undefined): boolean => i?.state === 'waiting' || i?.state === 'working';

/** What can be done with a file that was looked at. */
function useImportChanges(id: number | null, put: (answer: DrawerImport) => Promise<void>, refused: (error: unknown) => void) {
    const choose = useMutation({
        mutationFn: (choices: ImportChoices) => send('PATCH', `/api/drawer/imports/${id ?? 0}`, { json: choices }),
        onSuccess: put,
        onError: refused,
    });
    const take = useMutation({
        mutationFn: () => send('POST', `/api/drawer/imports/${id ?? 0}/take`, {}),
        onSuccess: put,
        onError: refused,
    });
    const cancel = useMutation({
        mutationFn: () => send('DELETE', `/api/drawer/imports/${id ?? 0}`, {}),
        onSuccess: put,
        onError: refused,
    });
    return { choose, take, cancel };
}

export function useImport() {
    const client = useQueryClient();
    const [problems, setProblems] = useState<string[]>([]);
    const [id, setId] = useState<number | null>(null);
    const key = ['drawer-import', id];
    const current = useQuery({
        queryKey: key,
        queryFn: ({ signal }) => ask(`/api/drawer/imports/${id ?? 0}`, { signal }),
        enabled: id !== null,
        refetchInterval: (query) => (isUnderWay(query.state.data) ? 250 : false),
    });
    const put = (answer: DrawerImport) => putAnswer(client, ['drawer-import', answer.id], answer);
    const refused = (error: unknown) =>
        setProblems(error instanceof RequestFailed ? (error.problem.problems ?? [error.message]) : [sentenceOf(error)]);
    const begin = useMutation({
        mutationFn: (file: File) => askWithFile('/api/drawer/imports', 'file', file, { key: newKey() }),
        onSuccess: async (begun) => {
            await put(begun);
            setId(begun.id);
        },
        onError: refused,
    });
    const { choose, take, cancel } = useImportChanges(id, put, refused);
    const data = id === null ? undefined : current.data;
    const state = data?.state;
    useEffect(() => {
        if (state === 'done') {
            void askAgain(client, 'drawer');
        }
    }, [state, client]);
    return { problems, setProblems, id, begin, choose, take, cancel, data };
}

/** What measuring devices call their files besides. */
const ALSO_ENDINGS = ['.ti3', '.cgats'];

/** A drawer file on its way in: chosen, looked at with every problem, taken in with progress; nothing happens before it is agreed to. */
export function ImportPart({ formats }: { formats: DrawerLines['formats'] }) {
    const bringing = useImport();
    const { setProblems, id, begin, data } = bringing;
    return (
        <>
            <PartHead $first>
                <h2>Import</h2>
                <FileTrigger
                    acceptedFileTypes={[...new Set(formats.map((f) => `.${f.ending}`)), ...ALSO_ENDINGS]}
                    onSelect={(files) => {
                        setProblems([]);
                        if (files?.[0] !== undefined) {
                            begin.mutate(files[0]);
                        }
                    }}
                >
                    <Button $main={id === null} isPending={begin.isPending || isUnderWay(data)}>
                        Choose a drawer file
                    </Button>
                </FileTrigger>
            </PartHead>
            <Bringing bringing={bringing} />
            {id === null && <p>{formats.map((f) => f.name).join(', ')}. You see what would change before anything is imported.</p>}
        </>
    );
}

/** What comes of a file: its problems, what taking it in would do, and how far that is. */
export function Bringing({ bringing }: { bringing: ReturnType<typeof useImport> }) {
    const { problems, choose, take, cancel, data } = bringing;
    return (
        <>
            <Problems problems={problems} />
            {data?.preview != null && (
                <Preview
                    preview={data.preview}
                    choices={data.choices}
                    busy={choose.isPending || take.isPending}
                    onChoose={(c) => choose.mutate(c)}
                    onTake={() => take.mutate()}
                    onLeave={() => cancel.mutate()}
                />
            )}
            <Standing data={data} onCancel={() => cancel.mutate()} />
        </>
    );
}

function Problems({ problems }: { problems: readonly string[] }) {
    return (
        <div role="alert">
            {problems.length > 0 && (
                <>
                    <p>
                        <strong>The file was not imported; your drawer is unchanged.</strong>
                    </p>
                    <Lines>
                        {problems.map((p) => (
                            <li key={p}>{p}</li>
                        ))}
                    </Lines>
                </>
            )}
        </div>
    );
}

function Standing({ data, onCancel }: { data: DrawerImport | undefined; onCancel: () => void }) {
    return (
        <div role="status">
            {isUnderWay(data) && (
                <p>
                    Importing pencil {data?.done} of {data?.total}{' '}
                    <progress aria-label="pencils imported" value={data?.done} max={data?.total} />{' '}
                    <WordButton onPress={() => onCancel()}>Cancel</WordButton>
                </p>
            )}
            {data?.state === 'done' && <p>{data.total} pencils imported. Undo removes them again.</p>}
            {data?.state === 'cancelled' && <p>Import cancelled; your drawer is unchanged.</p>}
            {data?.state === 'failed' && <p>The import failed and your drawer is unchanged; try the file again.</p>}
        </div>
    );
}
