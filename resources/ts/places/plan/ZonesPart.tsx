import styled from 'styled-components';
import type { Drawer, Plan, PlanZone, Study } from '../../api/types';
import type { PlanChanges } from './queries';
import { SequenceEditor } from './sequence/SequenceEditor';
import { countWarnings } from './sequence/warned';
import { useNumberInAddress } from '../../ui/useInAddress';
import { Warned } from '../../ui/Warned';
import { within } from '../../ui/within';
import { useSurveyOf } from '../../api/studies';
import { ZoneThumb } from '../../stage/ZoneThumb';

const Two = styled.div`
    display: grid;
    grid-template-columns: clamp(224px, 13vw, 340px) minmax(0, 1fr);
    @media (max-width: 599px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

const List = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
    border-right: 1px solid var(--line);
    overflow-y: auto;
    max-height: max(420px, calc(100vh - 90px));
    & button {
        display: grid;
        grid-template-columns: 64px minmax(0, 1fr);
        gap: 0 var(--space-2);
        width: 100%;
        padding: var(--space-1) var(--space-2) var(--space-1) var(--space-3);
        border: 0;
        border-bottom: 1px solid var(--line);
        background: none;
        color: var(--ink);
        text-align: left;
        cursor: pointer;
        line-height: 1.25;
    }
    & button[aria-pressed='true'] {
        font-weight: 700;
        background: var(--raised);
        box-shadow: inset 4px 0 0 var(--ink);
    }
    & small {
        display: flex;
        justify-content: space-between;
        gap: var(--space-2);
        font-size: var(--type-figure);
        font-weight: 400;
        color: var(--soft-ink);
    }
    @media (max-width: 599px) {
        max-height: 40vh;
        border-right: 0;
    }
`;

/** What the photo asks for above, what the plan gives beneath: they touch, shade by shade. */
const Run = styled.span`
    display: flex;
    height: 20px;
    & > span {
        flex: 1;
        max-width: 44px;
        display: grid;
        grid-template-rows: 1fr 1fr;
    }
`;

interface ZonesPartProps {
    study: Study;
    picture: Plan;
    pencils: Drawer['pencils'];
    changes: PlanChanges;
}

/** Every zone, and of the chosen one its sequence from the paper up, to read aloud and to argue with. */
export function ZonesPart({ study, picture, pencils, changes }: ZonesPartProps) {
    const [number, setNumber] = useNumberInAddress('zone');
    const survey = useSurveyOf(study.id);
    const places = new Map(survey.data?.zones?.list.map((z) => [z.number, z.outlines]));
    const zone = picture.zones.find((z) => z.number === number) ?? picture.zones[0];
    if (zone === undefined) {
        return null;
    }
    return (
        <Two>
            <List aria-label="Zones of the plan">
                {picture.zones.map((z) => (
                    <li key={z.number}>
                        <button type="button" aria-pressed={z.number === zone.number} onClick={() => setNumber(z.number)}>
                            <ZoneThumb study={study} outlines={places.get(z.number) ?? []} />
                            <span>
                                {z.name}
                                <ValueRun zone={z} />
                                <Summary zone={z} warnings={countWarnings(z, picture)} />
                            </span>
                        </button>
                    </li>
                ))}
            </List>
            <SequenceEditor
                key={zone.number}
                study={study}
                zone={zone}
                picture={picture}
                pencils={pencils}
                changes={changes}
                basis={[basisOf(study, picture, pencils), zone.shades.map((s) => s.aim.lab.join()).join(), zone.method?.join() ?? ''].join(
                    '/',
                )}
            />
        </Two>
    );
}

const basisOf = (study: Study, { settings }: Plan, pencils: Drawer['pencils']): string =>
    JSON.stringify([study.paper, study.photoId, settings, pencils.map((p) => p.id)]);

function ValueRun({ zone }: { zone: PlanZone }) {
    return (
        <Run aria-hidden="true">
            {zone.shades.map((s) => (
                <span key={s.shade}>
                    <span style={{ background: s.aim.hex }} />
                    <span style={{ background: lastOf(zone, s.shade)?.hex ?? 'var(--raised)' }} />
                </span>
            ))}
        </Run>
    );
}

/** What a shade ends with; undefined where the paper stays bare, or nothing is planned. */
const lastOf = ({ sequence }: PlanZone, shade: string) =>
    sequence?.passes
        .map((p) => p.dabs[shade])
        .filter((d) => d !== undefined)
        .at(-1);

function Summary({ zone: { sequence }, warnings }: { zone: PlanZone; warnings: number }) {
    if (sequence === null) {
        return <small>not planned yet</small>;
    }
    const passes = sequence.passes.length === 1 ? '1 pass' : `${sequence.passes.length} passes`;
    return (
        <small>
            {sequence.passes.length === 0 ? 'bare paper' : passes}, error {within(sequence.errorOnPaper)} <Warned count={warnings} />
        </small>
    );
}
