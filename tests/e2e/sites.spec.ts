import { expect, test, type Page } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, newLesson, saidOf, tomorrow, type Lesson } from './support';

interface Kept {
    id: string;
    name: string;
    arms: { id: string; name: string; bearing_deg: number; measures?: { of: string; by: string; number?: number; time_s?: number }[] }[];
}

const kept = async (page: Page, name: string): Promise<Kept> => {
    const line = (await api<Kept[]>(page, 'sites')).find((site) => site.name === name)!;
    return api<Kept>(page, `sites/${line.id}`);
};

/** Writes the names of the roads over, one after the other. */
async function nameRoads(page: Page, names: Record<string, string>): Promise<void> {
    for (const [before, after] of Object.entries(names)) {
        await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: before }).first().click();
        await page.getByLabel('Name of the road').fill(after);
        await page.getByRole('button', { name: 'Close' }).click();
    }
}

async function useIn(page: Page, lesson: Lesson): Promise<void> {
    await page.getByRole('button', { name: 'Use in a lesson' }).click();
    await page
        .getByRole('dialog')
        .getByRole('button', { name: saidOf(lesson) })
        .click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByText(/is on the plan of/)).toBeVisible();
}

test('a crossroads drawn by mouse: measured twice, two of its ways planned in a lesson', async ({ page }) => {
    const heard = complaints(page);
    const lesson = await newLesson(page, tomorrow());
    await page.goto('/places');
    await page.getByRole('link', { name: 'A crossroads' }).click();
    await expect(page.getByText('law of Great Britain · 12 ways')).toBeVisible();
    await nameRoads(page, { 'Main road (west)': 'Bollard Street', 'Side road (south)': 'Hawser Lane' });
    await page.getByLabel('Name of the site').fill('Hawser Lane at Bollard Street');
    // Where we come from, where we go; the core says what that is.
    const picture = page.getByRole('group', { name: 'The site from above, north up' });
    await picture.getByRole('button', { name: /^Hawser Lane \(south\)/ }).click();
    await picture.getByRole('button', { name: /^Bollard Street \(east\)/ }).click();
    await expect(page.getByRole('heading', { name: 'Hawser Lane (south) → Bollard Street (east), right' })).toBeVisible();
    await expect(page.getByText('That is emerge right')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Measure first' })).toContainText('Measure the sight to the left first');
    // Turned by its end: north-west instead of north.
    const north = (await picture.locator('[data-arm=n] circle').last().boundingBox())!;
    const middle = (await picture.boundingBox())!;
    await page.mouse.move(north.x + north.width / 2, north.y + north.height / 2);
    await page.mouse.down();
    await page.mouse.move(middle.x + middle.width * 0.36, middle.y + middle.height * 0.12, { steps: 8 });
    await page.mouse.up();
    await expect(picture.getByRole('button', { name: /^Hawser Lane \(north-west\)/ })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(picture.getByRole('button', { name: /^Hawser Lane \(north\)/ })).toBeVisible();
    // Paced, then driven past: two presses at a steady speed.
    await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: 'Hawser Lane (south)' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Paces').fill('40');
    await sheet.getByRole('button', { name: 'Add this measure' }).click();
    await expect(sheet.getByText('30 m ± 1.8 m, paced once')).toBeVisible();
    await sheet.getByLabel('How', { exact: true }).selectOption('driven');
    await sheet.getByRole('button', { name: 'Press where it begins' }).click();
    await page.waitForTimeout(3_300);
    await sheet.getByRole('button', { name: /Press where it ends/ }).click();
    await expect(sheet.getByText(/m ± \d.* m, paced once, driven once/)).toBeVisible();
    await expectNoAxeFinding(page, 'a road of a site');
    await sheet.getByRole('button', { name: 'Close' }).click();
    await expect(page.getByText('not kept yet')).toBeVisible();
    await page.getByRole('button', { name: 'Keep the site' }).click();
    await expect(page.getByText('Hawser Lane at Bollard Street is kept.')).toBeVisible();
    await expect(page).toHaveURL(/\/places\/sites\/[0-9a-f-]{36}/);
    await useIn(page, lesson);
    await page.getByText('All 12 ways').click();
    await page.getByRole('button', { name: /Bollard Street \(west\) → Hawser Lane \(south\): turn right/ }).click();
    await useIn(page, lesson);
    const planned = async () => (await api<{ items: { routine: string; place: { name: string } }[] }>(page, `lessons/${lesson.id}`)).items.slice(-2);
    await expect.poll(async () => (await planned()).map(({ routine }) => routine)).toEqual(['emerge-right', 'turn-right']);
    expect((await planned())[0]!.place.name).toBe('Hawser Lane at Bollard Street: from Hawser Lane (south), right');
    await page.goto(`/lessons/${lesson.id}/plan`);
    await expect(page.getByText('from Hawser Lane (south), right').first()).toBeVisible();
    const site = await kept(page, 'Hawser Lane at Bollard Street');
    expect(site.arms.find(({ id }) => id === 's')!.measures!.map(({ by }) => by)).toEqual(['paces', 'driven']);
    expect(heard).toEqual([]);
});

test('a T by keyboard alone: turned, named, kept, found again on the map', async ({ page, context }) => {
    await context.grantPermissions(['geolocation']);
    await context.setGeolocation({ latitude: 49.2031, longitude: -8.1044, accuracy: 4 });
    await page.goto('/places/sites/new?start=t');
    const stem = page.getByRole('button', { name: /^Side road, south/ });
    await stem.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('Enter');
    await page
        .getByRole('button', { name: /^Main road \(west\)/ })
        .first()
        .focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Side road → Main road (west), left' })).toBeVisible();
    await page.getByLabel('Name of the site').focus();
    await page.keyboard.type('Capstan T');
    await page.getByText('Where it lies').focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'I am at the site now' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('Taken here, give or take 4 m.')).toBeVisible();
    await page.getByRole('button', { name: 'Keep the site' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('Capstan T is kept.')).toBeVisible();
    expect((await kept(page, 'Capstan T')).arms.find(({ id }) => id === 's')!.bearing_deg).toBe(191);
    await page.goto('/places?find=capstan');
    const map = page.getByRole('group', { name: /^Map of the sites/ });
    await map.getByRole('link', { name: 'Capstan T' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Capstan T' })).toBeVisible();
});

test('a stretch of road by mouse: two things along it planned in a lesson, an opening dragged, a word of its own kept', async ({ page }) => {
    const heard = complaints(page);
    const lesson = await newLesson(page, tomorrow());
    await page.goto('/places');
    await page.getByRole('button', { name: 'Something else' }).click();
    await page.getByRole('link', { name: 'A stretch of road' }).click();
    await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: 'This road (west)' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Name of the road').fill('Trawl Street');
    await sheet.getByLabel('A bus stop').check();
    await sheet.getByText('More that can matter').click();
    await sheet.getByRole('button', { name: 'An opening' }).click();
    await expectNoAxeFinding(page, 'a stretch of road');
    await sheet.getByRole('button', { name: 'Close' }).click();
    const picture = page.getByRole('group', { name: 'The site from above, north up' });
    const opening = picture.getByRole('slider', { name: 'An opening on the left of Trawl Street (west)', exact: true });
    await expect(opening).toHaveAttribute('aria-valuetext', '24 to 18 m before');
    const box = (await opening.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 - 60, box.y + box.height / 2, { steps: 6 });
    await page.mouse.up();
    // Dragged away from the middle it lies farther before it, as wide as it was.
    const [, far, near] = /^(\d+) to (\d+) m/.exec((await opening.getAttribute('aria-valuetext'))!)!;
    expect(Number(far)).toBeGreaterThan(26);
    expect(Number(far) - Number(near)).toBe(6);
    await page.getByText(/^All \d ways$/).click();
    await page.getByRole('button', { name: /^Trawl Street \(west\) → Trawl Street \(east\): pass parked/ }).click();
    const taught = page.getByRole('group', { name: 'Taught on this way' });
    await expect(taught.getByRole('button')).toHaveCount(2);
    await page.getByLabel('How hard, in your word').selectOption('hard');
    await page.getByLabel('Note on this way').fill('lorries at seven');
    await page.getByLabel('Name of the site').fill('Trawl Street shops');
    await page.getByRole('button', { name: 'Keep the site' }).click();
    await expect(page.getByText('Trawl Street shops is kept.')).toBeVisible();
    await useIn(page, lesson);
    await taught.getByRole('button', { name: /bus/i }).click();
    await useIn(page, lesson);
    const items = async () => (await api<{ items: { routine: string; plan: { tool: string } }[] }>(page, `lessons/${lesson.id}`)).items.slice(-2);
    await expect.poll(async () => (await items()).map(({ routine }) => routine)).toEqual(['pass-parked', 'pass-bus']);
    await page.goto('/places?find=trawl');
    await page.getByRole('button', { name: 'With a hard way' }).click();
    await page.getByRole('heading', { name: 'Trawl Street shops' }).getByRole('link').click();
    await page.getByText(/^All \d ways$/).click();
    await expect(page.getByRole('button', { name: /pass parked.*, hard · lorries at seven/ })).toBeVisible();
    expect(heard).toEqual([]);
});

test('a slip road by keyboard, and its plan on the bench', async ({ page }) => {
    await page.goto('/places/sites/new?start=slip-on');
    await page.getByRole('button', { name: /^Slip road, south-west/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /^Slip road, south-west: where we come from/ })).toBeVisible();
    await page
        .getByRole('button', { name: /^Main road \(east\)/ })
        .first()
        .focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('That is join from a slip road')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Measure first' })).toContainText('Measure the length of the slip road first');
    await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: 'Slip road' }).focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('Length of the slip road, m').focus();
    await page.keyboard.type('640');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('region', { name: 'Measure first' })).toHaveCount(0);
    await page.getByLabel('Name of the site').focus();
    await page.keyboard.type('Dredger slip');
    await page.getByRole('button', { name: 'Keep the site' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('Dredger slip is kept.')).toBeVisible();
    await page.getByRole('link', { name: 'Plan it on the bench' }).focus();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/bench\/join\?.*slip=640/);
});

