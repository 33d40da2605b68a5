import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { send, sentenceOf } from '../../api/client';
import { newKey } from '../../api/keptEdits';
import type { SharedPlan } from '../../api/types';
import { Button, WordChoice } from '../../ui/controls';
import { Row, WideInput } from '../../ui/layout';

interface SayPartProps {
    plan: SharedPlan;
    base: string;
    onSaid: () => void;
}

/** The one thing that can be said: which photo the colours should follow, and a few words. */
export function SayPart({ plan, base, onSaid }: SayPartProps) {
    const followed = plan.photos.find((p) => p.isFollowed);
    const [photo, setPhoto] = useState(String(plan.said.photo ?? followed?.id ?? ''));
    const [note, setNote] = useState(plan.said.note);
    const say = useMutation({
        mutationFn: () => send('POST', `${base}/note`, { json: { photo: photo === '' ? null : Number(photo), note }, key: newKey() }),
        onSuccess: onSaid,
    });
    return (
        <section aria-label="Your reply">
            {plan.photos.length > 1 && (
                <Row>
                    <span>Colours should follow</span>
                    <WordChoice
                        label="Colours should follow"
                        value={photo}
                        options={plan.photos.map((p) => ({ value: String(p.id), label: p.name }))}
                        onChange={setPhoto}
                    />
                </Row>
            )}
            <Row>
                <WideInput
                    aria-label="A note for the artist"
                    placeholder="a note for the artist"
                    maxLength={1000}
                    value={note}
                    onChange={(e) => setNote(e.target.value)}
                />
                <Button $main isPending={say.isPending} onPress={() => say.mutate()}>
                    {say.isPending ? 'Sending…' : 'Send reply'}
                </Button>
            </Row>
            {say.error !== null && <p role="alert">{sentenceOf(say.error)}</p>}
            {plan.said.at !== null && <p role="status">Sent. You can change it as long as the link works.</p>}
        </section>
    );
}
