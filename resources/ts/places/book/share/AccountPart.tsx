import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { FileTrigger } from 'react-aria-components';
import { putAnswer } from '../../../api/answers';
import { ask, askWithFile, send, sentenceOf } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { AccountImport } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { Button, WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';

const LATEST = ['account-import'];
const isUnderWay = (i: AccountImport | null | undefined): boolean => i?.state === 'waiting' || i?.state === 'working';

/** The account file that is being brought in, or was last; known after a reload, too. */
function useAccountImport() {
    const client = useQueryClient();
    const latest = useQuery({
        queryKey: LATEST,
        queryFn: ({ signal }) => ask('/api/book/account', { signal }),
        refetchInterval: (query) => (isUnderWay(query.state.data?.import) ? 500 : false),
    });
    const data = latest.data?.import;
    const begin = useMutation({
        mutationFn: (file: File) => askWithFile('/api/book/account', 'file', file, { key: newKey() }),
        onSuccess: (begun) => putAnswer(client, LATEST, { import: begun }),
    });
    const cancel = useMutation({
        mutationFn: (id: number) => send('DELETE', `/api/book/account/imports/${id}`, {}),
        onSuccess: (cancelled) => putAnswer(client, LATEST, { import: cancelled }),
    });
    const wasUnderWay = useRef(false);
    useEffect(() => {
        if (wasUnderWay.current && data?.state === 'done') {
            // Studies, drawer, book: nearly all that was asked for may be other now.
            void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== LATEST[0] });
        }
        wasUnderWay.current = isUnderWay(data);
    }, [client, data]);
    return { data, begin, cancel };
}

/** All of the account as one file, out and in. */
export function AccountPart() {
    const { data, begin, cancel } = useAccountImport();
    return (
        <Column aria-label="Account backup">
            <PartHead>
                <h2>Account backup</h2>
            </PartHead>
            <p>
                Pencils, studies with what was ticked at the desk, the book of recipes and practice, in one file; to keep, or to bring into
                another account.
            </p>
            <Row>
                <a href="/api/book/account.zip">Save account as a file</a>
                <FileTrigger acceptedFileTypes={['.zip']} onSelect={(files) => files?.[0] !== undefined && begin.mutate(files[0])}>
                    <Button isPending={begin.isPending || isUnderWay(data)}>Restore an account file</Button>
                </FileTrigger>
            </Row>
            {begin.error !== null && <p role="alert">{sentenceOf(begin.error)}</p>}
            {cancel.error !== null && <p role="alert">{sentenceOf(cancel.error)}</p>}
            <div role="status">
                {data != null && begin.error === null && <Standing data={data} onCancel={() => cancel.mutate(data.id)} />}
            </div>
        </Column>
    );
}

function Standing({ data, onCancel }: { data: AccountImport; onCancel: () => void }) {
    if (isUnderWay(data)) {
        return (
            <p>
                {data.total === 0
                    ? 'Reading the account file…'
                    : `Restoring study ${Math.min(data.done + 1, data.total)} of ${data.total}…`}{' '}
                <progress aria-label="studies restored" {...(data.total === 0 ? {} : { value: data.done, max: data.total })} />{' '}
                <WordButton onPress={onCancel}>Cancel</WordButton> You can leave this page; it continues.
            </p>
        );
    }
    if (data.state === 'done' && data.taken !== null) {
        const { pencils, studies, known, recipes, practice, problems } = data.taken;
        return (
            <p>
                Restored: {counted(pencils, 'pencil')}, {counted(studies, 'study', 'studies')}, {counted(recipes, 'recipe')},{' '}
                {counted(practice, 'answer')} from practice.
                {known > 0 &&
                    ` ${counted(known, 'study', 'studies')} you already have ` +
                        `${known === 1 ? 'was kept unchanged' : 'were kept unchanged'}.`}{' '}
                {problems.join(' ')}
            </p>
        );
    }
    return data.state === 'cancelled' ? <p>Cancelled. Nothing was restored.</p> : <p>Nothing was restored. {data.problem}</p>;
}

const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