test('a place of before is a way of a site: from the list to where it is drawn, with what went wrong there', async ({ page }) => {
    await page.goto('/places?find=tarpot battery');
    const row = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Tarpot Lane into Battery Hill' }) });
    await row.getByRole('link', { name: 'Its site' }).click();
    await expect(page.getByRole('heading', { name: /^Tarpot Lane → Battery Hill \(east\), right$/ })).toBeVisible();
    await expect(page.getByRole('region', { name: 'What went wrong here' })).toContainText(/\d+ rounds? by \d+ learners?/);
});

test('a junction that was drawn twice becomes one, and its lessons stay', async ({ page }) => {
    const line = async (name: string) => (await api<{ id: string; name: string; used: number }[]>(page, 'sites')).find((site) => site.name === name);
    const place = async () =>
        (await api<{ name: string; site_id: string; road: { gradient?: number } }[]>(page, 'places')).find(
            ({ name }) => name === 'Battery Hill into Signal Close',
        )!;
    await page.goto('/places?find=battery hill signal');
    const into = (await line('Battery Hill at Signal Close'))!;
    expect((await place()).site_id).not.toBe(into.id);
    await page.getByRole('heading', { name: 'Battery Hill at Signal Close' }).getByRole('link').click();
    await page.getByRole('button', { name: 'Drawn twice?' }).click();
    const sheet = page.getByRole('dialog');
    // What is called alike and lies near is offered first.
    await sheet.getByRole('button', { name: /^Battery Hill into Signal Close/ }).click();
    await sheet.getByLabel('Turn left off the main road is here').selectOption({ label: 'Battery Hill (east) → Signal Close' });
    await expectNoAxeFinding(page, 'two sites that become one');
    await sheet.getByRole('button', { name: 'Make them one' }).click();
    await expect(page.getByText('Battery Hill into Signal Close is one with Battery Hill at Signal Close now.')).toBeVisible();
    expect(await line('Battery Hill into Signal Close')).toBeUndefined();
    expect((await line('Battery Hill at Signal Close'))!.used).toBe(1);
    await page.getByText('All 6 ways').click();
    await page.getByRole('button', { name: /^Battery Hill \(east\) → Signal Close: turn left/ }).click();
    await expect(page.getByRole('region', { name: 'What went wrong here' })).toContainText(/rounds? by \d+ learners?/);
    // Down the hill, as the other drawing knew it.
    expect((await place()).site_id).toBe(into.id);
    expect((await place()).road.gradient).toBe(-0.06);
});

