import { expect, test, type Page } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, newLesson, saidOf, send, tomorrow, type Lesson } from './support';

/** Looks for a way and takes the first that is found. */
async function add(page: Page, ...words: string[]): Promise<void> {
    await page.getByRole('button', { name: 'Add a way' }).click();
    const sheet = page.getByRole('dialog', { name: 'Add a way' });
    for (const word of words) {
        await sheet.getByLabel('Search ways').fill(word);
        await sheet.getByRole('listitem').getByRole('button').first().click();
    }
    await sheet.getByRole('button', { name: 'Close', exact: true }).click();
}

const minutes = (page: Page) => page.getByRole('group', { name: 'Lesson' });

test('three ways become a circuit: minutes changed, one thrown out, taken into a lesson', async ({ page }) => {
    const heard = complaints(page);
    const lesson = await newLesson(page, tomorrow());
    await page.goto('/places');
    await page.getByLabel('Near').selectOption({ label: 'the school' });
    await page.getByRole('link', { name: 'Plan a circuit' }).click();
    await expect(page.getByText('60 minutes from the school and back')).toBeVisible();
    await add(page, 'emerge right', 'mini-roundabout', 'lights right');
    const order = page.getByRole('list', { name: 'In the order driven' });
    await expect(order.getByRole('listitem')).toHaveCount(3);
    await expect(page.getByText(/^It fits, \d+ min left over\./)).toBeVisible();
    await expectNoAxeFinding(page, 'a circuit');
    // Fifteen minutes hold less, and say by how much.
    for (let i = 0; i < 8; i++) await minutes(page).getByRole('button', { name: 'Lesson: less' }).click();
    await expect(page.getByText('20 minutes from the school and back')).toBeVisible();
    await expect(page.getByText(/min too long|more than there is/).first()).toBeVisible();
    for (let i = 0; i < 8; i++) await minutes(page).getByRole('button', { name: 'Lesson: more' }).click();
    await expect(order.getByRole('listitem')).toHaveCount(3);
    await order
        .getByRole('button', { name: /^Leave out/ })
        .last()
        .click();
    await expect(order.getByRole('listitem')).toHaveCount(2);
    // It is all in the address.
    await page.reload();
    await expect(order.getByRole('listitem')).toHaveCount(2);
    const driven = await order.getByRole('heading').allTextContents();
    await page.getByRole('button', { name: 'Take it' }).click();
    await page
        .getByRole('dialog')
        .getByRole('button', { name: saidOf(lesson) })
        .click();
    await expect(page.getByText(/2 ways are on the plan of/)).toBeVisible();
    const { items } = await api<Lesson>(page, `lessons/${lesson.id}`);
    const taken = items.slice(-2).map(({ place }) => place.name);
    taken.forEach((name, i) => expect(driven[i]).toContain(name.split(':')[0]!));
    expect(heard).toEqual([]);
});

test('a circuit by keyboard, on a phone', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto('/places/circuit');
    await page.getByRole('button', { name: 'Add a way' }).focus();
    await page.keyboard.press('Enter');
    const search = page.getByLabel('Search ways');
    await search.focus();
    await page.keyboard.type('turn right easy');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('list', { name: 'In the order driven' }).getByRole('listitem')).toHaveCount(1);
    await page.getByRole('button', { name: 'Shortest' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Shortest' })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('group', { name: /^Map of the circuit/ }).focus();
    await page.keyboard.press('+');
    await expectSound(page, 'a circuit on a phone');
});

