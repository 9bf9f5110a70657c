import { expect, test } from '@playwright/test';
import { complaints } from './support';

test('joining: a gap is chosen, the drive played, and a road too short says so', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/bench/join');
    const head = page.getByRole('status').first();
    await expect(head).toHaveText('Behind lorry 1, ahead of car 2');
    const ways = page.getByRole('region', { name: 'Ways to join' });
    await expect(ways.getByRole('row')).toHaveCount(7);
    const picture = page.getByRole('img', { name: /The slip road after/ });
    const before = await picture.getAttribute('aria-label');
    await page.getByRole('button', { name: 'Drive it' }).click();
    await expect.poll(() => picture.getAttribute('aria-label')).not.toBe(before);
    await page.getByRole('button', { name: 'Hold' }).click();
    // With the one behind pulled up beside us there is another way, or none.
    await page.getByLabel('car 2, metres ahead of us').fill('-20');
    await expect(head).not.toHaveText('Behind lorry 1, ahead of car 2');
    const away = page.getByRole('button', { name: /^Take .* away$/ });
    for (const [left, name] of ['car 2', 'lorry 1', 'car 1'].entries()) {
        await page.getByLabel(`Take ${name} away`).click();
        await expect(away).toHaveCount(2 - left);
    }
    await expect(head).toHaveText('The road is free');
    await page.getByRole('slider', { name: 'Slip road', exact: true }).press('Home');
    await expect(page.getByText(/^The slip road is too short for us: .* who joins gives way/)).toBeVisible();
    await page.waitForURL(/slip=60/);
    await page.reload();
    await expect(page.getByText(/^The slip road is too short for us: .* who joins gives way/)).toBeVisible();
    expect(heard).toEqual([]);
});

test('leaving: events stand in their order, follow the practice, and a short slip is harsh', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/bench/leave');
    const rows = page.getByRole('region', { name: 'In their order' }).getByRole('row');
    await expect(rows.filter({ hasText: 'Signal' }).first()).toContainText('274 m before');
    await expect(rows.last()).toContainText('End');
    await expect(page.getByRole('status').first()).toHaveText('One even brake does');
    await page.getByRole('slider', { name: 'Slip road', exact: true }).press('Home');
    await expect(page.getByRole('status').first()).toHaveText('Harsh: too short for this speed');
    await page.getByRole('slider', { name: 'Bend', exact: true }).press('ArrowRight');
    await expect(rows.filter({ hasText: 'Bend' })).toHaveCount(1);
    expect(heard).toEqual([]);
});

test('changing lane: the way that asks least stands first, any can be driven, checks in the order of the practice', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/bench/lane-change');
    const ways = page.getByRole('group', { name: 'Ways to change' }).getByRole('button');
    await expect(ways).toHaveCount(4);
    await expect(ways.filter({ hasText: '▸' })).toHaveCount(1);
    await ways.first().click();
    await expect(ways.first()).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByRole('region', { name: 'Checks' }).getByRole('listitem').first()).toHaveText(/^interior/);
    await page.getByText('More that can matter').click();
    await page.getByRole('slider', { name: 'Needed for a junction in' }).press('ArrowRight');
    await expect(page.getByRole('status').first()).toContainText('at the next');
    expect(heard).toEqual([]);
});

test('overtaking: the view decides, no return is said, dropping back is right', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/bench/overtake');
    const head = page.getByRole('status').first();
    await expect(head).toHaveText('Drop back: that is right');
    await page.getByRole('slider', { name: 'Seen' }).press('End');
    await expect(head).toHaveText('Long enough');
    const now = page.getByText(/^Now: /);
    await expect(now).toContainText('giving up is still the shorter way');
    await page.getByRole('slider', { name: 'Since leaving the lane' }).press('End');
    await expect(now).toContainText('going on is now the shorter way');
    await page.getByRole('slider', { name: 'They drive' }).press('End');
    await expect(page.getByText('must be below the limit', { exact: false })).toBeVisible();
    // The browser itself notes the refused request.
    expect(heard.filter((line) => !line.includes('422'))).toEqual([]);
});

test('a slip road is a place: described, refused where it cannot be, planned, and briefed in a lesson', async ({ page }) => {
    await page.goto('/places');
    await page.getByRole('button', { name: 'New place' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Name').fill('Mole Street slip');
    await sheet.getByLabel('Routine').selectOption({ label: 'Join from a slip road' });
    await expect(sheet.getByLabel('View into the other road')).toHaveCount(0);
    await sheet.getByLabel('Slip road, m', { exact: true }).fill('210');
    await sheet.getByLabel('Speed entering the slip road, mph').fill('170');
    await sheet.getByRole('button', { name: 'Keep the place' }).click();
    await expect(sheet.getByText('must lie between', { exact: false })).toBeVisible();
    await sheet.getByLabel('Speed entering the slip road, mph').fill('30');
    await sheet.getByRole('button', { name: 'Keep the place' }).click();
    const line = page.getByRole('listitem').filter({ hasText: 'Mole Street slip' }).first();
    await expect(line).toContainText('slip road of 210 m');
    await line.getByRole('link', { name: 'Plan' }).click();
    await expect(page.getByRole('slider', { name: 'Slip road', exact: true })).toHaveAttribute('aria-valuenow', '210');
    await page.goto('/');
    await page.getByRole('link', { name: 'Open the lesson' }).click();
    await page.getByRole('button', { name: 'Add a place' }).click();
    await page.getByLabel('Search places').fill('mole street slip');
    await page
        .getByRole('dialog')
        .getByRole('button', { name: /Mole Street slip/ })
        .first()
        .click();
    await expect(page.getByRole('region', { name: /^Brief: / })).toContainText('Join from a slip road');
    await expect(page.getByLabel('On this road').first()).toContainText(/that count need [0-9.]+ m\/s²/);
});
