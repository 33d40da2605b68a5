import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, askInTurn, askWithFile, faultOf, send, withQuery } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { Hand, StripsRead, StripsSaid } from '../../../api/types';
import { useTakenBack } from '../../../api/useTakenBack';

/** What is said of one strip: the dab of its ladder that it is most like, the colours of a photo, a try each, or what a meter says. */
export type Said = { rung: number } | { hexes: readonly string[] } | { lab: number[] };

/** A colour as it is written: #a1b2c3, or L*, a* and b*; null when it is none. */
export function figures(text: string): Said | null {
    if (/^#[0-9a-f]{6}$/i.test(text.trim())) {
        return { hexes: [text.trim().toLowerCase()] };
    }
    const parts = text.trim().split(/[\s,;]+/);
    const lab = parts.map(Number);
    return lab.length === 3 && !parts.includes('') && lab.every(Number.isFinite) ? { lab } : null;
}

/** Which strips are laid: single pencils, what the plan lays, or the shades of one zone. */
export type StripsOf = 'pencils' | 'sequences' | 'zone';

/** The zone that is to be tried before it is begun. */
export interface ZoneToTry {
    number: number;
    name: string;
}

/** The hand on a paper; strips are of a study's plan where one is named. */
export function useHand(paper: string, study: number | null, of: StripsOf, zone: ZoneToTry | null) {
    const client = useQueryClient();
    const [fault, setFault] = useState<string | null>(null);
    const query = {
        paper,
        ...(study === null ? {} : { study, of }),
        ...(of === 'zone' && zone !== null ? { zone: zone.number } : {}),
    };
    /** The same as the end of an address. */
    const on = withQuery('', query).slice(1);
    const key = ['hand', on];
    const hand = useQuery({
        queryKey: key,
        queryFn: ({ signal }) => ask('/api/hand', { query, signal }),
        placeholderData: keepPreviousData,
    });
    const { begin, takeBack } = useTakenBack();
    const onError = (error: unknown) => setFault(faultOf(error));
    const put = async (answer: Hand) => {
        setFault(null);
        // Every prediction goes by the hand: what was asked before is asked again.
        await client.cancelQueries();
        client.setQueryData(key, answer);
        void client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'hand' });
    };
    const learn = useMutation({
        mutationFn: (strips: StripsSaid['strips']) => send('POST', '/api/hand', { query, json: { strips }, key: newKey() }),
        onSuccess: put,
        onError,
    });
    const use = useMutation({
        mutationFn: (number: number) => send('PATCH', '/api/hand', { query, json: { number }, key: newKey() }),
        onSuccess: put,
        onError,
    });
    const reading = { onSuccess: () => setFault(null), onError };
    const photograph = useMutation({
        mutationFn: (file: File) => askWithFile(`/api/hand/photo?${on}`, 'photo', file, begin()),
        ...reading,
    });
    const makeUp = useMutation({
        mutationFn: () => askInTurn('/api/hand/made-up', { query, ...begin() }),
        ...reading,
    });
    return { on, hand, learn, use, photograph, makeUp, takeBack, fault };
}

/** What was said, as it is sent: every try of a photo is a strip of its own. */
export const sent = (said: Readonly<Record<string, Said>>): StripsSaid['strips'] =>
    Object.entries(said).flatMap(([stack, what]): StripsSaid['strips'] =>
        'hexes' in what ? what.hexes.map((hex) => ({ stack, hex })) : [{ stack, ...what }],
    );

/** A photo's boxes, strip by strip; what was not laid is left out. */
export function readAs(read: StripsRead): Record<string, Said> {
    const said: Record<string, { hexes: string[] }> = {};
    for (const box of read.boxes.filter((b) => b.filled)) {
        (said[box.stack] ??= { hexes: [] }).hexes.push(box.hex);
    }
    return said;
}
