// How long the running application takes over a drawer: an import of 5,000 rows, and a drawer of 240 to lay, to find in and to read.
// ./bench --drawer runs it after the core's part when the application is up (./start --background).
import { chromium } from 'playwright';

const base = process.env.BASE_URL ?? 'http://127.0.0.1:8040';
const median = (times) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)];
const row = (what, value, unit, target = '') => console.log(`${what.padEnd(58)} ${String(value).padStart(12)} ${unit}   ${target}`);

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });

async function account() {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${base}/drawer`);
    await page.getByRole('button', { name: /^Sign out/ }).click();
    await page.getByText('New account').click();
    await page.getByLabel('Your name').fill('Bench');
    await page.getByLabel('E-mail address').fill(`bench${Date.now()}@example.org`);
    await page.getByLabel(/^Password/).fill('long enough 10');
    await page.getByRole('button', { name: 'Create account' }).click();
    await page.getByText('Start with the photo').waitFor();
    return page;
}

const csv = (count) =>
    'line,number,heavy,light,name\n' +
    [...Array(count).keys()]
        .map(
            (i) => `Line ${Math.floor(i / 500)},${i},#${((i * 70001 + 4241) & 0xffffff).toString(16).padStart(6, '0')},#e8e0d8,Colour ${i}`,
        )
        .join('\n');

/** Asks from within the page, so that the session and its token are the page's own. */
const ask = (page, path, options = {}) =>
    page.evaluate(
        async ([path, options]) => {
            const headers = { Accept: 'application/json', 'X-CSRF-TOKEN': document.querySelector('meta[name="csrf-token"]').content };
            let body;
            if (options.file !== undefined) {
                body = new FormData();
                body.set('file', new File([options.file], 'drawer.csv'));
            }
            const began = performance.now();
            const response = await fetch(path, { method: options.method ?? 'GET', headers, body });
            const text = await response.text();
            return { ms: performance.now() - began, data: text === '' ? null : JSON.parse(text), status: response.status };
        },
        [path, options],
    );

async function bringIn(page, count) {
    const preview = await ask(page, '/api/drawer/imports', { method: 'POST', file: csv(count) });
    const began = Date.now();
    await ask(page, `/api/drawer/imports/${preview.data.id}/take`, { method: 'POST' });
    const seen = new Set();
    for (;;) {
        const { data } = await ask(page, `/api/drawer/imports/${preview.data.id}`);
        seen.add(data.done);
        if (data.state === 'done') {
            return { preview: preview.ms, taken: Date.now() - began, steps: seen.size };
        }
        if (data.state !== 'waiting' && data.state !== 'working') {
            throw new Error(`the import ended as ${data.state}`);
        }
        await page.waitForTimeout(50);
    }
}

let page = await account();
const large = await bringIn(page, 5000);
row('5000 rows: looked at (preview over HTTP)', (large.preview / 1000).toFixed(2), 's');
row('5000 rows: taken in', (large.taken / 1000).toFixed(2), 's', 'both together under 10');
row('  different states of progress seen', large.steps, '');
await page.close();

page = await account();
await bringIn(page, 240);
for (;;) {
    const { data } = await ask(page, '/api/drawer/tray?order=number');
    if (data.unfitted === 0) {
        break;
    }
    await page.waitForTimeout(500);
}
row('240 pencils: laid gradually, the first time', ((await ask(page, '/api/drawer/tray?order=gradual')).ms / 1000).toFixed(2), 's');
const times = async (count, work) => {
    const all = [];
    for (let i = 0; i < count; i++) {
        all.push(await work(i));
    }
    return median(all);
};
row(
    '240 pencils: the list again, over HTTP',
    (await times(15, async () => (await ask(page, '/api/drawer/tray?order=gradual')).ms)).toFixed(0),
    'ms',
    'under 100',
);
await page.goto(`${base}/drawer`);
const slots = page.getByRole('list', { name: 'Pencils in the drawer' }).getByRole('button');
await slots.nth(239).waitFor();
// From the key to the next frame in which what was found is shown.
const typed = await times(15, async (i) =>
    page.evaluate(
        (text) =>
            new Promise((resolve) => {
                const input = document.querySelector('input[type="search"]');
                const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
                const began = performance.now();
                set.call(input, text);
                input.dispatchEvent(new Event('input', { bubbles: true }));
                requestAnimationFrame(() => requestAnimationFrame(() => resolve(performance.now() - began)));
            }),
        String(i * 7),
    ),
);
row('240 pencils: a search shown', typed.toFixed(0), 'ms', 'under 100');
await browser.close();