test('the map opens on the town, shows all on one press, and moves by key', async ({ page }) => {
    await page.goto('/places');
    const map = page.getByRole('group', { name: /^Map of the sites/ });
    await expect(map.getByRole('link', { name: 'Harbour lights' })).toBeVisible();
    await expect(map.getByRole('link', { name: 'Alder and Fourth' })).toHaveCount(0);
    const before = (await map.getByRole('link', { name: 'Harbour lights' }).boundingBox())!;
    await map.focus();
    await page.keyboard.press('ArrowRight');
    await expect.poll(async () => (await map.getByRole('link', { name: 'Harbour lights' }).boundingBox())!.x).toBeLessThan(before.x - 50);
    await page.getByRole('button', { name: 'Show all' }).click();
    await expect(map.getByRole('link', { name: 'Alder and Fourth' })).toHaveCount(1);
    await page.getByRole('button', { name: 'The town' }).click();
    await page.getByRole('button', { name: 'With a hard way' }).click();
    await expect(page.getByRole('heading', { name: 'Gannet Drive at Puffin Close' })).toHaveCount(0);
    await expect(page.getByRole('heading', { name: 'Dune Road at Heather Lane' })).toBeVisible();
});

for (const theme of ['day', 'night'] as const) {
    test(`sites are sound on a phone and by ${theme}, and a site can be drawn there`, async ({ page }) => {
        await page.addInitScript((chosen) => localStorage.setItem('noble-turn.theme', chosen), theme);
        await page.setViewportSize({ width: 390, height: 844 });
        await page.goto('/places');
        await expect(page.getByRole('heading', { name: 'Sites', exact: true })).toBeVisible();
        await page.waitForLoadState('networkidle');
        await expectSound(page, 'sites on a phone');
        await expectNoAxeFinding(page, `sites, ${theme}`);
        await page.getByRole('link', { name: 'A mini-roundabout' }).click();
        await expect(page.getByText('6 ways', { exact: false }).first()).toBeVisible();
        await page.getByRole('button', { name: /^Side road, south/ }).click();
        await page
            .getByRole('button', { name: /^Main road \(east\)/ })
            .first()
            .click();
        await expect(page.getByRole('heading', { name: /Side road → Main road \(east\), exit \d/ })).toBeVisible();
        await expectSound(page, 'a site on a phone');
        await expectNoAxeFinding(page, `a site, ${theme}`);
        await page.getByRole('button', { name: 'Keep the site' }).click();
        await expect(page.getByRole('alert').first()).toContainText(/name/i);
        // One with all that can lie beside its roads.
        await page.goto('/places?find=chandlers');
        await page.getByRole('heading', { name: 'Chandlers Row into Quay Street' }).first().getByRole('link').click();
        await expect(page.getByRole('region', { name: 'What went wrong here' })).toBeVisible();
        await expectSound(page, 'a driven site on a phone');
        await expectNoAxeFinding(page, `a driven site, ${theme}`);
        await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: 'Chandlers Row' }).click();
        await expectSound(page, 'a road on a phone');
        await expectNoAxeFinding(page, `a road, ${theme}`);
    });
}

