import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask } from '../../api/client';
import { toSend } from '../../api/lane';
import { sendingOf, shownStamp, useLane } from '../../api/useOutbox';
import type { Pressure, Stock, StockChange, Tray } from '../../api/types';

/** How often to look whether more pencils were fitted, milliseconds: laying them again takes the fitting's time. */
const FITTED_AGAIN = 4000;

export type OrderKind = Tray['order'];

/** Which pencils lie there: those available, those wanted, or all of a line. */
export type Shown = { kind: 'owned' } | { kind: 'wanted' } | { kind: 'line'; line: string };

const asShown = (shown: Shown) => (shown.kind === 'line' ? { line: shown.line } : shown.kind === 'wanted' ? { wanted: '1' as const } : {});

/** Asked again for as long as the queue has pencils to fit. */
export const useTray = (order: OrderKind, shown: Shown) =>
    useQuery({
        queryKey: ['drawer', 'tray', order, shown],
        queryFn: ({ signal }) => ask('/api/drawer/tray', { query: { order, ...asShown(shown) }, signal }),
        placeholderData: keepPreviousData,
        refetchInterval: (query) => ((query.state.data?.unfitted ?? 0) > 0 ? FITTED_AGAIN : false),
    });

export const usePencil = (id: string | null, paper: string) =>
    useQuery({
        queryKey: ['drawer', 'pencil', id, paper],
        queryFn: ({ signal }) => ask('/api/drawer/pencil', { query: { id: id ?? '', paper }, signal }),
        placeholderData: keepPreviousData,
        enabled: id !== null,
    });

export const useLines = () => useQuery({ queryKey: ['drawer', 'lines'], queryFn: ({ signal }) => ask('/api/drawer/lines', { signal }) });

export const useReach = (paper: string) =>
    useQuery({
        queryKey: ['drawer', 'reach', paper],
        queryFn: ({ signal }) => ask('/api/drawer/reach', { query: { paper }, signal }),
    });

export const useLineTable = (from: string | null, to: string | null) =>
    useQuery({
        queryKey: ['drawer', 'equivalents', from, to],
        queryFn: ({ signal }) => ask('/api/drawer/equivalents', { query: { from: from ?? '', to: to ?? '' }, signal }),
        enabled: from !== null && to !== null,
    });

export const useStandIn = (id: string, paper: string, wanted: boolean) =>
    useQuery({
        queryKey: ['drawer', 'mix', id, paper],
        queryFn: ({ signal }) => ask('/api/drawer/mix', { query: { id, paper }, signal }),
        enabled: wanted,
    });

/** What a mixing chart is of, as its address has it. */
export const chartQuery = (ids: readonly string[], paper: string, beneath: Pressure, above: Pressure) => ({
    'ids[]': [...ids],
    paper,
    beneath,
    above,
});

export const useMixingChart = (ids: readonly string[], paper: string, beneath: Pressure, above: Pressure) =>
    useQuery({
        queryKey: ['drawer', 'chart', ids, paper, beneath, above],
        queryFn: ({ signal }) => ask('/api/drawer/chart', { query: chartQuery(ids, paper, beneath, above), signal }),
        placeholderData: keepPreviousData,
        enabled: ids.length >= 2,
    });

/** Changes of the stock, one after the other; all that is shown of the drawer follows. */
export function useStockChanges(onFault: (error: unknown) => void) {
    const client = useQueryClient();
    const lane = useLane('drawer', onFault);
    const step = { history: 'drawer', stale: ['drawer'] } as const;
    return {
        note: sendingOf(lane, 'note on a pencil', (json: StockChange) => ({ ...step, ...toSend('PATCH', '/api/drawer/pencil', json) })),
        range: sendingOf(lane, 'note a run of numbers', (json: { line: string; numbers: string; stock: Stock['state'] }) => ({
            ...step,
            ...toSend('POST', '/api/drawer/ranges', json),
        })),
        undo: sendingOf(lane, 'undo', () => ({
            ...step,
            ...toSend('POST', '/api/drawer/undo'),
            of: shownStamp(client, 'drawer', 'lines'),
        })),
    };
}

/** The answer to a noted run of numbers. */
export const changedCount = (answer: unknown): number =>
    typeof answer === 'object' && answer !== null && 'changed' in answer && typeof answer.changed === 'number' ? answer.changed : 0;
