import { clockOf, type DeskState } from './deskState';

interface TimersProps {
    wet: DeskState['wet'];
    now: number;
    pending: readonly string[];
}

/** What dries and when it is dry; and zones of which what is to come is not known just now. */
export function Timers({ wet, now, pending }: TimersProps) {
    return (
        <div aria-live="polite">
            {wet.map((w) => (
                <p key={w.zone}>
                    <b>“{w.name}” is wet</b>: dry in <span role="timer">{clockOf(w.until - now)}</span>, at {timeOf(w.until)}. Don’t touch
                    it yet.
                </p>
            ))}
            {pending.map((name) => (
                <p key={name}>What is to come on “{name}” is planned again.</p>
            ))}
        </div>
    );
}

const timeOf = (seconds: number): string => new Date(seconds * 1000).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
