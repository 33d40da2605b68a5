import { useEffect } from 'react';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { askAgain } from '../../api/answers';
import { ask, askWithFile, send } from '../../api/client';
import { newKey } from '../../api/keptEdits';
import { toSend } from '../../api/lane';
import { sendingOf, shownStamp, useLane } from '../../api/useOutbox';
import type { Plan, PlanChange, Study } from '../../api/types';
import { laneOf } from '../../api/studies';

export type NewPlanChange = Omit<PlanChange, 'key'>;

const isUnderWay = (picture: Plan | undefined): boolean => picture?.run?.state === 'waiting' || picture?.run?.state === 'working';

const baseOf = (study: number) => `/api/studies/${study}/plan` as const;

/** Milliseconds between two looks at how far the planner is. */
const LOOKS = 400;

/**
 * The plan. While the planner is at work one small row is asked for again and again, and the plan itself only when there is something new
 * in it, so that what is found is shown as it comes.
 */
export function usePlan(study: number | null) {
    const client = useQueryClient();
    const plan = useQuery({
        queryKey: ['plan', study],
        queryFn: ({ signal }) => ask(baseOf(study ?? 0), { signal }),
        enabled: study !== null,
        // What was changed in the photo or the drawer meanwhile counts at once.
        refetchOnMount: 'always',
    });
    const { data, dataUpdatedAt } = plan;
    const goes = isUnderWay(data);
    const progress = useQuery({
        queryKey: ['plan-progress', study],
        queryFn: ({ signal }) => ask(`${baseOf(study ?? 0)}/run`, { signal }),
        enabled: goes,
        staleTime: 0,
        refetchInterval: LOOKS,
    }).data?.run;
    // Parts are found zone by zone; how far the choosing of pencils is changes nothing in the plan.
    const isNew =
        goes &&
        progress != null &&
        (progress.state !== data?.run?.state || (progress.total === data.zones.length && progress.done !== data.run.done));
    useEffect(() => {
        if (isNew) {
            // One that is on its way is not begun again, or a long one would never come; what it lacks is asked for after it.
            void client.refetchQueries({ queryKey: ['plan', study], exact: true }, { cancelRefetch: false });
        }
    }, [client, study, isNew, progress?.state, progress?.done, dataUpdatedAt]);
    const shown = goes && data?.run && progress && !isNew ? { ...data, run: { ...data.run, ...progress } } : data;
    return { ...plan, data: shown };
}

/**
 * A plan that is looked at and not there yet is likely asked for next: its pencils are chosen meanwhile. Where that fails they are chosen
 * then.
 */
export function usePencilsAhead(study: number, plan: Plan | undefined) {
    const wanted = plan !== undefined && plan.cannot === null && plan.waiting > 0 && !isUnderWay(plan);
    useEffect(() => {
        if (wanted) {
            send('POST', `${baseOf(study)}/pencils`).catch(() => undefined);
        }
    }, [study, wanted]);
}

/** Every change answers with the whole plan, which takes the place of the one shown. */
export function usePlanChanges(study: number, onFault: (error: unknown) => void) {
    const client = useQueryClient();
    const lane = useLane(laneOf(study), onFault);
    const base = baseOf(study);
    const put = ['plan', study];
    // Undo takes back what was changed a moment before, even where that waits still.
    const step = { history: 'plan', put } as const;
    return {
        change: sendingOf(lane, 'change the plan', (json: NewPlanChange) => ({ ...step, ...toSend('POST', `${base}/changes`, json) })),
        run: sendingOf(lane, 'plan the picture', () => ({ ...toSend('POST', `${base}/run`), put })),
        cancel: sendingOf(lane, 'stop planning', () => ({ ...toSend('DELETE', `${base}/run`), put })),
        undo: sendingOf(lane, 'undo', () => ({ ...step, ...toSend('POST', `${base}/undo`), of: shownStamp(client, ...put) })),
        redo: sendingOf(lane, 'redo', () => ({ ...step, ...toSend('POST', `${base}/redo`), of: shownStamp(client, ...put) })),
        version: sendingOf(lane, 'name or go to a version', (json: { name: string } | { number: number }) => ({
            ...step,
            ...toSend('POST', `${base}/version`, json),
        })),
    };
}

export type PlanChanges = ReturnType<typeof usePlanChanges>;

export const useAnswers = (study: number, zone: number, stamp: string, wanted: boolean) =>
    useQuery({
        queryKey: ['plan-answers', study, zone, stamp],
        queryFn: ({ signal }) => ask(`${baseOf(study)}/answers`, { query: { zone }, signal }),
        enabled: wanted,
    });

