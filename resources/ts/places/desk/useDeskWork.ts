import { useEffect, useState } from 'react';
import type { Desk, NewTick } from '../../api/types';
import { useKeys } from '../../app/useKeys';
import { deskState, tickOf, numberOf } from './deskState';
import type { DeskChanges } from './queries';
import { useNow } from './useNow';
import { useSitting } from './useSitting';

/** What stands beside the photo. */
export type Beside = 'pass' | 'other' | 'finished' | 'stop';

/** The desk while one works at it: what is ticked, by touch and by key, and what is looked at. */
export function useDeskWork(study: number, desk: Desk, changes: DeskChanges) {
    const [beside, setBeside] = useState<Beside>('pass');
    const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
    const sitting = useSitting(study, desk);
    const now = useNow(true);
    const state = deskState(desk, changes.waiting, now);
    const { current } = state;
    const isAtPass = current !== null && sitting.isBegun && beside === 'pass';

    const tick = (kind: 'done' | 'skipped', coats?: number) => {
        if (isAtPass) {
            changes.tick.mutate(tickOf(current, kind, coats));
        }
    };
    const tickOther = (other: NewTick) => {
        changes.tick.mutate(other);
        setBeside('pass');
    };
    const back = () => {
        if (state.canUndo) {
            changes.undo.mutate();
            setBeside('pass');
        }
    };
    const toggle = (what: Beside) => setBeside(beside === what ? 'pass' : what);
    useKeys({
        onUndo: back,
        onRedo: () => undefined,
        onRecipe: () => undefined,
        onKey: (key) => {
            const does: Record<string, () => void> = {
                ' ': () => tick('done'),
                s: () => tick('skipped'),
                o: () => isAtPass && setBeside('other'),
                Backspace: back,
                Escape: () => setBeside('pass'),
            };
            does[key]?.();
            return does[key] !== undefined;
        },
    });
    useTitle(current === null ? 'Desk' : `${numberOf(current)} ${current.zoneName}`);
    return {
        beside,
        setBeside,
        toggle,
        hidden,
        hide: (text: string) => setHidden(new Set([...hidden, text])),
        sitting,
        now,
        state,
        tick,
        tickOther,
        back,
    };
}

/** What the tab says, for one who has turned away from it. */
function useTitle(title: string): void {
    useEffect(() => {
        const before = document.title;
        document.title = `${title}, Knotty Prism`;
        return () => {
            document.title = before;
        };
    }, [title]);
}

export type DeskWork = ReturnType<typeof useDeskWork>;
