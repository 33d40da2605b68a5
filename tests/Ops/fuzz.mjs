// Requests that no page sends: every one must be answered, by a result or a sentence, and never by a fault.
//   BASE_URL=… node tests/Ops/fuzz.mjs COUNT [SEED]
import { readFileSync } from 'node:fs';
import { load } from 'js-yaml';
import { Artist, entry, photo, THREE } from './artist.mjs';

const count = Number(process.argv[2] ?? 5000);
let state = Number(process.argv[3] ?? 1) >>> 0;
/** Park and Miller's generator, so that a run can be repeated. */
const random = () => (state = (state * 48271 + 11) % 2147483647) / 2147483647;
const int = (to) => Math.floor(random() * to);
const pick = (list) => list[int(list.length)];

const artists = [];
for (let n = 0; n < 5; n++) {
    const artist = await new Artist().signUp();
    await artist.drawer(THREE);
    artist.at = await artist.study();
    await artist.ask('POST', `/api/studies/${artist.at}/survey/changes`, { json: { key: 'propose-zones', kind: 'proposeZones', most: 6 } });
    await artist.ask('POST', `/api/studies/${artist.at}/kept-recipes`, { json: entry('rope') });
    const survey = (await artist.ask('GET', `/api/studies/${artist.at}/survey`)).json();
    artist.photo = survey.colourPhoto;
    artist.zone = survey.zones.list[0].number;
    artist.takesCookies = false;
    artists.push(artist);
}