test('what cannot be is said where it was typed, and nothing typed is lost', async ({ page }) => {
    await page.goto('/places/sites/new?start=t');
    await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: 'Side road' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel(/^Limit/).fill('500');
    await expect(sheet.getByRole('alert')).toContainText('must lie between');
    await expect(sheet.getByLabel(/^Limit/)).toHaveValue('500');
    await sheet.getByLabel(/^Limit/).fill('30');
    await expect(sheet.getByRole('alert')).toHaveCount(0);
    await sheet.getByLabel('Traffic runs').selectOption('out');
    await sheet.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('button', { name: /^Side road, south/ }).click();
    await page
        .getByRole('button', { name: /^Main road \(east\)/ })
        .first()
        .click();
    await expect(page.getByRole('heading', { name: 'Side road → Main road (east)', exact: true })).toBeVisible();
    await expect(page.getByText('Side road is one-way, away from here: nobody comes in by it.')).toBeVisible();
    await expect(page.getByText('That is', { exact: false })).toHaveCount(0);
});

test('a pick-up put on the map, and the sites near it', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/account');
    await page.getByLabel(/^A simulated receiver/).check();
    await page.getByLabel('Degrees north').fill('49.2135');
    await page.getByLabel('Degrees east').fill('-8.1065');
    await page.goto('/learners');
    await page.getByRole('link', { name: /Ada Finnemore/ }).click();
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    await page.getByText('Where the pick-up lies').click();
    await page.getByRole('button', { name: 'I am there now' }).click();
    await expect(page.getByText('Taken here, give or take 8 m.')).toBeVisible();
    await expect(page.getByLabel('Latitude, degrees north')).toHaveValue('49.2135');
    // A little farther up the road, on the map, by keys.
    await page.getByRole('button', { name: 'Put it on the map' }).click();
    const map = page.getByRole('group', { name: /^Map to put it on/ });
    await map.focus();
    await page.keyboard.press('ArrowUp');
    await page.getByRole('button', { name: 'Put it at the cross' }).click();
    await expect(page.getByText('Put on the map.')).toBeVisible();
    await page.getByRole('button', { name: 'Keep' }).click();
    await page.getByRole('link', { name: 'Places near it' }).click();
    await page.getByLabel('within').selectOption('5');
    const sites = page.getByRole('region', { name: 'Sites' });
    await expect(sites.getByText(/about [1-5] min, .* by road/).first()).toBeVisible();
    await expect(page.getByRole('img', { name: 'Pick-up: Ada Finnemore' })).toBeVisible();
    const all = (await api<unknown[]>(page, 'sites')).length;
    await expect.poll(() => sites.getByRole('heading', { level: 3 }).count()).toBeLessThan(all);
    await page.getByLabel('within').selectOption('');
    await expect.poll(() => sites.getByRole('heading', { level: 3 }).count()).toBe(all);
    await expectNoAxeFinding(page, 'sites near a pick-up');
    expect(heard).toEqual([]);
});

