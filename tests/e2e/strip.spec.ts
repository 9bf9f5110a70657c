import { expect, test, type Page } from '@playwright/test';
import { api } from './support';

const strip = (page: Page) => page.getByRole('slider', { name: 'Steps of the approach' });

/** The signal's best point as the strip says it, m. */
async function signal(page: Page): Promise<number> {
    return Number(/Signal at (\d+) m/.exec((await strip(page).getAttribute('aria-valuetext')) ?? '')?.[1]);
}

test.beforeEach(async ({ page }) => {
    await page.goto('/bench/approach');
    await expect(strip(page)).toBeVisible();
});

test('shows the clash at 30 mph and none at 20, and says why', async ({ page }) => {
    await expect(page.getByText(/At 30 mph, signalling 30 m before is too late: you would be braking already/)).toBeVisible();
    const at30 = await signal(page);
    await page.getByRole('slider', { name: 'Speed' }).focus();
    for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowLeft');
    await expect(page.getByLabel('Speed, typed')).toHaveValue('20 mph');
    await expect(page.getByText(/signalling 30 m before is too late/)).toHaveCount(0);
    await expect.poll(() => signal(page)).toBe(30);
    expect(at30).toBeGreaterThan(50);
    // The state is the address: loaded again, the same picture.
    await expect(page).toHaveURL(/speed=20/);
    await page.reload();
    await expect(page.getByLabel('Speed, typed')).toHaveValue('20 mph');
    await expect.poll(() => signal(page)).toBe(30);
});

test('follows every control, with a key beside each drag', async ({ page }) => {
    const before = await signal(page);
    await page.getByRole('button', { name: 'Close behind' }).click();
    await expect.poll(() => signal(page)).toBeGreaterThan(before);
    await page.getByRole('button', { name: 'Close behind' }).click();
    await expect.poll(() => signal(page)).toBe(before);
    await page.getByRole('button', { name: 'Speed: more' }).click();
    await expect.poll(() => signal(page)).toBeGreaterThan(before);
    await page.getByRole('button', { name: 'Speed: less' }).click();
    await page.getByRole('button', { name: 'Slope: less' }).click();
    await expect(page.getByLabel('Slope, typed')).toHaveValue('1 % downhill');
    // The handle at the head of the speed curve can be dragged instead.
    const grip = await page.getByTestId('speed-grip').boundingBox();
    await page.mouse.move(grip!.x + grip!.width / 2, grip!.y + grip!.height / 2);
    await page.mouse.down();
    await page.mouse.move(grip!.x + grip!.width / 2, grip!.y + grip!.height / 2 + 40, { steps: 5 });
    await page.mouse.up();
    await expect(page.getByLabel('Speed, typed')).not.toHaveValue('30 mph');
    await expect.poll(() => signal(page)).toBeLessThan(before);
});

test('draws what the core answers: the table and the picture hold the same places', async ({ page }) => {
    const plan = (await (
        await page.request.post('/api/compute/approach', {
            headers: {
                Accept: 'application/json',
                'X-XSRF-TOKEN': decodeURIComponent((await page.context().cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN')!.value),
            },
            data: { pack: 'gb', routine: 'emerge-right', limit_mph: 30, vehicle: 'small-petrol-hatch', learner_level: 'developing' },
        })
    ).json()) as { steps: { step: string; best_m: number; earliest_m: number; latest_m: number }[] };
    const rows = page.getByRole('table').first().getByRole('row');
    for (const [i, step] of plan.steps.entries()) {
        await expect(rows.nth(i + 1)).toContainText(step.earliest_m.toFixed(0));
        await page.locator(`[data-step="${step.step}"]`).click();
        await expect(strip(page)).toHaveAttribute('aria-valuetext', new RegExp(`at ${Math.round(step.best_m)} m`));
    }
    // On one axis: the further from the line, the further left.
    const lefts = await Promise.all(plan.steps.map(async (step) => (await page.locator(`[data-step="${step.step}"] > circle`).boundingBox())!.x));
    expect([...lefts].sort((a, b) => a - b)).toEqual(lefts);
});

test('an address typed by hand with nonsense in it says what is wrong and can be mended', async ({ page }) => {
    await page.goto('/bench/approach?road={"routine":"emerge-right","limit_mph":30,"room_m":-4}');
    await expect(page.getByRole('alert')).toContainText('room_m');
    await page.goto('/bench/approach?road={oops&speed=abc');
    await expect(strip(page)).toBeVisible();
    expect((await api<unknown[]>(page, 'routines')).length).toBe(42);
});