const place = (a) => ({ photo: a.photo, x: 0.4, y: 0.4, ring: 9 });
const line = [
    [0, 0.2],
    [0.5, 0.2],
    [0.5, 0.6],
];
/** What a page does send: method, path, and what goes with it. */
const valid = [
    ...[
        '',
        '/survey',
        '/plan',
        '/kept-recipes',
        '/photo',
        '/plan/values',
        '/plan/zones.pdf',
        '/plan/palette.csv',
        '/kept-recipes/card',
        '/spots.csv',
        '/bundle',
        '/purchases',
    ].map((path) => (a) => ['GET', `/api/studies/${a.at}${path}`]),
    ...[
        '/api/me',
        '/api/grain',
        '/api/drawer',
        '/api/drawer/lines',
        '/api/drawer/file/cgats',
        '/api/studies',
        '/health',
        '/',
        '/photo/1',
        '/sign-in',
    ].map((path) => () => ['GET', path]),
    (a) => ['GET', `/api/studies/${a.at}/spot`, { photo: a.photo, x: 4, y: 4, ring: 9, steps: 9, lightest: 0 }],
    (a) => ['GET', `/api/studies/${a.at}/recipes`, { x: 4, y: 4, ring: 9 }],
    (a) => ['GET', `/api/studies/${a.at}/comparison`, { one: a.photo, other: a.photo }],
    (a) => [
        'GET',
        `/api/studies/${a.at}/photos/${a.photo}/look`,
        { tone: 'grey', steps: 9, lightest: 0, only: 3, squint: 1, balanced: 0, push: 1, by: '1' },
    ],
    (a) => ['GET', `/api/studies/${a.at}/plan/answers`, { zone: a.zone }],
    (a) => ['GET', `/api/studies/${a.at}/plan/ramp`, { x1: 0.1, y1: 0.1, x2: 0.3, y2: 0.3 }],
    (a) => ['GET', `/api/studies/${a.at}/plan/image`, { step: '1', grey: '0' }],
    () => ['GET', '/api/drawer/pencil', { id: 'Quay/1', paper: 'white medium' }],
    () => ['GET', '/api/drawer/tray', { order: 'number', line: 'Quay', wanted: 1 }],
    () => ['GET', '/api/drawer/equivalents', { from: 'Quay', to: 'Quay' }],
    () => ['GET', '/api/drawer/chart', { 'ids[]': 'Quay/1', paper: 'black', beneath: 'light', above: 'firm' }],
    () => ['GET', '/api/drawer/map.pdf', { order: 'number', rows: 2, slots: 12, size: 'a5' }],
    ...[
        (a) => ({ kind: 'addSpot', name: 'rope', ...place(a) }),
        (a) => ({ kind: 'placeSpot', spot: 1, ...place(a) }),
        () => ({ kind: 'removeSpot', spot: 1 }),
        (a) => ({ kind: 'renameZone', zone: a.zone, name: 'sea' }),
        (a) => ({ kind: 'mergeZones', zone: a.zone, with: 2 }),
        (a) => ({ kind: 'splitZone', zone: a.zone, line }),
        (a) => ({ kind: 'redrawZone', zone: a.zone, outline: line }),
        (a) => ({ kind: 'takeFromZone', zone: a.zone, outline: line }),
        (a) => ({ kind: 'describeZone', zone: a.zone, importance: 'ordinary', surface: 'rough', distance: 'far' }),
        (a) => ({ kind: 'moveShade', zone: a.zone, shade: 'mid', place: 0.4 }),
        (a) => ({ kind: 'nameShade', zone: a.zone, shade: 'dark', name: 'shade' }),
        (a) => ({ kind: 'dropShade', zone: a.zone, shade: 'dark' }),
        (a) => ({ kind: 'setTouches', zone: a.zone, touches: [{ name: 'trim', x: 0.4, y: 0.4 }] }),
        () => ({ kind: 'keepWhitesFrom', from: 90 }),
        () => ({ kind: 'paintWhites', keep: true, radius: 0.02, points: line }),
        (a) => ({ kind: 'balance', ...place(a) }),
        (a) => ({ kind: 'unbalance', photo: a.photo }),
        () => ({ kind: 'proposeZones', most: 6 }),
    ].map((change) => (a) => ['POST', `/api/studies/${a.at}/survey/changes`, change(a)]),
    ...[
        () => ({ kind: 'method', zone: 0, settings: ['darks=never-black'] }),
        () => ({ kind: 'mode', mode: 'value-first' }),
        () => ({ kind: 'pencils', count: 3 }),
        () => ({ kind: 'lock', pencil: 'Quay/1', how: 'in' }),
        () => ({ kind: 'hue', zone: 0, hue: 'blue' }),
        () => ({ kind: 'preset', what: 'whole' }),
        (a) => ({ kind: 'sequence', zone: a.zone, passes: [{ tool: 'Quay/1', pressures: { mid: 'light' } }] }),
        (a) => ({ kind: 'regrade', zone: a.zone, pass: 0, how: 'steeper' }),
        (a) => ({ kind: 'overrule', zone: a.zone, shade: 'mid', code: 'bloom', note: 'under glass' }),
    ].map((change) => (a) => ['POST', `/api/studies/${a.at}/plan/changes`, change(a)]),
    (a) => ['POST', `/api/studies/${a.at}/plan/version`, { name: 'evening' }],
    ...['survey/undo', 'survey/redo', 'plan/undo', 'plan/redo', 'kept-recipes/undo'].map((path) => (a) => [
        'POST',
        `/api/studies/${a.at}/${path}`,
        { of: 3 },
    ]),
    (a) => ['POST', `/api/studies/${a.at}/kept-recipes`, entry('hull')],
    (a) => ['PATCH', `/api/studies/${a.at}/kept-recipes/1`, { name: 'hull' }],
    (a) => ['DELETE', `/api/studies/${a.at}/kept-recipes/1`],
    (a) => [
        'PATCH',
        `/api/studies/${a.at}`,
        { name: 'Fields', paper: 'black', drawingWidthMm: 200, drawingHeightMm: 150, gridMm: 20, cutPlace: 0.5, colourPhoto: a.photo },
    ],
    (a) => ['PATCH', `/api/studies/${a.at}/photos/${a.photo}`, { name: 'fields', roles: ['colour'] }],
    () => ['DELETE', '/api/studies/999999'],
    () => [
        'PATCH',
        '/api/drawer/pencil',
        { id: 'Quay/1', stock: 'low', lengthLeft: 40, discontinued: false, formerly: ['12'], notes: 'soft' },
    ],
    () => ['POST', '/api/drawer/ranges', { line: 'Quay', numbers: '1-3', stock: 'owned' }],
    () => ['POST', '/api/drawer/undo', { of: 2 }],
    () => ['POST', '/api/drawer/imports', 'file'],
    () => ['POST', '/api/studies', 'photo'],
    () => ['POST', '/api/studies/bundle', 'file'],
    () => ['POST', '/sign-in', { email: 'a@example.org', password: 'long enough 10' }],
];

/** Every address that docs/openapi.yaml names, asked for with the least that its description allows: none is left untried. */
const described = load(readFileSync(new URL('../../docs/openapi.yaml', import.meta.url), 'utf8'));
const at = (thing) =>
    thing?.$ref === undefined
        ? thing
        : at(
              thing.$ref
                  .slice(2)
                  .split('/')
                  .reduce((found, name) => found?.[name], described),
          );
