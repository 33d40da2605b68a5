// What an artist sees of the bucket that keeps photos (bucket.test.sh): "deletes" a study of hers, or "waits" while it is away.
import { execFileSync } from 'node:child_process';
import { Artist, newKey, photo } from './artist.mjs';

const originals = () =>
    execFileSync('php', ['tests/Ops/bucket.php', `http://127.0.0.1:${process.env.BUCKET_PORT ?? 3460}`, '/original'], {
        encoding: 'utf8',
    }).split('\n').length;
const artist = await new Artist().signUp();

if (process.argv[2] === 'deletes') {
    const before = originals();
    const study = await artist.study();
    const between = originals();
    const gone = await artist.until('DELETE', `/api/studies/${study}`);
    process.exit(between === before + 1 && gone.status === 204 && originals() === before ? 0 : 1);
}
const form = new FormData();
form.set('photo', new Blob([photo()]), 'fields.png');
const answer = await artist.ask('POST', '/api/studies', { form, key: newKey() });
const studies = (await artist.read('/api/studies')).studies.length;
process.exit(answer.status === 503 && answer.json().detail.includes('sent when it is back') && studies === 0 ? 0 : 1);