test('a circuit is kept, shared, opened again, printed on one page for the seat beside, and taken out', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/places/circuit?from=school');
    await add(page, 'emerge right easy', 'mini-roundabout', 'turn left');
    await expect(page.getByRole('list', { name: 'In the order driven' }).getByRole('listitem')).toHaveCount(3);
    await page.getByRole('button', { name: 'Keep' }).click();
    const sheet = page.getByRole('dialog', { name: 'Keep it as your own' });
    const name = `Quiet corners ${Date.now()}`;
    await sheet.getByLabel('Name').fill(name);
    await sheet.getByLabel('Share it with everybody').check();
    await expectNoAxeFinding(page, 'keeping a circuit');
    await sheet.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText(`${name} is kept, for everybody in the school.`)).toBeVisible();
    await page.getByRole('link', { name: 'Circuits' }).click();
    await expectNoAxeFinding(page, 'the circuits');
    await page.getByRole('link', { name }).click();
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
    // Read back with another reader's eyes: a route of the start, three ways, and the start again.
    const out = page.waitForEvent('download');
    await page.getByRole('button', { name: 'As a file (GPX)' }).click();
    const stream = await (await out).createReadStream();
    let gpx = '';
    for await (const part of stream) gpx += String(part);
    const points = await page.evaluate(
        (text) => [...new DOMParser().parseFromString(text, 'application/xml').querySelectorAll('rtept > name')].map(({ textContent }) => textContent),
        gpx,
    );
    expect(points).toHaveLength(5);
    expect([points[0], points[4]]).toEqual(['the school', 'the school']);
    await page.getByRole('link', { name: 'Sheet' }).click();
    const list = page.getByRole('list', { name: 'On the way' });
    await expect(list.getByRole('listitem')).toHaveCount(3);
    await expect(list.getByText(/before the line|before setting off|Said together/).first()).toBeVisible();
    await expect(list.getByText(/Mirrors \d+ m/)).toHaveCount(3);
    await page.getByLabel('Watch').selectOption('Signal');
    await expect(list.getByText('Signal:').first()).toBeVisible();
    await expectNoAxeFinding(page, 'the sheet for the seat beside');
    expect((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
    await page.getByRole('link', { name: 'Back to the circuit' }).click();
    await page.getByRole('button', { name: 'Keep' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Archive' }).click();
    await expect(page.getByText(`${name} is archived.`)).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name })).toBeVisible();
    expect(heard).toEqual([]);
});