const least = (schema, deep = 0) => {
    const is = at(schema) ?? {};
    const one = is.oneOf?.[0] ?? is.anyOf?.[0];
    const type = [is.type].flat()[0];
    if (is.const !== undefined || is.enum !== undefined) return is.const ?? is.enum[0];
    if (one !== undefined) return least(one, deep + 1);
    if (is.allOf !== undefined) return Object.assign({}, ...is.allOf.map((part) => least(part, deep + 1)));
    if (type === 'object' || is.properties !== undefined)
        return deep > 5
            ? {}
            : Object.fromEntries(
                  Object.entries(is.properties ?? {}).map(([name, part]) => [
                      name,
                      part.format === 'binary' ? 'file' : least(part, deep + 1),
                  ]),
              );
    if (type === 'array') return deep > 5 ? [] : [least(is.items, deep + 1)];
    return type === 'integer' || type === 'number' ? (is.minimum ?? 1) : type === 'boolean' ? true : 'x';
};
const addresses = Object.entries(described.paths).flatMap(([path, item]) =>
    ['get', 'post', 'patch', 'delete']
        .filter((method) => item[method] !== undefined && path !== '/sign-out' && !(method === 'delete' && path === '/api/studies/{study}'))
        .map((method) => [
            method.toUpperCase(),
            path,
            [...(item.parameters ?? []), ...(item[method].parameters ?? [])].map(at),
            item[method].requestBody?.content,
        ]),
);
const tried = new Set();
const asDescribed = addresses.map(([method, path, parameters, body]) => (a) => {
    tried.add(`${method} ${path}`);
    const ids = { study: a.at, photo: a.photo, kind: 'csv', token: 'x'.repeat(48) };
    const filled = path.replace(/\{(\w+)\}/g, (_, name) => ids[name] ?? 1);
    const query = Object.fromEntries(parameters.filter((p) => p.in === 'query').map((p) => [p.name, least(p.schema)]));
    const sent =
        body === undefined
            ? query
            : 'multipart/form-data' in body
              ? (Object.entries(least(body['multipart/form-data'].schema)).find(([, v]) => v === 'file')?.[0] ?? 'file')
              : least(Object.values(body)[0].schema);
    return [method, filled, sent !== null && typeof sent === 'object' && Object.keys(sent).length === 0 ? undefined : sent];
});

const nonsense = () =>
    pick([
        null,
        '',
        'x',
        '\u0000../../etc',
        'é'.repeat(3000),
        '🖍',
        -1,
        0,
        7.5,
        1e308,
        2 ** 53,
        true,
        [],
        {},
        { a: 1 },
        [[]],
        [[[[[[]]]]]],
        [null],
        ['a', ['b']],
        '%ff',
        '\ud800',
        'NaN',
        '1e999',
        '0x10',
        "'; drop table users; --",
        '{{7*7}}',
    ]);
const bytes = (length) => Buffer.from(Array.from({ length }, () => int(256)));

