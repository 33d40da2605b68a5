import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, vi } from 'vitest';

type Address = string | RegExp;

interface Asked {
    method: string;
    path: string;
    body: unknown;
}

const leadsTo = (at: Address, path: string): boolean => (typeof at === 'string' ? path.includes(at) : at.test(path));

/**
 * Stands in for the application in a file's tests: what it answers to an address, the latest said first, and all that it
 * was asked. What nothing was said of is never answered.
 */
export function application() {
    let answers: { method: string; at: Address; status: number; body: unknown }[] = [];
    const asked: Asked[] = [];
    beforeEach(() => {
        answers = [];
        asked.length = 0;
        vi.stubGlobal('fetch', (path: string, { method = 'GET', body }: RequestInit = {}) => {
            asked.push({ method, path, body: typeof body === 'string' ? (JSON.parse(body) as unknown) : body });
            const found = answers.find((a) => a.method === method && leadsTo(a.at, path));
            if (found === undefined) {
                return new Promise(() => undefined);
            }
            if (found.status === 0) {
                return Promise.reject(new TypeError('connection lost'));
            }
            const text = found.status === 204 ? null : JSON.stringify(found.body);
            return Promise.resolve(new Response(text, { status: found.status, headers: { 'Content-Type': 'application/json' } }));
        });
    });
    afterEach(() => {
        cleanup();
        vi.unstubAllGlobals();
        localStorage.clear();
    });
    return {
        asked,
        says: (method: string, at: Address, body: unknown, status = 200) => {
            answers.unshift({ method, at, status, body });
        },
        /** A refusal, as every one is told. */
        refuses: (method: string, at: Address, status: number, detail: string, more: object = {}) => {
            answers.unshift({ method, at, status, body: { type: 'about:blank', title: 'No', status, detail, ...more } });
        },
        /** The last request of a kind. */
        last: (method: string, at: Address = ''): Asked | undefined =>
            asked.filter((a) => a.method === method && leadsTo(at, a.path)).at(-1),
    };
}

export const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>{children}</QueryClientProvider>
);
