import { expect, test, type Page } from '@playwright/test';
import { api, complaints, everythingSent, expectNoAxeFinding, expectSound, keyTo, newLesson, type Lesson, type Round } from './support';

const round = (page: Page) => page.getByText(/^Round \d+/);
const outcomes = (found: Round) => found.marks.filter((mark) => !mark.withdrawn).map((mark) => `${mark.step ?? mark.kind} ${mark.outcome ?? ''}`.trim());

test('opens where the lesson is; a new visit begins a new round, an old one is added to on purpose only', async ({ page }) => {
    const heard = complaints(page);
    const lesson = await newLesson(page);
    const [first, second] = lesson.items;
    await page.goto(`/lessons/${lesson.id}/drive`);
    await expect(round(page)).toHaveText('Round 1 new');
    for (let i = 0; i < 3; i++) {
        await page.getByRole('button', { name: 'All without help' }).click();
        await page.getByRole('button', { name: 'Next attempt' }).click();
    }
    await page.getByLabel('Place', { exact: true }).selectOption(second!.id);
    await page.getByRole('button', { name: 'Position missed', exact: true }).click();
    await everythingSent(page, lesson.id, 4);
    // A reload in the middle of a round goes on with it.
    await page.reload();
    await expect(round(page)).toHaveText('Round 4');
    await expect(page.getByRole('button', { name: 'Position missed', exact: true })).toHaveAttribute('aria-pressed', 'true');
    // Coming back later: at the place where the lesson is, with a round of its own.
    await page.getByRole('link', { name: 'Debrief' }).click();
    await expect(page.getByRole('heading', { name: 'The rounds' })).toBeVisible();
    await page.getByRole('link', { name: 'Drive', exact: true }).click();
    await expect(round(page)).toHaveText('Round 5 new');
    await expect(page.getByLabel('Place', { exact: true })).toHaveValue(second!.id);
    // Back at the first place is a new visit: no press reaches its old rounds.
    await page.getByLabel('Place', { exact: true }).selectOption(first!.id);
    await page.getByRole('button', { name: 'Look prompted', exact: true }).click();
    await everythingSent(page, lesson.id, 5);
    // Adding to an old one is said, and left again in one press.
    await page.getByRole('button', { name: /^2\. / }).click();
    await expect(page.getByText(/^Adding to round 2,/)).toBeVisible();
    await page.getByRole('button', { name: 'Speed reminded', exact: true }).click();
    await page.getByRole('button', { name: 'Leave it, begin a new round' }).click();
    await expect(round(page)).toHaveText('Round 6 new');
    await expect.poll(async () => (await api<Lesson>(page, `lessons/${lesson.id}`)).rounds.map((one) => outcomes(one).length)).toEqual([5, 6, 5, 1, 1]);
    const { rounds } = await api<Lesson>(page, `lessons/${lesson.id}`);
    expect(outcomes(rounds[4]!)).toEqual(['look prompted']);
    // The last press was in round 2: undo takes it back there, and shows where.
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText(/^Adding to round 2,/)).toBeVisible();
    // Driving off from it is the way to the next round: what is marked then is not the old one's.
    await page.getByRole('button', { name: 'Driving' }).click();
    await expect(page.getByText(/^Round 6, /)).toBeVisible();
    await page.getByRole('button', { name: 'Parked', exact: true }).click();
    await page.getByRole('button', { name: /^2\. / }).click();
    await expect(page.getByRole('button', { name: 'Speed unaided', exact: true })).toHaveAttribute('aria-pressed', 'true');
    expect(heard).toEqual([]);
});

