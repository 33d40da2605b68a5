import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { ask } from '../api/client';
import type { Study } from '../api/types';
import type { Look } from './look/lookState';
import type { SpotState } from './spotState';

export const placeOf = ({ x, y, ring }: SpotState) => ({ x, y, ring });

/** A spot read on a scale of values. */
export const useSpot = (study: Study, photo: number, spot: SpotState, { steps, lightest }: Pick<Look, 'steps' | 'lightest'>) =>
    useQuery({
        queryKey: ['spot', study.id, photo, spot.x, spot.y, spot.ring, steps, lightest],
        queryFn: ({ signal }) =>
            ask(`/api/studies/${study.id}/spot`, { query: { photo, ...placeOf(spot), steps, lightest: lightest ? '1' : '0' }, signal }),
        placeholderData: keepPreviousData,
    });
