import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { putAnswer } from '../../../api/answers';
import { ask, askInTurn, askWithFile, faultOf, send } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { DrawingCheck, DrawingChecks } from '../../../api/types';
import { useTakenBack } from '../../../api/useTakenBack';
import { inShares, type Corners } from '../../../ui/FourCorners';

/** Passes laid of every zone, and of those that differ: "3:2,5:0". */
export interface SoFar {
    passes: number;
    zones: string;
}

export interface Photographed extends SoFar {
    file: File;
    corners: Corners | null;
}

/** Photos of the half-done drawing and what each said; the last one stays in hand where it could not be read. */
export function useChecks(study: number) {
    const client = useQueryClient();
    const key = ['checks', study];
    const base = `/api/studies/${study}/plan/checks` as const;
    const [fault, setFault] = useState<string | null>(null);
    const [inHand, setInHand] = useState<File | null>(null);
    const checks = useQuery({ queryKey: key, queryFn: ({ signal }) => ask(base, { signal }) });
    const put = async (check: DrawingCheck) => {
        setFault(null);
        setInHand(null);
        await putAnswer(client, key, { checks: [check, ...(client.getQueryData<DrawingChecks>(key)?.checks ?? [])] });
    };
    const { begin, takeBack } = useTakenBack();
    const onError = (error: unknown) => setFault(faultOf(error));
    const photograph = useMutation({
        mutationFn: ({ file, passes, zones, corners }: Photographed) =>
            askWithFile(base, 'photo', file, begin(), {
                passes: String(passes),
                ...(zones === '' ? {} : { zones }),
                ...(corners === null ? {} : { corners: inShares(corners) }),
            }),
        onMutate: ({ file }) => setInHand(file),
        onSuccess: put,
        onError,
    });
    const makeUp = useMutation({
        mutationFn: ({ passes, zones }: SoFar) =>
            askInTurn(`${base}/made-up`, { json: zones === '' ? { passes } : { passes, zones }, ...begin() }),
        onMutate: () => setInHand(null),
        onSuccess: put,
        onError,
    });
    const remove = useMutation({
        mutationFn: (id: number) => send('DELETE', `${base}/${id}`, { key: newKey() }),
        onSuccess: (left) => putAnswer(client, key, left),
        onError,
    });
    return { base, checks, photograph, makeUp, takeBack, remove, fault, inHand };
}
