import { expect, test, type Page } from '@playwright/test';
import { api, complaints, everythingSent, expectNoAxeFinding, expectSound, newLesson, type Lesson, type Round } from './support';

const round = (page: Page) => page.getByText(/^Round \d+/);
const outcomes = (found: Round) => found.marks.filter((mark) => !mark.withdrawn).map((mark) => `${mark.step ?? mark.kind} ${mark.outcome ?? ''}`.trim());

test('opens where the lesson is; a new visit begins a new round, an old one is added to on purpose only', async ({ page }) => {
    const heard = complaints(page);
    const lesson = await newLesson(page);
    const [first, second] = lesson.items;
    await page.goto(`/lessons/${lesson.id}/drive`);
    await expect(round(page)).toHaveText('Round 1 new');
    for (let i = 0; i < 3; i++) {
        await page.getByRole('button', { name: 'All unaided' }).click();
        await page.getByRole('button', { name: 'Round again' }).click();
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
    await page.getByRole('button', { name: 'The car moves' }).click();
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
    await press('Rest unaided');
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

test('an undone round is gone from the list, and the marks of one press go in one undo after a reload', async ({ page }) => {
    const lesson = await newLesson(page);
    await page.goto(`/lessons/${lesson.id}/drive`);
    await page.getByRole('button', { name: 'All unaided' }).click();
    await page.getByRole('button', { name: 'Round again' }).click();
    await page.getByRole('button', { name: 'All unaided' }).click();
    await everythingSent(page, lesson.id, 2);
    await page.reload();
    const list = page.getByRole('region', { name: 'Rounds of this lesson' });
    await expect(list.getByRole('listitem')).toHaveCount(2);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(list.getByRole('listitem')).toHaveCount(1);
    await expect(page.getByRole('button', { name: 'All unaided' })).toBeVisible();
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
    await page.keyboard.press('g');
    await expect(page.getByText('stay here')).toBeVisible();
    await page.keyboard.press('a');
    await page.keyboard.type('a1h');
    await expect(page.getByRole('heading', { name: 'Password' })).toBeVisible();
    await page.goto(`/lessons/${lesson.id}/drive`);
    await expect(round(page)).toHaveText('Round 1 new');
    // A letter that leads nowhere is no mark either.
    await page.keyboard.press('g');
    await page.keyboard.press('h');
    await page.keyboard.press('g');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('button', { name: 'Held back rightly' })).toHaveAttribute('aria-pressed', 'false');
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
    test(`moments marked while moving are completed when parked, on ${what}`, async ({ page }) => {
        await page.setViewportSize({ width, height });
        const lesson = await newLesson(page);
        await page.goto(`/lessons/${lesson.id}/drive`);
        await page.getByRole('button', { name: 'The car moves' }).click();
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
        const moments = page.getByRole('region', { name: 'Moments to complete' });
        await expect(moments.getByRole('listitem')).toHaveCount(3);
        await moments.getByRole('button').first().click();
        await expectNoAxeFinding(page, 'a moment');
        await page.getByRole('dialog').getByRole('button', { name: 'Speed missed', exact: true }).click();
        await moments.getByRole('button').first().click();
        await page.getByRole('dialog').getByRole('button', { name: 'It was nothing: throw it away' }).click();
        await expect(moments.getByRole('listitem')).toHaveCount(1);
        await expect(page.getByRole('button', { name: 'Speed missed', exact: true })).toHaveAttribute('aria-pressed', 'true');
        // One press back is one moment back.
        await page.getByRole('button', { name: 'Undo' }).click();
        await expect(moments.getByRole('listitem')).toHaveCount(2);
        await everythingSent(page, lesson.id, 1);
        await page.getByRole('link', { name: 'Debrief' }).click();
        await expect(page.getByRole('region', { name: 'Marked while moving, still to complete' }).getByRole('listitem')).toHaveCount(2);
        await expectSound(page, 'debrief with moments');
        await page.getByRole('link', { name: 'Say what they were, in Drive' }).click();
        await expect(moments.getByRole('listitem')).toHaveCount(2);
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
