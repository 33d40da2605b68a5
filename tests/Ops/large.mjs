// How quick a large study is in the application: a photo of one's own, as many zones as are wanted, planned and looked at pass by pass.
//   BASE_URL=http://127.0.0.1:8040 node tests/Ops/large.mjs PHOTO [ZONES]
import { readFileSync } from 'node:fs';
import { Artist, newKey } from './artist.mjs';

const [path, wanted = '24'] = process.argv.slice(2);
const artist = await new Artist().signUp();
const [head, ...rows] = readFileSync(new URL('../../demo/drawer.csv', import.meta.url), 'utf8')
    .trim()
    .split('\n');
await artist.drawer(rows, head);

const timed = async (what, work) => {
    const began = Date.now();
    const answer = await work();
    if (answer?.status !== undefined && answer.status !== 200) {
        throw new Error(`${what}: ${answer.status} ${answer.text.slice(0, 300)}`);
    }
    console.log(what.padEnd(36), ((Date.now() - began) / 1000).toFixed(2).padStart(8), 's');
    return answer;
};
const change = (study, said) => artist.ask('POST', `${study}/survey/changes`, { json: { key: newKey(), ...said } });

let study = '';
await timed('photo brought in', async () => void (study = `/api/studies/${await artist.study(readFileSync(path), 'large.jpg')}`));
let zones = (await timed('zones proposed', () => change(study, { kind: 'proposeZones', most: 20 }))).json().zones.list;
// Cut across, one after the other, until there are as many as were wanted.
for (let n = 0; zones.length < Number(wanted) && n < 200; n++) {
    const at = 0.2 + (0.6 * ((n * 7) % 11)) / 11;
    const line =
        n % 2 === 0
            ? [
                  [at, 0],
                  [at, 1],
              ]
            : [
                  [0, at],
                  [1, at],
              ];
    const answer = await change(study, { kind: 'splitZone', zone: zones[n % zones.length].number, line });
    zones = answer.status === 200 ? answer.json().zones.list : zones;
}
await timed(`${zones.length} zones planned`, async () => {
    await artist.until('POST', `${study}/plan/run`, {});
    while (['waiting', 'working'].includes((await artist.read(`${study}/plan/run`)).run?.state)) {
        await new Promise((resolve) => setTimeout(resolve, 250));
    }
});
const { steps, waiting } = (await timed('the plan', () => artist.ask('GET', `${study}/plan`))).json();
for (const [step, what] of [
    [steps, 'the picture, cold'],
    ...Array.from({ length: steps }, (_, n) => [n, `  after ${n} passes`]),
    [steps, '  kept'],
]) {
    await timed(what, () => artist.ask('GET', `${study}/plan/image?step=${step}`));
}
const order = (await timed('the order of work', () => artist.ask('GET', `${study}/plan/work`))).json();
const half = Math.floor(order.steps.length / 2);
for (const what of [`after ${half} of its ${order.steps.length} steps`, '  kept']) {
    await timed(what, () => artist.ask('GET', `${study}/plan/image?work=${half}`));
}
await timed('a piece from near', () => artist.ask('GET', `${study}/plan/loupe?step=${steps}&x=0.4&y=0.5`));
process.exit(zones.length === Number(wanted) && waiting === 0 ? 0 : 1);
