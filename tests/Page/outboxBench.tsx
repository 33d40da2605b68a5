import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';

import { afterEach, beforeEach, expect, vi } from 'vitest';

import { useSurvey } from '../../resources/ts/places/photo/survey/useSurvey';

import { WaitingLine } from '../../resources/ts/app/WaitingLine';
import { study, survey } from './examples';

/** What was sent, and how the application answers: with a survey, with a refusal, or not at all. */
export const sent: { url: string; method: string; key: string | undefined; body: Record<string, unknown> | null }[] = [];
let answers: (() => Promise<Response>)[] = [];

/** What the application answers next, one after the other. */
export const answering = (...next: (() => Promise<Response>)[]): void => {
    answers = next;
};
export const LANE = `/study-${study.id}`;

export const json =
    (body: unknown, status = 200, headers: Record<string, string> = {}) =>
    () =>
        Promise.resolve(new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json', ...headers } }));
export const problem = (status: number, detail = 'No.', headers = {}) =>
    json({ type: 'about:blank', title: 'No', status, detail }, status, headers);
export const lost = () => Promise.reject(new TypeError('connection lost'));
export const proxy = (status: number) => () => Promise.resolve(new Response('<html>Bad gateway</html>', { status }));
export const made = (stamp: number) => json({ ...survey, stamp, number: 5 }, 200, { 'Change-Made': String(stamp) });

export function applicationThatAnswers(): void {
    beforeEach(() => {
        localStorage.clear();
        sent.length = 0;
        answers = [];
        vi.stubGlobal('fetch', (url: string, { method = 'GET', body, headers }: RequestInit = {}) => {
            if (method === 'GET') {
                return json({ ...survey, stamp: 40 })();
            }
            sent.push({
                url,
                method,
                key: (headers as Record<string, string> | undefined)?.['Idempotency-Key'],
                body: typeof body === 'string' ? (JSON.parse(body) as Record<string, unknown>) : null,
            });
            return (answers.shift() ?? json({ ...survey, number: 5 }))();
        });
    });
    afterEach(() => {
        cleanup();
        vi.useRealTimers();
        vi.unstubAllGlobals();
        vi.restoreAllMocks();
    });
}

export const show = (onFault = vi.fn()) => {
    const client = new QueryClient();
    const wrapper = ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={client}>
            <WaitingLine />
            {children}
        </QueryClientProvider>
    );
    return { onFault, ...renderHook(() => useSurvey(study, onFault), { wrapper }) };
};
export const rename = (name: string) => ({ kind: 'renameZone', zone: 1, name }) as const;
export const allSent = async (result: { current: { waiting: number } }, timeout = 1000) =>
    waitFor(() => expect(result.current.waiting).toBe(0), { timeout });
