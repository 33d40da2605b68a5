import styled from 'styled-components';
import type { Drawer, Plan, PlanShade, PlanZone, SequencePass } from '../../../api/types';
import { WordButton, WordChoice } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import type { PlanChanges } from '../queries';
import { choiceOfPencil, movedPass, toolOf, without, withPressure, withTool, type Pass } from './sequence';
import { ToolBox } from './ToolBox';

const Bar = styled.div`
    border-top: 1px solid var(--line);
    border-bottom: 1px solid var(--line);
`;

const LEFT_OUT = 'left out';

interface PassBarProps {
    zone: PlanZone;
    picture: Plan;
    pass: SequencePass;
    passes: readonly Pass[];
    at: number;
    shade: PlanShade['shade'];
    pencils: Drawer['pencils'];
    changes: PlanChanges;
    keep: (passes: readonly Pass[], at?: number) => void;
}

/** What can be done to the chosen pass: its pressure in one shade, its whole run, its pencil, its place. */
export function PassBar({ zone, picture, pass, passes, at, shade, pencils, changes, keep }: PassBarProps) {
    const name = zone.shades.find((s) => s.shade === shade)?.name ?? shade;
    const regrade = (how: 'firmer' | 'lighter' | 'steeper' | 'flatter') =>
        changes.change.mutate({ kind: 'regrade', zone: zone.number, pass: at, how });
    const options = [LEFT_OUT, ...picture.pressures.map((m) => m.pressure)].map((m) => ({ value: m, label: m }));
    return (
        <Bar role="group" aria-label={`Pass ${at + 1}`} data-testid="pass">
            {pass.pencil !== null && (
                <Row $tight>
                    <b>in the {name}:</b>
                    <WordChoice
                        label={`Pressure of pass ${at + 1} in the ${name}`}
                        value={pass.pressures[shade] ?? LEFT_OUT}
                        options={options}
                        onChange={(m) =>
                            keep(withPressure(passes, at, shade, picture.pressures.find((v) => v.pressure === m)?.pressure ?? null))
                        }
                    />
                </Row>
            )}
            <Row $tight>
                {pass.pencil !== null && (
                    <>
                        <ToolBox
                            key={toolOf(pass)}
                            label={`Pencil of pass ${at + 1}`}
                            value={`${pass.pencil.number} ${pass.pencil.name}`}
                            choices={pencils.map(choiceOfPencil)}
                            onChosen={(id) => keep(withTool(passes, at, id))}
                        />
                        <span>whole pass:</span>
                        {(['firmer', 'lighter', 'steeper', 'flatter'] as const).map((how) => (
                            <WordButton key={how} onPress={() => regrade(how)}>
                                {how}
                            </WordButton>
                        ))}
                    </>
                )}
                <WordButton isDisabled={at === 0} onPress={() => keep(movedPass(passes, at, at - 1), at - 1)}>
                    earlier
                </WordButton>
                <WordButton isDisabled={at === passes.length - 1} onPress={() => keep(movedPass(passes, at, at + 1), at + 1)}>
                    later
                </WordButton>
                <WordButton onPress={() => keep(without(passes, at), Math.max(0, at - 1))}>remove</WordButton>
            </Row>
        </Bar>
    );
}
