import { readFile, writeFile } from 'node:fs/promises';
import { expect, test as plain, type BrowserContext, type Page } from '@playwright/test';
import { api, complaints, everythingSent, expectNoAxeFinding, expectSound, newLesson, signIn, tomorrow, waitingOnDevice, type Lesson } from './support';

/** A browser of its own, as a new device: what one test keeps on it no other finds. */
const test = plain.extend<{ device: BrowserContext; publish: (more: string) => Promise<void> }>({
    device: async ({ browser, storageState }, lend) => {
        const context = await browser.newContext({ serviceWorkers: 'allow', storageState });
        await lend(context);
        await context.close();
    },
    /** Another version of the worker lies on the server until the test ends: the same with something more. */
    publish: async ({}, lend) => {
        // What the servers serve may be a copy of the code.
        const file = `${process.env.NOBLE_TURN_SERVED ?? '.'}/public/sw.js`;
        const before = await readFile(file, 'utf8');
        await lend((more) => writeFile(file, `${before}\n${more}\n`));
        await writeFile(file, before);
    },
});

/** Whether the worker of the published version is the one that opens this page. */
const isNext = (page: Page): Promise<boolean> =>
    page.evaluate(
        () =>
            new Promise<boolean>((answer) => {
                const line = new MessageChannel();
                line.port1.onmessage = () => answer(true);
                setTimeout(() => answer(false), 500);
                navigator.serviceWorker.controller?.postMessage('which', [line.port2]);
            }),
    );

const OWNER = { email: 'owner@harbourschool.test', password: 'demo-harbour' };

const line = (page: Page, text: string | RegExp) => page.getByRole('status').getByText(text).locator('visible=true');

/** What is kept on the device, question by question. */
const kept = (page: Page): Promise<string[]> =>
    page.evaluate(async () => {
        if (!(await indexedDB.databases()).some((known) => known.name === 'noble-turn-copies')) return [];
        const asked = <T>(request: IDBRequest<T>) => new Promise<T>((done) => (request.onsuccess = () => done(request.result)));
        const db = await asked(indexedDB.open('noble-turn-copies'));
        const keys = await asked(db.transaction('copies').objectStore('copies').getAllKeys());
        db.close();
        return keys.map((key) => (key as string[]).join(' '));
    });

/** Until the pages open without signal and the page says that what these lessons need lies on the device. */
async function packed(page: Page, ...lessons: Lesson[]): Promise<void> {
    await page.evaluate(() => navigator.serviceWorker.ready);
    await expect(async () => {
        await page.goto('/');
        await expect(page.getByText(/^Today and tomorrow are on this device as of/)).toBeVisible({ timeout: 60_000 });
        const all = (await kept(page)).join('\n');
        for (const { id } of lessons) expect(all).toContain(`["lesson","${id}","changed"]`);
    }).toPass({ timeout: 150_000 });
}

