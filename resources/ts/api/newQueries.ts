import { QueryClient } from '@tanstack/react-query';
import { RequestFailed } from './client';

const PASSING = [0, 502, 503, 504];

/** The answer where it is not one's turn yet; it says when to ask again. */
const BUSY = 429;
const MOST_TURNS = 15;

const isWorthAnotherTry = (count: number, error: Error): boolean =>
    error instanceof RequestFailed &&
    (error.status === BUSY ? error.retryAfter <= 10 && count < MOST_TURNS : PASSING.includes(error.status) && count < 2);

/**
 * How the page asks. The application runs on this machine: it answers whether or not there is a network, so that nothing waits for one,
 * and a question that is lost is said to be.
 */
export const newQueries = (): QueryClient =>
    new QueryClient({
        defaultOptions: {
            queries: {
                networkMode: 'always',
                staleTime: 60_000,
                refetchOnWindowFocus: false,
                refetchOnReconnect: false,
                // A refusal stays a refusal; a lost connection, or a server that is just coming back, is worth another try.
                retry: isWorthAnotherTry,
                retryDelay: (count, error) =>
                    1000 * (error instanceof RequestFailed && error.status === BUSY ? Math.max(1, error.retryAfter) : 2 ** count),
            },
            mutations: { networkMode: 'always' },
        },
    });
