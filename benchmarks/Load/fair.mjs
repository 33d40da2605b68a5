// Whether work is shared out fairly: a plan beside ten of another account, short work meanwhile, and nothing planned twice where workers
// are killed. ./bench --load runs it, on an instance of its own.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { Artist } from '../../tests/Ops/artist.mjs';

const row = (what, value, unit, target = '') => console.log(`${what.padEnd(72)} ${String(value).padStart(9)} ${unit.padEnd(3)} ${target}`);
const seconds = (ms) => (ms / 1000).toFixed(1);
const photo = readFileSync('demo/photos/low-water-morning.jpg');
const drawer = readFileSync('demo/drawer.csv', 'utf8').trim().split('\n').slice(1);
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

async function settled() {
    const artist = await new Artist().signUp();
    await artist.drawer(drawer, 'line,number,name,binder,heavy,light,over_black,opacity,laydown,lightfast,owned');
    return artist;
}
/** A study of the demo's photo with twelve zones, nothing of it planned. */
async function study(artist) {
    const id = await artist.study(photo, 'photo.jpg');
    await artist.until('POST', `/api/studies/${id}/survey/changes`, { kind: 'proposeZones', most: 12 });
    return `/api/studies/${id}/plan`;
}
const begin = (artist, plan) => artist.until('POST', `${plan}/run`, {});
async function done(artist, plan) {
    const began = Date.now();
    await begin(artist, plan);
    await awaited(artist, plan);
    return Date.now() - began;
}
async function awaited(artist, plan) {
    for (;;) {
        const { run } = await artist.read(plan);
        if (run.state === 'done') {
            return;
        }
        if (run.state === 'failed') {
            throw new Error('a plan failed');
        }
        await wait(400);
    }
}

const [many, one] = [await settled(), await settled()];
const alone = [];
for (let i = 0; i < 2; i++) {
    alone.push(await done(one, await study(one)));
}
const ten = [];
for (let i = 0; i < 10; i++) {
    ten.push(await study(many));
}
const [other, third] = [await study(one), await study(one)];
await Promise.all(ten.map((plan) => begin(many, plan)));
await wait(3000);
const beside = [await done(one, other), await done(one, third)];
const own = alone.reduce((a, b) => a + b) / alone.length;
row('a plan of twelve zones, alone (mean of two)', seconds(own), 's');
row('the same beside ten of another account (the slower of two)', seconds(Math.max(...beside)), 's', `at most ${seconds(2 * own)}`);

// Short work while nine plans wait: a drawer file taken in, and one zone planned again.
let began = Date.now();
await (await new Artist().signUp()).drawer(drawer, 'line,number,name,binder,heavy,light,over_black,opacity,laydown,lightfast,owned');
row('meanwhile: a new account brings its drawer of 24 in', seconds(Date.now() - began), 's', 'at most 10');
const zone = (await one.read(other)).zones[0];
await one.until('POST', `${other}/changes`, { kind: 'method', zone: zone.number, settings: ['beneath=nothing'] });
began = Date.now();
const replanned = await done(one, other);
row('meanwhile: one zone planned again', seconds(replanned), 's', 'at most 10');

// A worker is killed every five seconds until all ten are there.
const ends = ten.map((plan) => awaited(many, plan));
let over = false;
Promise.all(ends).then(() => (over = true));
let kills = 0;
while (!over) {
    await wait(5000);
    const [pid] = readFileSync(`${process.env.KP_VAR}/run/worker-1.pid`, 'utf8').split(' ');
    spawnSync('kill', ['-KILL', '--', `-${pid}`]);
    kills++;
}
let twice = 0;
let zones = 0;
for (const plan of ten) {
    const { run, waiting, zones: all } = await many.read(plan);
    zones += all.length;
    twice += run.changes.length - all.length;
    if (waiting !== 0) {
        throw new Error(`${waiting} zones of a plan that is done wait`);
    }
}
row(`ten plans under ${kills} × kill -9 of the worker: zones planned twice, of ${zones}`, twice, '', '0');
