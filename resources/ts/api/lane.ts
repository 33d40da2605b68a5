import type { QueryClient, QueryKey } from '@tanstack/react-query';
import { askAgain, putAnswer } from './answers';
import { askMade, RequestFailed, sentenceOf } from './client';
import type { Known, Sent } from './described';
import { keptEdits, keepEdit, forgetEdit, newKey } from './keptEdits';

/** Waiting begins with this and doubles, milliseconds. */
const AGAIN = 2000;
const AGAIN_AT_MOST = 30_000;

/** After so many tries in vain one may choose to leave a change out that the application can't take in. */
const STUCK_AFTER = 4;

/** A change on its way: all that is needed to send it, as plain data, so that it outlives a reload. */
export interface Edit {
    key: string;
    lane: string;
    /** Milliseconds; the order within a lane. */
    at: number;
    /** What it does, for a sentence: "rename zone". */
    words: string;
    method: 'POST' | 'PATCH' | 'DELETE';
    path: string;
    json?: object | undefined;
    /** The history that it is a step of, if any. */
    history?: string | undefined;
    /** Of an undo or redo: the stamp that it stands on, or that it stands on what is sent before it. */
    of?: number | 'before' | undefined;
    /** The query that its answer is the new answer to. */
    put?: QueryKey | undefined;
    /** Names of queries that it changes the answers of. */
    stale?: readonly string[] | undefined;
}

export type NewEdit = Omit<Edit, 'key' | 'lane' | 'at'>;

/** What the lane itself says with a change: its key, and what it stands on. */
type Unstamped<Json> = Json extends object ? Omit<Json, 'key' | 'of'> : undefined;

/** Where a change is sent, and what is said with it, as the application describes it. */
export function toSend<const M extends Edit['method'], const Path extends string>(
    method: M,
    path: Path & Known<Path, M>,
    json?: Unstamped<Sent<Path, M>>,
): Pick<Edit, 'method' | 'path' | 'json'> {
    return { method, path, json };
}

export interface After {
    onSuccess?: (answer: unknown) => void;
    onSettled?: () => void;
}

export interface LaneState {
    waiting: readonly Edit[];
    /** Why the first of them is not taken in yet, as a sentence. */
    trouble: string | null;
    /** Whether it seems to be the change itself that can't be taken in. */
    stuck: boolean;
    /** Whether this device keeps what waits over a reload. */
    kept: boolean;
    /** What was refused while nothing that shows this lane was there to say it. */
    refused: string | null;
}

/** What is said of a change and not of the moment in which it came. */
const OF_THE_MOMENT = [401, 408, 419, 421, 425, 429];

export const isRefusal = (error: unknown): boolean =>
    error instanceof RequestFailed && error.told && error.status >= 400 && error.status < 500 && !OF_THE_MOMENT.includes(error.status);

/**
 * Changes of one study, or of the drawer, on their way to the application: sent one after the other in the order in which they were
 * made, kept on this device until they are taken in, and sent again, under the same key, until there is an answer that is meant for
 * them. Only a refusal ends a change otherwise, and is said.
 */
export class Lane {
    state: LaneState;
    readonly listeners = new Set<() => void>();
    readonly faults = new Set<(error: unknown) => void>();
    private readonly after = new Map<string, After>();
    /** What was made last in histories whose new state is asked for and not shown yet. */
    private readonly notShown = new Map<string, number>();
    private tries = 0;
    private busy = false;
    private timer: ReturnType<typeof setTimeout> | undefined;

    constructor(
        private readonly client: QueryClient,
        readonly name: string,
    ) {
        this.state = { waiting: keptEdits(name), trouble: null, stuck: false, kept: true, refused: null };
        void this.pump();
    }

    add(edit: NewEdit, after?: After): void {
        const follows = edit.history !== undefined && this.state.waiting.some((e) => e.history === edit.history);
        const whole: Edit = { ...edit, key: newKey(), lane: this.name, at: Date.now() };
        if (whole.of !== undefined) {
            whole.of = follows ? 'before' : (this.notShown.get(whole.history ?? '') ?? whole.of);
        }
        if (after !== undefined) {
            this.after.set(whole.key, after);
        }
        const kept = keepEdit(whole);
        this.show({ waiting: [...this.state.waiting, whole], kept: this.state.kept && kept });
        void this.pump();
    }

    /** Without waiting any longer. */
    now(): void {
        clearTimeout(this.timer);
        void this.pump();
    }

