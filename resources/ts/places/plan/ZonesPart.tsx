import { useState } from 'react';
import styled from 'styled-components';
import type { Drawer, Plan, PlanTarget, PlanZone, Study } from '../../api/types';
import { Dab } from '../../dabs/Dab';
import type { PlanChanges } from './queries';
import { StackEditor } from './StackEditor';
import { useNumberInAddress } from '../../ui/useInAddress';

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

const Stacks = styled.div`
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    align-items: start;
    gap: 0 10px;
    padding: 8px 16px 0 12px;
    & button {
        padding: 0;
        border: 0;
        border-bottom: 4px solid transparent;
        background: none;
        color: var(--ink);
        text-align: left;
        cursor: pointer;
        font-size: var(--size-note);
        line-height: 1.25;
    }
    & button[aria-pressed='true'] {
        border-bottom-color: var(--ink);
    }
    & .not-yet {
        display: block;
        min-height: 60px;
    }
    & .touching {
        display: block;
        height: 26px;
    }
    & .pass {
        display: grid;
        grid-template-columns: 52px 1fr;
        height: 34px;
        align-items: center;
        gap: 6px;
    }
    & .pass b {
        font-size: var(--size-lead);
        font-weight: 700;
    }
    & .pass > span {
        height: 34px;
    }
`;

const ROLES = { light: 'light', mid: 'mid', dark: 'dark', accent: 'accent' } as const;

interface ZonesPartProps {
    study: Study;
    picture: Plan;
    pencils: Drawer['pencils'];
    changes: PlanChanges;
}

/** Every zone, and of the chosen one the stacks of its light, mid, dark and accent from the paper up; one of them to argue with. */
export function ZonesPart({ study, picture, pencils, changes }: ZonesPartProps) {
    const [number, setNumber] = useNumberInAddress('zone');
    const [role, setRole] = useState<PlanTarget['role']>('mid');
    const zone = picture.zones.find((z) => z.number === number) ?? picture.zones[0];
    const target = zone?.targets.find((t) => t.role === role) ?? zone?.targets.find((t) => t.role === 'mid');
    if (zone === undefined || target === undefined) {
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
            <div>
                <Stacks>
                    {zone.targets.map((t) => (
                        <StackButton key={t.role} zone={zone} target={t} chosen={t === target} onChosen={() => setRole(t.role)} />
                    ))}
                </Stacks>
                <StackEditor
                    key={`${zone.number}/${target.role}`}
                    study={study}
                    zone={zone}
                    target={target}
                    cautions={picture.cautions.filter((c) => c.zone === zone.number && c.role === target.role)}
                    pencils={pencils}
                    changes={changes}
                    basis={basisOf(study, picture, pencils)}
                />
            </div>
        </Two>
    );
}

interface StackButtonProps {
    zone: PlanZone;
    target: PlanTarget;
    chosen: boolean;
    onChosen: () => void;
}

function StackButton({ zone, target: t, chosen, onChosen }: StackButtonProps) {
    return (
        <button
            type="button"
            aria-pressed={chosen}
            aria-label={`${ROLES[t.role]} of ${zone.name}: ${t.recipe === null ? 'not planned yet' : `${t.recipe.closenessWords}, ${t.recipe.passes.length} passes`}`}
            onClick={onChosen}
        >
            <b>{ROLES[t.role]}</b>
            {t.own && ' (yours)'}
            <span className="touching" style={{ background: t.aim.hex }} title={`aimed at: ${t.aim.words}`} />
            {t.recipe === null ? (
                <span className="not-yet">not planned yet</span>
            ) : (
                <>
                    {[...t.recipe.passes].reverse().map((p, i) => (
                        <span key={i} className="pass">
                            <span>
                                <Dab strata={p.strata} width={52} height={34} label="" />
                            </span>
                            <b>{p.pencil?.number ?? p.finish}</b>
                        </span>
                    ))}
                    <span>{t.recipe.closenessWords}</span>
                </>
            )}
        </button>
    );
}

const basisOf = (study: Study, { settings }: Plan, pencils: Drawer['pencils']): string =>
    JSON.stringify([study.paper, study.photoId, settings, pencils.map((p) => p.id)]);

function summary(zone: PlanZone, picture: Plan): string {
    const recipes = zone.targets.flatMap((t) => (t.recipe === null ? [] : [t.recipe]));
    if (recipes.length < zone.targets.length) {
        return recipes.length === 0 ? 'not planned yet' : `${recipes.length} of ${zone.targets.length} planned`;
    }
    const mind =
        zone.targets.reduce((sum, t) => sum + (t.recipe?.cautions.filter((c) => t.overruled[c.code] === undefined).length ?? 0), 0) +
        picture.cautions.filter(
            (c) => c.zone === zone.number && zone.targets.find((t) => t.role === c.role)?.overruled[c.code] === undefined,
        ).length;
    const worst = Math.max(...recipes.map((r) => r.deltaE00));
    return `ΔE00 up to ${worst.toFixed(1)}${mind > 0 ? `, ${mind} to mind` : ''}`;
}