test('a picture hung on a road, drawn on, seen at the kerb', async ({ page }) => {
    const heard = complaints(page);
    const lesson = await newLesson(page, tomorrow());
    const site = await kept(page, 'Ropewalk at Mole Street');
    await page.goto(`/places/sites/${site.id}?from=s&to=e`);
    await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: 'Ropewalk', exact: true }).click();
    const pictures = page.getByRole('dialog').getByRole('region', { name: 'Pictures' });
    await expect(pictures.getByRole('button', { name: /^Up Ropewalk/ })).toBeVisible();
    await pictures.getByLabel('Add a picture').setInputFiles('docs/screenshots/today.png');
    await expect(pictures.getByRole('button', { name: /^Picture \d/ }).last()).toBeVisible();
    await pictures
        .getByRole('button', { name: /^Picture \d/ })
        .last()
        .click();
    const sheet = page.getByRole('dialog', { name: 'Picture' });
    const box = (await sheet.locator('.cursor-crosshair').boundingBox())!;
    await page.mouse.move(box.x + box.width * 0.2, box.y + box.height * 0.3);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 0.7, box.y + box.height * 0.6, { steps: 6 });
    await page.mouse.up();
    await sheet.getByLabel('What it shows').fill('Where the line is');
    await sheet.getByRole('button', { name: 'Keep' }).click();
    await expect(pictures.getByRole('button', { name: 'Where the line is' }).last()).toBeVisible();
    await expectNoAxeFinding(page, 'pictures of a road');
    await page.getByRole('button', { name: 'Close' }).click();
    await useIn(page, lesson);
    const { items } = await api<Lesson>(page, `lessons/${lesson.id}`);
    await page.goto(`/lessons/${lesson.id}/kerb?place=${items.at(-1)!.id}`);
    await page.getByRole('button', { name: /\d pictures/ }).click();
    await expect(page.getByRole('dialog').getByText('Where the line is').last()).toBeVisible();
    const image = page.getByRole('dialog').locator('image').last();
    await expect(image).toHaveAttribute('href', /^data:image\/jpeg;base64,/);
    // As it was drawn, on another device as well: it hangs at the site.
    const last = (await api<{ id: string; lines: number[][][]; width: number }[]>(page, `sites/${site.id}/pictures`)).at(-1)!;
    expect(last.lines[0]!.at(-1)![0]).toBeCloseTo(0.7, 1);
    expect(last.width).toBeLessThanOrEqual(1600);
    expect(heard).toEqual([]);
});

