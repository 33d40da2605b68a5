// Two hundred people at once, each with a study of their own and three to five seconds between two actions: what is read, and at the desk
// passes laid. What a person has already is asked for as a browser does, by its name.
// ./bench --load runs it, on an instance of its own; PEOPLE, SECONDS and PAUSE change how many, for how long, and how fast; with FORGETS=1
// nobody says what they have already, with READS=1 nobody lays a pass.
import { execFile } from 'node:child_process';
import { Agent, request } from 'node:http';
import { promisify } from 'node:util';
import { gunzipSync } from 'node:zlib';

const base = new URL(process.env.BASE_URL);
const people = Number(process.env.PEOPLE ?? 200);
const lasts = Number(process.env.SECONDS ?? 120) * 1000;
const pause = Number(process.env.PAUSE ?? 4) * 1000;
const row = (what, value, unit, target = '') => console.log(`${what.padEnd(72)} ${String(value).padStart(9)} ${unit.padEnd(3)} ${target}`);
const half = Math.ceil(people / 2);
const made = (
    await Promise.all(
        [
            [1, half],
            [half + 1, people],
        ].map(([from, to]) =>
            promisify(execFile)(
                'bash',
                ['-c', '. ops/common.sh; as_app php benchmarks/Load/people.php "$0" "$1"', String(from), String(to)],
                { maxBuffer: 1e8 },
            ),
        ),
    )
).flatMap(({ stdout }) =>
    stdout
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line)),
);

const agent = new Agent({ keepAlive: true });
function ask(person, method, path, json) {
    return new Promise((resolve) => {
        const began = performance.now();
        const body = json === undefined ? '' : JSON.stringify(json);
        const headers = {
            Accept: 'application/json',
            Cookie: [person.cookie, person.pass].filter(Boolean).join('; '),
            'Accept-Encoding': 'gzip',
            ...(method === 'GET' && !process.env.FORGETS && person.has?.get(path) ? { 'If-None-Match': person.has.get(path) } : {}),
            'X-Forwarded-For': '203.0.113.9',
            ...(method === 'GET'
                ? {}
                : {
                      'X-CSRF-TOKEN': person.token,
                      'Content-Type': 'application/json',
                      'Content-Length': Buffer.byteLength(body),
                      'Idempotency-Key': `${Date.now()}-${Math.random().toString(36).slice(2, 12)}`,
                  }),
        };
        const sent = request({ host: base.hostname, port: base.port, method, path, headers, agent, timeout: 30_000 }, (answer) => {
            const parts = [];
            if (method === 'GET' && answer.headers.etag) {
                (person.has ??= new Map()).set(path, answer.headers.etag);
            }
            // As a browser does; the session's own cookie is the same session, whichever of its forms is sent.
            for (const cookie of answer.headers['set-cookie'] ?? []) {
                person.pass = /^knotty_prism_pass=[^;]+/.exec(cookie)?.[0] ?? person.pass;
            }
            answer.on('data', (part) => parts.push(part));
            answer.on('end', () =>
                resolve({
                    status: answer.statusCode,
                    ms: performance.now() - began,
                    bytes: parts.reduce((n, p) => n + p.length, 0),
                    text: () =>
                        (answer.headers['content-encoding'] === 'gzip'
                            ? gunzipSync(Buffer.concat(parts))
                            : Buffer.concat(parts)
                        ).toString(),
                }),
            );
        });
        sent.on('timeout', () => sent.destroy());
        sent.on('error', () => resolve({ status: 0, ms: performance.now() - began, bytes: 0, text: () => '' }));
        sent.end(body);
    });
}
const any = (list) => list[Math.floor(Math.random() * list.length)];
/** What people ask for, and how often of a hundred times. */
const ACTIONS = [
    ['the page', 5, (p) => `/plan/${p.study}`],
    ['the studies', 8, () => '/api/studies'],
    ['the survey', 10, (p) => `/api/studies/${p.study}/survey`],
    [
        'a spot read',
        18,
        (p) => `/api/studies/${p.study}/spot?x=${100 + Math.floor(Math.random() * 1500)}&y=${100 + Math.floor(Math.random() * 900)}&ring=9`,
    ],
    ['the photo, looked at', 4, (p) => `/api/studies/${p.study}/photos/${p.photo}/look?tone=steps&steps=5`],
    ['the plan', 12, (p) => `/api/studies/${p.study}/plan`],
    ['how far the planner is', 16, (p) => `/api/studies/${p.study}/plan/run`],
    ['the desk', 5, (p) => `/api/studies/${p.study}/desk`],
    ['the drawer', 8, () => '/api/drawer/tray?order=number'],
    ['the book', 5, () => '/api/book/recipes'],
    ['the log', 3, () => '/api/book/log'],
    ['a pencil', 4, () => '/api/drawer/pencil?id=711&paper=white%20medium'],
    ['a pass laid at the desk', 2, null],
];
const choices = ACTIONS.filter((action) => action[2] !== null || !process.env.READS).flatMap((action) => Array(action[1]).fill(action));
const times = new Map(ACTIONS.map(([name]) => [name, []]));
const sizes = new Map();
const faults = new Map();