    /** Leaves the first out, for good; one may say so where it can't be taken in. */
    leaveOut(): void {
        const first = this.state.waiting[0];
        if (first !== undefined && !this.busy) {
            clearTimeout(this.timer);
            this.drop(first);
            void this.pump();
        }
    }

    /** What was refused has been read. */
    close(): void {
        this.show({ refused: null });
    }

    private async pump(): Promise<void> {
        if (this.busy) {
            return;
        }
        this.busy = true;
        for (let first = this.state.waiting[0]; first !== undefined; first = this.state.waiting[0]) {
            try {
                await this.send(first);
            } catch (error) {
                if (!isRefusal(error)) {
                    this.wait(error);
                    break;
                }
                this.refused(first, error);
            }
        }
        this.busy = false;
    }

    private async send(edit: Edit): Promise<void> {
        const json = edit.of === undefined ? edit.json : { ...edit.json, of: edit.of === 'before' ? null : edit.of };
        const [answer, made] = await askMade(edit.path, { method: edit.method, key: edit.key, ...(json === undefined ? {} : { json }) });
        this.tries = 0;
        await this.settle(edit, answer, made);
        const after = this.after.get(edit.key);
        const next = this.state.waiting.find((e) => e.history !== undefined && e.history === edit.history && e.key !== edit.key);
        // First what stands on it, then it: cut off in between, it is sent again and known.
        if (next?.of === 'before' && made !== null) {
            this.replace({ ...next, of: made });
        }
        this.forget(edit);
        after?.onSuccess?.(answer);
        after?.onSettled?.();
    }

    private async settle(edit: Edit, answer: unknown, made: number | null): Promise<void> {
        if (edit.put !== undefined) {
            await putAnswer(this.client, edit.put, answer);
        }
        if (edit.stale !== undefined) {
            this.lookAgain(edit, edit.put === undefined ? made : null);
        }
    }

    private lookAgain({ history = '', stale = [] }: Edit, made: number | null): void {
        if (made !== null) {
            this.notShown.set(history, made);
        }
        void askAgain(this.client, ...stale).finally(() => {
            if (this.notShown.get(history) === made) {
                this.notShown.delete(history);
            }
        });
    }

    private refused(edit: Edit, error: unknown): void {
        this.tries = 0;
        this.drop(edit);
        this.faults.forEach((tell) => tell(error));
        if (this.faults.size === 0) {
            this.show({ refused: `“${edit.words}” was not saved: ${sentenceOf(error)}` });
        }
        // It may have been refused because of what somebody else did: that is looked at.
        void askAgain(this.client, ...(typeof edit.put?.[0] === 'string' ? [edit.put[0]] : []), ...(edit.stale ?? []));
    }

    private wait(error: unknown): void {
        this.tries++;
        const isFault = error instanceof RequestFailed && error.status >= 500 && error.status !== 503 && error.status !== 507;
        this.show({
            trouble: isFault ? 'Something went wrong in the application.' : sentenceOf(error),
            stuck: isFault && this.tries >= STUCK_AFTER,
        });
        const asked = error instanceof RequestFailed ? error.retryAfter * 1000 : 0;
        this.timer = setTimeout(() => void this.pump(), Math.max(asked, Math.min(AGAIN_AT_MOST, AGAIN * 2 ** (this.tries - 1))));
    }

    /** With what was to take it back: there is nothing to take back. */
    private drop(edit: Edit): void {
        const after = this.after.get(edit.key);
        const same = this.state.waiting.filter((e) => e.history !== undefined && e.history === edit.history && e.key !== edit.key);
        const standing = same.findIndex((e) => e.of !== 'before');
        [edit, ...same.slice(0, standing === -1 ? same.length : standing)].forEach((e) => this.forget(e));
        after?.onSettled?.();
    }

    private forget(edit: Edit): void {
        forgetEdit(edit);
        this.after.delete(edit.key);
        this.show({ waiting: this.state.waiting.filter((e) => e.key !== edit.key), trouble: null, stuck: false });
    }

    private replace(edit: Edit): void {
        keepEdit(edit);
        this.show({ waiting: this.state.waiting.map((e) => (e.key === edit.key ? edit : e)) });
    }

    private show(changed: Partial<LaneState>): void {
        this.state = { ...this.state, ...changed };
        this.listeners.forEach((tell) => tell());
    }
}
