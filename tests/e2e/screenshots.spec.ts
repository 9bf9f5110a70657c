import { test, type Page } from '@playwright/test';
import { api, signIn } from './support';

/** The pictures of docs/screenshots, made from the demo: APP_URL=… npx playwright test --project=screenshots */
const shoot = (page: Page, name: string) => page.screenshot({ path: `docs/screenshots/${name}.png` });

async function show(page: Page, path: string): Promise<void> {
    await page.goto(path);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(400);
}

test('main views', async ({ page, browser }) => {
    test.setTimeout(180_000);
    await show(page, '/');
    await shoot(page, 'today');
    const { next } = await api<{ next: { id: string; learner: { id: string } } }>(page, 'today');
    await show(page, `/lessons/${next.id}/plan`);
    await shoot(page, 'plan');
    const { lessons } = await api<{ lessons: { id: string; state: string; rounds: number }[] }>(page, `learners/${next.learner.id}`);
    const done = lessons.filter((lesson) => lesson.state === 'done').sort((a, b) => b.rounds - a.rounds)[0]!;
    // A round as it is being marked, taken back afterwards.
    await show(page, `/lessons/${next.id}/drive`);
    for (const key of ['Position prompted', 'Rest unaided', 'Round again', 'Mirrors unaided', 'Signal reminded', 'Position missed']) {
        await page.getByRole('button', { name: key, exact: true }).click();
    }
    await shoot(page, 'drive');
    await page.setViewportSize({ width: 390, height: 844 });
    await page.evaluate(() => window.scrollTo(0, 0));
    await shoot(page, 'drive-phone');
    await page.setViewportSize({ width: 1280, height: 800 });
    for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'The car moves' }).click();
    await shoot(page, 'drive-moving');
    await show(page, `/lessons/${done.id}/debrief`);
    await page.screenshot({ path: 'docs/screenshots/debrief.png', fullPage: true });
    await show(page, `/learners/${next.learner.id}`);
    await shoot(page, 'learner');
    await page
        .getByRole('button', { name: /^Emerge right, Position/ })
        .first()
        .click();
    await page.getByRole('heading', { name: 'The marks' }).waitFor();
    await shoot(page, 'learner-square');
    await show(page, '/school');
    await page.getByText('being brought up to date').waitFor({ state: 'hidden' });
    await shoot(page, 'school');
    await show(page, '/routines');
    await shoot(page, 'routines');
    await show(page, '/account/rules');
    await shoot(page, 'rules');
    await show(page, '/routines/emerge-right');
    await shoot(page, 'routine');
    for (const tool of ['gap', 'lanes', 'join', 'overtake', 'swept-path']) {
        await show(page, `/bench/${tool}`);
        await shoot(page, `bench-${tool}`);
    }
    const owner = await (await browser.newContext({ storageState: { cookies: [], origins: [] } })).newPage();
    await signIn(owner, { email: 'owner@harbourschool.test', password: 'demo-harbour' });
    await show(owner, '/school/people');
    await shoot(owner, 'people');
    await page.evaluate(() => localStorage.setItem('noble-turn.theme', 'night'));
    await show(page, `/lessons/${next.id}/plan`);
    await shoot(page, 'plan-night');
    await page.evaluate(() => localStorage.setItem('noble-turn.theme', 'day'));
});