let known = 0;
function note(name, answer) {
    times.get(name).push(answer.ms);
    known += answer.status === 304 ? 1 : 0;
    sizes.set(name, Math.max(answer.bytes, sizes.get(name) ?? 0));
    if (answer.status < 200 || answer.status >= 400) {
        const what = `${name}: ${answer.status} ${answer.status >= 400 ? answer.text().slice(0, 200) : ''}`;
        faults.set(what, (faults.get(what) ?? 0) + 1);
    }
}
/** As the page does: the answer to a tick is the desk as it is then. A pass takes minutes, so that ticks are few. */
async function tick(person) {
    const desk = person.desk ?? (await ask({ ...person, has: undefined }, 'GET', `/api/studies/${person.study}/desk`));
    const step = JSON.parse(desk.text()).steps.find((s) => s.finish === null);
    if (step === undefined) {
        return;
    }
    const json = {
        kind: 'done',
        zone: step.zone,
        position: step.position,
        tool: step.pencil?.id ?? step.finish,
        pressures: Object.fromEntries(Object.entries(step.pressures).filter(([, p]) => p !== null)),
        at: Math.floor(Date.now() / 1000),
    };
    const answer = await ask(person, 'POST', `/api/studies/${person.study}/desk/ticks`, json);
    note('a pass laid at the desk', answer);
    person.desk = answer.status === 200 ? answer : undefined;
}
async function works(person, until) {
    await new Promise((resolve) => setTimeout(resolve, Math.random() * 4000));
    while (Date.now() < until) {
        const [name, , path] = any(choices);
        if (path === null) {
            await tick(person);
        } else {
            note(name, await ask(person, 'GET', path(person)));
        }
        await new Promise((resolve) => setTimeout(resolve, pause * (0.75 + Math.random() / 2)));
    }
}
const quantile = (list, q) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(q * list.length))] ?? 0;

// What is made once and kept is made first, as it is for whoever comes back.
await Promise.all(
    [0, 1, 2].map(async (lane) => {
        for (const person of made.filter((_, i) => i % 3 === lane)) {
            for (const [, , path] of ACTIONS.filter((a) => a[2] !== null)) {
                await ask(person, 'GET', path(person));
            }
        }
    }),
);
await Promise.all(made.map((person) => works(person, Date.now() + lasts)));
const all = [...times.values()].flat();
row(`${people} people: requests answered`, (all.length / (lasts / 1000)).toFixed(0), '/s');
for (const [name, list] of times) {
    row(
        `  ${name} (${Math.ceil((sizes.get(name) ?? 0) / 1024)} kB), median`,
        quantile(list, 0.5).toFixed(0),
        'ms',
        `p95 ${quantile(list, 0.95).toFixed(0)}`,
    );
}
row('  of a hundred, known already (304)', ((100 * known) / all.length).toFixed(0), '%');
row('  all of it, median', quantile(all, 0.5).toFixed(0), 'ms');
row('  all of it, p95', quantile(all, 0.95).toFixed(0), 'ms', 'under 300');
row(
    '  not answered, or with an error',
    [...faults.values()].reduce((a, b) => a + b, 0),
    '',
    '0',
);
faults.forEach((n, what) => console.log(`    ${n} × ${what}`));
