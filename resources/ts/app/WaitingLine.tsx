import { useTroubled } from '../api/useOutbox';
import { WordButton } from '../ui/controls';
import { Line } from '../ui/Notice';

/** What was changed and is not taken in yet: that it waits here, why, and what can be done. */
export function WaitingLine() {
    const troubled = useTroubled();
    const lanes = troubled.filter((lane) => lane.state.trouble !== null);
    const waiting = lanes.flatMap((lane) => lane.state.waiting);
    const stuck = lanes.find((lane) => lane.state.stuck);
    return (
        <div role="status" data-testid="waiting">
            {troubled.map(
                (lane) =>
                    lane.state.refused !== null && (
                        <Line key={lane.name}>
                            <span>{lane.state.refused}</span>
                            <WordButton onPress={() => lane.close()}>Close</WordButton>
                        </Line>
                    ),
            )}
            {waiting.length > 0 && (
                <Line>
                    <span>
                        <strong>
                            {waiting.length === 1 ? 'One change is waiting to be sent' : `${waiting.length} changes are waiting to be sent`}
                            .
                        </strong>{' '}
                        {lanes[0]?.state.trouble}{' '}
                        {lanes.every((lane) => lane.state.kept)
                            ? 'Saved on this device and sent automatically.'
                            : 'This browser can’t save more: keep this page open until everything is sent.'}
                    </span>
                    <WordButton onPress={() => lanes.forEach((lane) => lane.now())}>Send now</WordButton>
                    {stuck !== undefined && (
                        <WordButton onPress={() => stuck.leaveOut()}>Leave out “{stuck.state.waiting[0]?.words}”</WordButton>
                    )}
                </Line>
            )}
        </div>
    );
}
