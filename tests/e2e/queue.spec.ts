import { expect, test, type Page } from '@playwright/test';
import { api, everythingSent, expectNoAxeFinding, expectSound, newLesson, signIn, type Lesson } from './support';

const OWNER = { email: 'owner@harbourschool.test', password: 'demo-harbour' };

const line = (page: Page, text: string | RegExp) => page.getByRole('status').getByText(text).locator('visible=true');
const tryAgain = (page: Page) => page.evaluate(() => window.dispatchEvent(new Event('online')));
const marked = async (page: Page, lesson: Lesson) => (await api<Lesson>(page, `lessons/${lesson.id}`)).rounds.flatMap((round) => round.marks);

test('marks wait for whoever made them, where another tab signs somebody else in', async ({ browser }) => {
    // Signing in and out belongs to the path: it has a browser of its own.
    const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
    const page = await context.newPage();
    await signIn(page);
    const me = (await api<{ user: { id: string } }>(page, 'session')).user.id;
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    // Without signal in every tab: another of the same person would send them too.
    await context.route('**/api/sync', (route) => route.abort());
    await page.getByRole('button', { name: 'Speed reminded', exact: true }).click();
    await expect(line(page, /1 mark on this device, not yet sent/)).toBeVisible();
    const other = await context.newPage();
    await other.goto('/account');
    await other.getByRole('button', { name: 'Sign out', exact: true }).click();
    await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await signIn(other, OWNER);
    // The page still shows the one who marked; what it sends now would be another's.
    await context.unroute('**/api/sync');
    const refused = page.waitForResponse((answer) => answer.url().endsWith('/api/sync'));
    await tryAgain(page);
    expect((await refused).status()).toBe(409);
    // It is the owner's page by now, and nothing of the other's is on it.
    await page.getByRole('link', { name: 'Account' }).click();
    await expect(page.getByRole('heading', { name: 'Maud Rennick' })).toBeVisible();
    await expect(page.getByText('not yet sent')).toHaveCount(0);
    expect(await marked(page, lesson)).toEqual([]);
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    await expect(page.getByText('Marks wait on this device to be sent.')).toBeVisible();
    await expectNoAxeFinding(page, 'sign-in with marks waiting');
    await signIn(page);
    await everythingSent(page, lesson.id, 1);
    expect((await marked(page, lesson)).map((mark) => mark.user_id)).toEqual([me]);
});

test('a session that ended says so, and the marks go after signing in again', async ({ page }) => {
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    await expect(page.getByText(/^Round 1/)).toBeVisible();
    // An answer still on its way would bring the session back.
    await page.waitForLoadState('networkidle');
    await page.context().clearCookies();
    await page.getByRole('button', { name: 'Look missed', exact: true }).click();
    await expect(line(page, /You are signed out: sign in again and they go/)).toBeVisible();
    await page
        .getByRole('button', { name: /^Sign in again/ })
        .locator('visible=true')
        .click();
    await page.getByLabel('Email').fill('instructor@harbourschool.test');
    await page.getByLabel('Password').fill('demo-harbour');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
    await everythingSent(page, lesson.id, 1);
    await expect(page.getByText('not yet sent')).toHaveCount(0);
});

test('one mark the server breaks on holds up no other; what it refuses is listed, sent as new or discarded', async ({ page }) => {
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    let answer = { status: 500, message: 'Server Error' };
    await page.route('**/api/sync', async (route) => {
        const { marks } = route.request().postDataJSON() as { marks: { step: string; id: string }[] };
        await (marks.some((mark) => mark.step === 'position' && mark.id === bad)
            ? route.fulfill({ status: answer.status, json: { message: answer.message } })
            : route.continue());
    });
    let bad = '';
    page.on('request', (request) => {
        if (!request.url().endsWith('/api/sync')) return;
        const { marks } = request.postDataJSON() as { marks: { step: string; id: string }[] };
        bad ||= marks.find((mark) => mark.step === 'position')?.id ?? '';
    });
    await page.getByRole('button', { name: 'Position prompted', exact: true }).click();
    await page.getByRole('button', { name: 'The rest without help' }).click();
    await expect.poll(async () => (await marked(page, lesson)).map((mark) => mark.step).sort()).toEqual(['look', 'mirrors', 'signal', 'speed']);
    await expect(line(page, /The server could not store some of them/)).toBeVisible();
    // Now it will not take it at all.
    answer = { status: 422, message: 'The id is known with another outcome.' };
    await tryAgain(page);
    await expect(line(page, '1 mark not accepted.')).toBeVisible();
    await page.getByRole('link', { name: 'See which and why' }).locator('visible=true').click();
    await expect(page.getByRole('heading', { name: 'Not yet sent' })).toBeVisible();
    await expect(page.getByRole('main').getByRole('listitem')).toHaveText(/Position prompted.*The id is known with another outcome/);
    await expectNoAxeFinding(page, 'not yet sent');
    await expectSound(page, 'not yet sent');
    await page.getByRole('button', { name: 'Discard' }).click();
    await expect(page.getByText('Everything is sent')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Send as new' }).click();
    await expect(page.getByText('Everything is sent')).toBeVisible();
    await expect.poll(async () => (await marked(page, lesson)).length).toBe(5);
});

test('a browser that stores nothing says so, and asks before the page is closed', async ({ page }) => {
    await page.addInitScript(() => {
        IDBFactory.prototype.open = () => {
            throw new DOMException('no room', 'QuotaExceededError');
        };
    });
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    await page.route('**/api/sync', (route) => route.abort());
    await page.getByRole('button', { name: 'Speed reminded', exact: true }).click();
    await expect(line(page, /This browser cannot store them: do not close the page/)).toBeVisible();
    const asked = page.waitForEvent('dialog');
    void page.close({ runBeforeUnload: true });
    const dialog = await asked;
    expect(dialog.type()).toBe('beforeunload');
    await dialog.dismiss();
    // Nothing was lost: with signal it goes.
    await page.unroute('**/api/sync');
    await tryAgain(page);
    await everythingSent(page, lesson.id, 1);
});