test('opens from cold without signal: the day, a lesson with its three faces, the record, the cards; and says how old it is', async ({ device }) => {
    const first = await device.newPage();
    const lesson = await newLesson(first, tomorrow(), 0, 30);
    await packed(first, lesson);
    await first.close();
    await device.setOffline(true);
    const page = await device.newPage();
    const heard = complaints(page, /ERR_INTERNET_DISCONNECTED/);
    await page.goto('/');
    await expect(line(page, /^No signal: what is shown is as of/)).toBeVisible();
    await expect(page.getByRole('list', { name: 'The day' })).toBeVisible();
    await expectSound(page, 'Today without signal');
    await expectNoAxeFinding(page, 'Today without signal');
    await page.goto('/week');
    await expect(page.getByRole('group', { name: 'Week as a time line' }).getByRole('button').first()).toBeVisible();
    await page.goto(`/lessons/${lesson.id}/plan`);
    await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
    await expect(page.getByText(/min are driving from place to place/)).toBeVisible();
    await page.getByRole('link', { name: 'Drive', exact: true }).click();
    await page.getByRole('button', { name: 'The way on, time left' }).click();
    await expect(
        page
            .getByRole('dialog')
            .getByText(/before the line|before setting off/)
            .first(),
    ).toBeVisible();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Signal missed' }).click();
    await page.getByRole('button', { name: 'The rest without help' }).click();
    await expect(line(page, /5 marks on this device, not yet sent/)).toBeVisible();
    await page.getByRole('link', { name: 'Debrief' }).click();
    await expect(page.getByRole('heading', { name: 'The rounds' })).toBeVisible();
    await page.getByRole('heading', { level: 1 }).getByRole('link').click();
    await expect(page.getByRole('heading', { name: 'Record' }).or(page.getByRole('region').first())).toBeVisible();
    await page.goto('/routines/emerge-left');
    await expect(page.getByRole('heading', { name: 'Emerge left' })).toBeVisible();
    // A page that was never fetched says so and comes by itself.
    await page.goto('/bench/overtake');
    await expect(
        page
            .getByRole('alert')
            .or(page.getByText(/not on this device|cannot be reached/))
            .first(),
    ).toBeVisible();
    expect(heard).toEqual([]);
    await device.setOffline(false);
    await everythingSent(page, lesson.id, 1);
    await expect(page.getByText('No signal', { exact: false })).toHaveCount(0, { timeout: 40_000 });
    await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a day of five lessons without signal, from cold: each driven and debriefed, and all of it arrives, in order, once', async ({ device }) => {
    const first = await device.newPage();
    const lessons: Lesson[] = [];
    for (let i = 0; i < 5; i++) lessons.push(await newLesson(first, tomorrow(), 0, 30));
    await packed(first, ...lessons);
    await first.close();
    await device.setOffline(true);
    for (const lesson of lessons) {
        // Every lesson begins with a tablet that was switched off.
        const page = await device.newPage();
        await page.goto(`/lessons/${lesson.id}/drive`);
        await page.getByRole('button', { name: 'All without help' }).click();
        await page.getByRole('button', { name: 'Next attempt' }).click();
        await page.getByRole('button', { name: 'Look missed', exact: true }).click();
        await page.reload();
        await expect(page.getByRole('button', { name: 'Look missed', exact: true })).toHaveAttribute('aria-pressed', 'true');
        await page.getByRole('button', { name: 'Undo' }).click();
        await page.getByRole('button', { name: 'Look prompted', exact: true }).click();
        await page.getByRole('link', { name: 'Debrief' }).click();
        await expect(page.getByRole('heading', { name: 'The rounds' })).toBeVisible();
        // The debrief is written as with signal; what is written is there again after a reload.
        await page.getByLabel('One thing that went well').fill('Looked both ways');
        await page.getByLabel('One thing that went well').blur();
        await page.getByRole('region', { name: 'To practise' }).getByRole('textbox').fill('Say the mirrors aloud');
        await page.getByRole('region', { name: 'To practise' }).getByRole('textbox').press('Enter');
        await expect(page.getByRole('region', { name: 'To practise' }).getByRole('listitem')).toHaveText(/Say the mirrors aloud/);
        await page.reload();
        await expect(page.getByLabel('One thing that went well')).toHaveValue('Looked both ways');
        await expect(page.getByRole('region', { name: 'To practise' }).getByRole('listitem')).toHaveText(/Say the mirrors aloud/);
        await page.getByRole('button', { name: 'Close the lesson' }).click();
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        await page.close();
    }
    await device.setOffline(false);
    const page = await device.newPage();
    await page.goto('/');
    for (const lesson of lessons) {
        await everythingSent(page, lesson.id, 2);
        const { rounds } = await api<Lesson>(page, `lessons/${lesson.id}`);
        expect(rounds.map((round) => round.marks.filter((mark) => !mark.withdrawn).length)).toEqual([5, 2]);
        const ids = rounds.flatMap((round) => round.marks.map((mark) => mark.id));
        expect(new Set(ids).size).toBe(ids.length);
        await expect
            .poll(async () => {
                const said = await api<{ state: string; went_well: string; promises: { text: string }[] }>(page, `lessons/${lesson.id}`);
                return [said.state, said.went_well, said.promises.map((promise) => promise.text)];
            })
            .toEqual(['done', 'Looked both ways', ['Say the mirrors aloud']]);
    }
});

test('two tabs of one lesson show each other’s presses without signal, and send each of them once', async ({ browser, storageState }) => {
    // Without the worker: what goes through one cannot be read here.
    const device = await browser.newContext({ storageState });
    const one = await device.newPage();
    const lesson = await newLesson(one);
    await one.goto(`/lessons/${lesson.id}/drive`);
    const two = await device.newPage();
    await two.goto(`/lessons/${lesson.id}/drive`);
    await expect(two.getByText('Round 1 new')).toBeVisible();
    await device.setOffline(true);
    await one.getByRole('button', { name: 'All without help' }).click();
    await expect(two.getByRole('region', { name: 'Rounds of this lesson' }).getByRole('listitem')).toHaveCount(1);
    await two.getByRole('button', { name: 'Speed missed', exact: true }).click();
    await expect(one.getByRole('region', { name: 'Rounds of this lesson' }).getByRole('listitem')).toHaveCount(2);
    const sent: string[] = [];
    await device.route('**/api/sync', async (route) => {
        sent.push(...(route.request().postDataJSON() as { marks: { id: string }[] }).marks.map((mark) => mark.id));
        await route.continue();
    });
    await device.setOffline(false);
    await everythingSent(one, lesson.id, 2);
    await expect.poll(() => sent.length).toBe(6);
    expect(new Set(sent).size).toBe(6);
    // What has arrived is still there for a page that opens before it has read the server again.
    await expect(two.getByText('not yet sent')).toHaveCount(0);
    await device.close();
});

