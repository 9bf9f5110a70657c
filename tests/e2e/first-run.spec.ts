import { expect, test, type Page } from '@playwright/test';
import { PAGES } from '../../resources/js/bench/pages';
import { api, complaints, expectNoAxeFinding, expectSound, signIn } from './support';

// The second test goes on with what the first has set up.
test.describe.configure({ mode: 'serial' });
const OWNER = { email: 'owner@breakwater.test', password: 'a-long-enough-password' };

test('an empty installation leads through school, owner, first car and first learner', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/');
    await expectNoAxeFinding(page, 'first run');
    await page.getByLabel('Name of the school').fill('Breakwater Tuition');
    await page.getByLabel('Time zone').selectOption('Europe/London');
    // By which rules is what the packs say of themselves, also one that this installation brought along.
    const packs = page.getByLabel('Rules of the road').locator('option');
    await expect(packs).toHaveText([
        'Great Britain: keep left, mph',
        'Ireland: keep left, km/h',
        'North America: keep right, mph',
        'Coastland: keep left, km/h',
    ]);
    await page.getByLabel('Your name').fill('Ottilie Marrack');
    await page.getByLabel('Your email').fill(OWNER.email);
    await page.getByLabel('Password').fill('short');
    await page.getByRole('button', { name: 'Set up the school' }).click();
    // The browser itself asks for ten characters: nothing was sent, nothing typed is lost.
    await expect(page.getByLabel('Name of the school')).toHaveValue('Breakwater Tuition');
    await page.getByLabel('Password').fill(OWNER.password);
    await page.getByRole('button', { name: 'Set up the school' }).click();
    await page.getByLabel('What you call it').fill('The green one');
    await expectSound(page, 'first car');
    await page.getByRole('button', { name: 'Keep the car' }).click();
    await page.getByLabel('Name').fill('Lucan Treverrow');
    await page.getByRole('button', { name: 'Keep the learner' }).click();
    // An empty day says what to do, and the first lesson can be booked at once.
    await expect(page.getByText('No lesson is booked')).toBeVisible();
    await expectNoAxeFinding(page, 'empty Today');
    await page.getByRole('button', { name: 'Book a lesson' }).click();
    await page.getByLabel('Learner').selectOption('Lucan Treverrow');
    await page.getByRole('button', { name: 'Book' }).last().click();
    await expect(page.getByText('No places yet')).toBeVisible();
    await expectNoAxeFinding(page, 'empty plan');
    // The first place is described on the spot and its plan opens.
    await page.getByRole('button', { name: 'Add a place' }).click();
    await page.getByLabel('Name').fill('Gull Street into Harbour Road');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByRole('slider', { name: 'Steps of the approach' })).toBeVisible();
    await page.getByRole('link', { name: 'Debrief' }).click();
    await expect(page.getByText('No rounds were marked in this lesson.')).toBeVisible();
    await expectNoAxeFinding(page, 'empty debrief');
    expect(heard).toEqual([]);
});

/** Every text of a page that somebody reads or hears, a piece for each element: names that users gave things are among them. */
async function said(page: Page): Promise<string[]> {
    return page.evaluate(() => {
        const own = (element: Element) => [...element.childNodes].filter((node) => node.nodeType === Node.TEXT_NODE).map((node) => node.textContent ?? '');
        const heard = ['aria-label', 'aria-valuetext', 'placeholder', 'title', 'alt'];
        return [...document.body.querySelectorAll('*')].flatMap((element) => [
            own(element).join(' '),
            ...heard.flatMap((name) => element.getAttribute(name) ?? []),
        ]);
    });
}

test('under a pack that no line of the product knows, every page speaks its words and its units', async ({ page }) => {
    test.setTimeout(600_000);
    const heard = complaints(page);
    await signIn(page, OWNER);
    await page.goto('/account/rules');
    await page
        .getByRole('combobox', { name: /^Rules/ })
        .first()
        .selectOption('coast');
    await page.getByRole('button', { name: /^Keep/ }).first().click();
    await expect.poll(async () => (await api<{ rules: { pack: string } }>(page, 'session')).rules.pack).toBe('coast');
    const { rules } = await api<{ rules: { words: Record<string, string>; routines: { code: string; title: string }[] } }>(page, 'session');
    // Hazards are met everywhere; only the lamps of that name have another word.
    const foreign = Object.keys(rules.words).filter((word) => word !== 'hazards');
    expect(foreign.length).toBeGreaterThan(25);
    const pattern = new RegExp(`(?<![\\w-])(${[...foreign, 'mph', 'miles?', '\\d ?ft', 'yd', 'Highway Code', 'MUTCD'].join('|')})(?![\\w-])`, 'i');
    const [learner] = await api<{ id: string }[]>(page, 'learners');
    const { next } = await api<{ next: { id: string } | null }>(page, 'today');
    const found: Record<string, string[]> = {};
    for (const address of [
        ...Object.keys(PAGES).map((tool) => `/bench/${tool}`),
        ...['/bench/reverse?exercise=ramp', '/bench/lanes?ring={"layout":"junction"}', '/bench/swept-path?way=s-bend'],
        ...rules.routines.map((routine) => `/routines/${routine.code}`),
        ...['/', '/learners', `/learners/${learner!.id}`, `/learners/${learner!.id}/words`, '/school', '/places', '/account', '/account/rules'],
        ...(next ? ['plan', 'kerb', 'sheet', 'drive', 'debrief'].map((face) => `/lessons/${next.id}/${face}`) : []),
    ]) {
        await page.goto(address);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        await page.waitForLoadState('networkidle');
        const strange = (await said(page)).filter((text) => pattern.test(text)).map((text) => text.trim().replace(/\s+/g, ' ').slice(0, 160));
        if (strange.length > 0) found[address] = [...new Set(strange)];
    }
    expect(found).toEqual({});
    expect(heard).toEqual([]);
});
