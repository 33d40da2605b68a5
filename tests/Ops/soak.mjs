// Artists at work from the photo to the book, again and again, while a server is killed every two minutes: nothing is lost or doubled, no
// answer is a fault of the application, memory and disk stay within bounds.
//   BASE_URL=… KP_VAR=… node tests/Ops/soak.mjs MINUTES [ARTISTS]
import { execFileSync, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { Artist } from './artist.mjs';

const minutes = Number(process.argv[2] ?? 60);
const artists = Number(process.argv[3] ?? 3);
const until = Date.now() + minutes * 60_000;
const drawer = readFileSync('demo/drawer.csv', 'utf8').trim().split('\n').slice(1);
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const faults = [];
let rounds = 0;
let ticks = 0;
let hands = 0;
let refused = 0;
let kills = 0;

function must(holds, what) {
    if (!holds) {
        faults.push(what);
        console.log(`FAULT  ${what}`);
    }
}
const sent = async (artist, method, path, json) => {
    const answer = await artist.until(method, path, json);
    must(answer.status < 300, `${method} ${path}: ${answer.status} ${answer.text.slice(0, 160)}`);
    if (answer.status >= 300) {
        throw new Error('what comes after it needs it');
    }
    return answer;
};

/** All zones are planned, with whatever pencils and hand are known by now. */
async function planned(artist, study) {
    await sent(artist, 'POST', `${study}/plan/run`, {});
    for (let tries = 0; tries < 600; tries++) {
        const { run } = await artist.read(`${study}/plan/run`);
        must(run.state !== 'failed', `a plan failed in ${study}`);
        if (run.state !== 'waiting' && run.state !== 'working') {
            break;
        }
        await wait(500);
    }
    must((await artist.read(`${study}/plan`)).waiting === 0, `a plan never came in ${study}`);
}

/** Strips of the hand are laid, read from a (made-up) photo and learned from: one version more, and one only. */
async function strips(artist) {
    const on = '/api/hand';
    const newest = (hand) => Math.max(0, ...hand.versions.map((version) => version.number));
    const before = newest(await artist.read(`${on}?paper=white+medium`));
    const { boxes } = (await sent(artist, 'POST', `${on}/made-up?paper=white+medium`)).json();
    const laid = boxes.filter((box) => box.filled).map(({ stack, hex }) => ({ stack, hex }));
    const learned = (await sent(artist, 'POST', `${on}?paper=white+medium`, { strips: laid })).json();
    must(newest(learned) === before + 1, `version ${before} of a hand, one learned, the newest is ${newest(learned)}`);
    hands++;
}

/**
 * The half-done drawing is photographed, by the simulated camera, and checked: one check more, and one only; its pictures are there. A
 * photo that is refused, as one with a shadow across a drawing that is hardly begun may be, is taken again.
 */
async function checked(artist, study) {
    const passes = { passes: 1 };
    let answer = await artist.until('POST', `${study}/plan/checks/made-up`, passes);
    for (let tries = 0; answer.status === 422 && tries < 4; tries++) {
        refused++;
        answer = await artist.until('POST', `${study}/plan/checks/made-up`, passes);
    }
    must(answer.status === 201, `a check in ${study}: ${answer.status} ${answer.text.slice(0, 160)}`);
    const { id } = answer.json();
    const { checks } = await artist.read(`${study}/plan/checks`);
    must(checks.length === 1 && checks[0].id === id, `${study}: one check is made, ${checks.length} there`);
    await sent(artist, 'GET', `${study}/plan/checks/${id}/photo`);
    await sent(artist, 'GET', `${study}/plan/checks/${id}/map`);
}

/**
 * One drawing: photo, zones, plan, passes at the desk with one taken back, strips of the hand, a check, a recipe in the book; then looked
 * through.
 */
async function drawing(artist, made) {
    let id = null;
    while (id === null) {
        // A photo is chosen again where its upload broke off.
        id = await artist.study().catch(() => wait(1000).then(() => null));
    }
    const study = `/api/studies/${id}`;
    await sent(artist, 'POST', `${study}/survey/changes`, { kind: 'proposeZones', most: 6 });
    await planned(artist, study);
    let desk = await artist.read(`${study}/desk`);
    let laid = 0;
    for (; laid < 5 && desk.steps.length > 0; laid++) {
        const [step] = desk.steps;
        await sent(artist, 'POST', `${study}/desk/ticks`, {
            kind: 'done',
            zone: step.zone,
            position: step.position,
            tool: step.pencil?.id ?? step.finish,
            pressures: Object.fromEntries(Object.entries(step.pressures).filter(([, p]) => p !== null)),
            at: Math.floor(Date.now() / 1000),
        });
        desk = await artist.read(`${study}/desk`);
    }
    await sent(artist, 'POST', `${study}/desk/undo`, { of: desk.stamp });
    desk = await artist.read(`${study}/desk`);
    const there = desk.zones.reduce((sum, zone) => sum + zone.ticks, 0);
    must(there === laid - 1, `${study}: ${laid} laid, one taken back, ${there} there`);
    ticks += laid;
    // A hand is tried now and then; a drawing is looked at every time.
    if (made.length % 4 === 0) {
        await strips(artist);
        await planned(artist, study);
    }
    await checked(artist, study);
    await sent(artist, 'POST', `${study}/book-recipes`, { zone: desk.zones[0].number, name: `drawing ${id}`, words: '' });
    const { studies } = await artist.read('/api/studies');
    must(studies.filter((s) => s.id === id).length === 1, `${study} is there once`);
    made.push({ study, ticks: laid - 1 });
    rounds++;
}

/** All that an artist made, an hour of it, is there as often as it was made. */
async function looked(artist, made) {
    const { found } = await artist.read('/api/book/recipes');
    must(found === made.length, `${made.length} recipes kept, ${found} in the book`);
    for (const { study, ticks: left } of made) {
        // A hand that was learned since makes other plans; what lies is kept beneath them.
        await planned(artist, study);
        const there = (await artist.read(`${study}/desk`)).zones.reduce((sum, zone) => sum + zone.ticks, 0);
        must(there === left, `${study}: ${left} passes were laid, ${there} are there at the end`);
        must((await artist.read(`${study}/plan/checks`)).checks.length === 1, `${study}: its check is there at the end`);
    }
}
async function works() {
    const artist = await new Artist().signUp();
    await artist.drawer(drawer, 'line,number,name,binder,heavy,light,over_black,opacity,laydown,lightfast,owned');
    const made = [];
    while (Date.now() < until && faults.length <= 20) {
        await drawing(artist, made).catch((error) => must(false, String(error)));
    }
    await looked(artist, made);
}
/** Megabytes of all that was begun for this instance, what several share counted once, and of its folder. */
function size() {
    const parents = new Map(
        execFileSync('ps', ['-eo', 'pid=,ppid='])
            .toString()
            .trim()
            .split('\n')
            .map((line) => line.trim().split(/\s+/)),
    );
    const [root] = readFileSync(`${process.env.KP_VAR}/run/supervisor.pid`, 'utf8').trim().split(' ');
    const isOurs = (pid) => pid !== undefined && pid !== '0' && (pid === root || isOurs(parents.get(pid)));
    const of = (pid) => {
        try {
            return Number(/^Pss:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8'))?.[1] ?? 0);
        } catch {
            // It ended meanwhile.
            return 0;
        }
    };
    const kilobytes = [...parents.keys()].filter(isOurs).reduce((sum, pid) => sum + of(pid), 0);
    const disk = Number(execFileSync('du', ['-sm', process.env.KP_VAR]).toString().split('\t')[0]);
    return { memory: Math.round(kilobytes / 1024), disk };
}
async function kill() {
    const servers = ['database', 'php', 'nginx', 'worker-1', 'worker-short', 'worker-files'];
    while (Date.now() + 120_000 < until) {
        await wait(120_000);
        const name = servers[Math.floor(Math.random() * servers.length)];
        const [pid] = readFileSync(`${process.env.KP_VAR}/run/${name}.pid`, 'utf8').split(' ');
        spawnSync('kill', ['-KILL', '--', `${Math.random() < 0.5 ? '-' : ''}${pid}`]);
        kills++;
        const { memory, disk } = size();
        console.log(
            `${Math.round((Date.now() - (until - minutes * 60_000)) / 60_000)} min: ${name} killed; ` +
                `${rounds} drawings, ${ticks} passes, ${hands} hands; ${memory} MB in memory, ${disk} MB on disk`,
        );
    }
}
await Promise.all([kill(), ...Array.from({ length: artists }, works)]);
const { memory, disk } = size();
console.log(
    `${minutes} min, ${artists} artists: ${rounds} drawings, each checked, ${ticks} passes, ${hands} hands learned, ` +
        `${refused} photos taken again, ${kills} × kill -9; ${faults.length} faults; ${memory} MB in memory, ${disk} MB on disk`,
);
process.exit(faults.length > 0 ? 1 : 0);
