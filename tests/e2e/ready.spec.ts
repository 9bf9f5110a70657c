import { expect, test } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound } from './support';

/* How near somebody is to their test, and the tests that were driven. */

interface Assessment {
    id: string;
    kind: string;
    result: string;
    faults: { step: string }[];
}

for (const [name, viewport] of [
    ['a tablet', { width: 1280, height: 800 }],
    ['a phone by night', { width: 390, height: 844 }],
] as const) {
    test(`from the record to the way to the test: what is missing, a mock test noted and taken away again, on ${name}`, async ({ page }) => {
        await page.setViewportSize(viewport);
        await page.emulateMedia({ colorScheme: name.includes('night') ? 'dark' : 'light' });
        const heard = complaints(page);
        await page.goto('/');
        // Somebody who has driven much, and to whom much is missing.
        const learner = (await api<{ id: string; name: string }[]>(page, 'learners')).find(({ name }) => name === 'Mirela Sandoval')!;
        const kept = () => api<Assessment[]>(page, `learners/${learner.id}/assessments`);
        const before = await kept();
        await page.goto(`/learners/${learner.id}`);
        await page.getByRole('link', { name: 'The way to the test' }).click();
        await expect(page.getByRole('heading', { level: 1 })).toHaveText(`${learner.name}: the way to the test`);
        const near = page.getByRole('region', { name: 'How near' });
        await expect(near).toContainText(/^(Not yet|Nearly|By the record|Nothing)/);
        await expect(near).toContainText(/Of a hundred such learners about \d+ would pass today \(\d+ to \d+\)\./);
        const missing = page.getByRole('region', { name: 'What is missing, in its order' });
        const few = await missing.getByRole('listitem').count();
        await missing.getByRole('button', { name: /^and \d+ more$/ }).click();
        expect(await missing.getByRole('listitem').count()).toBeGreaterThan(few);
        await expect(missing).toContainText(/alone .+ where it is busy, 8 times in 10 are wanted\./);
        await expectSound(page, name);
        await expectNoAxeFinding(page, name);
        // By keyboard: when, one fault with who had to act, and it is told.
        await page.getByRole('button', { name: 'Note a test' }).press('Enter');
        const sheet = page.getByRole('dialog', { name: 'A test that was driven' });
        await sheet.getByLabel('When').fill(new Date(Date.now() - 86_400_000).toISOString().slice(0, 16));
        await sheet.getByLabel('Who was troubled').selectOption('intervened');
        await sheet.getByRole('button', { name: 'Add the fault' }).press('Enter');
        await expectNoAxeFinding(page, `${name}, the sheet`);
        await sheet.getByRole('button', { name: 'Note it' }).press('Enter');
        await expect(sheet).toHaveCount(0);
        const added = (await kept()).filter(({ id }) => !before.some((one) => one.id === id));
        expect(added).toMatchObject([{ kind: 'mock-test', result: 'fail', faults: [{ step: 'look' }] }]);
        const line = page
            .getByRole('region', { name: 'Tests' })
            .getByRole('button', { name: /Mock test, failed/ })
            .first();
        await expect(line).toContainText('1 dangerous fault');
        await line.click();
        const noted = page.getByRole('dialog', { name: 'What was noted' });
        await expect(noted.getByRole('row', { name: /^Look/ })).toContainText('1');
        await noted.getByText('Change it, or take it away').click();
        await noted.getByRole('button', { name: 'Take it away' }).click();
        await expect.poll(async () => (await kept()).length).toBe(before.length);
        await page.getByRole('button', { name: 'Undo' }).click();
        await expect.poll(async () => (await kept()).length).toBe(before.length + 1);
        await line.click();
        await noted.getByText('Change it, or take it away').click();
        await noted.getByRole('button', { name: 'Take it away' }).click();
        await expect.poll(async () => (await kept()).length).toBe(before.length);
        expect(heard).toEqual([]);
    });
}
