// Three hundred people read without a pause, and a thousand connections are left half way: nobody is turned away or cut off, and nobody
// notices.
//   BASE_URL=… node tests/Ops/readers.mjs
import { Agent, request } from 'node:http';
import { connect } from 'node:net';
import { Artist, base, THREE } from './artist.mjs';

const READERS = 300;
const READS = 6;
const HALVES = 1000;
const { hostname, port } = new URL(base);
const faults = new Map();
const fault = (what) => faults.set(what, (faults.get(what) ?? 0) + 1);

const artist = await new Artist().signUp();
await artist.drawer(THREE);
const study = await artist.study();
await artist.ask('GET', '/api/studies');
const cookie = [...artist.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
const agent = new Agent({ keepAlive: true, maxSockets: READERS });
const read = (path, headers = {}) =>
    new Promise((resolve) => {
        const began = performance.now();
        const asked = request(
            {
                hostname,
                port,
                path,
                agent,
                headers: { Cookie: cookie, Accept: 'application/json', 'X-Forwarded-For': '203.0.113.9', ...headers },
            },
            (answer) => {
                answer.resume();
                answer.on('end', () => resolve([answer.statusCode, performance.now() - began]));
            },
        );
        asked.on('error', (error) => resolve([error.code, performance.now() - began]));
        asked.end();
    });

const times = [];
await Promise.all(
    Array.from({ length: READERS }, async (_, reader) => {
        for (let n = 0; n < READS; n++) {
            // Each is another spot, which nobody was told of yet.
            const [status, ms] = await read(`/api/studies/${study}/spot?x=${(reader * 7 + n) % 110}&y=${(reader + 11 * n) % 80}&ring=5`);
            times.push(ms);
            if (status !== 200) {
                fault(`a reader got ${status}`);
            }
        }
    }),
);
const middle = (list) => list.sort((a, b) => a - b)[list.length >> 1].toFixed(0);
console.log(`${READERS} readers without a pause: ${times.length} answers, median ${middle(times)} ms`);

let ended = 0;
const halves = Array.from({ length: HALVES }, (_, n) => {
    const socket = connect(Number(port), hostname);
    socket.on('error', () => undefined);
    socket.on('close', () => ended++);
    socket.write(
        n % 2 === 0
            ? `GET /api/studies HTTP/1.1\r\nHost: ${hostname}\r\nX-Half: `
            : `POST /sign-in HTTP/1.1\r\nHost: ${hostname}\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{"email":`,
    );
    return socket;
});
await new Promise((resolve) => setTimeout(resolve, 2000));
const beside = [];
for (let n = 0; n < 20; n++) {
    const [status, ms] = await read(`/api/studies/${study}/spot?x=${n}&y=${n}&ring=3`);
    beside.push(ms);
    if (status !== 200) {
        fault(`beside ${HALVES} half requests: ${status}`);
    }
}
console.log(`beside ${HALVES} half requests: median ${middle(beside)} ms`);
for (let waited = 0; ended < HALVES && waited < 60; waited++) {
    await new Promise((resolve) => setTimeout(resolve, 1000));
}
if (ended < HALVES) {
    fault(`${HALVES - ended} half requests are still held`);
}
halves.forEach((socket) => socket.destroy());
agent.destroy();
faults.forEach((n, what) => console.log(`${n} × ${what}`));
process.exit(faults.size > 0 ? 1 : 0);
