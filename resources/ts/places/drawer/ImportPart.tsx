import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { askAnew, putAnswer } from '../../api/answers';
import { ask, askWithFile, RequestFailed, sentenceOf } from '../../api/client';
import { newKey } from '../../api/keptEdits';
import type { DrawerImport, ImportChoices } from '../../api/types';
import { PartHead } from '../../ui/Column';
import { Button, NativeSelect, WordButton } from '../../ui/controls';

const Lines = styled.ol`
    margin: 4px 0 8px;
    padding: 0;
    list-style: none;
    max-height: 190px;
    overflow-y: auto;
    font-size: 14px;
    & li {
        padding: 3px 0;
        border-bottom: 1px solid var(--line);
    }
    & b {
        font-weight: 700;
    }
`;

const Choices = styled.div`
    display: grid;
    gap: 2px;
    & label {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 8px;
    }
`;

const isUnderWay = (i: DrawerImport | undefined): boolean => i?.state === 'waiting' || i?.state === 'working';

/** What can be done with a file that was looked at. */
function useImportChanges(id: number | null, put: (answer: DrawerImport) => Promise<void>, refused: (error: unknown) => void) {
    const choose = useMutation({
        mutationFn: (choices: ImportChoices) => ask<DrawerImport>(`/api/drawer/imports/${id ?? 0}`, { method: 'PATCH', json: choices }),
        onSuccess: put,
        onError: refused,
    });
    const take = useMutation({
        mutationFn: () => ask<DrawerImport>(`/api/drawer/imports/${id ?? 0}/take`, { method: 'POST' }),
        onSuccess: put,
        onError: refused,
    });
    const cancel = useMutation({
        mutationFn: () => ask<DrawerImport>(`/api/drawer/imports/${id ?? 0}`, { method: 'DELETE' }),
        onSuccess: put,
        onError: refused,
    });
    return { choose, take, cancel };
}

function useImport() {
    const client = useQueryClient();
    const [problems, setProblems] = useState<string[]>([]);
    const [id, setId] = useState<number | null>(null);
    const key = ['drawer-import', id];
    const current = useQuery({
        queryKey: key,
        queryFn: ({ signal }) => ask<DrawerImport>(`/api/drawer/imports/${id ?? 0}`, { signal }),
        enabled: id !== null,
        refetchInterval: (query) => (isUnderWay(query.state.data) ? 250 : false),
    });
    const put = (answer: DrawerImport) => putAnswer(client, ['drawer-import', answer.id], answer);
    const refused = (error: unknown) =>
        setProblems(error instanceof RequestFailed ? (error.problem.problems ?? [error.message]) : [sentenceOf(error)]);
    const begin = useMutation({
        mutationFn: (file: File) => askWithFile<DrawerImport>('/api/drawer/imports', 'file', file, newKey()),
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
            void askAnew(client, 'drawer');
        }
    }, [state, client]);
    return { problems, setProblems, id, begin, choose, take, cancel, data };
}

/** A drawer file on its way in: chosen, looked at with every problem, taken in with progress; nothing happens before it is agreed to. */
export function ImportPart() {
    const { problems, setProblems, id, begin, choose, take, cancel, data } = useImport();
    return (
        <>
            <PartHead style={{ borderTop: 0 }}>
                <h2>From a file</h2>
                <FileTrigger
                    acceptedFileTypes={['.csv', '.json', '.gpl', '.txt', '.ti3', '.cgats']}
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
            {id === null && (
                <p>CSV, JSON, a palette (.gpl) or measurement text (CGATS). It is looked at first; nothing changes before you say so.</p>
            )}
        </>
    );
}

interface PreviewProps {
    preview: NonNullable<DrawerImport['preview']>;
    choices: ImportChoices;
    busy: boolean;
    onChoose: (choices: ImportChoices) => void;
    onTake: () => void;
    onLeave: () => void;
}