test('lanes, line and what is seen are pulled on the picture and moved by key; a way in lessons to come goes out of them only when that is said', async ({
    page,
}) => {
    const heard = complaints(page);
    const lesson = await newLesson(page, tomorrow());
    await page.goto('/places/sites/new?start=t&from=s&to=e');
    const held = (name: string) => page.getByRole('slider', { name, exact: true });
    const lanes = held('Lanes in of Side road');
    const box = (await lanes.boundingBox())!;
    const scale = (await page.getByRole('group', { name: 'The site from above, north up' }).boundingBox())!.height / 92;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    // One lane of 3.5 m and a little more towards the kerb: in the west, where one keeps left.
    await page.mouse.move(box.x + box.width / 2 - 4 * scale, box.y + box.height / 2, { steps: 6 });
    await expect(page.getByText('2 lanes', { exact: true })).toBeVisible();
    await page.mouse.up();
    await expect(lanes).toHaveAttribute('aria-valuetext', '2 lanes');
    await held('Seen to the left from the line').focus();
    for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp');
    await expect(held('Seen to the left from the line')).toHaveAttribute('aria-valuetext', '40 m');
    await held('The line of Side road').focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await expect(held('The line of Side road')).toHaveAttribute('aria-valuetext', '6 m right of the middle');
    await expectNoAxeFinding(page, 'what is held on the picture of a site');
    // The number beside it in the form of the road is the same.
    await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: 'Side road' }).click();
    await expect(page.getByLabel('Seen to the left from the line, m')).toHaveValue('40');
    await page.getByRole('button', { name: 'Close' }).click();
    await page.getByLabel('Name of the site').fill('Fairlead T');
    await page.getByRole('button', { name: 'Keep the site' }).click();
    await expect(page.getByText('Fairlead T is kept.')).toBeVisible();
    const arm = (await kept(page, 'Fairlead T')).arms.find(({ id }) => id === 's');
    expect(arm).toMatchObject({ lanes_in: 2, sight_left_m: 40, stagger_m: 6 });
    await useIn(page, lesson);
    // Lights put there: the way out of the side road is another routine, and no more what the lesson plans.
    await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: 'Side road' }).click();
    await page.getByRole('dialog').getByLabel('At its mouth').selectOption('signals');
    await page.getByRole('button', { name: 'Close' }).click();
    for (const road of ['Main road (west)', 'Main road (east)']) {
        await page.getByRole('group', { name: 'Roads' }).getByRole('button', { name: road }).click();
        await page.getByRole('dialog').getByLabel('At its mouth').selectOption('signals');
        await page.getByRole('button', { name: 'Close' }).click();
    }
    await page.getByRole('button', { name: 'Keep the site' }).click();
    await expect(page.getByRole('alert')).toContainText('is planned in 1 lesson to come');
    await expectNoAxeFinding(page, 'a drawing that takes a way out of a lesson');
    await page.getByRole('button', { name: 'Keep it all the same' }).click();
    await expect(page.getByText('Fairlead T is kept.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Keep it all the same' })).toHaveCount(0);
    // What was refused was said by the console of the browser, and nothing else.
    expect(heard.filter((line) => !line.includes('422'))).toEqual([]);
});
