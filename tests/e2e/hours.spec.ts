import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound } from './support';

const learnerNamed = async (page: Page, name: string) =>
    (await api<{ id: string; name: string }[]>(page, 'learners')).find((one) => one.name.startsWith(name))!.id;

/** What somebody told at their lesson: the drive of a Tuesday evening some weeks ago. */
async function tell(page: Page, setOff: string, minutes: string): Promise<void> {
    await page.getByRole('button', { name: 'Accompanied drive' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Set off').fill(setOff);
    await sheet.getByLabel('Minutes at the wheel').fill(minutes);
    await sheet.getByLabel('Road surface').selectOption('wet');
    await sheet.getByLabel('With whom, where to').fill('With an uncle, to the ferry');
    await sheet.getByRole('button', { name: 'Add the drive' }).click();
}

test('the book of hours: from the record, a drive told and put right, the drives behind a figure, the table', async ({ page }) => {
    const heard = complaints(page, /422/);
    await page.goto('/');
    await page.goto(`/learners/${await learnerNamed(page, 'Linnea')}`);
    await page.getByRole('link', { name: 'Hours', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Linnea Marsh: hours' })).toBeVisible();
    const drives = page.getByRole('region', { name: /drive/ }).getByRole('listitem');
    const before = await drives.count();
    expect(before).toBeGreaterThan(5);
    // Not in the middle of a lesson, and what was typed is still there.
    const lesson = await drives.first().getByRole('link').getAttribute('href');
    const { starts_at } = await api<{ starts_at: string }>(page, lesson!.replace(/^\/|\/debrief$/g, ''));
    const wall = new Date(starts_at).toLocaleString('sv', { timeZone: 'Europe/London' }).slice(0, 16).replace(' ', 'T');
    await tell(page, wall, '30');
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText('is in a lesson that the learner had then');
    await expect(page.getByRole('dialog').getByLabel('Minutes at the wheel')).toHaveValue('30');
    await page.getByRole('dialog').getByLabel('Set off').fill('2026-02-03T22:00');
    await page.getByRole('button', { name: 'Add the drive' }).click();
    await expect(drives).toHaveCount(before + 1);
    const told = drives.filter({ hasText: 'With an uncle, to the ferry' });
    await expect(told).toContainText('night (by the sun)');
    await expectNoAxeFinding(page, 'the book of hours');
    // By keyboard: the figure, and what is behind it.
    const night = page.getByRole('button', { name: 'night', exact: true });
    await night.focus();
    await page.keyboard.press('Enter');
    await expect(night).toHaveAttribute('aria-pressed', 'true');
    await expect(drives).not.toHaveCount(before + 1);
    await expect(told).toBeVisible();
    await page.getByRole('button', { name: 'Show every drive' }).click();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'As a table' }).click()]);
    expect(download.suggestedFilename()).toBe('Linnea-Marsh-hours.csv');
    const lines = (await readFile(await download.path(), 'utf8')).trimEnd().split('\r\n');
    expect(lines).toHaveLength(before + 2);
    expect(lines.find((one) => one.startsWith('2026-02-03,22:00,30,accompanied'))).toContain('"With an uncle, to the ferry"');
    await told.getByRole('button', { name: 'Change' }).click();
    await page.getByRole('dialog').getByLabel('Minutes at the wheel').fill('55');
    await page.getByRole('button', { name: 'Keep it so' }).click();
    await expect(told).toContainText('55 min');
    await told.getByRole('button', { name: 'Change' }).click();
    await page.getByRole('button', { name: 'Take it away' }).click();
    await expect(drives).toHaveCount(before);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(drives).toHaveCount(before + 1);
    await told.getByRole('button', { name: 'Change' }).click();
    await page.getByRole('button', { name: 'Take it away' }).click();
    await expect(drives).toHaveCount(before);
    expect(heard).toEqual([]);
});

test('what the law asks of a minor is held against the hours; on a phone and on paper nothing is cut off', async ({ page }) => {
    await page.goto('/');
    const learner = await learnerNamed(page, 'Remy');
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/learners/${learner}/hours`);
    const law = page.getByRole('region', { name: 'Asked by law' });
    await expect(law).toContainText(/Practice at the wheel.* of 50 h: .* to go\..*Of it at night.* of 10 h/s);
    await law.getByRole('button', { name: 'Drives behind it' }).click();
    await expect(page.getByRole('heading', { name: /^Light, night:/ })).toBeVisible();
    await expectSound(page, 'hours on a phone');
    expect(await page.getByRole('table').evaluate((table) => table.parentElement!.scrollWidth - table.parentElement!.clientWidth)).toBeLessThanOrEqual(0);
    await page.emulateMedia({ media: 'print' });
    await page.setViewportSize({ width: 710, height: 1000 });
    await expect(page.getByRole('button', { name: 'Accompanied drive' })).toBeHidden();
    await expectSound(page, 'hours on paper');
});
