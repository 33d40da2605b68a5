import { useState, type SyntheticEvent } from 'react';
import styled from 'styled-components';
import { FileTrigger } from 'react-aria-components';
import { Link, useNavigate } from 'react-router';
import { sentenceOf } from '../../../api/client';
import type { Plan, Study } from '../../../api/types';
import { DeleteStudy } from '../../../app/StudyRescue';
import { Column, PartHead } from '../../../ui/Column';
import { Button, NativeSelect, WordButton } from '../../../ui/controls';
import { useBringIn, type PlanChanges } from '../queries';
import { useSaveStudy, useSurveyOf } from '../../../api/studies';
import { pathOf } from '../../../stage/lines';
import { SheetSketch } from './SheetSketch';
import { Row, PressedRow, WideInput } from '../../../ui/layout';

const Named = styled.ul`
    margin: 0;
    padding: 0;
    list-style: none;
`;

const Sheets = styled.ul`
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(176px, 1fr));
    gap: var(--space-3);
    margin: 0;
    padding: var(--space-2) 0 var(--space-3);
    list-style: none;
    & li {
        display: flex;
        gap: var(--space-3);
        font-size: var(--type-small);
        line-height: 1.3;
    }
    & a {
        display: inline-block;
        padding: var(--space-2) 0;
    }
`;

const SHEETS = [
    ['card', 'plan/card.pdf', '', 'Palette card', 'Every pencil and recipe, with boxes for your own swatches.'],
    ['zones', 'plan/zones.pdf', '', 'Zone sheets', 'Each zone with its place and its sequence.'],
    ['steps', 'plan/steps.pdf', '', 'Step sheet', 'Every pass in the order of the Desk.'],
    // At the drawing's real size: as they are drawn, for a transfer face down, and under a grid.
    ['outlines', 'desk/outlines.pdf', '', 'Outlines', 'At the real size of your drawing, on as many pages as needed.'],
    ['mirrored', 'desk/outlines.pdf', '&mirrored=1', 'Outlines, mirrored', 'For a transfer face down.'],
    ['grid', 'desk/outlines.pdf', '&grid=1', 'Outlines with the grid', 'With squares of the size you chose.'],
] as const;

/** What goes to the desk: sheets to print, the palette as files, and versions of the plan with names. */
export function TakeAlong({ study, picture, changes }: { study: Study; picture: Plan; changes: PlanChanges }) {
    const base = `/api/studies/${study.id}/plan` as const;
    return (
        <Column aria-label="Print & files">
            <ToPrint study={study} picture={picture} />
            <PartHead>
                <h2>Palette files</h2>
            </PartHead>
            <Sheets>
                <li>
                    <SheetSketch kind="palette" colours={coloursOf(picture)} />
                    <span>
                        <a href={`${base}/palette.gpl`} download>
                            Save as palette (.gpl)
                        </a>
                        <br />
                        For programs that paint.
                    </span>
                </li>
                <li>
                    <SheetSketch kind="table" />
                    <span>
                        <a href={`${base}/palette.csv`} download>
                            Save as CSV
                        </a>
                        <br />
                        For a table of your own.
                    </span>
                </li>
            </Sheets>
            <PressedRow>
                <Link to={`/drawer?beside=hand&paper=${encodeURIComponent(study.paper)}&planOf=${study.id}`}>
                    Calibrate your hand for this plan
                </Link>
                A few strips on a scrap of paper make predictions fit your own hand.
            </PressedRow>
            <WholeStudy study={study} />
            <VersionsPart picture={picture} changes={changes} />
        </Column>
    );
}

/** The pencils of the plan in their colour, as many as a small sheet shows. */
const coloursOf = (picture: Plan): string[] => picture.palette.slice(0, 20).flatMap((p) => p.strata[0] ?? []);

function ToPrint({ study, picture }: { study: Study; picture: Plan }) {
    const [size, setSize] = useState('a4');
    const zones = useSurveyOf(study.id).data?.zones?.list ?? [];
    const contours = zones.map((z) => pathOf(z.outlines, 1000, 1000, true)).join('');
    return (
        <>
            <PartHead $first>
                <h2>To print</h2>
                <NativeSelect aria-label="Size of the paper" value={size} onChange={(e) => setSize(e.target.value)}>
                    <option value="a4">A4</option>
                    <option value="a5">A5</option>
                    <option value="letter">Letter</option>
                </NativeSelect>
            </PartHead>
            {picture.waiting > 0 && <p>Not all is planned yet; the sheets hold what is there.</p>}
            <Sheets>
                {SHEETS.map(([kind, path, how, title, what]) => (
                    <li key={title}>
                        <SheetSketch kind={kind} colours={coloursOf(picture)} contours={contours} />
                        <span>
                            <a href={`/api/studies/${study.id}/${path}?size=${size}${how}`} target="_blank" rel="noreferrer">
                                {title}
                            </a>
                            <br />
                            {what}
                        </span>
                    </li>
                ))}
            </Sheets>
        </>
    );
}

function WholeStudy({ study }: { study: Study }) {
    const [fault, setFault] = useState('');
    const navigate = useNavigate();
    const bringIn = useBringIn(
        (s) => void navigate(`/plan/${s.id}`),
        (error) => setFault(sentenceOf(error)),
    );
    const save = useSaveStudy((error) => setFault(sentenceOf(error)));
    return (
        <>
            <PartHead>
                <h2>The whole study</h2>
            </PartHead>
            <PressedRow $tight>
                <WordButton isPending={save.isPending} onPress={() => save.mutate(study)}>
                    {save.isPending ? 'Writing the file…' : 'Save study as a file'}
                </WordButton>
                <FileTrigger acceptedFileTypes={['.json']} onSelect={(files) => files?.[0] !== undefined && bringIn.mutate(files[0])}>
                    <WordButton isPending={bringIn.isPending}>{bringIn.isPending ? 'Opening the study…' : 'Open a study file'}</WordButton>
                </FileTrigger>
                <DeleteStudy study={study} onFault={setFault} />
            </PressedRow>
            <p role="alert">{fault}</p>
        </>
    );
}

function VersionsPart({ picture, changes }: { picture: Plan; changes: PlanChanges }) {
    const [name, setName] = useState('');
    return (
        <>
            <PartHead>
                <h2>Versions</h2>
            </PartHead>
            <Row
                as="form"
                onSubmit={(e: SyntheticEvent) => {
                    e.preventDefault();
                    if (name.trim() !== '') {
                        changes.version.mutate({ name: name.trim() }, { onSuccess: () => setName('') });
                    }
                }}
            >
                <WideInput
                    aria-label="Name of this version"
                    placeholder="name for the current plan"
                    value={name}
                    maxLength={80}
                    onChange={(e) => setName(e.target.value)}
                />
                <Button type="submit" isDisabled={picture.version === 0}>
                    Save version
                </Button>
            </Row>
            {picture.version === 0 && <p>You haven’t changed anything in this plan yet.</p>}
            <Named>
                {picture.named.map((v) => (
                    <li key={v.number}>
                        {v.number === picture.version ? (
                            <b>{v.name}, shown now</b>
                        ) : (
                            <WordButton onPress={() => changes.version.mutate({ number: v.number })}>Go to “{v.name}”</WordButton>
                        )}
                    </li>
                ))}
            </Named>
        </>
    );
}
