import { useState, type SyntheticEvent } from 'react';
import { sentenceOf } from '../../api/client';
import { Column, PartHead } from '../../ui/Column';
import { Button, WordButton } from '../../ui/controls';
import { Row } from '../../ui/layout';
import { Proof, Secret } from './Proof';
import { useProved } from './queries';

/** The end of an account, with everything in it; asked for twice, and proved. */
export function EndPart({ studies, pencils }: { studies: number; pencils: number }) {
    const [sure, setSure] = useState(false);
    const [password, setPassword] = useState('');
    const end = useProved('DELETE', '/api/account', () => {
        window.location.assign('/sign-in');
    });
    const send = (event: SyntheticEvent) => {
        event.preventDefault();
        end.mutate({ password });
    };
    return (
        <Column aria-label="Delete account">
            <PartHead $first>
                <h2>Delete account</h2>
            </PartHead>
            {!sure ? (
                <Row>
                    <WordButton onPress={() => setSure(true)}>Delete account…</WordButton>
                </Row>
            ) : (
                <Proof onSubmit={send} aria-label="Confirm deleting the account">
                    <p>
                        {studies} {studies === 1 ? 'study' : 'studies'} with photos, plans and what was ticked at the desk, {pencils}{' '}
                        pencils, the hand, the book and the links that show plans: all of it will be deleted and can’t be restored. Save it
                        as a file first if you may need it again.
                    </p>
                    <Secret label="Password" kind="current-password" value={password} onChange={setPassword} />
                    <Row>
                        <Button type="submit" isPending={end.isPending}>
                            Delete everything
                        </Button>
                        <WordButton onPress={() => setSure(false)}>Keep account</WordButton>
                    </Row>
                    <p role="alert">{end.error && sentenceOf(end.error)}</p>
                </Proof>
            )}
        </Column>
    );
}
