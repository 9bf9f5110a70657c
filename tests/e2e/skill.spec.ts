import { expect, test, type Page } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, signIn } from './support';

interface Cell {
    routine: string;
    step: string;
    estimate: number;
    said: string | null;
}

const learnerNamed = async (page: Page, name: string) =>
    (await api<{ id: string; name: string }[]>(page, 'learners')).find((one) => one.name.startsWith(name))!.id;
const cell = async (page: Page, learner: string, routine: string, step: string) =>
    (await api<{ cells: Cell[] }>(page, `learners/${learner}/skill`)).cells.find((one) => one.routine === routine && one.step === step)!;

test('overrule a square with a reason: both are kept, and it can be taken back', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/');
    const learner = await learnerNamed(page, 'Sol');
    const before = await cell(page, learner, 'emerge-right', 'speed');
    await page.goto(`/learners/${learner}`);
    // Main thing to improve opens the marks that say so.
    await page.getByRole('region', { name: 'Main thing to improve' }).getByRole('button').first().click();
    await expect(page.getByRole('region', { name: 'The marks' }).getByRole('listitem')).not.toHaveCount(0);
    await page.keyboard.press('Escape');
    const square = page.getByRole('button', { name: /^Emerge right, Speed:/ });
    await square.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'The marks' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(square).toBeFocused();
    await square.click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('button', { name: 'nearly always' }).click();
    await sheet.getByRole('button', { name: 'Keep my word' }).click();
    await expect(sheet.getByRole('alert')).toContainText('Say why');
    await sheet.getByLabel('Reason').fill('The gates were closed for roadworks.');
    await sheet.getByRole('button', { name: 'Keep my word' }).click();
    await expect(sheet.getByText('The gates were closed for roadworks.')).toBeVisible();
    await expect(sheet.getByText(/Without your correction/)).toBeVisible();
    expect((await cell(page, learner, 'emerge-right', 'speed')).estimate).toBeGreaterThan(before.estimate);
    await sheet.getByRole('button', { name: 'Take back' }).click();
    await expect(sheet.getByText(/taken back/)).toBeVisible();
    await expect(sheet.getByText(/Without your correction/)).toBeHidden();
    expect((await cell(page, learner, 'emerge-right', 'speed')).estimate).toBeCloseTo(before.estimate, 2);
    expect(heard).toEqual([]);
});

test('conditions said in Drive go with the round and on to the next, and can be put right', async ({ page }) => {
    await page.goto('/');
    const { lessons } = await api<{ lessons: { id: string; state: string }[] }>(page, 'today');
    const lesson = lessons.filter((one) => one.state === 'booked').at(-1)!.id;
    const rounds = async () =>
        (await api<{ rounds: { conditions: object; marks: { kind: string; conditions: object | null }[] }[] }>(page, `lessons/${lesson}`)).rounds;
    const already = (await rounds()).length;
    await page.goto(`/lessons/${lesson}/drive`);
    const say = async (...names: string[]) => {
        await page.getByRole('button', { name: /^Conditions/ }).click();
        for (const name of names) {
            const key = page.getByRole('dialog').getByRole('button', { name, exact: true });
            // A second press would take it back.
            if ((await key.getAttribute('aria-pressed')) !== 'true') await key.click();
        }
        await page.getByRole('button', { name: 'Done' }).click();
    };
    await say('busy', 'night');
    await page.getByRole('button', { name: 'All without help' }).click();
    await page.getByRole('button', { name: 'Next attempt' }).click();
    await page.getByRole('button', { name: 'All without help' }).click();
    await expect
        .poll(async () => (await rounds()).slice(already).map((round) => round.conditions))
        .toEqual([expect.objectContaining({ traffic: 'busy', light: 'night' }), expect.objectContaining({ traffic: 'busy', light: 'night' })]);
    // Said after the round began: beside what it began with, never over it; Undo puts it back.
    await say('ice');
    await expect(page.getByRole('button', { name: /Conditions: busy · night · ice/ })).toBeVisible();
    await expect
        .poll(async () =>
            (await rounds())
                .at(-1)!
                .marks.filter((mark) => mark.kind === 'conditions')
                .map((mark) => mark.conditions),
        )
        .toEqual([expect.objectContaining({ surface: 'ice' })]);
    expect((await rounds()).at(-1)!.conditions).not.toHaveProperty('surface', 'ice');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: /Conditions: busy · night(?! · ice)/ })).toBeVisible();
    // The debrief says by how much the lesson changed the record.
    await page.getByRole('link', { name: 'Debrief' }).click();
    await expect(page.getByRole('region', { name: 'Progress today' }).getByRole('listitem').first()).toContainText(/→|first|as before|a little/);
});

