import { useMutation, useQueryClient } from '@tanstack/react-query';
import { FileTrigger } from 'react-aria-components';
import { askWithFile, sentenceOf } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { TakenIn } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { Button } from '../../../ui/controls';
import { Row } from '../../../ui/layout';

/** All of the account as one file, out and in. */
export function AccountPart() {
    const client = useQueryClient();
    const bringIn = useMutation({
        mutationFn: (file: File) => askWithFile<TakenIn>('/api/book/account', 'file', file, { key: newKey() }),
        onSuccess: () => client.invalidateQueries(),
    });
    const taken = bringIn.data;
    return (
        <Column aria-label="Take everything along">
            <PartHead>
                <h2>Take everything along</h2>
            </PartHead>
            <p>
                Pencils, studies with what was marked at the desk, the book of recipes and practice, in one file; to keep, or to bring into
                another account.
            </p>
            <Row>
                <a href="/api/book/account.zip">Save it all</a>
                <FileTrigger acceptedFileTypes={['.zip']} onSelect={(files) => files?.[0] !== undefined && bringIn.mutate(files[0])}>
                    <Button isPending={bringIn.isPending}>{bringIn.isPending ? 'Taking it in…' : 'Bring one in'}</Button>
                </FileTrigger>
            </Row>
            {bringIn.error !== null && <p role="alert">{sentenceOf(bringIn.error)}</p>}
            {taken !== undefined && (
                <p role="status">
                    Taken in: {taken.pencils} pencils, {taken.studies} studies, {taken.recipes} recipes, {taken.practice} answers of
                    practice. {taken.problems.join(' ')}
                </p>
            )}
        </Column>
    );
}
