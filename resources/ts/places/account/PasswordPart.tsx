import { useState, type SyntheticEvent } from 'react';
import { sentenceOf } from '../../api/client';
import { Column, PartHead } from '../../ui/Column';
import { Button } from '../../ui/controls';
import { Row } from '../../ui/layout';
import { Proof, Secret } from './Proof';
import { useProved } from './queries';

/** A new password, or the same one and an end to whatever is signed in elsewhere. */
export function PasswordPart() {
    const [present, setPresent] = useState('');
    const [next, setNext] = useState('');
    const [done, setDone] = useState('');
    const clear = (said: string) => () => {
        setPresent('');
        setNext('');
        setDone(said);
    };
    const change = useProved('PATCH', '/api/account/password', clear('Password changed. All other devices are signed out.'));
    const elsewhere = useProved('POST', '/api/account/elsewhere', clear('All other devices are signed out.'));
    const fault = change.error ?? elsewhere.error;
    const send = (event: SyntheticEvent) => {
        event.preventDefault();
        setDone('');
        elsewhere.reset();
        change.mutate({ password: present, new: next });
    };
    return (
        <Column aria-label="Sign-in and devices">
            <PartHead $first>
                <h2>Sign-in and devices</h2>
            </PartHead>
            <Proof onSubmit={send} aria-label="Change the password">
                <Secret label="Current password" kind="current-password" value={present} onChange={setPresent} />
                <Secret label="New password (10 characters or more)" kind="new-password" value={next} onChange={setNext} />
                <Row>
                    <Button type="submit" isPending={change.isPending}>
                        Change password
                    </Button>
                    <Button
                        isPending={elsewhere.isPending}
                        onPress={() => {
                            setDone('');
                            change.reset();
                            elsewhere.mutate({ password: present });
                        }}
                    >
                        Sign out all other devices
                    </Button>
                </Row>
                <p role="alert">{fault && sentenceOf(fault)}</p>
                <p role="status">{done}</p>
            </Proof>
        </Column>
    );
}
