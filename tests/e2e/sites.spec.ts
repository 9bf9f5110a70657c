import { expect, test, type Page } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, newLesson, tomorrow, type Lesson } from './support';

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
    const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: 'Europe/London' }).format(new Date(lesson.starts_at));
    await page.getByRole('dialog').getByRole('button', { name: time }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByText(/is on the plan of/)).toBeVisible();
}

test('a crossroads drawn by mouse: measured twice, two of its ways planned in a lesson', async ({ page }) => {
    const heard = complaints(page);
    const lesson = await newLesson(page, new Date(tomorrow().getTime() - 47 * 60_000));
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
    await sheet.getByLabel('How').selectOption('driven');
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
