import { readFileSync } from 'node:fs';
import { expect, test, type BrowserContext, type Page } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, send, signIn } from './support';

/* What the owner of a school does for its people and its learners: whole ways, each as somebody goes it. */
test.describe.configure({ mode: 'serial' });

const OWNER = { email: 'owner@harbourschool.test', password: 'demo-harbour' };
const NEW = { name: 'Jorun Vestergaard-Lindqvist of the Upper Quay', email: 'jorun@harbourschool.test', password: 'three old boats' };

let owner: Page;
let newcomer: BrowserContext;
let found: string[];

test.beforeAll(async ({ browser }) => {
    owner = await (await browser.newContext({ storageState: { cookies: [], origins: [] } })).newPage();
    found = complaints(owner);
    await signIn(owner, OWNER);
    newcomer = await browser.newContext({ storageState: { cookies: [], origins: [] } });
});
test.afterAll(async () => {
    // What was refused on purpose was complained of, and nothing else.
    expect(found.filter((text) => !/422/.test(text))).toEqual([]);
    await owner.context().close();
    await newcomer.close();
});

const people = async (): Promise<void> => {
    await owner.goto('/school/people');
    await expect(owner.getByRole('button', { name: 'Invite somebody' })).toBeVisible();
};
const row = (name: string) => owner.getByRole('listitem').filter({ hasText: name });
/** The link of the newest letter to somebody, as the owner reads it in the outbox. */
async function letterTo(name: string): Promise<string> {
    await owner.goto('/school/people?show=letters');
    const letter = owner
        .getByRole('listitem')
        .filter({ hasText: `to ${name}` })
        .first();
    await expect(letter.getByRole('button', { name: /^Copy/ })).toBeVisible();
    return /https?:\/\/\S+\/way-in#\S+/.exec(await letter.innerText())![0];
}
/** As it is opened here, whatever name the installation is known by. */
const opened = (link: string): string => link.replace(/^https?:\/\/[^/]+/, '');

test('somebody is invited, comes in for the first time, and cannot come in by the same letter twice', async () => {
    await owner.goto('/school');
    await owner.getByRole('link', { name: 'People and privacy' }).click();
    await owner.getByRole('button', { name: 'Invite somebody' }).click();
    await owner.getByLabel('Name', { exact: true }).fill(NEW.name);
    await owner.getByLabel('Email').fill(OWNER.email);
    await owner.getByRole('button', { name: 'Write the invitation' }).click();
    await expect(owner.getByText(/email has already been taken/)).toBeVisible();
    await owner.getByLabel('Email').fill(NEW.email);
    await owner.keyboard.press('Enter');
    await expect(owner.getByText(/invites you to Noble Turn/)).toBeVisible();
    const link = opened(await letterTo(NEW.name));
    await expectNoAxeFinding(owner, 'letters');

    const page = await newcomer.newPage();
    const theirs = complaints(page);
    await page.goto(link);
    await expect(page.getByRole('heading', { name: 'Choose your password' })).toBeVisible();
    await expectNoAxeFinding(page, 'way in');
    await page.getByRole('textbox', { name: 'Password' }).fill('1234567890');
    await page.getByRole('button', { name: 'Choose it and come in' }).click();
    await expect(page.getByRole('alert')).toBeVisible();
    await page.getByRole('textbox', { name: 'Password' }).fill(NEW.password);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
    await expect(page).toHaveURL('/');
    // Refused once on the way: that alone was complained of.
    expect(theirs.filter((text) => !/422/.test(text))).toEqual([]);
    await page.goto('/school/people');
    await expect(page.getByRole('heading', { name: 'Not yours to open' })).toBeVisible();
    const again = await owner
        .context()
        .browser()!
        .newContext({ storageState: { cookies: [], origins: [] } });
    const late = await again.newPage();
    await late.goto(link);
    await late.getByRole('textbox', { name: 'Password' }).fill('three new boats');
    await late.keyboard.press('Enter');
    await expect(late.getByText(/has been used, is too old/)).toBeVisible();
    await again.close();
    await people();
    await expect(row(NEW.name)).not.toContainText('has not joined yet');
});

