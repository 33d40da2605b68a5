import { lazy, Suspense, useEffect, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { Drawer, Plan, Study } from '../../api/types';

import { FirstPencils } from '../../app/FirstPencils';
import { isUnshown, StudyRescue } from '../../app/StudyRescue';
import { useKeys } from '../../app/useKeys';
import { Tabs } from '../../ui/controls';
import { UndoRedo } from '../../ui/UndoRedo';
import { useInAddress } from '../../ui/useInAddress';
import { PictureStage } from './PictureStage';
import { RunBar } from './RunBar';
import { ValueRunBars } from './ValueRunBars';
import { stampOf, usePencilsAhead, usePlan, usePlanChanges, type PlanChanges } from './queries';
import { ZonesPart } from './ZonesPart';
import { useDrawer } from '../../api/studies';
import { Aired, Inset, Side, SideBar } from '../../ui/layout';

const FirstPlan = lazy(async () => ({ default: (await import('./FirstPlan')).FirstPlan }));
const MethodPart = lazy(async () => ({ default: (await import('./method/MethodPart')).MethodPart }));
const PalettePart = lazy(async () => ({ default: (await import('./PalettePart')).PalettePart }));
const TakeAlong = lazy(async () => ({ default: (await import('./along/TakeAlong')).TakeAlong }));
const CheckPart = lazy(async () => ({ default: (await import('./check/CheckPart')).CheckPart }));

const Sides = styled.main`
    flex: 1;
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(600px, 52%);
    @media (max-width: 1099px) {
        /* What lies below begins where the first part ends, however much of it is there yet. */
        grid-template: auto 1fr / minmax(0, 1fr);
    }
`;

const PARTS = [
    { value: 'zones', label: 'Zones' },
    { value: 'palette', label: 'Palette' },
    { value: 'method', label: 'Method' },
    { value: 'check', label: 'Check' },
    { value: 'along', label: 'Print & files' },
] as const;

type PartName = (typeof PARTS)[number]['value'];

/** The plan of a study's picture: what it will look like at the left, and at the right the part of it that one is arguing with. */
export function PlanScreen({ study, onFault }: { study: Study; onFault: (text: string) => void }) {
    const picture = usePlan(study.id);
    usePencilsAhead(study.id, picture.data);
    const changes = usePlanChanges(study.id, (error) => onFault(sentenceOf(error)));
    const [remembered] = useState<PartName>(
        () => PARTS.find((p) => p.value === localStorage.getItem(`plan/${study.id}`))?.value ?? 'zones',
    );
    const [part, setPart] = useInAddress('beside', PARTS, remembered);
    const drawer = useDrawer();
    useEffect(() => localStorage.setItem(`plan/${study.id}`, part), [study.id, part]);
    useKeys({
        onUndo: () => changes.undo.mutate(),
        onRedo: () => changes.redo.mutate(),
        onRecipe: () => undefined,
        onKey: () => false,
    });
    const data = picture.data;
    if (data === undefined) {
        return <NotOpen study={study} fault={picture.error} onUndo={() => changes.undo.mutate()} onFault={onFault} />;
    }
    const known = drawer.data?.pencils ?? [];
    if (data.cannot !== null) {
        return <NothingToPlan {...{ study, changes, onFault }} cannot={data.cannot} pencils={drawer.data?.pencils.length ?? null} />;
    }
    const stamp = stampOf(data);
    return (
        <Sides>
            <div>
                <RunBar picture={data} changes={changes} />
                <PictureStage study={study} picture={data} stamp={stamp} changes={changes} />
                <ValueRunBars study={study.id} stamp={stamp} planned={data.waiting === 0} />
            </div>
            <Side>
                <SideBar>
                    <Tabs label="Beside the picture" value={part} options={PARTS} onChange={setPart} />
                    <span className="end">
                        <UndoRedo
                            undoWords={data.undoWords}
                            redoWords={data.redoWords}
                            onUndo={() => changes.undo.mutate()}
                            onRedo={() => changes.redo.mutate()}
                        />
                    </span>
                </SideBar>
                <BesidePicture {...{ part, study, changes, stamp }} picture={data} pencils={known} />
            </Side>
        </Sides>
    );
}

interface BesidePictureProps {
    part: PartName;
    study: Study;
    picture: Plan;
    pencils: Drawer['pencils'];
    changes: PlanChanges;
    stamp: string;
}

function BesidePicture({ part, study, picture, pencils, changes, stamp }: BesidePictureProps) {
    return (
        <Suspense fallback={<Inset>Opening…</Inset>}>
            {part === 'zones' && <ZonesPart study={study} picture={picture} pencils={pencils} changes={changes} />}
            {part === 'palette' && <PalettePart study={study} picture={picture} stamp={stamp} changes={changes} />}
            {part === 'method' && <MethodPart study={study} picture={picture} changes={changes} />}
            {part === 'check' && <CheckPart study={study} picture={picture} />}
            {part === 'along' && <TakeAlong study={study} picture={picture} changes={changes} />}
        </Suspense>
    );
}

interface NotOpenProps {
    study: Study;
    fault: unknown;
    onUndo: () => void;
    onFault: (text: string) => void;
}

function NotOpen({ study, fault, onUndo, onFault }: NotOpenProps) {
    return (
        <Inset as="main">
            {fault == null ? (
                'Opening the plan…'
            ) : isUnshown(fault) ? (
                <StudyRescue study={study} fault={fault} onUndo={onUndo} onFault={onFault} />
            ) : (
                <span role="alert">{sentenceOf(fault)}</span>
            )}
        </Inset>
    );
}

interface NothingToPlanProps {
    study: Study;
    cannot: string;
    /** How many there are; null while that is not known. */
    pencils: number | null;
    changes: PlanChanges;
    onFault: (text: string) => void;
}

/** What is missing, and the one press that helps: zones and a plan, or pencils. */
function NothingToPlan({ study, cannot, pencils, changes, onFault }: NothingToPlanProps) {
    return (
        <Inset as="main">
            <Aired>{cannot}</Aired>
            {pencils === 0 && <FirstPencils onFault={onFault} withExample />}
            {pencils !== null && pencils > 0 && (
                <Suspense fallback={null}>
                    <FirstPlan study={study} changes={changes} onFault={(error) => onFault(sentenceOf(error))} />
                </Suspense>
            )}
            <p>
                <Link to={`/photo/${study.id}?beside=zones`}>Go to the zones of the photo</Link> ·{' '}
                <Link to="/drawer">Go to the drawer</Link>
            </p>
        </Inset>
    );
}
