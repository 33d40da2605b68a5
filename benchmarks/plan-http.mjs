// How long the running application takes over the plan of a picture: 12 zones with the demo's 24 pencils, from asking to the first zone and
// to the last; what a changed pass takes to be predicted; what one more zone takes. ./bench --plan runs it (after ./start --background).
import { chromium } from 'playwright';

const base = process.env.BASE_URL ?? 'http://127.0.0.1:8040';
const runs = Number(process.argv[2] ?? 3);
const row = (what, value, unit, target = '') => console.log(`${what.padEnd(62)} ${String(value).padStart(10)} ${unit}   ${target}`);
const median = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)];

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage();
await page.goto(`${base}/plan`);
await page.waitForTimeout(1000);

/** Asks from within the page, so that the session and its token are the page's own. */
const ask = (path, method = 'GET', json = undefined) =>
    page.evaluate(
        async ([path, method, json]) => {
            const headers = {
                Accept: 'application/json',
                'Content-Type': 'application/json',
                'X-CSRF-TOKEN': document.querySelector('meta[name="csrf-token"]').content,
            };
            const began = performance.now();
            const response = await fetch(path, { method, headers, body: json === undefined ? undefined : JSON.stringify(json) });
            const data = await response.json();
            return { ms: performance.now() - began, data, status: response.status };
        },
        [path, method, json],
    );
const key = () => `bench-${Date.now()}-${Math.random()}`.slice(0, 38);

/** A study of its own around the demo's photo, with 12 zones: nothing of its plan is known yet. */
async function study() {
    const id = await page.evaluate(async () => {
        const studies = (await (await fetch('/api/studies', { headers: { Accept: 'application/json' } })).json()).studies;
        const demo = studies.find((s) => s.name === 'Low water');
        const photo = await (await fetch(`/api/studies/${demo.id}/photo`)).blob();
        const form = new FormData();
        form.set('photo', new File([photo], 'bench.jpg', { type: 'image/jpeg' }));
        form.set('name', 'bench');
        const headers = { Accept: 'application/json', 'X-CSRF-TOKEN': document.querySelector('meta[name="csrf-token"]').content };
        return (await (await fetch('/api/studies', { method: 'POST', headers, body: form })).json()).id;
    });
    await ask(`/api/studies/${id}/survey/changes`, 'POST', { kind: 'proposeZones', most: 12, key: key() });
    return id;
}

async function planned(path) {
    const began = Date.now();
    for (let { data } = await ask(`${path}/run`, 'POST'); ; data = (await ask(path)).data) {
        if (data.run.state === 'done') {
            return Date.now() - began;
        }
        await page.waitForTimeout(150);
    }
}

// As an artist sees it: from pressing the button to what stands on the screen.
const firsts = [];
const alls = [];
let last = null;
for (let i = 0; i < runs; i++) {
    const id = await study();
    const path = `/api/studies/${id}/plan`;
    await page.goto(`${base}/plan/${id}`);
    const button = page.getByRole('button', { name: 'Plan the picture' });
    await button.waitFor();
    const began = Date.now();
    await button.click();
    await page
        .getByRole('list', { name: 'Zones of the plan' })
        .getByText(/within \d/)
        .first()
        .waitFor({ timeout: 90_000 });
    firsts.push(Date.now() - began);
    await page.getByRole('button', { name: 'Plan is up to date' }).waitFor({ timeout: 90_000 });
    alls.push(Date.now() - began);
    last = { path, data: (await ask(path)).data };
}
if (process.env.VERBOSE) console.log(firsts, alls);
const targets = last.data.zones.reduce((sum, z) => sum + z.shades.length, 0);
row(`${last.data.zones.length} zones, ${targets} colours, 24 pencils: the first zone shown`, (median(firsts) / 1000).toFixed(1), 's');
row('  all of them shown', (median(alls) / 1000).toFixed(1), 's', 'within 12');
const zone = last.data.zones[0];
const changed = [];
for (let i = 0; i < 14; i++) {
    changed.push(
        (
            await ask(`${last.path}/changes`, 'POST', {
                kind: 'regrade',
                zone: zone.number,
                pass: 0,
                how: i % 2 === 0 ? 'firmer' : 'lighter',
                key: key(),
            })
        ).ms,
    );
}
row('a changed pass predicted and kept, with the whole plan as the answer', median(changed).toFixed(0), 'ms', 'within 200');
const replanned = [];
for (const one of last.data.zones.slice(0, 7)) {
    await ask(`${last.path}/changes`, 'POST', { kind: 'method', zone: one.number, settings: ['beneath=nothing'], key: key() });
    replanned.push((await planned(last.path)) / 1000);
}
row('one zone planned again, of seven', median(replanned).toFixed(1), `s   (the longest ${Math.max(...replanned).toFixed(1)})`, 'under 1');
row(
    'the picture after a pass, the first time',
    (
        (await page.evaluate(async (p) => {
            const t = performance.now();
            await (await fetch(p)).blob();
            return performance.now() - t;
        }, `${last.path}/image?step=2&bench=${key()}`)) / 1000
    ).toFixed(1),
    's',
);
await browser.close();
