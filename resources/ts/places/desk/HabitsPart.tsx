import styled from 'styled-components';
import type { Desk, DeskHabitsChange } from '../../api/types';
import { NativeSelect, TextInput, WordChoice } from '../../ui/controls';
import { useWritten } from '../../ui/useWritten';

const Part = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--space-1) var(--space-5);
    padding: var(--space-2) var(--space-5);
    border-bottom: 1px solid var(--line);
    & label {
        display: flex;
        align-items: center;
        gap: var(--space-2);
    }
`;

const Minutes = styled(TextInput)`
    width: 56px;
`;

const HANDS = [
    { value: 'right', label: 'right hand' },
    { value: 'left', label: 'left hand' },
] as const;

const BREAKS = [
    { value: 'yes', label: 'breaks' },
    { value: 'no', label: 'none' },
] as const;

interface HabitsPartProps {
    desk: Desk;
    onChange: (change: DeskHabitsChange) => void;
}

/** How one works: it decides the order of all that is to come. */
export function HabitsPart({ desk: { habits, workOrders }, onChange }: HabitsPartProps) {
    return (
        <Part role="group" aria-label="Settings">
            <label>
                Work order
                <NativeSelect value={habits.workOrder} onChange={(e) => onChange({ workOrder: e.target.value })}>
                    {workOrders.map((w) => (
                        <option key={w.value} value={w.value}>
                            {w.words}
                        </option>
                    ))}
                </NativeSelect>
            </label>
            <WordChoice label="Hand" value={habits.hand} options={HANDS} onChange={(hand) => onChange({ hand })} />
            <MinutesField
                label="Session, minutes"
                value={habits.session}
                least={10}
                most={480}
                onKeep={(session) => onChange({ session })}
            />
            <MinutesField
                label="Drying time, thin wash (minutes)"
                value={habits.thin}
                least={0}
                most={240}
                onKeep={(thin) => onChange({ thin })}
            />
            <MinutesField label="wet wash (minutes)" value={habits.wet} least={0} most={240} onKeep={(wet) => onChange({ wet })} />
            <WordChoice
                label="A break every 45 minutes"
                value={habits.breaks ? 'yes' : 'no'}
                options={BREAKS}
                onChange={(v) => onChange({ breaks: v === 'yes' })}
            />
            {habits.pace !== 1 && (
                <span>
                    You take {habits.pace < 1 ? 'less' : 'more'} time than reckoned: minutes are yours, × {habits.pace}.
                </span>
            )}
        </Part>
    );
}

interface MinutesFieldProps {
    label: string;
    value: number;
    least: number;
    most: number;
    onKeep: (minutes: number) => void;
}

function MinutesField({ label, value, least, most, onKeep }: MinutesFieldProps) {
    const { wrong, field } = useWritten({
        value: String(value),
        onKeep: (text) => onKeep(Number(text)),
        fault: (text) => (/^\d{1,3}$/.test(text) && Number(text) >= least && Number(text) <= most ? null : `${least} to ${most} minutes.`),
    });
    return (
        <label>
            {label}
            <Minutes inputMode="numeric" {...field} />
            {wrong !== null && <span role="alert">{wrong}</span>}
        </label>
    );
}
