// The disk that keeps photos is filled: what can't be kept is refused by name and leaves nothing behind, what is there is read, and when
// there is room again all goes on.
import { readdirSync, rmSync, statfsSync, writeFileSync, openSync, writeSync, closeSync } from 'node:fs';
import { Artist, photo, THREE } from './artist.mjs';

const disk = `${process.env.KP_VAR}/storage/app`;
const faults = [];
const holds = (sentence, is) => is || faults.push(sentence);
const folders = () => readdirSync(`${disk}/private/photos`).length;

const artist = await new Artist().signUp();
await artist.drawer(THREE);
const study = await artist.study();
const before = folders();

const filler = openSync(`${disk}/filler`, 'w');
try {
    for (;;) {
        writeSync(filler, Buffer.alloc(65_536));
    }
} catch {
    closeSync(filler);
}
try {
    writeFileSync(`${disk}/filler2`, Buffer.alloc(statfsSync(disk).bavail * statfsSync(disk).bsize));
} catch {
    // Full to the last byte.
}
const form = () => {
    const data = new FormData();
    data.set('photo', new Blob([photo(1200, 900)]), 'a.png');
    return data;
};
for (const path of ['/api/studies', `/api/studies/${study}/photos`]) {
    const answer = await artist.ask('POST', path, { form: form() });
    holds(
        `${path} on a full disk: ${answer.status} ${answer.text.slice(0, 200)}`,
        answer.status === 507 && answer.json().detail.includes('disk of this computer is full'),
    );
}
holds(`${folders() - before} folders are left over`, folders() === before);
const health = await artist.ask('GET', '/health');
holds(
    `/health: ${health.status} ${health.text}`,
    health.status === 503 && health.json().diskSpace === false && health.json().database === true,
);
for (const path of ['survey', 'spot?x=20&y=20&ring=9', 'recipes?x=20&y=20&ring=9', 'kept-recipes', 'plan', 'photo']) {
    const answer = await artist.ask('GET', `/api/studies/${study}/${path}`);
    holds(`${path} on a full disk: ${answer.status} ${answer.text.slice(0, 200)}`, answer.status === 200);
}
const zones = await artist.ask('POST', `/api/studies/${study}/survey/changes`, {
    json: { key: 'propose-zones', kind: 'proposeZones', most: 6 },
});
holds(`zones on a full disk: ${zones.status} ${zones.text.slice(0, 200)}`, zones.status === 200);

rmSync(`${disk}/filler`);
rmSync(`${disk}/filler2`, { force: true });
const again = await artist.ask('POST', `/api/studies/${study}/photos`, { form: form() });
holds(
    `a photo when there is room again: ${again.status} ${again.text.slice(0, 200)}`,
    again.status === 201 && again.json().photos.length === 2,
);
console.log('a full disk and an empty one');
faults.forEach((fault) => console.log(fault));
process.exit(faults.length > 0 ? 1 : 0);
