// node bin/lib/bench/signal.mjs BASE_URL
// Without signal and after it, in a browser: how long 2,000 marks that waited take to go, how long the first page takes from the device and
// from the server, and how large the shell is that a device fetches once. Times as ratios to an empty signed-in request of the same run.
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { asking, row, signedIn, timed } from './browser.mjs';

const base = process.argv[2] ?? 'http://127.0.0.1:8080';
const MARKS = 2000;
const IN_A_ROUND = 20;

const signed = await signedIn(base, 'instructor@harbourschool.test');
const { browser, device } = signed;
let { page } = signed;
const ready = (at) => at.getByRole('list', { name: 'The day' }).waitFor();
await ready(page);

const api = (...said) => asking(base, device, page)(...said);
const empty = await timed(() => page.evaluate(() => fetch('/api/ping')), 101);

// The shell, and what belongs to the day.
const worker = readFileSync('public/sw.js', 'utf8');
const files = ['sw.js', ...[...worker.matchAll(/url:"([^"]+)"/g)].map(([, url]) => url).filter((url) => url !== '/')];
const bytes = (read) => files.reduce((sum, file) => sum + read(`public/${file}`), 0);
const sizes = {
    raw: bytes((file) => statSync(file).size),
    gz: bytes((file) => (file.endsWith('woff2') ? statSync(file).size : gzipSync(readFileSync(file)).length)),
};
const built = readdirSync('public/build/assets').length;
row(
    'The shell, fetched once',
    `${files.length} files (of ${built} built)`,
    `${Math.round(sizes.raw / 1000)} kB`,
    `${Math.round(sizes.gz / 1000)} kB as it travels`,
);

// From the server, without the worker; then from the device.
const online = await browser.newContext({ serviceWorkers: 'block', storageState: await device.storageState() });
let fromServer = await online.newPage();
const served = await timed(async () => {
    await fromServer.close();
    fromServer = await online.newPage();
    await fromServer.goto(base);
    await ready(fromServer);
});
await online.close();
await page.evaluate(() => navigator.serviceWorker.ready);
const asked = [];
page.on('response', (answer) => answer.url().includes('/api/') && asked.push(answer));
await page.goto(base);
for (let before = -1; before !== asked.length;) {
    before = asked.length;
    await page.waitForTimeout(5_000);
}
const kept = await page.evaluate(async () => (await navigator.storage.estimate()).usage);
row('A day fetched ahead', `${asked.length} requests`, `${Math.round(kept / 1000)} kB on the device, shell included`);
await device.setOffline(true);
const alone = await timed(async () => {
    await page.close();
    page = await device.newPage();
    await page.goto(base);
    await ready(page);
});
row(
    'First page, without signal, from cold',
    `${Math.round(alone)} ms`,
    `${(alone / served).toFixed(2)} x the same from the server`,
    `${(alone / empty).toFixed(0)} x an empty request`,
);
await device.setOffline(false);

// Marks that waited: put where the page keeps them, as it keeps them.
await page.goto(base);
await ready(page);
const lessons = await api('GET', 'today');
const places = (await api('GET', 'places')).filter((place) => place.routine === 'emerge-left');
const session = await api('GET', 'session');
const learner = await api('POST', 'learners', { name: 'Bench', transmission: 'manual', level: 'beginner' });
const lesson = await api('POST', 'lessons', {
    learner_id: learner.id,
    vehicle_id: lessons.lessons[0].vehicle.id,
    starts_at: new Date().toISOString(),
    minutes: 60,
});
const events = [];
for (let i = 0; i < MARKS; i += IN_A_ROUND) {
    const round = { id: crypto.randomUUID(), lesson_id: lesson.id, place_id: places[0].id, place: places[0].name, routine: 'emerge-left', conditions: {} };
    const at = (n) => new Date(Date.now() - 3_600_000 + (i + n) * 1000).toISOString();
    events.push({ kind: 'round', round: { ...round, device_at: at(0) } });
    for (let n = 0; n < IN_A_ROUND; n++) {
        const said = { step: ['mirrors', 'signal', 'position', 'speed', 'look'][n % 5], outcome: ['unaided', 'prompted', 'missed'][n % 3] };
        const mark = {
            id: crypto.randomUUID(),
            round_id: round.id,
            kind: 'step',
            ...said,
            taught: null,
            conditions: null,
            out_of_order: false,
            note: null,
            corrects_id: null,
        };
        events.push({ kind: 'mark', mark: { ...mark, withdrawn: false, device_at: at(n) } });
    }
}
await page.evaluate(
    async ([events, user]) => {
        const db = await new Promise((done) => (indexedDB.open('noble-turn').onsuccess = ({ target }) => done(target.result)));
        const work = db.transaction('events', 'readwrite');
        const first = Date.now() * 1000;
        events.forEach((event, i) => work.objectStore('events').put({ ...event, seq: first + i, user }));
        await new Promise((done) => (work.oncomplete = done));
        db.close();
    },
    [events, session.user.id],
);
const began = performance.now();
await page.reload();
await page.evaluate(
    () =>
        new Promise((done) => {
            const look = () => {
                indexedDB.open('noble-turn').onsuccess = ({ target }) => {
                    const db = target.result;
                    db.transaction('events').objectStore('events').count().onsuccess = ({ target: counted }) => {
                        db.close();
                        if (counted.result === 0) done();
                        else setTimeout(look, 50);
                    };
                };
            };
            look();
        }),
);
const sent = performance.now() - began;
const { rounds } = await api('GET', `lessons/${lesson.id}`);
const stored = rounds.reduce((sum, round) => sum + round.marks.length, 0);
row(`${MARKS} marks that waited, sent`, `${(sent / 1000).toFixed(1)} s`, `${(sent / empty).toFixed(0)} x an empty request`, `${stored} stored`);
row('  an empty signed-in request, in the browser', `${empty.toFixed(1)} ms`);
await browser.close();
