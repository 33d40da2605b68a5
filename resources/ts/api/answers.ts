import type { QueryClient, QueryKey } from '@tanstack/react-query';

/**
 * Asks again for all that a change touched. What is still under way is left off first: a first answer on its way would otherwise be
 * waited for instead, and may tell of the time before the change.
 */
export async function askAgain(client: QueryClient, ...names: readonly string[]): Promise<void> {
    await Promise.all(names.map((name) => client.cancelQueries({ queryKey: [name] })));
    await Promise.all(names.map((name) => client.invalidateQueries({ queryKey: [name] })));
}

/** Puts the answer to a change where it belongs; an older one still under way must not take its place. */
export async function putAnswer(client: QueryClient, key: QueryKey, answer: unknown): Promise<void> {
    await client.cancelQueries({ queryKey: key, exact: true });
    client.setQueryData(key, answer);
}