test('the plan says what the record asks for, and one press looks for a place that shows it', async ({ page }) => {
    await page.goto('/');
    const { next } = await api<{ next: { id: string } }>(page, 'today');
    await page.goto(`/lessons/${next.id}/plan`);
    await page.getByText(/^What to work on/).click();
    const wanted = page.getByRole('region', { name: 'Needs most help' }).getByRole('button').first();
    const routine = (await wanted.innerText()).split('\n')[0]!.split(', ').slice(1).join(', ');
    await wanted.click();
    await expect(page.getByLabel('Search places')).toHaveValue(new RegExp(routine, 'i'));
    const found = page.getByRole('dialog').getByRole('listitem');
    const name = (await found.first().innerText()).split('\n')[0]!;
    await found.first().getByRole('button').click();
    await expect(page.getByRole('list', { name: 'In order' })).toContainText(name);
});

test('the school: everybody at a glance, brought up to date by itself, and what is taught worst, why and where', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/school');
    const names = page.getByRole('region', { name: 'Learners at a glance' }).getByRole('rowheader');
    await expect(names).not.toHaveCount(0);
    await expect(page.getByText('being worked out')).toHaveCount(0);
    await expect(page.getByText('being brought up to date')).toHaveCount(0);
    const all = await names.count();
    expect(all).toBeGreaterThan(10);
    await page.getByLabel('Search learners').fill('orla');
    await expect(names).toHaveCount(1);
    await page.getByLabel('Search learners').fill('');
    await page.getByLabel('Order').selectOption('who needs most help');
    await expect(names).toHaveCount(all);
    const figures = (await page.getByRole('region', { name: 'Learners at a glance' }).locator('td:nth-child(7) .font-display').allInnerTexts()).map(Number);
    expect(figures).toEqual([...figures].sort((a, b) => a - b));
    for (const [view, text] of [
        ['Routines', 'Never taught to anybody'],
        ['Why help is needed', 'Possible cause one step earlier'],
        ['Where it goes wrong', 'Same routine elsewhere'],
    ] as const) {
        await page.getByRole('button', { name: view }).click();
        await expect(
            page
                .getByRole('columnheader', { name: text })
                .or(page.getByRole('heading', { name: text }))
                .first(),
        ).toBeVisible();
        await expectSound(page, view);
    }
    expect(heard).toEqual([]);
});

test('the owner sees how well the records foretell, how each instructor marks, and on a record whether to rely on it', async ({ browser }) => {
    const page = await (await browser.newContext({ storageState: { cookies: [], origins: [] } })).newPage();
    await signIn(page, { email: 'owner@harbourschool.test', password: 'demo-harbour' });
    // A record that is read is held against what came.
    await page.goto('/learners');
    await page
        .getByRole('link', { name: /Ada Finnemore/ })
        .first()
        .click();
    await expect(page.getByText(/\d+ marks in \d+ lessons/)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Timid or bold' })).toBeVisible();
    await expectNoAxeFinding(page, 'a record that is relied on');
    await page.goto('/school');
    await page.getByRole('button', { name: 'How well it foretells' }).press('Enter');
    await expect(page.getByRole('heading', { name: 'Foretold, and come' })).toBeVisible();
    expect(await page.getByRole('table').getByRole('row').count()).toBeGreaterThan(2);
    await expect(page.getByRole('heading', { name: 'Not to be relied on just now' })).toBeVisible();
    await expectNoAxeFinding(page, 'how well it foretells');
    await expectSound(page, 'how well it foretells');
    await page.setViewportSize({ width: 390, height: 844 });
    await expectSound(page, 'how well it foretells on a phone');
    await page.context().close();
});

test('the record in plain words prints on one sheet, in words and without figures of chance', async ({ page }) => {
    await page.goto('/');
    await page.goto(`/learners/${await learnerNamed(page, 'Mirela')}/words`);
    await expect(page.getByRole('heading', { name: 'Work on this next' })).toBeVisible();
    const text = await page.getByRole('article').innerText();
    expect(text).not.toMatch(/in 100|%|estimate of|logit/);
    // Two pages of a PDF would be two page objects.
    const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
});

test('the field of ink prints whole, in black and white', async ({ page }) => {
    await page.goto('/');
    const learner = await learnerNamed(page, 'Mirela');
    // A4 within its margins, at 96 dots to the inch.
    await page.setViewportSize({ width: 710, height: 1000 });
    await page.emulateMedia({ media: 'print' });
    await page.goto(`/learners/${learner}`);
    const field = page.getByRole('region', { name: 'Routines by steps' });
    await expect(field.getByRole('button', { name: /, Look:/ })).not.toHaveCount(0);
    expect(await field.evaluate((region) => region.scrollWidth - region.clientWidth)).toBeLessThanOrEqual(0);
    const outside = await field
        .getByRole('button')
        .evaluateAll((squares) => squares.filter((square) => square.scrollWidth > square.clientWidth + 1).map((square) => square.textContent));
    expect(outside).toEqual([]);
    const inks = await field
        .locator('rect')
        .evaluateAll((squares) => [...new Set(squares.map((square) => getComputedStyle(square).fill))].filter((fill) => fill.startsWith('rgb')));
    expect(inks).toEqual(['rgb(0, 0, 0)']);
    await expectSound(page, 'the record on paper');
});
