import { expect, test } from '@playwright/test';
import { expectNoAxeFinding, signedIn, signIn } from './support';

(process.env.APP_URL ?? '').split(',').forEach((baseURL, app) => {
    test(`the sign-in page is sound in both themes, and lets the instructor in, application ${app + 1}`, async ({ browser }) => {
        const page = await (await browser.newContext({ baseURL })).newPage();
        for (const theme of ['day', 'night']) {
            await page.addInitScript((chosen) => localStorage.setItem('noble-turn.theme', chosen), theme);
            await page.goto('/');
            await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
            await expectNoAxeFinding(page, `sign in, ${theme}`);
        }
        await page.getByLabel('Email').fill('nobody@harbourschool.test');
        await page.getByLabel('Password').fill('guessing');
        await page.getByRole('button', { name: 'Sign in' }).click();
        await expect(page.getByRole('alert')).toHaveText(/don’t match/);
        await signIn(page);
        // Kept for the other tests: each would otherwise be slowed as a guesser.
        await page.evaluate(() => localStorage.clear());
        await page.context().storageState({ path: signedIn(app) });
    });
});
