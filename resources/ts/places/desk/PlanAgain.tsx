import { useEffect, useRef } from 'react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import styled from 'styled-components';
import { ask, send } from '../../api/client';
import { newKey } from '../../api/keptEdits';
import type { PlanProgress } from '../../api/types';
import { Button } from '../../ui/controls';

const Row = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--space-2) var(--space-3);
    padding: var(--space-4) var(--space-4);
    & > p {
        margin: 0;
        max-width: 68ch;
    }
`;

interface PlanAgainProps {
    study: number;
    /** What is to be planned, in a sentence. */
    words: string;
    onFault: (error: unknown) => void;
}

/** What cannot be laid before it is planned, planned from the desk: how far it is, and what comes of it, without leaving the drawing. */
export function PlanAgain({ study, words, onFault }: PlanAgainProps) {
    const client = useQueryClient();
    const base = `/api/studies/${study}/plan/run` as const;
    const key = ['desk-planning', study];
    const { data } = useQuery({
        queryKey: key,
        queryFn: ({ signal }) => ask(base, { signal }),
        staleTime: 0,
        refetchInterval: (query) => (isUnderWay(query.state.data) ? 500 : false),
    });
    // One zone is mostly planned by the time that the answer comes: both are looked at again.
    const onSuccess = () =>
        Promise.all([client.invalidateQueries({ queryKey: key }), client.invalidateQueries({ queryKey: ['desk', study] })]);
    const begin = useMutation({ mutationFn: () => send('POST', base, { key: newKey() }), onSuccess, onError: onFault });
    const cancel = useMutation({ mutationFn: () => send('DELETE', base, { key: newKey() }), onSuccess, onError: onFault });
    const goes = isUnderWay(data);
    const went = useRef(false);
    useEffect(() => {
        if (went.current && !goes) {
            void client.invalidateQueries({ queryKey: ['desk', study] });
        }
        went.current = goes;
    }, [client, study, goes]);
    const run = data?.run;
    return (
        <Row>
            <p role="status">
                {goes && run != null
                    ? (run.what === '' ? 'Waiting to start' : `Planning: ${run.what}`) +
                      (run.total > 0 ? `, ${run.done} of ${run.total}` : '')
                    : words}
                {run?.state === 'failed' && ' Planning stopped because of an error; finished zones are kept.'}
            </p>
            {goes ? (
                <Button onPress={() => cancel.mutate()}>Cancel</Button>
            ) : (
                <Button $main isPending={begin.isPending} onPress={() => begin.mutate()}>
                    Plan it now
                </Button>
            )}
            {goes && run != null && run.total > 0 && <progress aria-label={run.what} value={run.done} max={run.total} />}
            <Link to={`/plan/${study}`}>Open the plan</Link>
        </Row>
    );
}

const isUnderWay = (progress: PlanProgress | undefined): boolean =>
    progress?.run?.state === 'waiting' || progress?.run?.state === 'working';
