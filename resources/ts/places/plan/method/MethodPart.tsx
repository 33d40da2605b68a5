import { useState } from 'react';
import styled from 'styled-components';
import type { Plan, PlanZone, Study } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { NativeSelect, WordButton } from '../../../ui/controls';
import { Dab } from '../../../dabs/Dab';
import type { PlanChanges } from '../queries';
import { StartingPoints } from './StartingPoints';
import { PressedRow, Dabs } from '../../../ui/layout';

const Settings = styled.div`
    display: grid;
    grid-template-columns: 150px 190px 1fr;
    align-items: center;
    gap: var(--space-1) var(--space-3);
    & p {
        font-size: var(--type-small);
        line-height: 1.3;
    }
    @media (max-width: 599px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

const OfShade = styled(PressedRow)`
    & > span:first-child {
        width: 54px;
    }
`;

/** The method, for the whole picture or for one zone: each choice with what speaks for it, and what it does to a zone as dabs. */
export function MethodPart({ study, picture, changes }: { study: Study; picture: Plan; changes: PlanChanges }) {
    const [zone, setZone] = useState(0);
    const [tried, setTried] = useState<number | null>(null);
    const of = picture.zones.find((z) => z.number === zone);
    const settings = of === undefined ? picture.settings.method : (of.method ?? picture.settings.method);
    const usual = (name: string): string => picture.methodSettings.find((s) => s.name === name)?.choices[0]?.value ?? '';
    const chosen = (name: string): string => settings.find((s) => s.startsWith(`${name}=`))?.slice(name.length + 1) ?? usual(name);
    const set = (change: Parameters<PlanChanges['change']['mutate']>[0]) =>
        changes.change.mutate(change, { onSuccess: () => changes.run.mutate() });
    const choose = (name: string, choice: string) =>
        set({
            kind: 'method',
            zone,
            settings: [...settings.filter((s) => !s.startsWith(`${name}=`)), ...(choice === usual(name) ? [] : [`${name}=${choice}`])],
        });
    const shown = of ?? picture.zones.find((z) => z.number === tried) ?? picture.zones[0];
    return (
        <Column aria-label="Method">
            <ForWhat picture={picture} zone={zone} of={of} onZone={setZone} onWhole={() => set({ kind: 'method', zone, settings: null })} />
            {shown !== undefined && (
                <StartingPoints
                    study={study}
                    picture={picture}
                    zone={shown}
                    onTry={of === undefined ? setTried : undefined}
                    method={settings}
                    onTake={(taken) => set({ kind: 'method', zone, settings: [...taken] })}
                />
            )}
            <Settings>
                {picture.methodSettings.map((setting) => (
                    <Setting key={setting.name} setting={setting} value={chosen(setting.name)} onChoose={(c) => choose(setting.name, c)} />
                ))}
                {zone === 0 && <WhatCounts mode={picture.settings.mode} onMode={(mode) => set({ kind: 'mode', mode })} />}
                <span>Hues</span>
                <NativeSelect
                    aria-label="Hues"
                    value={of === undefined ? picture.settings.hue : (of.hue ?? picture.settings.hue)}
                    onChange={(e) => set({ kind: 'hue', zone, hue: e.target.value })}
                >
                    {picture.hues.map((h) => (
                        <option key={h}>{h}</option>
                    ))}
                </NativeSelect>
                <p>Other hues with the same values.</p>
            </Settings>
            {shown !== undefined && <WhatItDoes shown={shown} />}
        </Column>
    );
}

interface SettingProps {
    setting: Plan['methodSettings'][number];
    value: string;
    onChoose: (choice: string) => void;
}

function Setting({ setting, value, onChoose }: SettingProps) {
    return (
        <>
            <span>{setting.title}</span>
            <NativeSelect aria-label={setting.title} value={value} onChange={(e) => onChoose(e.target.value)}>
                {setting.choices.map((c) => (
                    <option key={c.value} value={c.value}>
                        {c.value.replaceAll('-', ' ')}
                    </option>
                ))}
            </NativeSelect>
            <p>{setting.choices.find((c) => c.value === value)?.why ?? ''}</p>
        </>
    );
}

function WhatItDoes({ shown }: { shown: PlanZone }) {
    return (
        <>
            <PartHead>
                <h2>Pass by pass in “{shown.name}”, as planned now</h2>
            </PartHead>
            {shown.shades.map((s) => (
                <OfShade key={s.shade}>
                    <span>{s.name}</span>
                    <Dabs $width={48} $height={38}>
                        {laidIn(shown, s.shade).map(({ dab, number }) => (
                            <span key={number}>
                                <Dab strata={dab.strata} width={48} height={38} label={`after pass ${number}: ${dab.colourWords}`} />
                            </span>
                        ))}
                        <span style={{ background: s.aim.hex }} title="target" />
                    </Dabs>
                    {shown.sequence === null
                        ? 'being planned'
                        : `${laidIn(shown, s.shade)
                              .map(({ tool }) => tool)
                              .join(', ')} (ΔE00 ${(shown.sequence.outcomes[s.shade]?.deltaE00 ?? 0).toFixed(1)})`}
                </OfShade>
            ))}
        </>
    );
}

function WhatCounts({ mode, onMode }: { mode: string; onMode: (mode: string) => void }) {
    return (
        <>
            <span>Priority</span>
            <NativeSelect aria-label="Priority" value={mode} onChange={(e) => onMode(e.target.value)}>
                <option value="colour-and-value">colour and value</option>
                <option value="value-first">value first</option>
                <option value="value-only">value only</option>
            </NativeSelect>
            <p>A drawing with the right values works even if its hues are off.</p>
        </>
    );
}

interface ForWhatProps {
    picture: Plan;
    zone: number;
    of: PlanZone | undefined;
    onZone: (zone: number) => void;
    onWhole: () => void;
}

function ForWhat({ picture, zone, of, onZone, onWhole }: ForWhatProps) {
    return (
        <PartHead $first>
            <h2>Applies to</h2>
            <NativeSelect aria-label="Whole picture or zone" value={zone} onChange={(e) => onZone(Number(e.target.value))}>
                <option value={0}>the whole picture</option>
                {picture.zones.map((z) => (
                    <option key={z.number} value={z.number}>
                        {z.name}
                        {z.method === null ? '' : ' (its own)'}
                    </option>
                ))}
            </NativeSelect>
            {of !== undefined && of.method !== null && <WordButton onPress={onWhole}>Use the picture’s method</WordButton>}
        </PartHead>
    );
}

/** The passes that go over a shade, with what each leaves there. */
const laidIn = ({ sequence }: PlanZone, shade: string) =>
    (sequence?.passes ?? []).flatMap((pass, i) => {
        const dab = pass.dabs[shade];
        return dab === undefined ? [] : [{ dab, number: i + 1, tool: pass.pencil?.number ?? pass.finish ?? '' }];
    });
