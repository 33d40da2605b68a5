import { lazy, Suspense } from 'react';
import type { FirstPencilsProps } from './FirstPencilWays';

const Ways = lazy(async () => ({ default: (await import('./FirstPencilWays')).FirstPencilWays }));

/** The ways to a first drawer, loaded where a drawer is empty. */
export function FirstPencils(props: FirstPencilsProps) {
    return (
        <Suspense fallback={null}>
            <Ways {...props} />
        </Suspense>
    );
}
