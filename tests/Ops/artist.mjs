// Someone at work, as the page would speak for them: an account of its own, and changes that are sent until they are answered.
import { deflateSync, crc32 } from 'node:zlib';

export const base = process.env.BASE_URL;

export const newKey = () => `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 14)}`;

/** A small photo: a few flat fields. */
export function photo(width = 120, height = 90) {
    const rows = Buffer.alloc(height * (1 + 3 * width));
    for (let y = 0; y < height; y++) {
        for (let x = 0; x < width; x++) {
            const at = y * (1 + 3 * width) + 1 + 3 * x;
            const colour = [0xb04030, 0x3a5a8a, 0xc9bda0, 0x3c6a4a][(x < width / 2 ? 0 : 1) + (y < height / 2 ? 0 : 2)];
            rows.writeUIntBE(colour, at, 3);
        }
    }
    const chunk = (type, body) => {
        const out = Buffer.alloc(12 + body.length);
        out.writeUInt32BE(body.length, 0);
        out.write(type, 4, 'latin1');
        body.copy(out, 8);
        out.writeUInt32BE(crc32(out.subarray(4, 8 + body.length)), 8 + body.length);
        return out;
    };
    const head = Buffer.from([0, 0, 0, 0, 0, 0, 0, 0, 8, 2, 0, 0, 0]);
    head.writeUInt32BE(width, 0);
    head.writeUInt32BE(height, 4);
    return Buffer.concat([
        Buffer.from('89504e470d0a1a0a', 'hex'),
        chunk('IHDR', head),
        chunk('IDAT', deflateSync(rows)),
        chunk('IEND', Buffer.alloc(0)),
    ]);
}

export class Artist {
    cookies = new Map();
    token = '';
    /** Whether cookies of answers are taken; not where several send at once what may sign out by itself. */
    takesCookies = true;

    /** One request, answered or not: status 0 where there is no answer. */
    async ask(method, path, { json, form, key, body, headers = {} } = {}) {
        try {
            const response = await fetch(base + path, {
                method,
                redirect: 'manual',
                signal: AbortSignal.timeout(120_000),
                headers: {
                    Accept: 'application/json',
                    // Not the local visitor, who would be the demo.
                    'X-Forwarded-For': '203.0.113.9',
                    'X-CSRF-TOKEN': this.token,
                    Cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
                    ...(json === undefined ? {} : { 'Content-Type': 'application/json' }),
                    ...(key === undefined ? {} : { 'Idempotency-Key': key }),
                    ...headers,
                },
                body: json === undefined ? (form ?? body) : JSON.stringify(json),
            });
            for (const cookie of this.takesCookies ? response.headers.getSetCookie() : []) {
                const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie) ?? [];
                this.cookies.set(name, value);
            }
            const text = await response.text();
            return { status: response.status, text, headers: response.headers, json: () => JSON.parse(text) };
        } catch (error) {
            return { status: 0, text: String(error), headers: new Headers(), json: () => null };
        }
    }

    async signUp(name = newKey()) {
        await this.refreshToken();
        const answer = await this.ask('POST', '/accounts', { json: { name, email: `${name}@example.org`, password: 'long enough 10' } });
        if (answer.status !== 201) {
            throw new Error(`no account: ${answer.status} ${answer.text}`);
        }
        await this.refreshToken('/photo');
        return this;
    }

    async refreshToken(path = '/sign-in') {
        const page = await this.ask('GET', path, { headers: { Accept: 'text/html' } });
        this.token = /<meta name="csrf-token" content="([^"]+)"/.exec(page.text)?.[1] ?? this.token;
    }

    /** What is there, as soon as somebody answers. */
    async read(path) {
        for (let tries = 0; tries < 100; tries++) {
            const answer = await this.ask('GET', path);
            if (answer.status === 200) {
                return answer.json();
            }
            await new Promise((resolve) => setTimeout(resolve, 250));
        }
        throw new Error(`no answer to ${path}`);
    }

    /** As the page does: under one key, again and again, until there is an answer that is meant for this change. */
    async until(method, path, json, key = newKey()) {
        for (let tries = 1; ; tries++) {
            const answer = await this.ask(method, path, { json, key });
            if (answer.status >= 200 && answer.status < 500 && ![401, 408, 419, 421, 425, 429].includes(answer.status)) {
                return { ...answer, tries };
            }
            if (tries > 200) {
                throw new Error(`no answer to ${path}: ${answer.status} ${answer.text.slice(0, 200)}`);
            }
            await new Promise((resolve) => setTimeout(resolve, 250));
        }
    }

    async study(bytes = photo(), name = 'fields.png') {
        const form = new FormData();
        form.set('photo', new Blob([bytes]), name);
        const answer = await this.ask('POST', '/api/studies', { form });
        if (answer.status !== 201) {
            throw new Error(`no study: ${answer.status} ${answer.text.slice(0, 300)}`);
        }
        return answer.json().id;
    }

    async drawer(rows, head = 'line,number,name,heavy') {
        const form = new FormData();
        form.set('file', new Blob([`${head}\n${rows.join('\n')}\n`]), 'drawer.csv');
        const begun = await this.ask('POST', '/api/drawer/imports', { form });
        await this.ask('POST', `/api/drawer/imports/${begun.json().id}/take`);
        for (let n = 0; n < 100; n++) {
            const lying = (await this.ask('GET', '/api/drawer/tray?order=number')).json();
            if (lying?.pencils?.length === rows.length) {
                return;
            }
            await new Promise((resolve) => setTimeout(resolve, 200));
        }
        throw new Error('the drawer never came');
    }
}

export const THREE = ['Quay,1,Oxblood,#8a2f28', 'Quay,2,Slate,#33455a', 'Quay,3,Straw,#d9c88a'];

export const entry = (name, more = {}) => ({ name, x: 20, y: 20, ring: 9, label: 'closest', stack: 'Quay/1@0.35', ...more });
