import type { Answer, Known, Method, Query, Sent } from './described';
import type { Problem } from './types';

/** A refusal or a lost connection, as a sentence that can be shown. */
export class RequestFailed extends Error {
    constructor(
        readonly status: number,
        readonly problem: Problem,
        /** Whether the application said why; else something between here and there did not let it. */
        readonly told = true,
        /** Seconds after which it is worth asking again, where that was said. */
        readonly retryAfter = 0,
    ) {
        super(problem.detail);
        this.name = 'RequestFailed';
    }
}

const csrfToken = (): string => document.querySelector<HTMLMetaElement>('meta[name="csrf-token"]')?.content ?? '';

const lost: Problem = {
    type: 'about:blank',
    title: 'No answer',
    status: 0,
    detail: 'The application does not answer. Start it again with ./start, then try again; what you chose is saved.',
};

interface Request {
    method?: Method;
    json?: unknown;
    form?: FormData;
    signal?: AbortSignal;
    /** Of a change: sent again under it, it is not made again. */
    key?: string;
}

/** What may go with a path, as the application describes it. */
export interface Options<Path extends string, M extends Method> extends Omit<Request, 'method' | 'json'> {
    json?: Sent<Path, M>;
    query?: Query<Path, M>;
}

/** The answer to a token that belongs to a session which is over. */
const STALE = 419;

/** The answer where others are being served. */
const BUSY = 429;

/** Seconds, and how often, that one's turn is waited for. */
const LONGEST_TURN = 10;
export const MOST_TURNS = 30;

/** Reads from the application; every refusal is thrown as {@link RequestFailed}. */
export function ask<const Path extends string>(
    path: Path & Known<Path, 'GET'>,
    options: Options<Path, 'GET'> = {},
): Promise<Answer<Path, 'GET'>> {
    return send('GET', path, options);
}

/** Asks the application to do something and returns its answer; every refusal is thrown as {@link RequestFailed}. */
export async function send<const Path extends string, const M extends Method>(
    method: M,
    path: Path & Known<Path, M>,
    { query, ...options }: Options<Path, M> = {},
): Promise<Answer<Path, M>> {
    return (await askMade<Answer<Path, M>>(withQuery(path, query), { method, ...options }))[0];
}

/** An address with what is asked for in it; what is undefined is left out. */
export function withQuery(path: string, query: object = {}): string {
    const search = new URLSearchParams();
    for (const [name, value] of Object.entries(query)) {
        for (const one of Array.isArray(value) ? value : [value]) {
            if (one !== undefined) {
                search.append(name, String(one));
            }
        }
    }
    return search.size === 0 ? path : `${path}?${search}`;
}

/** The answer to a change, and what the change made, where the answer says so. */
export async function askMade<T>(path: string, options: Request = {}): Promise<[answer: T, made: number | null]> {
    const response = await renewed(path, options);
    const answer = (response.status === 204 ? undefined : await response.json().catch(() => null)) as T;
    const made = response.headers.get('Change-Made');
    return [answer, made === null ? null : Number(made)];
}

/** Under which key something is asked for, and by what it is taken back while the answer is under way. */
export interface Sending {
    key: string;
    signal?: AbortSignal;
}

/** Sends a file; where another is being taken in, it waits for its turn. */
export function askWithFile<const Path extends string>(
    path: Path & Known<Path, 'POST'>,
    name: string,
    file: File,
    sending: Sending,
    more: Readonly<Record<string, string>> = {},
): Promise<Answer<Path, 'POST'>> {
    const form = new FormData();
    form.set(name, file);
    Object.entries(more).forEach(([field, value]) => form.set(field, value));
    return inTurn(path, { form, ...sending });
}

/** Whether others are being served just now, and it is soon worth asking again. */
export const isNotItsTurn = (error: unknown): error is RequestFailed =>
    error instanceof RequestFailed && error.status === BUSY && error.retryAfter <= LONGEST_TURN;

