import { expect, test } from '@playwright/test';
import { complaints, expectNoAxeFinding, expectSound } from './support';

/* Who needs a word: from the page of the school to where each is looked into. */

test('an owner or instructor sees who needs a word, why, and goes on to their way to the test and their record', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/school');
    await page.getByRole('button', { name: 'Who needs a word' }).click();
    const near = page.getByRole('region', { name: 'Near their test' });
    // Worked out in the background by the first who looks, while the page is open.
    await expect(near).toBeVisible({ timeout: 150_000 });
    await expect(page.getByText('brought up to date')).toHaveCount(0, { timeout: 150_000 });
    await expect(near.getByRole('link', { name: /Edda Lowrie/ })).toContainText(/26 lessons, \d+ marks/);
    await expect(page.getByRole('region', { name: 'Standing still' }).getByRole('link', { name: /Marek Thistlewood/ })).toContainText(
        /The same fault in \d of 5 lessons/,
    );
    await expect(page.getByRole('region', { name: 'Nothing booked' }).getByRole('link', { name: /Marek Thistlewood/ })).toBeVisible();
    await expectNoAxeFinding(page, 'who needs a word');

    await near.getByRole('link', { name: /Edda Lowrie/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/learners\/[^/]+\/test$/);
    await expect(page.getByText('by the record they are ready')).toBeVisible({ timeout: 60_000 });
    await page.goBack();
    await expect(near).toBeVisible();

    await page.setViewportSize({ width: 390, height: 844 });
    await expectSound(page, 'who needs a word, on a phone');
    // Others may come to stand still while this goes on.
    await page
        .getByRole('region', { name: 'Standing still' })
        .getByRole('link', { name: /Marek Thistlewood/ })
        .click();
    await expect(page.getByRole('heading', { level: 1, name: 'Marek Thistlewood' })).toBeVisible();
    expect(heard).toEqual([]);
});
