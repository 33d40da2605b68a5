import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ask, askFile, askInTurn, RequestFailed, send, sentenceOf, withQuery } from '../../resources/ts/api/client';

const answer = (status: number, body: unknown): Response =>
    new Response(typeof body === 'string' ? body : JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

const who = { name: 'Tide', email: 'tide@harbour.test', password: 'low-water-mark' };

const caught = async (request: Promise<unknown>): Promise<unknown> => request.then(() => null).catch((error: unknown) => error);

describe('asking the application', () => {
    const fetch = vi.fn<typeof globalThis.fetch>();

    beforeEach(() => {
        vi.stubGlobal('fetch', fetch);
        document.head.innerHTML = '<meta name="csrf-token" content="the-token">';
    });
    afterEach(() => {
        vi.unstubAllGlobals();
        fetch.mockReset();
    });

    it('gives back what was answered', async () => {
        fetch.mockResolvedValue(answer(200, { name: 'Tide' }));
        expect(await ask('/api/me')).toEqual({ name: 'Tide' });
    });

    it("sends the page's token and JSON with what changes something", async () => {
        fetch.mockResolvedValue(answer(200, {}));
        await send('PATCH', '/api/studies/1', { json: { paper: 'black' } });
        const [path, options] = fetch.mock.calls[0] ?? [];
        expect(path).toBe('/api/studies/1');
        expect(options?.headers).toMatchObject({
            'X-CSRF-TOKEN': 'the-token',
            'Content-Type': 'application/json',
            Accept: 'application/json',
        });
        expect(options?.body).toBe('{"paper":"black"}');
    });

    it('leaves the type of a form to the browser, which adds the boundary', async () => {
        fetch.mockResolvedValue(answer(201, {}));
        await send('POST', '/api/studies', { form: new FormData() });
        expect(fetch.mock.calls[0]?.[1]?.headers).not.toHaveProperty('Content-Type');
    });

    it('waits for its turn where one photo is read at a time, under the same key, until it is taken back', async () => {
        const busy = (again: string) => new Response('{"detail":"Another is read."}', { status: 429, headers: { 'Retry-After': again } });
        fetch.mockImplementationOnce(() => Promise.resolve(busy('1'))).mockResolvedValueOnce(answer(201, { id: 7 }));
        expect(await askInTurn('/api/hand/made-up', { key: 'the-same-key' })).toEqual({ id: 7 });
        const keys = fetch.mock.calls.map(([, options]) => (options?.headers as Record<string, string>)['Idempotency-Key']);
        expect(keys).toEqual(['the-same-key', 'the-same-key']);
        const away = new AbortController();
        fetch.mockImplementation((_, options) =>
            options?.signal?.aborted === true ? Promise.reject(new DOMException('', 'AbortError')) : Promise.resolve(busy('10')),
        );
        const asked = caught(askInTurn('/api/hand/made-up', { key: 'another-key', signal: away.signal }));
        // Sooner than this test may take, and than its turn would come.
        setTimeout(() => away.abort(), 100);
        expect(await asked).toMatchObject({ name: 'AbortError' });
    });

    it('renews a token that belongs to a session which is over, once, and asks again', async () => {
        const stale = { type: 'about:blank', title: 'Old page', status: 419, detail: 'Reload the page and try again.' };
        const page = new Response('<html><head><meta name="csrf-token" content="a-new-token"></head></html>');
        fetch
            .mockResolvedValueOnce(answer(419, stale))
            .mockResolvedValueOnce(page)
            .mockResolvedValueOnce(answer(200, { ok: 1 }));
        expect(await send('POST', '/accounts', { json: who })).toEqual({ ok: 1 });
        expect(fetch.mock.calls[2]?.[1]?.headers).toMatchObject({ 'X-CSRF-TOKEN': 'a-new-token' });
        // The same token again would be refused again.
        fetch
            .mockResolvedValueOnce(answer(419, stale))
            .mockResolvedValueOnce(new Response('<meta name="csrf-token" content="a-new-token">'));
        expect(await caught(send('POST', '/accounts', { json: who }))).toMatchObject({ status: 419 });
        expect(fetch).toHaveBeenCalledTimes(5);
    });

    it('takes an empty answer for what it is', async () => {
        fetch.mockResolvedValue(new Response(null, { status: 204 }));
        await expect(send('POST', '/sign-out')).resolves.toBeUndefined();
    });

    it('puts what is asked for in the address, and leaves out what is not', async () => {
        fetch.mockImplementation(() => Promise.resolve(answer(200, {})));
        await ask('/api/book/recipes', { query: { words: 'old rope & tar', like: '#a1b2c3' } });
        expect(fetch.mock.calls[0]?.[0]).toBe('/api/book/recipes?words=old+rope+%26+tar&like=%23a1b2c3');
        expect(withQuery('/api/x', { a: undefined, b: [1, 2], c: 0 })).toBe('/api/x?b=1&b=2&c=0');
        expect(withQuery('/api/x')).toBe('/api/x');
    });

    // What the compiler refuses is tried where types are checked; nothing of it is asked for.
    it('asks for nothing that the application does not describe', () => {
        const study = 7;
        const tries = [
            // @ts-expect-error there is no such path
            () => ask('/api/studies/7/plans'),
            // @ts-expect-error a plan is not taken away
            () => send('DELETE', `/api/studies/${study}/plan`),
            // @ts-expect-error a kind of change that there is none of
            () => send('POST', `/api/studies/${study}/plan/changes`, { json: { kind: 'paint it black', key: 'k' } }),
            // @ts-expect-error a place has numbers
            () => ask(`/api/studies/${study}/spot`, { query: { x: 'left', y: 2, ring: 9 } }),
            // @ts-expect-error a word is no path
            (path: string) => ask(path),
            // @ts-expect-error an answer has what it is described to have
            (): Promise<{ colour: string }> => ask(`/api/studies/${study}/plan`),
        ];
        expect(tries).toHaveLength(6);
        expect(fetch).not.toHaveBeenCalled();
    });

    it('throws a refusal with the sentence of the application', async () => {
        const problem = {
            type: 'about:blank',
            title: 'No',
            status: 422,
            detail: 'Give the spot a name.',
            problems: ['a', 'row 3: b', 'row 4: c'],
        };
        fetch.mockResolvedValue(answer(422, problem));
        const error = await caught(ask('/api/grain'));
        expect(error).toBeInstanceOf(RequestFailed);
        expect(error).toMatchObject({ status: 422, message: 'Give the spot a name.' });
        expect(sentenceOf(error)).toBe('Give the spot a name. row 3: b row 4: c');
    });

    it.each([
        ['no connection', () => fetch.mockRejectedValue(new TypeError('Failed to fetch')), 0],
        ['a page where JSON should be', () => fetch.mockResolvedValue(answer(502, '<html>')), 502],
    ])('says what to do after %s', async (_, arrange, status) => {
        arrange();
        const error = await caught(ask('/api/grain'));
        expect(error).toMatchObject({ status });
        expect(sentenceOf(error)).toContain('./start');
    });

    it('takes a file as it comes, and a refusal instead of a file for a refusal', async () => {
        fetch.mockResolvedValue(new Response('%PDF-1.7', { status: 200, headers: { 'Content-Type': 'application/pdf' } }));
        expect(await (await askFile('/api/drawer/map.pdf')).text()).toBe('%PDF-1.7');
        fetch.mockResolvedValue(answer(422, { type: 'about:blank', title: 'No', status: 422, detail: 'Rows lie between 1 and 20.' }));
        expect(sentenceOf(await caught(askFile('/api/drawer/map.pdf')))).toBe('Rows lie between 1 and 20.');
    });

    it('lets a cancelled question go without a word', async () => {
        fetch.mockRejectedValue(new DOMException('gone', 'AbortError'));
        expect(await caught(ask('/api/grain'))).toBeInstanceOf(DOMException);
    });

    it('has a sentence for whatever else is thrown', () => {
        expect(sentenceOf(new Error('x is undefined'))).toContain('Reload');
    });
});