/** One thing wrong with what a page sends, sometimes two. */
function mutated([method, path, data]) {
    let sent = typeof data === 'object' ? structuredClone(data) : data;
    let headers = {};
    let raw;
    for (let n = 1 + int(2); n > 0; n--) {
        const how = int(10);
        if (how < 5 && sent !== null && typeof sent === 'object') {
            const field = pick(Object.keys(sent));
            const value = nonsense();
            if (how === 0) delete sent[field];
            else if (how === 1) sent[`${field}[]`] = value;
            else sent[field] = value;
        } else if (how === 5) {
            path = path.replace(/\d+/, () => String(pick(['0', '-1', '99999999999999999999', 'x', '1%00', '%ff', '..', "1'"])));
        } else if (how === 6) {
            method = pick(['GET', 'POST', 'PATCH', 'DELETE', 'PUT', 'OPTIONS', 'HEAD']);
        } else if (how === 7) {
            raw = pick(['{', '[1,', '"x"', 'null', '1', '{"a":'.repeat(600), Buffer.from([0xff, 0xfe, 0x7b]), bytes(64), '']);
        } else if (how === 8) {
            headers = {
                ...headers,
                ...pick([
                    { Accept: '*/*' },
                    { Accept: 'text/html' },
                    { 'Content-Type': 'application/x-www-form-urlencoded' },
                    { 'Content-Type': 'multipart/form-data; boundary=x' },
                    { 'Content-Type': 'x'.repeat(500) },
                    { 'Idempotency-Key': pick(['x', 'y'.repeat(41), 'ä'.repeat(4), 'same-key-for-all']) },
                    { 'X-CSRF-TOKEN': 'no' },
                    { Cookie: 'knotty_prism_session=broken' },
                    { 'X-Requested-With': 'XMLHttpRequest' },
                    { Range: 'bytes=0-1' },
                    { 'If-None-Match': '*' },
                    { 'If-None-Match': '"x'.repeat(900) },
                    { Cookie: 'knotty_prism_pass=1.9999999999.x.y' },
                    { 'X-Forwarded-For': pick(['x', '::', '1.2.3.4, evil', ','.repeat(500)]) },
                    { 'Accept-Encoding': pick(['gzip', 'br', 'x'.repeat(300)]) },
                    { 'Sec-Fetch-Site': 'cross-site' },
                ]),
            };
        } else {
            path += pick(['?x[]=1', '?_method=DELETE', '?page=-1', '/../x', '//', '%2e%2e', '?' + 'a=1&'.repeat(400)]);
        }
    }
    // Deleting the study that the others are about is no nonsense.
    const deletes =
        (method === 'DELETE' || path.includes('_method=DELETE')) &&
        /\/api\/studies\/\d+\/*(\?|$|\.\.)/.test(path) &&
        !path.includes('999999');
    return [deletes ? 'OPTIONS' : method, path, sent, headers, raw];
}

function requestOf([method, path, sent, headers, raw]) {
    if (method === 'GET' || method === 'HEAD') {
        const query =
            sent !== null && typeof sent === 'object'
                ? new URLSearchParams(
                      Object.entries(sent).map(([k, v]) => [k, typeof v === 'object' ? JSON.stringify(v) : String(v)]),
                  ).toString()
                : '';
        return [method, path + (query === '' ? '' : `${path.includes('?') ? '&' : '?'}${query}`), { headers }];
    }
    if (typeof sent === 'string') {
        const whole = photo();
        const file = pick([
            bytes(int(4000)),
            whole.subarray(0, int(whole.length)),
            Buffer.concat([whole.subarray(0, int(whole.length)), bytes(20)]),
            Buffer.from('number,heavy\n' + pick(['1,#2456a8', ',,,', '1', '"', '1;#2456a8', '\u0000'])),
            Buffer.from(
                JSON.stringify({ format: 'knotty-prism-study', version: pick([1, 2, 'x']), study: nonsense(), photos: nonsense() }),
            ),
        ]);
        const form = new FormData();
        form.set(pick([sent, sent, sent, 'x', `${sent}[]`]), new Blob([file]), pick(['a.png', '', '../../a.php', 'é'.repeat(200)]));
        return [method, path, { form, headers }];
    }
    return [
        method,
        path,
        raw !== undefined ? { body: raw, headers: { 'Content-Type': 'application/json', ...headers } } : { json: sent, headers },
    ];
}

const seen = {};
const faults = [];
let sentSoFar = 0;
async function worker() {
    while (sentSoFar < count) {
        sentSoFar++;
        const artist = pick(artists);
        // Each described address in its turn, and what pages send in between.
        const what = sentSoFar % 2 === 0 ? asDescribed[(sentSoFar / 2) % asDescribed.length] : pick(valid);
        const [method, path, options] = requestOf(mutated(what(artist)));
        const answer = await artist.ask(method, path, options);
        const kind = String(answer.status);
        seen[kind] = (seen[kind] ?? 0) + 1;
        // What the client itself can't send is no request.
        const unsent = answer.status === 0 && /Invalid URL|ByteString|invalid header|Headers|TypeError: Request/i.test(answer.text);
        if ((answer.status === 0 && !unsent) || answer.status >= 500) {
            faults.push(
                `${method} ${path.slice(0, 160)} ${JSON.stringify(options.json ?? options.headers ?? {}).slice(0, 200)}: ` +
                    `${answer.status} ${answer.text.slice(0, 160)}`,
            );
        }
    }
}
await Promise.all([worker(), worker(), worker(), worker()]);
for (const artist of artists) {
    for (const path of ['survey', 'kept-recipes', 'plan']) {
        const answer = await artist.ask('GET', `/api/studies/${artist.at}/${path}`);
        if (answer.status !== 200) {
            faults.push(`after all that, ${path} answers ${answer.status} ${answer.text.slice(0, 200)}`);
        }
    }
}
if (tried.size < addresses.length) {
    faults.push(
        `left untried: ${addresses
            .map(([m, p]) => `${m} ${p}`)
            .filter((name) => !tried.has(name))
            .join(', ')}`,
    );
}
console.log(
    `${count} mutated requests to ${addresses.length} addresses: ${Object.entries(seen)
        .sort()
        .map(([k, n]) => `${n} × ${k}`)
        .join(', ')}`,
);
faults.slice(0, 30).forEach((fault) => console.log(fault));
process.exit(faults.length > 0 ? 1 : 0);
