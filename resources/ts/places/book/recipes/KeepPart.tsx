import { useState } from 'react';
import type { Study } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { Button, NativeSelect, TextInput } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import { useNumberInAddress } from '../../../ui/useInAddress';
import { useZones, type BookChanges } from './queries';

/** Puts a zone of the study in hand into the book, with words to find it by. */
export function KeepPart({ study, changes }: { study: Study; changes: BookChanges }) {
    const zones = useZones(study.id).data?.zones ?? [];
    const [wanted, setZone] = useNumberInAddress('zone');
    const [words, setWords] = useState('');
    const [outcome, setOutcome] = useState('');
    // What is done first: that is what worked.
    const sorted = [...zones].sort((a, b) => Number(b.left === 0) - Number(a.left === 0) || b.laid - a.laid);
    const zone = sorted.find((z) => z.number === wanted) ?? sorted[0];
    if (zone === undefined) {
        return null;
    }
    const keep = () =>
        changes.keep.mutate(
            { zone: zone.number, words, outcome },
            {
                onSuccess: () => {
                    setWords('');
                    setOutcome('');
                },
            },
        );
    return (
        <Column aria-label="Save a zone">
            <PartHead>
                <h2>Save a zone of “{study.name}”</h2>
            </PartHead>
            <Row>
                <NativeSelect aria-label="Zone to save" value={zone.number} onChange={(e) => setZone(Number(e.target.value))}>
                    {sorted.map((z) => (
                        <option key={z.number} value={z.number}>
                            {z.name}
                            {z.left === 0 ? ', done' : z.laid > 0 ? ', in progress' : ''}
                        </option>
                    ))}
                </NativeSelect>
                <TextInput
                    aria-label="Subject"
                    placeholder="subject: wet slate, dusk"
                    maxLength={500}
                    value={words}
                    onChange={(e) => setWords(e.target.value)}
                />
                <TextInput
                    aria-label="How it turned out"
                    placeholder="how it turned out"
                    maxLength={300}
                    value={outcome}
                    onChange={(e) => setOutcome(e.target.value)}
                />
                <Button $main isPending={changes.keep.isPending} onPress={keep}>
                    {changes.keep.isPending ? 'Saving…' : 'Save in the Book'}
                </Button>
            </Row>
        </Column>
    );
}
