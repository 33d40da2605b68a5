// Two tabs at the same moment: what is sent twice is made once, an undo takes back what it was meant for, and nobody is answered with a
// fault.
//   BASE_URL=… node tests/Ops/tabs.mjs ROUNDS
import { Artist, entry, newKey, THREE } from './artist.mjs';

const rounds = Number(process.argv[2] ?? 15);
const artist = await new Artist().signUp();
await artist.drawer(THREE);
const faults = [];
const holds = (sentence, is) => is || faults.push(sentence);

for (let round = 0; round < rounds; round++) {
    const study = await artist.study();
    const base = `/api/studies/${study}`;
    const plan = async () => (await artist.ask('GET', `${base}/kept-recipes`)).json();
    const undo = (of) => artist.ask('POST', `${base}/kept-recipes/undo`, { json: { of }, key: newKey() });

    const key = newKey();
    const same = await Promise.all([1, 2, 3].map(() => artist.ask('POST', `${base}/kept-recipes`, { json: entry('once'), key })));
    holds(
        `the same change three times: ${same.map((a) => a.status)}`,
        same.every((a) => a.status === 201) && (await plan()).entries.length === 1,
    );

    for (const name of ['two', 'three', 'four']) {
        await artist.ask('POST', `${base}/kept-recipes`, { json: entry(name) });
    }
    const { stamp } = await plan();
    const meant = await Promise.all([undo(stamp), undo(stamp)]);
    holds(
        `two undos of one change: ${meant.map((a) => a.status)}`,
        meant
            .map((a) => a.status)
            .sort()
            .join() === '200,409' && (await plan()).entries.length === 3,
    );
    const plain = await Promise.all([undo(null), undo(null)]);
    holds(`two undos: ${plain.map((a) => a.status)}`, plain.every((a) => a.status === 200) && (await plan()).entries.length === 1);

    // Everything at once, of two pencils too: then one undo takes back one of them.
    const notes = await Promise.all(
        [1, 2].flatMap((n) => [
            artist.ask('PATCH', '/api/drawer/pencil', { json: { id: `Quay/${n}`, notes: `round ${round}` }, key: newKey() }),
        ]),
    );
    const undone = await artist.ask('POST', '/api/drawer/undo', { json: {}, key: newKey() });
    const left = (await artist.ask('GET', '/api/drawer/file/json')).json().pencils.filter((p) => p.notes === `round ${round}`);
    holds(`one undo of two notes at once left ${left.length}: ${[...notes, undone].map((a) => a.status)}`, left.length === 1);

    const mixed = await Promise.all([
        ...[1, 2, 3].map((n) =>
            artist.ask('POST', `${base}/survey/changes`, {
                json: { kind: 'addSpot', name: `spot ${n}`, photo: 0, x: 0.2, y: 0.2, ring: 9 },
                key: newKey(),
            }),
        ),
        ...[1, 2].map(() => artist.ask('POST', `${base}/survey/changes`, { json: { kind: 'proposeZones', most: 6 }, key: newKey() })),
        ...['value-first', 'value-only'].map((mode) =>
            artist.ask('POST', `${base}/plan/changes`, { json: { kind: 'mode', mode }, key: newKey() }),
        ),
        artist.ask('PATCH', base, { json: { paper: 'black' }, key: newKey() }),
        artist.ask('POST', `${base}/plan/undo`, { json: {}, key: newKey() }),
        artist.ask('POST', `${base}/survey/undo`, { json: {}, key: newKey() }),
        artist.ask('POST', '/api/drawer/ranges', {
            json: { line: 'Quay', numbers: '1-3', stock: round % 2 === 0 ? 'low' : 'owned' },
            key: newKey(),
        }),
    ]);
    holds(
        `at once: ${mixed.map((a) => a.status)} ${mixed.find((a) => a.status >= 500)?.text.slice(0, 300) ?? ''}`,
        mixed.every((a) => a.status > 0 && a.status < 500),
    );
}
console.log(`${rounds} rounds of two tabs`);
faults.forEach((fault) => console.log(fault));
process.exit(faults.length > 0 ? 1 : 0);
