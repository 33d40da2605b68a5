import { QueryClient } from '@tanstack/react-query';
import { RequestFailed } from './client';

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
                // A refusal stays a refusal; only a lost connection is worth another try.
                retry: (count, error) => error instanceof RequestFailed && error.status === 0 && count < 2,
            },
            mutations: { networkMode: 'always' },
        },
    });
