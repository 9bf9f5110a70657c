import { expect, test, type Page } from '@playwright/test';
import { api, newLesson, send, type Lesson } from './support';

interface Minutes {
    minutes: number;
    brief_minutes: number;
    items: { id: string; minutes: number; place: { name: string } }[];
}

const line = (page: Page) => page.getByRole('list', { name: 'In order' });

/** A lesson with three places, and its plan before us. */
async function planned(page: Page, whose?: number): Promise<Lesson> {
    const lesson = await newLesson(page, undefined, whose);
    await page.goto(`/lessons/${lesson.id}/plan`);
    await expect(page.getByRole('slider', { name: 'Steps of the approach' }).first()).toBeVisible();
    return lesson;
}

test('the lesson is one line that adds up, and its minutes are changed on it', async ({ page }) => {
    const lesson = await planned(page);
    const total = async () => {
        const said = await line(page)
            .getByRole('button')
            .evaluateAll((keys) => keys.map((key) => Number(/(\d+) (?:min|left)/.exec(key.textContent)?.[1] ?? NaN)));
        return said.reduce((sum, minutes) => sum + minutes, 0);
    };
    expect(await total()).toBe(60);
    await page.getByRole('button', { name: 'More time' }).click();
    await expect.poll(total).toBe(60);
    await line(page)
        .getByRole('button', { name: /^Brief/ })
        .click();
    await page.getByRole('group', { name: 'Minutes, Talk before driving' }).getByRole('textbox').fill('8');
    await page.keyboard.press('Enter');
    await expect.poll(async () => (await api<Minutes>(page, `lessons/${lesson.id}`)).brief_minutes).toBe(8);
    await expect.poll(total).toBe(60);
    const kept = await api<Minutes>(page, `lessons/${lesson.id}`);
    expect(kept.items[0]!.minutes % 5).toBe(0);
    // More than there is: said, with how much it is too many.
    await page
        .getByRole('group', { name: /^Minutes, / })
        .last()
        .getByRole('textbox')
        .fill('59');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/of 60 min: \d+ too many/)).toBeVisible();
});

test('at the kerb: one picture, one sentence, one number; the next place by a key and by a swipe', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, hasTouch: true, storageState: test.info().project.use.storageState });
    const page = await context.newPage();
    await planned(page);
    await page.getByRole('link', { name: 'Kerb view' }).click();
    const names = (await api<Lesson>(page, `lessons/${/lessons\/([^/]+)/.exec(page.url())![1]!}`)).items.map((item) => item.place.name);
    const place = page.getByRole('heading', { level: 1 });
    await expect(place).toHaveText(names[0]!);
    await expect(page.getByRole('navigation', { name: 'Areas' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Signal', exact: true }).click();
    const number = page.getByText(/^\d+ m$/);
    await expect(number).toBeVisible();
    // Read from the passenger's side: the number stands taller than an inch of a tablet, the sentence half as tall.
    expect(parseFloat(await number.evaluate((one) => getComputedStyle(one).fontSize))).toBeGreaterThan(96);
    await page.keyboard.press('ArrowRight');
    await expect(place).toHaveText(names[1]!);
    const swipe = async (from: number, to: number) => {
        const cdp = await context.newCDPSession(page);
        const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number) =>
            cdp.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y: 300 }] });
        await touch('touchStart', from);
        for (let i = 1; i <= 5; i++) await touch('touchMove', from + ((to - from) * i) / 5);
        await touch('touchEnd', to);
    };
    await swipe(900, 300);
    await expect(place).toHaveText(names[2]!);
    await swipe(300, 900);
    await expect(place).toHaveText(names[1]!);
    await page.getByRole('button', { name: 'Back to the plan' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page).toHaveURL(/\/plan$/);
    await context.close();
});

for (const [width, height, what] of [
    [1280, 800, 'the tablet'],
    [844, 390, 'a phone on its side'],
    [390, 844, 'a phone'],
] as const) {
    test(`the kerb view fits the screen, whatever step of whatever place, on ${what}`, async ({ page }) => {
        await page.setViewportSize({ width, height });
        await page.goto('/');
        const lesson = await newLesson(page);
        await page.goto(`/lessons/${lesson.id}/kerb`);
        for (const item of lesson.items) {
            await expect(page.getByRole('heading', { level: 1 })).toHaveText(item.place.name);
            const steps = page.getByRole('group', { name: 'Steps' }).getByRole('button');
            await expect(steps.first()).toBeVisible();
            for (const step of await steps.all()) {
                await step.click();
                const cut = await page
                    .getByRole('main')
                    .locator('[aria-live=polite]')
                    .evaluate((words) => words.scrollHeight - words.clientHeight);
                expect(cut, `${item.place.name}, ${await step.textContent()}`).toBeLessThanOrEqual(2);
                await expect(step).toBeInViewport({ ratio: 1 });
            }
            await page.keyboard.press('ArrowRight');
        }
    });
}

