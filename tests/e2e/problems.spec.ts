import { expect, test, type Locator } from '@playwright/test';
import { api, expectNoAxeFinding, signIn } from './support';

test('another school’s lesson is simply not there', async ({ page, browser }) => {
    await page.goto('/');
    const ours = (await api<{ next: { id: string } }>(page, 'today')).next.id;
    const theirs = await (await browser.newContext({ storageState: { cookies: [], origins: [] } })).newPage();
    await signIn(theirs, { email: 'owner@lighthouse.test', password: 'demo-harbour' });
    await theirs.goto(`/lessons/${ours}/plan`);
    await expect(theirs.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
    await expectNoAxeFinding(theirs, '404');
    await theirs.goto('/learners');
    await expect(theirs.getByText('Hesper Quayle')).toBeVisible();
    await expect(theirs.getByRole('main').getByRole('listitem')).toHaveCount(1);
    await theirs.context().close();
});

test('a colleague’s lesson can be read but not written', async ({ page }) => {
    await page.goto('/');
    const learners = await api<{ id: string }[]>(page, 'learners');
    const me = (await api<{ user: { id: string } }>(page, 'session')).user.id;
    let foreign = '';
    for (const { id } of learners) {
        const { lessons } = await api<{ lessons: { id: string; instructor_id: string }[] }>(page, `learners/${id}`);
        foreign ||= lessons.find((lesson) => lesson.instructor_id !== me)?.id ?? '';
    }
    await page.goto(`/lessons/${foreign}/plan`);
    await page.getByLabel('Aim').fill('Not mine to change');
    await page.getByLabel('Aim').press('Enter');
    await expect(page.getByText(/^Not kept:/)).toBeVisible();
});

test('says what happened when the server cannot answer, and tries again', async ({ page }) => {
    await page.goto('/');
    for (const [status, title] of [
        // Before anything was read: afterwards the last answer would be shown.
        [503, 'Out of reach for a moment'],
        [403, 'Not yours to open'],
        [419, 'This page has been open too long'],
        [429, 'Too many tries'],
        [500, 'Something broke on our side'],
    ] as const) {
        await page.route('**/api/learners', (route) => route.fulfill({ status, json: { message: 'x' } }));
        await page.goto('/learners');
        await expect(page.getByRole('heading', { name: title })).toBeVisible();
        await page.unroute('**/api/learners');
        await page.getByRole('button', { name: 'Try again' }).click();
        await expect(page.getByRole('heading', { name: 'Learners' })).toBeVisible();
    }
    await page.route('**/api/learners', (route) => route.fulfill({ status: 503, json: { message: 'x' } }));
    await page.goto('/learners');
    await expect(page.getByRole('heading', { name: 'Learners' })).toBeVisible();
    await expect(
        page
            .getByRole('status')
            .getByText(/what is shown is as of/)
            .locator('visible=true'),
    ).toBeVisible();
});

test('a token that ran out is renewed without a word, a session that ran out leads to the sign-in', async ({ page }) => {
    await page.goto('/');
    await page.context().clearCookies({ name: 'XSRF-TOKEN' });
    await page.goto('/bench/approach');
    await expect(page.getByRole('slider', { name: 'Steps of the approach' })).toBeVisible();
    await page.waitForLoadState('networkidle');
    await page.context().clearCookies();
    await page.getByRole('link', { name: 'Learners' }).click();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('putting a learner away can be undone', async ({ page }) => {
    await page.goto('/');
    await page.goto('/learners');
    await page.getByRole('link', { name: /Gus Pellow/ }).click();
    await page.getByRole('button', { name: 'Archive' }).click();
    await expect(page.getByRole('link', { name: /Gus Pellow/ })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name: /Gus Pellow/ })).toBeVisible();
});

test('a picture that no longer holds says so and why; what cannot be shown is not left out in silence', async ({ page }) => {
    await page.goto('/bench/approach');
    await expect(page.getByRole('slider', { name: 'Steps of the approach' })).toBeVisible();
    await page.waitForLoadState('networkidle');
    const refuse = (path: string, message: string) =>
        page.route(`**/api/${path}`, (route) => route.fulfill({ status: 422, json: { message, errors: { road_width_m: [message] } } }));
    await refuse('compute/approach', 'must be at least 2 m.');
    // What one press could change next was asked for ahead; two presses on, the core is asked, and refuses.
    await page.getByRole('button', { name: 'Wet' }).click();
    await page.getByRole('button', { name: 'Close behind' }).click();
    await expect(page.getByRole('alert')).toContainText('The picture below is of what was set before');
    await expect(page.getByRole('alert')).toContainText('road_width_m must be at least 2 m.');
    // What is old is faint; the fields that are to be set right are not.
    const faint = (what: Locator) => what.evaluate((one) => one.closest('.opacity-40') !== null);
    expect(await faint(page.getByRole('slider', { name: 'Steps of the approach' }))).toBe(true);
    expect(await faint(page.getByLabel('Road width, m'))).toBe(false);
    await page.unroute('**/api/compute/approach');
    await page.getByRole('alert').getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('alert')).toHaveCount(0);
    const { next } = await api<{ next: { id: string } }>(page, 'today');
    await refuse('compute/*', 'must be at least 2 m.');
    await refuse('learners/*/skill', 'not today.');
    await page.goto(`/lessons/${next.id}/plan`);
    await expect(page.getByText('What to work on is not shown:')).toBeVisible();
    // The strip of a lesson whose first place has one: which lesson is next depends on the hour.
    const { lessons } = await api<{ lessons: { id: string }[] }>(page, 'today');
    const whole = await Promise.all(lessons.map(({ id }) => api<{ id: string; items: { plan: { tool: string } }[] }>(page, `lessons/${id}`)));
    await page.goto(`/lessons/${whole.find(({ items }) => items[0]?.plan.tool === 'approach')!.id}/drive`);
    await expect(page.getByText('The strip is not shown:')).toBeVisible();
});
