// Shown by the web server where the application does not answer (ops/nginx.conf.in): waits until it does, and opens what was asked for.
document.documentElement.dataset.surround = localStorage.getItem('surround') === 'middle' ? 'middle' : 'light';
const began = Date.now();
const PAUSE = 1500;
const LONG = 30_000;

async function look() {
    const seconds = Math.round((Date.now() - began) / 1000);
    document.querySelector('#told').textContent = seconds < 2 ? 'Waiting.' : `Waiting for ${seconds} seconds.`;
    document.querySelector('#cure').hidden = Date.now() - began < LONG;
    try {
        // The address itself, and not the health of a part: it is what somebody waits for.
        const answer = await fetch(location.href, { headers: { Accept: 'text/html' }, cache: 'no-store', signal: AbortSignal.timeout(10_000) });
        if (answer.status < 500) {
            document.querySelector('#told').textContent = 'There again.';
            location.reload();
            return;
        }
    } catch {
        // Nobody answers: asked again.
    }
    setTimeout(look, PAUSE);
}
setTimeout(look, PAUSE);