test('a forgotten password comes back through the outbox, by keyboard alone', async ({ browser }) => {
    const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
    const page = await context.newPage();
    await page.goto('/');
    await page.getByRole('button', { name: 'Forgotten the password?' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Email')).toBeFocused();
    await page.keyboard.type(NEW.email);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status')).toContainText('outbox of your school');
    await expectNoAxeFinding(page, 'forgotten');
    await page.goto(opened(await letterTo(NEW.name)));
    await expect(page.getByRole('textbox', { name: 'Password' })).toBeFocused();
    await page.keyboard.type('four older boats');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
    // Wherever else they were signed in, they are no longer.
    const [before] = newcomer.pages();
    await before!.goto('/');
    await expect(before!.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await page.goto('/account');
    await expect(page.getByText('this device · from')).toBeVisible();
    await context.close();
});

test('a leaving instructor’s lessons are handed over with their clashes said, and they are suspended', async ({ page }) => {
    await people();
    // The instructor of the whole demo week has lessons on top of each other with nobody new.
    const before = (await api<{ people: { id: string; name: string; lessons_ahead: number }[] }>(owner, 'people')).people;
    const leaving = before.find((person) => person.name === 'Odile Marchetti')!;
    expect(leaving.lessons_ahead).toBeGreaterThan(0);
    // Whatever the hour: the other one has a lesson at the time of the first that would come over.
    const { learners } = await api<{ learners: { next_at: string }[] }>(owner, `people/${leaving.id}/lessons-ahead`);
    await page.goto('/');
    await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
    const pupil = await send<{ id: string }>(page, 'learners', { name: 'Somebody new', transmission: 'manual', level: 'beginner' });
    const car = { name: 'A spare car', transmission: 'manual', controls: 'standard', length_m: 4, width_m: 1.8 };
    const vehicle = await send<{ id: string }>(page, 'vehicles', car);
    // Refused, they have one then already.
    await send(page, 'lessons', { learner_id: pupil.id, vehicle_id: vehicle.id, starts_at: learners[0]!.next_at, minutes: 60 });
    await row('Odile Marchetti').getByRole('button', { name: 'Hand over' }).click();
    const sheet = owner.getByRole('dialog');
    await sheet.getByLabel('To').selectOption({ label: 'Ansel Thorpe' });
    await expect(sheet.getByText(/would overlap/)).toBeVisible();
    await sheet.getByLabel('To').selectOption({ label: NEW.name });
    await expect(sheet.getByText(/would overlap/)).toHaveCount(0);
    await expectNoAxeFinding(owner, 'hand over');
    // Chosen learner by learner.
    await sheet.getByRole('checkbox').first().uncheck();
    await expect(sheet.getByRole('button', { name: 'Choose whose lessons' })).toBeDisabled();
    await sheet.getByRole('checkbox').first().check();
    await sheet.getByRole('button', { name: /^Hand over \d+ lesson/ }).click();
    await expect(owner.getByText(/handed over to Jorun/)).toBeVisible();
    await expect(row(NEW.name)).toContainText(`${leaving.lessons_ahead} lesson`);
    await row('Odile Marchetti').getByRole('button', { name: 'Suspend' }).click();
    await expect(row('Odile Marchetti')).toContainText('suspended');
    await owner.getByRole('button', { name: 'Undo' }).click();
    await expect(row('Odile Marchetti')).not.toContainText('suspended');
    // And back again, as the other tests know it.
    await row(NEW.name).getByRole('button', { name: 'Hand over' }).click();
    await sheet.getByLabel('To').selectOption({ label: 'Odile Marchetti' });
    await sheet.getByRole('button', { name: /^Hand over \d+ lesson/ }).click();
    await expect(row('Odile Marchetti')).toContainText(`${leaving.lessons_ahead} lesson`);
    await owner.goto('/school/people?show=changes');
    await expect(owner.getByText(/Maud Rennick handed \d+ of Odile Marchetti’s lessons over to Jorun/)).toBeVisible();
    await expectNoAxeFinding(owner, 'changes');
});

test('what a colleague archives is seen by the owner, and brought back', async ({ page }) => {
    await page.goto('/learners');
    await page.getByRole('link', { name: /Gus Pellow/ }).click();
    await page.getByRole('button', { name: 'Archive' }).click();
    await expect(page.getByText(/is archived/)).toBeVisible();
    await page.getByText(/^Archived \(\d+\)$/).click();
    await expect(page.getByText(/by Ansel Thorpe/)).toBeVisible();
    await owner.goto('/school/people?show=changes');
    await owner.getByRole('button', { name: 'Bring Gus Pellow back' }).click();
    await expect(owner.getByText('Gus Pellow is back.')).toBeVisible();
    await expect(owner.getByText('Maud Rennick brought the learner Gus Pellow back.')).toBeVisible();
    await page.reload();
    await expect(page.getByRole('link', { name: /Gus Pellow/ })).toBeVisible();
});

test('all that is kept of a learner is read, saved as a file and printed; then the learner is erased', async () => {
    await owner.goto('/learners');
    await owner.getByRole('button', { name: 'New learner' }).click();
    await owner.getByLabel('Name', { exact: true }).fill('Wanda Wren');
    await owner.getByLabel('Telephone').fill('0100 200300');
    await owner.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(owner.getByRole('heading', { name: 'Wanda Wren' })).toBeVisible();
    await owner.getByRole('link', { name: 'All that is kept' }).click();
    await expect(owner.getByRole('heading', { name: 'What is kept of Wanda Wren' })).toBeVisible();
    await expect(owner.getByText('0100 200300')).toBeVisible();
    await expectNoAxeFinding(owner, 'all that is kept');
    const [file] = await Promise.all([owner.waitForEvent('download'), owner.getByRole('button', { name: 'Save as a file' }).click()]);
    const saved = JSON.parse(readFileSync(await file.path(), 'utf8')) as { format: string; learner: { phone: string } };
    expect([saved.format, saved.learner.phone, file.suggestedFilename()]).toEqual([
        'noble-turn-learner-data/3',
        '0100 200300',
        expect.stringMatching(/^Wanda-Wren-\d{4}-\d{2}-\d{2}\.json$/),
    ]);
    await owner.emulateMedia({ media: 'print' });
    await expect(owner.getByRole('button', { name: 'Print' })).toBeHidden();
    await owner.emulateMedia({ media: 'screen' });
    await owner.getByRole('button', { name: 'Erase this learner' }).click();
    const sheet = owner.getByRole('dialog');
    await expect(sheet.getByRole('button', { name: 'Erase Wanda Wren' })).toBeDisabled();
    await sheet.getByLabel(/Type the name/).fill('Wanda Wren');
    await expectNoAxeFinding(owner, 'erase');
    await sheet.getByRole('button', { name: 'Erase Wanda Wren' }).click();
    await expect(owner.getByText(/The learner is erased/)).toBeVisible();
    await expect(owner.getByRole('link', { name: /Wanda Wren/ })).toHaveCount(0);
    await owner.goto('/school/people?show=changes');
    await expect(owner.getByText('Maud Rennick erased a learner.')).toBeVisible();
    await expect(owner.getByText('Wanda')).toHaveCount(0);
});

test('how long learners are kept is set, whoever goes soon is told, and can be kept longer', async () => {
    await owner.goto('/school/people?show=keeping');
    await owner.getByLabel('Months to keep learners').fill('12');
    await owner.getByLabel('Months to keep minors').fill('24');
    await owner.getByRole('button', { name: 'Save' }).click();
    await expect(owner.getByText('Minors are never kept longer than others.')).toBeVisible();
    await owner.getByLabel('Months to keep minors').fill('1');
    await owner.getByRole('button', { name: 'Save' }).click();
    await expect(owner.getByText('Saved.')).toBeVisible();
    await expectNoAxeFinding(owner, 'keeping');
    const keep = owner.getByRole('button', { name: /^Keep .* a year longer$/ });
    await expect(keep.first()).toBeVisible();
    const count = await keep.count();
    await keep.first().click();
    await expect(keep).toHaveCount(count - 1);
    await owner.getByRole('button', { name: 'Undo' }).click();
    await expect(keep).toHaveCount(count);
    for (const label of ['Months to keep learners', 'Months to keep minors']) await owner.getByLabel(label).fill('');
    await owner.getByRole('button', { name: 'Save' }).click();
    await expect(keep).toHaveCount(0);
});

test('the owner’s screens fit a phone and a wide desk, and show nothing broken', async () => {
    for (const width of [390, 640, 1600]) {
        await owner.setViewportSize({ width, height: 844 });
        for (const path of ['/school/people', '/school/people?show=letters', '/school/people?show=changes', '/school/people?show=keeping', '/account']) {
            await owner.goto(path);
            await expect(owner.getByRole('heading', { level: 1 })).toBeVisible();
            await owner.waitForLoadState('networkidle');
            await expectSound(owner, `${path} at ${width}`);
        }
    }
    await owner.setViewportSize({ width: 1280, height: 800 });
});
