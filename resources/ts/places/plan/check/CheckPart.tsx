import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { sentenceOf } from '../../../api/client';
import type { DrawingCheck, DrawingFinding, Plan, Study } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { Button, NativeSelect, WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import { Reading } from '../../../ui/Reading';
import { CornerPicker } from './CornerPicker';
import { laidText, passesWords, ZonesLaid, type Laid } from './ZonesLaid';
import { useChecks } from './useChecks';
import { HowToPhotograph } from './HowToPhotograph';

const Pictures = styled.div`
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: var(--space-3);
    align-items: start;
    & figure {
        margin: 0;
        position: relative;
    }
    & img {
        display: block;
        width: 100%;
        max-height: 300px;
        object-fit: contain;
        object-position: left top;
    }
    & figcaption {
        font-size: var(--type-figure);
        color: var(--soft-ink);
    }
`;

const Findings = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
    & li {
        display: grid;
        grid-template-columns: 40px 40px minmax(0, 1fr);
        padding: var(--space-2) 0;
        border-top: 1px solid var(--line);
    }
    & li > span {
        min-height: 36px;
    }
    & li > p {
        padding-left: var(--space-3);
    }
`;

/** A photo of the half-done drawing held against the plan: what differs, and what to do next. */
export function CheckPart({ study, picture }: { study: Study; picture: Plan }) {
    const state = useChecks(study.id);
    const most = Math.max(0, ...picture.zones.map((z) => z.sequence?.passes.length ?? 0));
    const [passes, setPasses] = useState<number | null>(null);
    const laid = Math.min(passes ?? most, most);
    const all = state.checks.data?.checks ?? [];
    // What differed when it was last looked at likely differs still.
    const [chosen, setChosen] = useState<Laid | null>(null);
    const remembered = (all[0]?.zones ?? []).filter((z) => picture.zones.some((there) => there.number === z.zone));
    const zones = chosen ?? Object.fromEntries(remembered.map((z) => [z.zone, z.passes]));
    const progress = { passes: laid, zones: laidText(zones) };
    const isReading = state.photograph.isPending || state.makeUp.isPending;
    const read = (file: File, corners: Parameters<typeof state.photograph.mutate>[0]['corners'] = null) =>
        state.photograph.mutate({ file, ...progress, corners });
    if (picture.waiting > 0) {
        return <Column aria-label="Check the drawing">A drawing is held against its plan; plan the picture first.</Column>;
    }
    return (
        <Column aria-label="Check the drawing">
            <PartHead $first>
                <h2>Check the drawing</h2>
            </PartHead>
            <HowFar
                {...{ laid, most, isReading }}
                isFirst={all.length === 0}
                onLaid={setPasses}
                onPhoto={read}
                onMadeUp={() => state.makeUp.mutate(progress)}
            />
            <ZonesLaid key={all[0]?.id} picture={picture} laid={zones} onLaid={setChosen} />
            <div role="status">{isReading && <Reading words="Holding the photo against the plan…" onCancel={state.takeBack} />}</div>
            <div role="alert">
                {state.fault !== null && <p>{state.fault}</p>}
                {state.checks.error !== null && <p>{sentenceOf(state.checks.error)}</p>}
            </div>
            {state.inHand !== null && state.fault !== null && (
                <CornerPicker
                    key={state.inHand.name}
                    file={state.inHand}
                    isPending={isReading}
                    onRead={(corners) => state.inHand !== null && read(state.inHand, corners)}
                />
            )}
            {all.map((check, i) => (
                <OneCheck
                    key={check.id}
                    check={check}
                    base={state.base}
                    isOpen={i === 0}
                    isPending={state.remove.isPending}
                    onRemove={() => state.remove.mutate(check.id)}
                />
            ))}
        </Column>
    );
}

interface HowFarProps {
    laid: number;
    most: number;
    isReading: boolean;
    isFirst: boolean;
    onLaid: (passes: number) => void;
    onPhoto: (file: File) => void;
    onMadeUp: () => void;
}

function HowFar({ laid, most, isReading, isFirst, onLaid, onPhoto, onMadeUp }: HowFarProps) {
    return (
        <>
            <p>Photograph the drawing half-way: you see where it differs from the plan, and what to do next.</p>
            {isFirst && <HowToPhotograph />}
            <Row>
                <label>
                    Passes done{' '}
                    <NativeSelect value={laid} onChange={(e) => onLaid(Number(e.target.value))}>
                        {Array.from({ length: most }, (_, i) => i + 1).map((n) => (
                            <option key={n} value={n}>
                                {n === most ? 'all passes' : n === 1 ? 'one pass of each zone' : `${n} passes of each zone`}
                            </option>
                        ))}
                    </NativeSelect>
                </label>
                <FileTrigger acceptedFileTypes={['image/*']} onSelect={(files) => files?.[0] !== undefined && onPhoto(files[0])}>
                    <Button $main={isFirst} isPending={isReading}>
                        Choose a photo of the drawing
                    </Button>
                </FileTrigger>
                <WordButton isPending={isReading} onPress={onMadeUp}>
                    Try with a simulated photo
                </WordButton>
            </Row>
        </>
    );
}

interface OneCheckProps {
    check: DrawingCheck;
    base: string;
    isOpen: boolean;
    isPending: boolean;
    onRemove: () => void;
}

/** What one photo said; of earlier ones the findings are folded away, so that the pictures stand one above the other. */
function OneCheck({ check, base, isOpen, isPending, onRemove }: OneCheckProps) {
    const [open, setOpen] = useState(isOpen);
    const [every, setEvery] = useState(false);
    const shown = every ? check.findings : check.findings.slice(0, 6);
    return (
        <section aria-label={`Check of ${new Date(check.made).toLocaleDateString('en-GB')}, after ${check.passes} passes`}>
            <PartHead>
                <h2>{check.summary}</h2>
            </PartHead>
            <p>
                {new Date(check.made).toLocaleString('en-GB', { dateStyle: 'short', timeStyle: 'short' })}, after{' '}
                {passesWords(check.passes)}
                {check.zones.map((z) => `; ${z.name} ` + passesWords(z.passes))}: off by {check.meanDeltaE00.toFixed(1)} on average (ΔE00).{' '}
                <WordButton aria-expanded={open} onPress={() => setOpen(!open)}>
                    {open ? 'Hide findings' : 'Show findings'}
                </WordButton>{' '}
                <WordButton isPending={isPending} onPress={onRemove}>
                    Remove
                </WordButton>
            </p>
            <Pictures>
                <figure>
                    <img src={`${base}/${check.id}/photo`} alt="the photo of the drawing" />
                </figure>
                <figure>
                    <img src={`${base}/${check.id}/map`} alt="where it differs from the plan so far" />
                    <figcaption>grey: as planned; lighter, darker or tinted as the drawing is</figcaption>
                </figure>
            </Pictures>
            {open && (
                <>
                    <Findings aria-label="What to do next, zone by zone">
                        {shown.map((f) => (
                            <Finding key={`${f.number}/${f.shade}`} finding={f} />
                        ))}
                    </Findings>
                    {check.findings.length > shown.length && (
                        <WordButton onPress={() => setEvery(true)}>All {check.findings.length}</WordButton>
                    )}
                </>
            )}
        </section>
    );
}

function Finding({ finding: f }: { finding: DrawingFinding }) {
    return (
        <li>
            <span style={{ background: f.expected.hex }} title={`expected, ${f.expected.hex}`} />
            <span style={{ background: f.found.hex }} title={`found, ${f.found.hex}`} />
            <p>
                <b>
                    {f.zone}, {f.name}
                </b>
                : {f.words}. {f.move.words}
            </p>
        </li>
    );
}
