import { QueryClient } from '@tanstack/react-query';
import { RequestFailed } from './client';

const PASSING = [0, 429, 502, 503, 504];

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
                retry: (count, error) => error instanceof RequestFailed && PASSING.includes(error.status) && count < 2,
            },
            mutations: { networkMode: 'always' },
        },
    });