test('the whole lesson prints: every place with its strip as a table beside it, the aim whole, in black and white', async ({ page }) => {
    const lesson = await planned(page, -1);
    const aim = 'Mirrors before every move to the side, and the signal only once it is decided what they say; then the brake. '.repeat(2).trim();
    await send(page, `lessons/${lesson.id}/promises`, { kind: 'promise', text: 'Not of this lesson' });
    await page.getByRole('textbox', { name: 'Aim' }).fill(aim);
    await page.keyboard.press('Enter');
    await page.getByRole('link', { name: 'Print the lesson' }).click();
    for (const item of lesson.items) await expect(page.getByRole('region', { name: item.place.name })).toBeVisible();
    await expect(page.getByRole('slider', { name: 'Steps of the approach' })).toHaveCount(lesson.items.length);
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('navigation', { name: 'Areas' })).toBeHidden();
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
    await expect(page.getByText(aim)).toBeVisible();
    expect(await page.evaluate(() => getComputedStyle(document.documentElement).getPropertyValue('--now').trim())).toBe('#000');
    await expect(page.locator('details')).toHaveCount(0);
    const pages = (await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b/g)!.length;
    expect(pages).toBeLessThanOrEqual(lesson.items.length);
});

test('what a drawing says of a way stands in its brief and on the sheet: whose turn it is without signs, what is seen over a crest', async ({ page }) => {
    const lesson = await planned(page, -1);
    const arm = (id: string, name: string, bearing_deg: number, more = {}) => ({ id, name, bearing_deg, limit_mph: 30, ...more });
    const crest = { from_m: 160, to_m: 120, gradient_change: 0.3 };
    const site = await send<{ id: string }>(page, 'sites', {
        ...{ name: 'Yawl Lane at Zephyr Row', kind: 'junction', pack: 'gb' },
        arms: [arm('n', 'Yawl Lane', 0), arm('e', 'Zephyr Row', 90), arm('s', 'Yawl Lane', 180, { crest }), arm('w', 'Zephyr Row', 270)],
    });
    const place = await send<{ id: string; name: string }>(page, `sites/${site.id}/ways`, { from: 's', to: 'e' });
    await send(page, `lessons/${lesson.id}/items`, { place_id: place.id });
    await page.reload();
    await line(page).getByRole('button', { name: place.name }).click();
    const brief = page.getByRole('region', { name: `Brief: ${place.name}` });
    const turn = brief.getByLabel('Whose turn');
    await expect(turn).toContainText('If somebody is at each line at once:');
    await expect(brief.getByText(/^Over the crest, 160 m to 120 m before the line, no more than \d+ m of the road are seen/)).toBeVisible();
    const said = (await turn.textContent())!;
    await page.getByRole('link', { name: 'Print the lesson' }).click();
    await expect(page.getByRole('region', { name: place.name }).getByLabel('Whose turn')).toHaveText(said);
    // Nobody else’s lesson is to meet it.
    await send(page, `places/${place.id}`, {}, 'DELETE');
    await send(page, `sites/${site.id}`, {}, 'DELETE');
});

test('under lights the brief, the drawing and the sheet say how one waits inside to turn across', async ({ page }) => {
    const lesson = await planned(page, -1);
    const arm = (id: string, name: string, bearing_deg: number) => ({ id, name, bearing_deg, limit_mph: 30, control: 'signals', lanes_in: 2, lanes_out: 2 });
    const site = await send<{ id: string }>(page, 'sites', {
        ...{ name: 'Kelp Road at Thole Street', kind: 'junction', pack: 'gb' },
        arms: [arm('n', 'Kelp Road', 0), arm('e', 'Thole Street', 90), arm('s', 'Kelp Road', 180), arm('w', 'Thole Street', 270)],
    });
    const place = await send<{ id: string; name: string }>(page, `sites/${site.id}/ways`, { from: 's', to: 'e' });
    await send(page, `lessons/${lesson.id}/items`, { place_id: place.id });
    await page.reload();
    await line(page).getByRole('button', { name: place.name }).click();
    const inside = page.getByRole('region', { name: `Brief: ${place.name}` }).getByLabel('Waiting inside the lights');
    // Line, people and two lanes: room for two.
    await expect(inside).toContainText('Room for 2 inside. From amber the last who cannot stop is past after');
    const said = (await inside.textContent())!;
    await page.getByRole('link', { name: 'Print the lesson' }).click();
    await expect(page.getByRole('region', { name: place.name }).getByLabel('Waiting inside the lights')).toHaveText(said);
    await page.goto(`/places/sites/${site.id}?from=s&to=e`);
    await expect(page.getByLabel('Waiting inside the lights')).toHaveText(said);
    await send(page, `places/${place.id}`, {}, 'DELETE');
    await send(page, `sites/${site.id}`, {}, 'DELETE');
});