test('all unaided but one step, with its fault and what it did to others: four presses, found again in the debrief and behind the square', async ({ page }) => {
    const heard = complaints(page);
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    let presses = 0;
    const press = async (name: string | RegExp, within: Page | ReturnType<Page['getByRole']> = page) => {
        await within.getByRole('button', { name, exact: true }).click();
        presses += 1;
    };
    await press('Signal missed');
    const panel = page.getByRole('region', { name: 'What was wrong with signal' });
    await press('Too late', panel);
    await press('Others: Had to change', panel);
    await press('The rest without help');
    expect(presses).toBeLessThanOrEqual(4);
    await expect(panel).toBeHidden();
    await expect(page.getByRole('button', { name: 'What was wrong with signal' })).toHaveText('Too late · Had to change');
    await everythingSent(page, lesson.id, 1);
    await page.getByRole('link', { name: 'Debrief' }).click();
    await expect(page.getByRole('region', { name: 'What was seen' })).toContainText('Signal: too late');
    await expect(page.getByRole('region', { name: 'What was seen' })).toContainText('others: had to change');
    // On a phone the panel covers nothing that has to be pressed next: it goes when all is said, or by its own key.
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/lessons/${lesson.id}/drive`);
    await page.getByRole('button', { name: 'Look prompted', exact: true }).click();
    const look = page.getByRole('region', { name: 'What was wrong with look' });
    await expect(look).toBeInViewport({ ratio: 1 });
    for (const key of await look.getByRole('button').all()) {
        const box = (await key.boundingBox())!;
        expect(box.height).toBeGreaterThanOrEqual(48);
        expect(box.width).toBeGreaterThanOrEqual(48);
    }
    await expectSound(page, 'Drive, what was wrong');
    await look.getByRole('button', { name: 'Nothing more to say' }).click();
    await expect(look).toBeHidden();
    expect(heard).toEqual([]);
});

test('a hazard nobody planned: six presses from parked, told with its fault, and given a place afterwards', async ({ page }) => {
    const heard = complaints(page);
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    // Opening the list and choosing in it are two presses.
    await page.getByLabel('Place', { exact: true }).selectOption({ label: 'Somewhere else …' });
    const sheet = page.getByRole('dialog', { name: 'Somewhere else' });
    await expectSound(page, 'Somewhere else');
    await sheet.getByRole('button', { name: 'Pass parked vehicles', exact: true }).click();
    await page.getByRole('button', { name: 'Position missed', exact: true }).click();
    const panel = page.getByRole('region', { name: 'What was wrong with position' });
    await panel.getByRole('button', { name: 'Too near', exact: true }).click();
    await panel.getByRole('button', { name: 'Others: Could have been', exact: true }).click();
    await everythingSent(page, lesson.id, 1);
    const [driven] = (await api<Lesson>(page, `lessons/${lesson.id}`)).rounds;
    expect(outcomes(driven!)).toEqual(['position missed', 'position missed', 'position missed']);
    await page.getByLabel('At which place of ours it was').selectOption({ index: 1 });
    const name = await page.getByLabel('At which place of ours it was').locator('option:checked').innerText();
    await expect.poll(async () => (await api<Lesson & { rounds: { place: string }[] }>(page, `lessons/${lesson.id}`)).rounds[0]!.place).toBe(name);
    expect(heard).toEqual([]);
});

test('an undone round is gone from the list, and the marks of one press go in one undo after a reload', async ({ page }) => {
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    await page.getByRole('button', { name: 'All without help' }).click();
    await page.getByRole('button', { name: 'Next attempt' }).click();
    await page.getByRole('button', { name: 'All without help' }).click();
    await everythingSent(page, lesson.id, 2);
    await page.reload();
    const list = page.getByRole('region', { name: 'Rounds of this lesson' });
    await expect(list.getByRole('listitem')).toHaveCount(2);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(list.getByRole('listitem')).toHaveCount(1);
    await expect(page.getByRole('button', { name: 'All without help' })).toBeVisible();
    await expect.poll(async () => (await api<Lesson>(page, `lessons/${lesson.id}`)).rounds.map((one) => one.ordinal)).toEqual([1, null]);
    await page.getByRole('link', { name: 'Debrief' }).click();
    await expect(page.getByRole('columnheader')).toHaveCount(1);
});

test('no single key acts on the way to another page', async ({ page }) => {
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    await expect(round(page)).toBeVisible();
    // The page that is gone to is slow: until it stands, the keys belong to nobody.
    await page.route('**/AccountPage*.js', async (route) => {
        await new Promise((done) => setTimeout(done, 700));
        await route.continue();
    });
    await page.keyboard.press('.');
    await expect(page.getByRole('dialog', { name: 'Where to?' })).toBeVisible();
    await page.keyboard.press(keyTo('Account'));
    await page.keyboard.type('a1h');
    await expect(page.getByRole('heading', { name: 'Password' })).toBeVisible();
    await page.goto(`/lessons/${lesson.id}/drive`);
    await expect(round(page)).toHaveText('Round 1 new');
    // A letter looked for is no mark either.
    await page.keyboard.press('.');
    await page.keyboard.press('h');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'Correctly waited' })).toHaveAttribute('aria-pressed', 'false');
    // A key that is held down marks once.
    await page.keyboard.down('1');
    for (let i = 0; i < 4; i++) await page.keyboard.down('1');
    await page.keyboard.up('1');
    await expect(page.getByRole('button', { name: 'Mirrors unaided', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByRole('button', { name: 'Signal unaided', exact: true })).toHaveAttribute('aria-pressed', 'false');
    await everythingSent(page, lesson.id, 1);
    expect((await api<Lesson>(page, `lessons/${lesson.id}`)).rounds.map(outcomes)).toEqual([['mirrors unaided']]);
});

for (const [width, height, what] of [
    [390, 844, 'a phone'],
    [844, 390, 'a phone on its side'],
    [1280, 800, 'the tablet'],
] as const) {
    test(`moments marked while moving are told when parked, on ${what}`, async ({ page }) => {
        await page.setViewportSize({ width, height });
        const lesson = await newLesson(page);
        await page.goto(`/lessons/${lesson.id}/drive`);
        await page.getByRole('button', { name: 'Driving' }).click();
        const mark = page.getByRole('button', { name: /^Mark/ });
        // Both keys are in view, nothing else can be pressed, and the law of the place is said.
        for (const key of [mark, page.getByRole('button', { name: 'Parked', exact: true })]) await expect(key).toBeInViewport({ ratio: 1 });
        await expect(page.getByText(/nobody who drives or supervises a learner may hold a phone or tablet/)).toBeInViewport({ ratio: 1 });
        for (const link of await page.getByRole('navigation', { name: 'Areas' }).getByRole('link').all()) {
            const box = (await link.boundingBox())!;
            const top = await page.evaluate(
                ([x, y]) => document.elementFromPoint(x!, y!)?.closest('nav')?.getAttribute('aria-label') ?? null,
                [box.x + box.width / 2, box.y + box.height / 2],
            );
            expect(top).toBeNull();
        }
        await expectNoAxeFinding(page, 'moving');
        for (let i = 0; i < 3; i++) await mark.click();
        await expect(page.getByText('3 moments in this round')).toBeVisible();
        await page.getByRole('button', { name: 'Parked', exact: true }).click();
        const toTell = page.getByRole('button', { name: /to tell$/ });
        await expect(toTell).toHaveText('3 moments to tell');
        // The first belongs to the round it was pressed in: four presses from Parked, no scrolling between them.
        await toTell.click();
        const face = page.getByRole('region', { name: 'Telling a moment' });
        await expectNoAxeFinding(page, 'a moment');
        await face.getByRole('button', { name: /round 1/ }).click();
        await face.getByRole('button', { name: 'Speed missed', exact: true }).click();
        await expectNoAxeFinding(page, 'a moment told');
        await face.getByRole('group', { name: 'Kind' }).getByRole('button').first().click();
        await face.getByRole('button', { name: 'Next moment' }).click();
        // The second was nothing.
        await face.getByRole('button', { name: 'Throw away' }).click();
        // The third nobody had planned: a round of its own, with what it did to others, and a place said afterwards.
        await face.getByRole('button', { name: 'Pass a bus at its stop', exact: true }).click();
        await face.getByRole('button', { name: 'Position prompted', exact: true }).click();
        await face.getByRole('button', { name: 'Others: Could have been' }).click();
        await face.getByLabel('At which place of ours it was').selectOption({ index: 1 });
        await expectSound(page, 'a moment told, with its place');
        await face.getByRole('button', { name: 'Done' }).click();
        await expect(toTell).toHaveCount(0);
        await everythingSent(page, lesson.id, 2);
        // One press back at a time: the place, the effect, what it was.
        for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Undo' }).click();
        await expect(toTell).toHaveText('A moment to tell');
        await page.getByRole('link', { name: 'Debrief' }).click();
        await expect(page.getByRole('region', { name: 'Marked while moving, still to tell' }).getByRole('listitem')).toHaveCount(1);
        await expectSound(page, 'debrief with moments');
        await page.getByRole('link', { name: 'Tell what they were, in Drive' }).click();
        await expect(toTell).toHaveText('A moment to tell');
    });
}

test('no key moves under a finger while the strip of the place is still on its way', async ({ page }) => {
    const lesson = await newLesson(page);
    let letGo: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (letGo = resolve));
    await page.route('**/api/compute/approach', async (route) => {
        await held;
        await route.continue();
    });
    await page.goto(`/lessons/${lesson.id}/drive`);
    const key = page.getByRole('button', { name: 'Speed reminded', exact: true });
    const before = await key.boundingBox();
    letGo();
    await expect(page.locator('figure svg').first()).toBeVisible();
    expect(await key.boundingBox()).toEqual(before);
});

test('rear looks counted with a clicker stand in the lesson and in the learner’s record, and go again with one press', async ({ page }) => {
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    await page.getByLabel('The key, while moving').selectOption({ label: 'Rear looks' });
    await page.getByRole('button', { name: 'Driving' }).click();
    // A clicker is a keyboard with two keys.
    for (let i = 0; i < 7; i++) await page.keyboard.press('PageDown');
    // Those too that lead to another page everywhere else.
    for (const key of [' ', '.', '5', '?', 'n']) await page.keyboard.press(key);
    await expect(page.getByRole('status')).toHaveText('12');
    await expectNoAxeFinding(page, 'counting');
    await page.waitForTimeout(1200);
    await page.getByRole('button', { name: 'Parked', exact: true }).click();
    await expect(page.getByText(/^Counted: 12 rear looks in \d+ s/)).toBeVisible();
    const rounds = page.getByRole('region', { name: 'Rounds of this lesson' });
    await expect(rounds.getByText(/12 rear looks in/)).toBeVisible();
    await everythingSent(page, lesson.id, 1);
    await page.getByRole('heading', { level: 1 }).getByRole('link').click();
    await expect(page.getByRole('list', { name: 'Rear looks by lesson' }).getByRole('link').last()).toBeVisible();
    await expectSound(page, 'a record with counts');
    await page.goto(`/lessons/${lesson.id}/drive`);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(rounds.getByText(/12 rear looks in/)).toHaveCount(0);
});

test('a round all unaided but one step, with its fault, takes three presses on a phone, and the next place one', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    await page.getByRole('button', { name: 'Signal prompted', exact: true }).click();
    const wrong = page.getByRole('region', { name: 'What was wrong with signal' });
    await wrong.getByRole('group', { name: 'Kind' }).getByRole('button').first().click();
    const rest = page.getByRole('button', { name: 'The rest without help' });
    // Within the thumb's reach, and wide enough for it, beside what was wrong.
    for (const name of ['Undo', 'The rest without help', 'Driving', 'Next attempt']) {
        const box = (await page.getByRole('button', { name }).boundingBox())!;
        expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(48);
        expect(box.height).toBeGreaterThanOrEqual(88);
        expect(box.y).toBeGreaterThan(844 / 2);
    }
    await expectSound(page, 'drive on a phone, saying what was wrong');
    await rest.click();
    for (const step of ['Mirrors', 'Position', 'Speed', 'Look']) {
        await expect(page.getByRole('button', { name: `${step} unaided`, exact: true })).toHaveAttribute('aria-pressed', 'true');
    }
    const place = page.getByLabel('Place', { exact: true });
    const before = await place.inputValue();
    await page.getByRole('button', { name: /^Next place/ }).click();
    await expect(place).not.toHaveValue(before);
    await expect(page.getByText(/^Round \d+ new$/)).toBeVisible();
});
