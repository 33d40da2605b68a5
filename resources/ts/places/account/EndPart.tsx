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
        <Column aria-label="The end of it">
            <PartHead $first>
                <h2>The end of it</h2>
            </PartHead>
            {!sure ? (
                <Row>
                    <WordButton onPress={() => setSure(true)}>Delete this account…</WordButton>
                </Row>
            ) : (
                <Proof onSubmit={send} aria-label="Delete this account">
                    <p>
                        {studies} {studies === 1 ? 'study' : 'studies'} with photos, plans and what was ticked at the desk, {pencils}{' '}
                        pencils, the hand, the book and the links that show plans: all of it goes, for good. Save it as one file first if
                        you may want it back.
                    </p>
                    <Secret label="Password" kind="current-password" value={password} onChange={setPassword} />
                    <Row>
                        <Button type="submit" isPending={end.isPending}>
                            Delete all of it
                        </Button>
                        <WordButton onPress={() => setSure(false)}>Keep the account</WordButton>
                    </Row>
                    <p role="alert">{end.error && sentenceOf(end.error)}</p>
                </Proof>
            )}
        </Column>
    );
}
