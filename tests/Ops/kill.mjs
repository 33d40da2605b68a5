// Servers are killed while three tabs of one study are at work; what was acknowledged must be there, and nothing twice.
//   BASE_URL=… node tests/Ops/kill.mjs ROUNDS    with KP_VAR; what keeps the servers going brings them back
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { Artist, entry, THREE } from './artist.mjs';

const rounds = Number(process.argv[2] ?? 4);
const seconds = 4;
const servers = ['database', 'php', 'nginx', 'worker-1'];
const killed = (name) => {
    const group = readFileSync(`${process.env.KP_VAR}/run/${name}.pid`, 'utf8').split(' ')[0];
    spawnSync('kill', ['-KILL', '--', `-${group}`]);
};

const artist = await new Artist().signUp();
await artist.drawer(THREE);
let made = 0;
let again = 0;
const faults = [];
for (let round = 0; round < rounds; round++) {
    const study = await artist.study();
    const plan = `/api/studies/${study}/kept-recipes`;
    const until = Date.now() + seconds * 1000;
    const tab = async (n) => {
        const names = [];
        for (let i = 0; Date.now() < until; i++) {
            const name = `tab ${n}, change ${i}`;
            const answer = await artist.until('POST', plan, entry(name));
            again += answer.tries - 1;
            if (answer.status !== 201) {
                faults.push(`round ${round}: ${answer.status} ${answer.text.slice(0, 200)}`);
            }
            names.push(name);
        }
        return names;
    };
    const work = Promise.all([tab(1), tab(2), tab(3)]);
    await new Promise((resolve) => setTimeout(resolve, 1000 + Math.random() * 1500));
    killed(servers[round % servers.length]);
    const names = (await work).flat();
    const there = (await artist.read(plan)).entries.map((e) => e.name);
    made += names.length;
    const lost = names.filter((name) => !there.includes(name));
    if (lost.length > 0 || there.length !== names.length) {
        faults.push(
            `round ${round}, ${servers[round % servers.length]} killed: ` +
                `${lost.length} lost, ${there.length - names.length + lost.length} doubled`,
        );
    }
}
console.log(`${rounds} × kill -9, ${made} changes, ${again} sent again`);
faults.forEach((fault) => console.log(fault));
process.exit(faults.length > 0 ? 1 : 0);
