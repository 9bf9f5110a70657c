import { expect, test } from '@playwright/test';
import { api, everythingSent, newLesson } from './support';

test('marks made without signal stay on the device and arrive later, once', async ({ page }) => {
    const next = (await newLesson(page)).id;
    await page.goto(`/lessons/${next}/drive`);
    await page.route('**/api/sync', (route) => route.abort());
    await page.getByRole('button', { name: 'Speed reminded', exact: true }).click();
    await page.getByRole('button', { name: 'The rest without help' }).click();
    await expect(page.getByText('5 marks on this device, not yet sent.').locator('visible=true')).toBeVisible();
    // A closed tab loses nothing.
    await page.reload();
    await expect(page.getByRole('button', { name: 'Speed reminded', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await page.unroute('**/api/sync');
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await everythingSent(page, next, 1);
    await expect(page.getByText('not yet sent', { exact: false })).toHaveCount(0);
    expect((await api<{ rounds: { marks: unknown[] }[] }>(page, `lessons/${next}`)).rounds.at(-1)!.marks).toHaveLength(5);
});
