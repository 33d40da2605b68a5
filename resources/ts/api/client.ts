import type { Problem } from './types';

/** A refusal or a lost connection, as a sentence that can be shown. */
export class RequestFailed extends Error {
    constructor(
        readonly status: number,
        readonly problem: Problem,
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

interface Options {
    method?: 'GET' | 'POST' | 'PATCH' | 'DELETE';
    json?: unknown;
    form?: FormData;
    signal?: AbortSignal;
}

/** Asks the application and returns its answer; every refusal is thrown as {@link RequestFailed}. */
export async function ask<T>(path: string, { method = 'GET', json, form, signal }: Options = {}): Promise<T> {
    const headers: Record<string, string> = { Accept: 'application/json', 'X-CSRF-TOKEN': csrfToken() };
    if (json !== undefined) {
        headers['Content-Type'] = 'application/json';
    }
    const body = form ?? (json === undefined ? null : JSON.stringify(json));
    let response: Response;
    try {
        response = await fetch(path, { method, headers, body, credentials: 'same-origin', signal: signal ?? null });
    } catch (error) {
        if (error instanceof DOMException && error.name === 'AbortError') {
            throw error;
        }
        throw new RequestFailed(0, lost);
    }
    if (response.status === 204) {
        return undefined as T;
    }
    const data: unknown = await response.json().catch(() => null);
    if (!response.ok) {
        throw new RequestFailed(response.status, isProblem(data) ? data : { ...lost, status: response.status });
    }
    return data as T;
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
