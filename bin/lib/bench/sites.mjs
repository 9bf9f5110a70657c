// node bin/lib/bench/sites.mjs BASE_URL
// Sites in a browser: how long 500 of them take to be listed and mapped, and how much script a drag costs, of the map and of a road. Times as
// ratios to an empty signed-in request of the same run; script as milliseconds for each move of the hand.
import { asking, row, signedIn, timed } from './browser.mjs';

const base = process.argv[2] ?? 'http://127.0.0.1:8080';
const SITES = 500;
const MOVES = 60;

const { browser, device, page } = await signedIn(base, 'owner@lighthouse.test', { serviceWorkers: 'block', viewport: { width: 1280, height: 800 } });
await page.getByRole('link', { name: 'Places' }).first().waitFor();
const api = asking(base, device, page);

const road = (id, bearing_deg, more) => ({ id, name: id === 's' ? 'Side road' : 'Main road', bearing_deg, ...more });
const arms = [road('w', 270), road('e', 90), road('s', 180, { control: 'give-way' })];
const features = Array.from({ length: SITES }, (_, i) => ({
    type: 'Feature',
    geometry: { type: 'Point', coordinates: [-8.1 + (i % 25) * 0.004, 49.2 + Math.floor(i / 25) * 0.003] },
    properties: { name: `Site ${i}`, kind: 'junction', arms },
}));
const began = performance.now();
await api('POST', 'sites/import', { type: 'FeatureCollection', features, keep: true });
const broughtIn = performance.now() - began;
const empty = await timed(() => page.evaluate(() => fetch('/api/ping')), 101);
const listed = await timed(() => page.evaluate(() => fetch('/api/sites').then((answer) => answer.text())), 21);
const shown = await timed(async () => {
    await page.goto(`${base}/places`);
    await page
        .getByRole('group', { name: /^Map of the sites/ })
        .getByRole('link')
        .first()
        .waitFor();
});
row(`${SITES} sites, brought in`, `${(broughtIn / 1000).toFixed(1)} s`);
row(`${SITES} sites, listed`, `${(listed / empty).toFixed(1)} x an empty route`);
row(`${SITES} sites, listed and mapped on the page`, `${Math.round(shown)} ms`, `${(shown / empty).toFixed(0)} x an empty route`);

const session = await device.newCDPSession(page);
await session.send('Performance.enable');
const script = async () => (await session.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'ScriptDuration').value * 1000;

/** Script of one move of the hand, ms. */
async function dragged(from, by) {
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    const before = await script();
    for (let i = 1; i <= MOVES; i++) await page.mouse.move(from.x + (by.x * i) / MOVES, from.y + (by.y * i) / MOVES);
    const took = (await script()) - before;
    await page.mouse.up();
    return took / MOVES;
}

const map = await page.getByRole('group', { name: /^Map of the sites/ }).boundingBox();
row(`Drag of the map with ${SITES} sites, script a move`, `${(await dragged({ x: map.x + 4, y: map.y + 4 }, { x: 300, y: 120 })).toFixed(1)} ms`);
await page.goto(`${base}/places/sites/new?start=crossroads&from=s&to=e`);
await page.getByRole('group', { name: 'Taught on this way' }).or(page.getByText('That is emerge right')).first().waitFor();
const end = await page.locator('[data-arm=n] circle').last().boundingBox();
const hand = { x: end.x + end.width / 2, y: end.y + end.height / 2 };
row('Drag of a road of a crossroads, script a move', `${(await dragged(hand, { x: 150, y: 60 })).toFixed(1)} ms`);
await browser.close();
