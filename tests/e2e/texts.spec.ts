import { expect, test } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, signIn } from './support';

const OWNER = { email: 'owner@harbourschool.test', password: 'demo-harbour' };

/** The hour it is at the school, so many hours on: `07:00`. */
function hourAt(later: number): string {
    const hour = Number(new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/London', hour: '2-digit', hourCycle: 'h23' }).format(new Date()));
    return `${String((hour + later) % 24).padStart(2, '0')}:00`;
}

test('the owner’s words go into the outbox by the worker, and the instructor passes them on from Today', async ({ page, browser }) => {
    const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
    const owner = await context.newPage();
    const heard = [complaints(owner, /422/), complaints(page)];
    await signIn(owner, OWNER);
    await owner.goto('/school/people?show=texts');
    await expect(owner.getByRole('checkbox', { name: 'Tell learners of their lessons by text' })).toBeChecked();
    await expectSound(owner, 'texts to learners');
    await expectNoAxeFinding(owner, 'texts to learners');
    // Whatever time it is: not at night.
    await owner.getByLabel('No texts from').fill(hourAt(12));
    await owner.getByLabel('Until', { exact: true }).fill(hourAt(13));
    const words = owner.getByLabel('Words: when it is moved, or lasts longer or shorter');
    const usual = await words.inputValue();
    await words.fill('{learner}, {nobody} knows when');
    await owner.getByRole('button', { name: 'Keep' }).click();
    await expect(owner.getByRole('alert')).toContainText('knows no {nobody}');
    await words.fill(usual);
    await owner.getByRole('button', { name: 'Keep' }).click();
    await expect(owner.getByText('Learners are told in these words.')).toBeVisible();
    // The worker looks every minute; one lesson of the demo was moved since it was told, and one is off.
    await page.goto('/');
    await expect.poll(async () => (await api<unknown[]>(page, 'texts')).length, { timeout: 120_000 }).toBeGreaterThanOrEqual(2);
    await page.reload();
    const outbox = page.getByRole('region', { name: /^To pass on/ });
    const moved = outbox.getByRole('listitem').filter({ hasText: '· Moved ·' }).first();
    await expect(moved).toContainText(/your lesson of .* is now on/);
    const name = await moved.getByRole('strong').innerText();
    await expect(moved.getByRole('link', { name: /^Text / })).toHaveAttribute('href', /^sms:\d+\?body=/);
    await moved.getByRole('button', { name: `Passed on to ${name}` }).click();
    await expect(outbox.getByRole('button', { name: `Passed on to ${name}` })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(outbox.getByRole('button', { name: `Passed on to ${name}` })).toBeVisible();
    await page.setViewportSize({ width: 390, height: 844 });
    await expectSound(page, 'Today with texts on a phone');
    await outbox.getByRole('button', { name: `Passed on to ${name}` }).press('Enter');
    await expect(outbox.getByRole('button', { name: `Passed on to ${name}` })).toHaveCount(0);
    await owner.reload();
    await expect(owner.getByRole('region', { name: 'The outbox' }).getByRole('listitem').filter({ hasText: name }).first()).toContainText('passed on');
    await context.close();
    expect(heard).toEqual([[], []]);
});

test('a learner who wants no texts says so once, and it stands with their facts', async ({ page }) => {
    await page.goto('/');
    const learners = await api<{ id: string; name: string }[]>(page, 'learners');
    await page.goto(`/learners/${learners.find((one) => one.name.startsWith('Caspian'))!.id}`);
    const say = async (checked: boolean) => {
        await page.getByRole('button', { name: 'Change', exact: true }).click();
        await page.getByRole('checkbox', { name: 'Wants no texts about lessons' }).setChecked(checked);
        await page
            .getByRole('dialog')
            .getByRole('button', { name: /^(Keep|Save)/ })
            .click();
        await expect(page.getByRole('dialog')).toHaveCount(0);
    };
    await say(true);
    await expect(page.getByText('wants none about lessons')).toBeVisible();
    await say(false);
    await expect(page.getByText('wants none about lessons')).toHaveCount(0);
});