test('what one person was shown is gone when they sign out, with or without signal; their marks wait for them alone', async ({ browser }) => {
    // Signing in and out belongs to the path: its session is its own.
    const device = await browser.newContext({ serviceWorkers: 'allow', storageState: { cookies: [], origins: [] } });
    const page = await device.newPage();
    await signIn(page);
    const lesson = await newLesson(page, tomorrow(), 0, 30);
    await packed(page, lesson);
    const name = (await api<{ learner: { name: string } }>(page, `lessons/${lesson.id}`)).learner.name;
    await page.goto(`/lessons/${lesson.id}/drive`);
    await expect(page.getByText('Round 1 new')).toBeVisible();
    await device.setOffline(true);
    await page.getByRole('button', { name: 'Look missed', exact: true }).click();
    await page.getByRole('link', { name: 'Account' }).click();
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    expect(await kept(page)).toEqual([]);
    await expect(page.getByText('Marks wait on this device to be sent.')).toBeVisible();
    // Nothing of them is to be had from here, by any address.
    for (const address of ['/', `/lessons/${lesson.id}/plan`, '/learners', '/unsent']) {
        await page.goto(address);
        await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
        await expect(page.getByText(name)).toHaveCount(0);
    }
    // With signal the server hears of it before anybody is let in.
    await device.setOffline(false);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await signIn(page, OWNER);
    await page.goto('/');
    await expect.poll(async () => (await kept(page)).length).toBeGreaterThan(0);
    expect((await api<Lesson>(page, `lessons/${lesson.id}`)).rounds).toEqual([]);
    expect(await waitingOnDevice(page)).toBeGreaterThan(0);
    await page.goto('/unsent');
    await expect(page.getByText('Everything is sent')).toBeVisible();
    expect((await kept(page)).some((question) => question.includes(lesson.id))).toBe(false);
    await page.goto('/account');
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    await signIn(page);
    await everythingSent(page, lesson.id, 1);
    await device.close();
});

test('a newer version is said and not taken in the middle of a lesson; it is taken when the pages are left, and the marks that wait go with it', async ({
    device,
    publish,
}) => {
    const page = await device.newPage();
    // Marks alone do not go: what passes through the worker cannot be held up from outside.
    await page.addInitScript(() => {
        const ask = window.fetch.bind(window);
        window.fetch = (...what) =>
            localStorage.getItem('no-sync') && (what[0] as Request).url.endsWith('/api/sync') ? Promise.reject(new TypeError('no signal')) : ask(...what);
    });
    const lesson = await newLesson(page, tomorrow(), 0, 30);
    await packed(page, lesson);
    await page.goto(`/lessons/${lesson.id}/drive`);
    await page.evaluate(() => localStorage.setItem('no-sync', '1'));
    await page.getByRole('button', { name: 'Look missed', exact: true }).click();
    await expect(line(page, /1 mark on this device, not yet sent/)).toBeVisible();
    await publish(`self.addEventListener('message', (event) => event.data === 'which' && event.ports[0].postMessage('next'));`);
    // Said once all of it is fetched. A browser joins a look to one it has begun before, which may have read the version of before.
    await expect(async () => {
        await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
        await expect(line(page, /A newer version is here/)).toBeVisible({ timeout: 10_000 });
    }).toPass({ timeout: 90_000 });
    await page.getByRole('button', { name: 'Speed reminded', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Speed reminded', exact: true })).toHaveAttribute('aria-pressed', 'true');
    expect(await isNext(page)).toBe(false);
    // Taken when a page is left for another and no other is open: the browser may wait until the old version has nothing to do.
    await page.close();
    const after = await device.newPage();
    await after.goto('/learners');
    await expect(async () => {
        await after.getByRole('link', { name: 'Places', exact: true }).click();
        await after.getByRole('link', { name: 'Learners', exact: true }).click();
        expect(await isNext(after)).toBe(true);
    }).toPass({ intervals: [2_000] });
    await after.goto(`/lessons/${lesson.id}/drive`);
    await everythingSent(after, lesson.id, 1);
    const [driven] = (await api<Lesson>(after, `lessons/${lesson.id}`)).rounds;
    expect(driven!.marks.map((mark) => `${mark.step} ${mark.outcome}`).sort()).toEqual(['look missed', 'speed reminded']);
});
