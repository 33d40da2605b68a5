import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { putAnswer } from '../../../api/answers';
import { ask, askWithFile, sentenceOf } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { DrawingCheck, DrawingChecks } from '../../../api/types';
import { inShares, type Corners } from '../../../ui/FourCorners';

export interface Photographed {
    file: File;
    passes: number;
    corners: Corners | null;
}

/** Photos of the half-done drawing and what each said; the last one stays in hand where it could not be read. */
export function useChecks(study: number) {
    const client = useQueryClient();
    const key = ['checks', study];
    const base = `/api/studies/${study}/plan/checks`;
    const [fault, setFault] = useState<string | null>(null);
    const [inHand, setInHand] = useState<File | null>(null);
    const checks = useQuery({ queryKey: key, queryFn: ({ signal }) => ask<DrawingChecks>(base, { signal }) });
    const put = async (check: DrawingCheck) => {
        setFault(null);
        setInHand(null);
        await putAnswer(client, key, { checks: [check, ...(client.getQueryData<DrawingChecks>(key)?.checks ?? [])] });
    };
    const onError = (error: unknown) => setFault(sentenceOf(error));
    const photograph = useMutation({
        mutationFn: ({ file, passes, corners }: Photographed) =>
            askWithFile<DrawingCheck>(base, 'photo', file, newKey(), {
                passes: String(passes),
                ...(corners === null ? {} : { corners: inShares(corners) }),
            }),
        onMutate: ({ file }) => setInHand(file),
        onSuccess: put,
        onError,
    });
    const makeUp = useMutation({
        mutationFn: (passes: number) => ask<DrawingCheck>(`${base}/made-up`, { method: 'POST', json: { passes } }),
        onMutate: () => setInHand(null),
        onSuccess: put,
        onError,
    });
    const remove = useMutation({
        mutationFn: (id: number) => ask<DrawingChecks>(`${base}/${id}`, { method: 'DELETE', key: newKey() }),
        onSuccess: (left) => putAnswer(client, key, left),
        onError,
    });
    return { base, checks, photograph, makeUp, remove, fault, inHand };
}
