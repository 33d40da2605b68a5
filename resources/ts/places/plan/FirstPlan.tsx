import { useMutation, useQueryClient } from '@tanstack/react-query';
import { askAgain } from '../../api/answers';
import { send, sentenceOf } from '../../api/client';
import { newKey } from '../../api/keptEdits';
import type { Study } from '../../api/types';
import { Button } from '../../ui/controls';
import type { PlanChanges } from './queries';

/** Zones that are proposed where a photo has none; a dozen is what most pictures need. */
const MOST_ZONES = 14;

interface FirstPlanProps {
    study: Study;
    changes: PlanChanges;
    onFault: (text: string) => void;
}

/** A photo without zones: they are proposed, and planned, in one press. */
export function FirstPlan({ study, changes, onFault }: FirstPlanProps) {
    const client = useQueryClient();
    const begin = useMutation({
        mutationFn: () =>
            send('POST', `/api/studies/${study.id}/survey/changes`, { json: { kind: 'proposeZones', most: MOST_ZONES, key: newKey() } }),
        onSuccess: async () => {
            await askAgain(client, 'survey', 'plan');
            changes.run.mutate();
        },
        onError: (error) => onFault(sentenceOf(error)),
    });
    return (
        <p>
            <Button $main isPending={begin.isPending} onPress={() => begin.mutate()}>
                {begin.isPending ? 'Finding zones…' : 'Propose zones and plan the picture'}
            </Button>
        </p>
    );
}
