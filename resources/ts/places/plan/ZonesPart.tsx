import styled from 'styled-components';
import type { Drawer, Plan, PlanZone, Study } from '../../api/types';
import type { PlanChanges } from './queries';
import { SequenceEditor } from './sequence/SequenceEditor';
import { countWarnings } from './sequence/warned';
import { useNumberInAddress } from '../../ui/useInAddress';
import { within } from '../../ui/within';

const Two = styled.div`
    display: grid;
    grid-template-columns: 190px minmax(0, 1fr);
`;

const List = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
    border-right: 1px solid var(--line);
    overflow-y: auto;
    max-height: max(420px, calc(100vh - 100px));
    & button {
        display: block;
        width: 100%;
        min-height: 44px;
        padding: 3px 8px 3px 16px;
        border: 0;
        border-bottom: 1px solid var(--line);
        background: none;
        color: var(--ink);
        text-align: left;
        cursor: pointer;
        font-size: var(--size-text);
        line-height: 1.25;
    }
    & button[aria-pressed='true'] {
        font-weight: 700;
        box-shadow: inset 4px 0 0 var(--ink);
    }
    & small {
        display: block;
        font-size: var(--size-small);
        font-weight: 400;
        color: var(--soft-ink);
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
                            {z.name}
                            <small>{summary(z, picture)}</small>
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

function summary(zone: PlanZone, picture: Plan): string {
    const { sequence } = zone;
    if (sequence === null) {
        return 'not planned yet';
    }
    const mind = countWarnings(zone, picture);
    const passes = sequence.passes.length === 1 ? '1 pass' : `${sequence.passes.length} passes`;
    return (
        `${sequence.passes.length === 0 ? 'paper left bare' : passes}, within ` +
        `${within(sequence.errorOnPaper)}${mind > 0 ? `, ${mind} to mind` : ''}`
    );
}
