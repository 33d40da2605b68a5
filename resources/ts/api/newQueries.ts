import { QueryClient } from '@tanstack/react-query';
import { isNotItsTurn, MOST_TURNS, RequestFailed } from './client';

/** No answer, or one of a server that is just coming back. */
const isPassing = (status: number): boolean => status === 0 || status > 501;

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
                retry: (count, error) =>
                    isNotItsTurn(error) ? count < MOST_TURNS : error instanceof RequestFailed && isPassing(error.status) && count < 2,
                retryDelay: 1000,
            },
            mutations: { networkMode: 'always' },
        },
    });
