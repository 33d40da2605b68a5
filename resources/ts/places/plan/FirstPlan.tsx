import { laneOf } from '../../api/studies';
import { toSend } from '../../api/lane';
import type { Study } from '../../api/types';
import { useLane } from '../../api/useOutbox';
import { Button } from '../../ui/controls';
import type { PlanChanges } from './queries';

/** Zones that are proposed at most where a photo has none. */
const MOST_ZONES = 14;
const WORDS = 'propose zones';

interface FirstPlanProps {
    study: Study;
    changes: PlanChanges;
    onFault: (error: unknown) => void;
}

/** A photo without zones: they are proposed, and planned, in one press; both wait in the study's lane, one after the other. */
export function FirstPlan({ study, changes, onFault }: FirstPlanProps) {
    const lane = useLane(laneOf(study.id), onFault);
    const begin = () => {
        lane.add({
            words: WORDS,
            history: 'survey',
            put: ['survey', study.id],
            stale: ['plan'],
            ...toSend('POST', `/api/studies/${study.id}/survey/changes`, { kind: 'proposeZones', most: MOST_ZONES }),
        });
        changes.run.mutate();
    };
    const isPending = lane.has(WORDS) || changes.run.isPending;
    return (
        <p>
            <Button $main isPending={isPending} onPress={begin}>
                {isPending ? 'Finding zones…' : 'Propose zones and plan the picture'}
            </Button>
        </p>
    );
}