/** What a starting point makes of a zone; nothing before the pencils are chosen. */
export const useTried = (study: number, zone: number, start: string, stamp: string) =>
    useQuery({
        queryKey: ['plan-tried', study, zone, start, stamp],
        queryFn: ({ signal }) => ask(`${baseOf(study)}/answers`, { query: { zone, start }, signal }),
        retry: false,
    });

export type Line = readonly [x1: number, y1: number, x2: number, y2: number];

/** An even fade along a line, in shares of the picture. */
export const useRamp = (study: number, line: Line | null, stamp: string) =>
    useQuery({
        queryKey: ['plan-ramp', study, line, stamp],
        queryFn: ({ signal }) => {
            const [x1, y1, x2, y2] = line ?? [0, 0, 0, 0];
            return ask(`${baseOf(study)}/ramp`, { query: { x1, y1, x2, y2 }, signal });
        },
        enabled: line !== null,
        placeholderData: keepPreviousData,
    });

/** Brings a whole study in from its file. */
export function useBringIn(onDone: (study: Study) => void, onFault: (error: unknown) => void) {
    const client = useQueryClient();
    return useMutation({
        mutationFn: (file: File) => askWithFile('/api/studies/bundle', 'file', file, { key: newKey() }),
        onSuccess: async (study) => {
            await askAgain(client, 'studies', 'drawer');
            onDone(study);
        },
        onError: onFault,
    });
}

/** Drawn from the whole picture, which takes a moment: only asked for once all is planned. */
export const useValueRuns = (study: number, stamp: string, wanted: boolean) =>
    useQuery({
        queryKey: ['plan-values', study, stamp],
        queryFn: ({ signal }) => ask(`${baseOf(study)}/values`, { signal }),
        enabled: wanted,
        placeholderData: keepPreviousData,
    });

/** Names all that a drawn picture depends on: every stack, and what it aims at. */
export const stampOf = (picture: Plan): string =>
    hashed(
        picture.zones
            .map(
                (z) =>
                    `${z.strokes ?? ''}` +
                    z.shades.map((s) => `${z.number}${s.shade}${z.sequence?.outcomes[s.shade]?.stack ?? ''}${s.aim.lab.join()}`).join(),
            )
            .join(';'),
    );

/** A short name for a long text. */
export function hashed(text: string): string {
    let hash = 5381;
    for (let i = 0; i < text.length; i++) {
        hash = ((hash * 33) ^ text.charCodeAt(i)) >>> 0;
    }
    return hash.toString(36);
}

/** The lights that a picture can be seen under. */
export type Light = 'D65' | 'D50' | 'A' | 'LED';

/** What is left of the colours of both sides. */
export type LookTone = 'colour' | 'grey' | 'steps';

/** How the picture to come is drawn: after which pass, looked at how, under which light, and what of. */
export interface Drawn {
    study: number;
    /** How far it is laid, as it is asked for: "step=2", "work=14", "step=error". */
    laid: string;
    tone: LookTone;
    squint: boolean;
    light: Light;
    stamp: string;
}

/** How far the eyes are closed when one squints here. */
const HALF = 2;

const lookedAt = ({ tone, squint }: Pick<Drawn, 'tone' | 'squint'>): string => `tone=${tone}${squint ? `&squint=${HALF}` : ''}`;

const drawnAs = (drawn: Drawn): string => `${drawn.laid}&${lookedAt(drawn)}&light=${drawn.light}&of=${drawn.stamp}`;

/** The photo beside it, looked at alike. */
export const photoOf = (study: number, photo: number, look: Pick<Drawn, 'tone' | 'squint'>): string =>
    `/api/studies/${study}/photos/${photo}/look?${lookedAt(look)}`;

export const imageOf = (drawn: Drawn): string => `${baseOf(drawn.study)}/image?${drawnAs(drawn)}`;

/** A piece of it from near. */
export const loupeOf = (drawn: Drawn, x: number, y: number): string =>
    `${baseOf(drawn.study)}/loupe?${drawnAs(drawn)}&x=${x.toFixed(4)}&y=${y.toFixed(4)}`;

/** The order in which the plan is laid, step by step: what the picture to come can be walked through by. */
export const useWork = (study: number, stamp: string, wanted: boolean) =>
    useQuery({
        queryKey: ['plan-work', study, stamp],
        queryFn: ({ signal }) => ask(`${baseOf(study)}/work`, { signal }),
        enabled: wanted,
        // Sessions and the method are set at the desk.
        refetchOnMount: 'always',
    });

/** What parts under another light than daylight. */
export const useLight = (study: number, light: Light, stamp: string) =>
    useQuery({
        queryKey: ['plan-light', study, light, stamp],
        queryFn: ({ signal }) => ask(`${baseOf(study)}/light`, { query: { light }, signal }),
        enabled: light !== 'D65',
    });