function Preview({ preview, choices, busy, onChoose, onTake, onLeave }: PreviewProps) {
    const { counts, twice } = preview;
    const written = counts.new + counts.changed + counts.dropped;
    return (
        <section aria-label="What taking the file in would do">
            <p>
                <strong>
                    {counts.new} new, {counts.changed} changed, {counts.same} as they are
                    {counts.dropped > 0 && `, ${counts.dropped} no longer owned`}.
                </strong>
            </p>
            <ImportChoice choices={choices} twice={twice.length > 0} onChoose={onChoose} />
            <Findings preview={preview} written={written} />
            <div style={{ display: 'flex', gap: 12, paddingBottom: 8 }}>
                <Button $main isPending={busy} isDisabled={written === 0} onPress={onTake}>
                    {written === 0 ? 'Nothing to take in' : `Take in ${written}`}
                </Button>
                <Button onPress={onLeave}>Leave it</Button>
            </div>
        </section>
    );
}

function Problems({ problems }: { problems: readonly string[] }) {
    return (
        <div role="alert">
            {problems.length > 0 && (
                <>
                    <p>
                        <strong>The file was not taken; the drawer is as it was.</strong>
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
                    Taking in pencil {data?.done} of {data?.total}{' '}
                    <progress aria-label="pencils taken in" value={data?.done} max={data?.total} />{' '}
                    <WordButton onPress={() => onCancel()}>Cancel</WordButton>
                </p>
            )}
            {data?.state === 'done' && <p>{data?.total} pencils were taken in. Undo takes them out again.</p>}
            {data?.state === 'cancelled' && <p>Not taken in; the drawer is as it was.</p>}
            {data?.state === 'failed' && <p>Taking it in failed and the drawer is as it was; try the file again.</p>}
        </div>
    );
}

function ImportChoice({
    choices,
    twice,
    onChoose,
}: {
    choices: ImportChoices;
    twice: boolean;
    onChoose: (choices: ImportChoices) => void;
}) {
    const select = <K extends keyof ImportChoices>(key: K, label: string, options: readonly (readonly [ImportChoices[K], string])[]) => (
        <label>
            {label}
            <NativeSelect
                value={choices[key]}
                style={{ maxWidth: 330 }}
                onChange={(e) => onChoose({ ...choices, [key]: e.target.value as ImportChoices[K] })}
            >
                {options.map(([value, words]) => (
                    <option key={value} value={value}>
                        {words}
                    </option>
                ))}
            </NativeSelect>
        </label>
    );
    return (
        <Choices>
            {select('known', 'Pencils known already:', [
                ['renew', 'as the file says'],
                ['fill', 'only what is not known yet'],
                ['keep', 'leave as they are'],
            ])}
            {twice &&
                select('twice', 'Rows of one pencil:', [
                    ['merge', 'merge them'],
                    ['first', 'take the first'],
                ])}
            {select('others', 'Pencils the file does not name:', [
                ['keep', 'leave as they are'],
                ['not owned', 'are no longer owned'],
            ])}
        </Choices>
    );
}

function Findings({ preview, written }: { preview: PreviewProps['preview']; written: number }) {
    const { counts, problems, twice, rows } = preview;
    return (
        <>
            {counts.problems > 0 && (
                <>
                    <p>
                        <strong>
                            {counts.problems} {counts.problems === 1 ? 'row has a problem' : 'problems'}; those rows are left out:
                        </strong>
                    </p>
                    <Lines aria-label="Problems" tabIndex={0}>
                        {problems.map((p) => (
                            <li key={p}>{p}</li>
                        ))}
                    </Lines>
                </>
            )}
            {twice.length > 0 && (
                <Lines aria-label="Rows of one pencil" tabIndex={0}>
                    {twice.map((t) => (
                        <li key={t.id}>
                            <b>{t.id}</b> is in rows {t.rows.join(', ')}
                            {t.differs.length > 0
                                ? `; they differ in ${t.differs.join(', ').replaceAll('_', ' ')}, where the first is kept`
                                : ''}
                        </li>
                    ))}
                </Lines>
            )}
            {rows.length > 0 && (
                <Lines aria-label="Pencils that would change" tabIndex={0}>
                    {rows.map((r) => (
                        <li key={r.row}>
                            row {r.row}: <b>{r.number}</b> {r.name}
                            {r.line === '' ? '' : `, ${r.line}`} ({r.what}, {r.stock})
                        </li>
                    ))}
                    {written > rows.length && <li>and {written - rows.length} more</li>}
                </Lines>
            )}
        </>
    );
}
