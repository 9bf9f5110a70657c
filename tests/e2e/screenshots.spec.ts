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
    test.setTimeout(600_000);
    await show(page, '/');
    await shoot(page, 'today');
    const monday = new Date(Date.now() + 7 * 86_400_000);
    monday.setUTCDate(monday.getUTCDate() - ((monday.getUTCDay() + 6) % 7));
    await show(page, `/week?from=${monday.toISOString().slice(0, 10)}`);
    await shoot(page, 'week');
    const { next } = await api<{ next: { id: string; learner: { id: string } } }>(page, 'today');
    await show(page, `/lessons/${next.id}/plan`);
    await shoot(page, 'plan');
    const { lessons } = await api<{ lessons: { id: string; state: string; rounds: number }[] }>(page, `learners/${next.learner.id}`);
    const done = lessons.filter((lesson) => lesson.state === 'done').sort((a, b) => b.rounds - a.rounds)[0]!;
    // A round as it is being marked, taken back afterwards.
    await show(page, `/lessons/${next.id}/drive`);
    for (const key of ['Position prompted', 'The rest without help', 'Next attempt', 'Mirrors unaided', 'Signal reminded', 'Position missed']) {
        await page.getByRole('button', { name: key, exact: true }).click();
    }
    await shoot(page, 'drive');
    await page.setViewportSize({ width: 390, height: 844 });
    await page.evaluate(() => window.scrollTo(0, 0));
    await shoot(page, 'drive-phone');
    await page.setViewportSize({ width: 1280, height: 800 });
    for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Driving' }).click();
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /^Mark/ }).click();
    await page.getByRole('button', { name: 'Parked', exact: true }).click();
    await page.getByRole('button', { name: '3 moments to tell' }).click();
    const face = page.getByRole('region', { name: 'Telling a moment' });
    await face.getByRole('button', { name: 'Pass a bus at its stop', exact: true }).click();
    await face.getByRole('button', { name: 'Position missed', exact: true }).click();
    await face.getByRole('group', { name: 'Kind' }).getByRole('button').first().click();
    await shoot(page, 'moments');
    for (let i = 0; i < 2; i++) await face.getByRole('button', { name: 'Undo' }).click();
    for (let i = 0; i < 3; i++) await face.getByRole('button', { name: 'Throw away' }).click();
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
    await show(page, '/school?show=word');
    await page.getByText('being brought up to date').waitFor({ state: 'hidden' });
    await shoot(page, 'school');
    const ropewalk = (await api<{ id: string; name: string }[]>(page, 'sites')).find(({ name }) => name === 'Ropewalk at Mole Street')!;
    await show(page, `/places/sites/${ropewalk.id}?from=s&to=e`);
    await shoot(page, 'site');
    await show(page, '/places/circuits');
    await page.getByRole('link', { name: 'Right turns, quiet first' }).click();
    await page.getByRole('list', { name: 'In the order driven' }).waitFor();
    await page.waitForTimeout(800);
    await shoot(page, 'circuit');
    await page.getByRole('link', { name: 'Sheet' }).click();
    await page
        .getByText(/before the line/)
        .first()
        .waitFor();
    await page.waitForTimeout(400);
    await shoot(page, 'seat');
    await show(page, '/account/rules');
    await shoot(page, 'rules');
    await show(page, '/routines/emerge-right');
    await shoot(page, 'routine');
    await show(page, '/bench/gap');
    await shoot(page, 'bench-gap');
    await show(page, '/bench/sight');
    await shoot(page, 'bench-sight');
    const owner = await (await browser.newContext({ storageState: { cookies: [], origins: [] } })).newPage();
    await signIn(owner, { email: 'owner@harbourschool.test', password: 'demo-harbour' });
    await show(owner, '/school/people');
    await shoot(owner, 'people');
    await page.evaluate(() => localStorage.setItem('noble-turn.theme', 'night'));
    await show(page, `/lessons/${next.id}/kerb`);
    await page.getByRole('button', { name: 'Signal', exact: true }).click();
    await page.waitForTimeout(300);
    await shoot(page, 'kerb');
    await page.evaluate(() => localStorage.setItem('noble-turn.theme', 'day'));
});
