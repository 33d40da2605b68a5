import { useEffect, useRef, useState } from 'react';
import { RequestFailed, sentenceOf } from '../../api/client';

import { useInAddress, useNumberInAddress, useTextInAddress } from '../../ui/useInAddress';

import {
    beginsSearch,
    isMeant,
    remember,
    rememberedBeside,
    rememberedMix,
    rememberedOrder,
    rememberedPencil,
    rememberedShown,
    shownKey,
    spread,
} from './drawerState';

import { useLines, usePencil, useStockChanges, useTray, type OrderKind } from './queries';

import { useStudies } from '../../api/studies';

export const ORDERS = [
    { value: 'gradual', label: 'Gradual' },
    { value: 'number', label: 'Number' },
    { value: 'value', label: 'Value' },
    { value: 'family', label: 'Family' },
] as const;

export const BESIDE = [
    { value: 'pencil', label: 'Pencil' },
    { value: 'balance', label: 'Balance' },
    { value: 'mixes', label: 'Mixes' },
    { value: 'lines', label: 'Lines' },
    { value: 'measure', label: 'Measure' },
    { value: 'hand', label: 'My hand' },
    { value: 'files', label: 'Import & export' },
] as const;

type BesideName = (typeof BESIDE)[number]['value'];

const MIXED_AT_FIRST = 5;
const MOST_MIXED = 16;

/** What is chosen in the place and kept for the next time, and what is asked for it. */
function useChosen(onFault: (text: string) => void) {
    const [order, setOrder] = useState<OrderKind>(() => ORDERS.find((o) => o.value === rememberedOrder())?.value ?? 'gradual');
    const [remembered] = useState<BesideName>(() => BESIDE.find((b) => b.value === rememberedBeside())?.value ?? 'pencil');
    const [beside, setBeside] = useInAddress('beside', BESIDE, remembered);
    const [shown, setShown] = useState(rememberedShown);
    const [typed, setTyped] = useState('');
    const [wanted, setWanted] = useState<string | null>(() => rememberedPencil());
    const [mixed, setMixed] = useState<string[] | null>(rememberedMix);
    const [paperInAddress, setPaper] = useTextInAddress('paper');
    const [planOf] = useNumberInAddress('planOf');
    const [zone] = useNumberInAddress('zone');
    const [zoneName] = useTextInAddress('zoneName');
    const toTry = zone === null ? null : { number: zone, name: zoneName };
    const paper = paperInAddress === '' ? 'white medium' : paperInAddress;
    const search = useRef<HTMLInputElement>(null);
    const studies = useStudies();
    const lines = useLines();
    const tray = useTray(order, shown);
    const pencils = tray.data?.pencils ?? [];
    const chosen = wanted ?? pencils[0]?.id ?? null;
    const pencil = usePencil(beside === 'pencil' ? chosen : null, paper);
    const changes = useStockChanges((error) => onFault(sentenceOf(error)));
    const mix = mixed ?? spread(pencils, MIXED_AT_FIRST).map((p) => p.id);
    const papers = studies.data?.papers ?? [paper];
    const knowsNone = lines.data?.lines.length === 0;

    return {
        order,
        setOrder,
        beside,
        setBeside,
        shown,
        setShown,
        typed,
        setTyped,
        mixed,
        setMixed,
        paper,
        setPaper,
        planOf,
        toTry,
        search,
        studies,
        lines,
        tray,
        pencils,
        chosen,
        pencil,
        changes,
        mix,
        papers,
        knowsNone,
        setWanted,
    };
}

/** All that the parts of the place share. */
export function useDrawerPlace(onFault: (text: string) => void) {
    const state = useChosen(onFault);
    const { order, beside, setBeside, shown, search, tray, pencils, mix, setMixed, typed, setWanted } = state;
    useEffect(() => remember('order', order), [order]);
    useEffect(() => remember('beside', beside), [beside]);
    useEffect(() => remember('shown', shownKey(shown)), [shown]);
    useEffect(() => {
        if (tray.error instanceof RequestFailed && tray.error.status === 401) {
            window.location.assign('/sign-in');
        }
    }, [tray.error]);
    useEffect(() => {
        // A number typed anywhere is looked for.
        const onKey = (event: KeyboardEvent) => beginsSearch(event) && search.current?.focus();
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [search]);
    const show = (id: string) => {
        remember('chosen', id);
        setWanted(id);
    };
    const choose = (id: string) => {
        if (beside !== 'mixes') {
            show(id);
            return;
        }
        const next = mix.includes(id) ? mix.filter((m) => m !== id) : [...mix, id].slice(-MOST_MIXED);
        remember('mix', next.join('|'));
        setMixed(next);
    };
    const showPencil = (id: string) => {
        show(id);
        setBeside('pencil');
    };
    const found = pencils.filter((p) => isMeant(p, typed));

    return { ...state, onFault, show, choose, showPencil, found };
}

export type DrawerPlaceState = ReturnType<typeof useDrawerPlace>;