test('twelve ways still print on one page', async ({ page }) => {
    await page.goto('/places/circuit?from=school&minutes=240');
    const routines = [
        'emerge right',
        'emerge left',
        'turn left',
        'turn right',
        'mini-roundabout',
        'roundabout',
        'lights right',
        'lights left',
        'cross',
        'hump',
        'meet',
        'leave',
    ];
    await add(page, ...routines);
    await page.getByRole('link', { name: 'Sheet' }).click();
    await expect(page.getByRole('list', { name: 'On the way' }).getByRole('listitem')).toHaveCount(12, { timeout: 20_000 });
    await expect(page.getByText(/Mirrors \d+ m/).nth(8)).toBeVisible();
    expect((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
});

test('ways close behind one another say on the sheet how the one follows the other', async ({ page }) => {
    await page.goto('/');
    const { school } = await api<{ school: { latitude_deg: number; longitude_deg: number } }>(page, 'session');
    const arm = (id: string, name: string, bearing_deg: number, more = {}) => ({ id, name, bearing_deg, limit_mph: 30, ...more });
    // One T 60 m behind the other: off the main road, then at once to the line at its end.
    const drawn = async (name: string, north: number) =>
        (
            await send<{ id: string }>(page, 'sites', {
                ...{ name, kind: 'junction', pack: 'gb', latitude_deg: school.latitude_deg + north / 111_200, longitude_deg: school.longitude_deg },
                arms: [arm('n', 'Cleat Row', 0), arm('s', 'Cleat Row', 180), arm('w', 'Cuddy Lane', 270, { control: 'give-way' })],
            })
        ).id;
    const sites = [await drawn('Cleat Row at Cuddy Lane', 900), await drawn('Cuddy Lane at its end', 960)];
    const way = (site: string, from: string, to: string, routine: string) => `way=${[site, from, to, routine, 1].join('~')}`;
    await page.goto(
        `/places/circuit?from=school&minutes=60&order=as-given&${way(sites[0]!, 's', 'w', 'turn-left')}&${way(sites[1]!, 'w', 's', 'emerge-right')}`,
    );
    await page.getByRole('link', { name: 'Sheet' }).click();
    const list = page.getByRole('list', { name: 'On the way' }).getByRole('listitem');
    await expect(list.nth(1)).toContainText(/About \d+ m behind the one before\. (There is room|No whole car)/);
    await expect(list.nth(0)).not.toContainText('behind the one before');
    for (const id of sites) await send(page, `sites/${id}`, {}, 'DELETE');
});

test('a recorded drive is measured and kept; one that is no drive says why', async ({ page }) => {
    const sites = await api<{ name: string; latitude_deg: number; longitude_deg: number }[]>(page, 'sites');
    const [from, to] = ['Mast Street at Spar Lane', 'Anchor Green lights'].map((name) => sites.find((site) => site.name === name)!) as [
        (typeof sites)[0],
        (typeof sites)[0],
    ];
    const began = Date.now() - 3_600_000;
    const points = Array.from({ length: 61 }, (_, i) => {
        const share = i / 60;
        const at = (of: 'latitude_deg' | 'longitude_deg') => (from[of] + share * (to[of] - from[of])).toFixed(7);
        return `<trkpt lat="${at('latitude_deg')}" lon="${at('longitude_deg')}"><time>${new Date(began + i * 1000).toISOString()}</time></trkpt>`;
    });
    const gpx = `<gpx xmlns="http://www.topografix.com/GPX/1/1" version="1.1" creator="x"><trk><trkseg>${points.join('')}</trkseg></trk></gpx>`;
    await page.goto('/places/circuits');
    const file = page.getByLabel(/Bring a recorded drive in/);
    await file.setInputFiles({
        name: 'no.gpx',
        mimeType: 'application/gpx+xml',
        buffer: Buffer.from(gpx.replace('<gpx', '<!DOCTYPE gpx [<!ENTITY x "y">]><gpx')),
    });
    await expect(page.getByRole('alert')).toHaveText('▸ The file must have no document type and no entities.');
    await file.setInputFiles({ name: 'drive.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(gpx) });
    const sheet = page.getByRole('dialog', { name: 'A recorded drive' });
    await expect(sheet.getByText('Mast Street at Spar Lane to Anchor Green lights: 1:00 min')).toBeVisible();
    await sheet.getByRole('button', { name: 'Keep the drive' }).click();
    await expect(page.getByText('1 drive is kept.')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Measured drives' }).getByRole('listitem').first()).toContainText('Mast Street at Spar Lane to Anchor Green');
});

test('the file of a test centre is written, and a route planned from it', async ({ page }) => {
    const heard = complaints(page, /422/);
    await page.goto('/places/circuits');
    await page.getByRole('link', { name: 'New centre' }).click();
    const name = `Tern Point ${Date.now()}`;
    await page.getByLabel('Name').fill(name);
    await page.getByLabel('Arrival').fill('Five minutes before.');
    await page.getByLabel('Asked at the car').fill('The tyres\nThe oil');
    await page.getByLabel('Add a trap').selectOption('Harbour lights');
    await page.getByLabel('Latitude').fill('49.2031');
    await page.getByRole('button', { name: 'Keep' }).click();
    // Half a position is none, and nothing typed is lost.
    await expect(page.getByRole('alert')).toContainText('lies at both');
    await page.getByLabel('Longitude').fill('-8.0981');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Asked at the car' }).getByRole('listitem')).toHaveCount(2);
    await expectSound(page, 'the file of a test centre');
    await page.getByRole('link', { name: 'Plan a route' }).click();
    await expect(page.getByText(`40 minutes from ${name} and back`)).toBeVisible();
    await add(page, 'lights right', 'emerge right');
    await page.getByRole('button', { name: 'Keep' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Name').fill(`Route of ${name}`);
    await sheet.getByLabel('Rehearsal of an assessment').check();
    await sheet.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText(/rehearsal of an assessment: directions only/)).toBeVisible();
    await page.getByRole('link', { name: 'Circuits' }).click();
    await page.getByRole('link', { name, exact: true }).click();
    await expect(page.getByRole('region', { name: 'Usual routes' }).getByRole('link', { name: `Route of ${name}` })).toBeVisible();
    expect(heard).toEqual([]);
});

test('a lesson’s plan is driven along its way: travel in the plan, the way on in Drive, cut to what still fits', async ({ page }) => {
    const lesson = await newLesson(page, tomorrow());
    await page.goto('/places/circuit?from=school');
    await add(page, 'emerge right easy', 'mini-roundabout', 'roundabout');
    await page.getByRole('button', { name: 'Take it' }).click();
    await page
        .getByRole('dialog')
        .getByRole('button', { name: saidOf(lesson) })
        .click();
    await expect(page.getByText(/3 ways are on the plan of/)).toBeVisible();
    await page.goto(`/lessons/${lesson.id}/plan`);
    await expect(page.getByText(/min are driving from place to place/)).toBeVisible();
    await page.goto(`/lessons/${lesson.id}/drive`);
    const onward = page.getByRole('region', { name: 'The way on' });
    await expect(onward.getByText(/before the line|before setting off/)).toBeVisible();
    await onward.getByRole('button', { name: 'The way on, time left' }).click();
    const sheet = page.getByRole('dialog', { name: 'The way on' });
    const items = (await api<Lesson>(page, `lessons/${lesson.id}`)).items;
    await expectNoAxeFinding(page, 'the way on');
    // Ten minutes hold less than what is planned.
    await sheet.getByRole('spinbutton').or(sheet.getByRole('textbox')).first().fill('10');
    await page.keyboard.press('Enter');
    await sheet.getByRole('button', { name: /off the plan$/ }).click();
    await expect(page.getByText(/(is|are) off the plan\.$/)).toBeVisible();
    await expect.poll(async () => (await api<Lesson>(page, `lessons/${lesson.id}`)).items.length).toBeLessThan(items.length);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
    await expect.poll(async () => (await api<Lesson>(page, `lessons/${lesson.id}`)).items.length).toBe(items.length);
});
