import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { ask } from '../api/client';
import type { PencilPortrait, Tray } from '../api/types';

export type OrderKind = Tray['order'];

export const useTray = (order: OrderKind) =>
    useQuery({
        queryKey: ['drawer', 'tray', order],
        queryFn: ({ signal }) => ask<Tray>(`/api/drawer/tray?order=${order}`, { signal }),
        placeholderData: keepPreviousData,
    });

export const usePencil = (id: string | null, paper: string) =>
    useQuery({
        queryKey: ['drawer', 'pencil', id, paper],
        queryFn: ({ signal }) =>
            ask<PencilPortrait>(`/api/drawer/pencil?id=${encodeURIComponent(id ?? '')}&paper=${encodeURIComponent(paper)}`, { signal }),
        placeholderData: keepPreviousData,
        enabled: id !== null,
    });