/** Asks for what is read one at a time, such as a photo: sent again by itself when its turn may have come, until it is taken back. */
export function askInTurn<const Path extends string>(
    path: Path & Known<Path, 'POST'>,
    { query, ...options }: Options<Path, 'POST'> & Sending,
): Promise<Answer<Path, 'POST'>> {
    return inTurn(withQuery(path, query), options);
}

async function inTurn<T>(path: string, options: Request & Sending): Promise<T> {
    for (let tries = 1; ; tries++) {
        try {
            return (await askMade<T>(path, { method: 'POST', ...options }))[0];
        } catch (error) {
            if (!isNotItsTurn(error) || tries >= MOST_TURNS) {
                throw error;
            }
            await passed(error.retryAfter, options.signal);
        }
    }
}

/** So many seconds, or until it is called off. */
const passed = (seconds: number, signal?: AbortSignal): Promise<void> =>
    new Promise((resolve) => {
        setTimeout(resolve, seconds * 1000);
        signal?.addEventListener('abort', () => resolve(), { once: true });
        if (signal?.aborted === true) {
            resolve();
        }
    });

async function renewed(path: string, options: Request): Promise<Response> {
    try {
        return await answerOf(path, options);
    } catch (error) {
        // A page left open for long, or one that came while signing out was under way, holds an old token; it need not be reloaded for
        // that.
        if (error instanceof RequestFailed && error.status === STALE && (await renewToken())) {
            return answerOf(path, options);
        }
        throw error;
    }
}

/** Puts the present session's token in the page; false where there is none to be had. */
async function renewToken(): Promise<boolean> {
    const page = await fetch(window.location.pathname, { headers: { Accept: 'text/html' }, credentials: 'same-origin' }).catch(() => null);
    const token = /<meta name="csrf-token" content="([^"]+)"/.exec((await page?.text()) ?? '')?.[1];
    const meta = document.querySelector<HTMLMetaElement>('meta[name="csrf-token"]');
    if (token === undefined || meta === null || token === meta.content) {
        return false;
    }
    meta.content = token;
    return true;
}

/** A file that the application makes, asked for here and not by a link, so that a refusal is told on this page. */
export async function askFile<const Path extends string>(path: Path & Known<Path, 'GET'>): Promise<Blob> {
    return (await answerOf(path, {})).blob();
}

async function answerOf(path: string, { method = 'GET', json, form, signal, key }: Request): Promise<Response> {
    const headers: Record<string, string> = { Accept: 'application/json', 'X-CSRF-TOKEN': csrfToken() };
    if (json !== undefined) {
        headers['Content-Type'] = 'application/json';
    }
    if (key !== undefined) {
        headers['Idempotency-Key'] = key;
    }
    const body = form ?? (json === undefined ? null : JSON.stringify(json));
    let response: Response;
    try {
        response = await fetch(path, { method, headers, body, credentials: 'same-origin', signal: signal ?? null });
    } catch (error) {
        if (error instanceof DOMException && error.name === 'AbortError') {
            throw error;
        }
        throw new RequestFailed(0, lost, false);
    }
    if (!response.ok) {
        const data: unknown = await response.json().catch(() => null);
        const told = isProblem(data);
        throw new RequestFailed(
            response.status,
            told ? data : { ...lost, status: response.status },
            told,
            Number(response.headers.get('Retry-After') ?? 0),
        );
    }
    return response;
}

function isProblem(data: unknown): data is Problem {
    return typeof data === 'object' && data !== null && 'detail' in data && typeof data.detail === 'string';
}

/** The sentence to show for anything that was thrown. */
export function sentenceOf(error: unknown): string {
    if (error instanceof RequestFailed) {
        const more = error.problem.problems?.slice(1, 4) ?? [];
        return [error.message, ...more].join(' ');
    }
    return 'Something went wrong on this page. Reload it; what you chose is saved.';
}

/** The sentence for what failed; none for what was only taken back. */
export const faultOf = (error: unknown): string | null =>
    error instanceof DOMException && error.name === 'AbortError' ? null : sentenceOf(error);
