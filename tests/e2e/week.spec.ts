import { expect, test, type Page } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, send, signedIn, signIn } from './support';

interface DiaryLesson {
    id: string;
    starts_at: string;
    state: string;
    learner: { id: string; name: string };
    vehicle: { id: string };
}
interface Week {
    days: { day: string; lessons: DiaryLesson[] }[];
}

/** So far ahead nobody else has anything: each test has a week of its own from there. */
const AHEAD = 16;

const mondayIn = (weeks: number): string => {
    const day = new Date(Date.now() + (AHEAD + weeks) * 7 * 86_400_000);
    day.setUTCDate(day.getUTCDate() - ((day.getUTCDay() + 6) % 7));
    return day.toISOString().slice(0, 10);
};
const dayAfter = (monday: string, days: number): string => new Date(Date.parse(`${monday}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/** At an hour by the clock of the school, whose zone is an hour ahead in summer. */
const at = (day: string, hour: number): string => {
    const guess = new Date(`${day}T${String(hour).padStart(2, '0')}:00:00Z`);
    const shown = Number(new Intl.DateTimeFormat('en-GB', { hour: '2-digit', timeZone: 'Europe/London' }).format(guess));
    return new Date(guess.getTime() - (shown - hour) * 3_600_000).toISOString();
};

async function booked(page: Page, day: string, hour: number, whose = 0): Promise<DiaryLesson> {
    await page.goto('/');
    const learner = (await api<{ id: string }[]>(page, 'learners')).at(whose)!;
    const [vehicle] = await api<{ id: string }[]>(page, 'vehicles');
    const lesson = await send<DiaryLesson>(page, 'lessons', { learner_id: learner.id, vehicle_id: vehicle!.id, starts_at: at(day, hour), minutes: 60 });
    expect(lesson.id).toBeTruthy();
    return lesson;
}

const weekOf = (page: Page, monday: string): Promise<DiaryLesson[]> =>
    api<Week>(page, `week?from=${monday}`).then(({ days }) => days.flatMap(({ lessons }) => lessons));
const line = (page: Page) => page.getByRole('group', { name: 'Week as a time line' });

test('a lesson is moved by the arrow keys, by dragging, and back by one press', async ({ page }) => {
    const heard = complaints(page);
    const monday = mondayIn(4);
    const lesson = await booked(page, monday, 10);
    await page.goto(`/week?from=${monday}`);
    const block = line(page).getByRole('button', { name: new RegExp(lesson.learner.name) });
    // By keys: a day on, half an hour later; asked first, then done.
    await block.focus();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    const chosen = page.getByRole('region', { name: 'Chosen lesson' });
    await expect(chosen.getByRole('heading')).toContainText('10:00 →');
    await expect(chosen.getByRole('heading')).toContainText('10:30?');
    await expect(chosen.getByRole('list', { name: 'What this time means' })).toContainText('Free, with nothing else that day.');
    expect((await weekOf(page, monday))[0]!.starts_at).toBe(lesson.starts_at.replace('.000', ''));
    await page.keyboard.press('Enter');
    await expect(page.getByText(/: \w+ \d+ \w+, 10:30/)).toBeVisible();
    expect(Date.parse((await weekOf(page, monday))[0]!.starts_at)).toBe(Date.parse(at(dayAfter(monday, 1), 10)) + 30 * 60_000);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(async () => Date.parse((await weekOf(page, monday))[0]!.starts_at)).toBe(Date.parse(lesson.starts_at));
    // The page has read it again: where the lesson stands now is where it is taken up.
    await expect(line(page).getByRole('button', { name: new RegExp(`${lesson.learner.name}, Monday`) })).toBeVisible();
    // Dragged two days down and to the right; what is let go is asked, too.
    const row = line(page).getByRole('region').nth(2);
    const [from, to] = [(await block.boundingBox())!, (await row.boundingBox())!];
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(from.x + from.width * 2.5, to.y + to.height / 2, { steps: 10 });
    await page.mouse.up();
    await expect(chosen.getByRole('heading')).toContainText('12:00?');
    await chosen.getByRole('button', { name: 'Move' }).click();
    await expect.poll(async () => Date.parse((await weekOf(page, monday))[0]!.starts_at)).toBe(Date.parse(at(dayAfter(monday, 2), 12)));
    expect(heard).toEqual([]);
});

test('what lies on top of another is said before, and refused; a free time is one press away', async ({ page }) => {
    const monday = mondayIn(5);
    const lesson = await booked(page, monday, 10);
    const other = await booked(page, monday, 12, 1);
    await page.goto(`/week?from=${monday}`);
    await line(page)
        .getByRole('button', { name: new RegExp(lesson.learner.name) })
        .click();
    const chosen = page.getByRole('region', { name: 'Chosen lesson' });
    await chosen.getByRole('button', { name: 'Move' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Begins').fill(`${monday}T11:30`);
    await expect(sheet.getByText(`a lesson with ${other.learner.name}.`)).toBeVisible();
    await sheet.getByRole('button', { name: 'Move' }).click();
    await expect(sheet.getByRole('alert')).toContainText('taken from 12:00 to 13:00');
    await sheet.getByRole('button', { name: 'Free times' }).click();
    const times = sheet.getByRole('group', { name: 'Free times' });
    await expect(times.getByRole('button').first()).toBeVisible();
    await expectNoAxeFinding(page, 'free times');
    await times.getByRole('region').nth(1).getByRole('button').first().click();
    await expect(sheet.getByLabel('Begins')).toHaveValue(`${dayAfter(monday, 1)}T08:00`);
    await sheet.getByRole('button', { name: 'Move' }).click();
    await expect(sheet).toHaveCount(0);
    const after = (await weekOf(page, monday)).find(({ id }) => id === lesson.id)!;
    expect(Date.parse(after.starts_at)).toBe(Date.parse(at(dayAfter(monday, 1), 8)));
});

test('cancelled with whose doing and why, booked again by one press', async ({ page }) => {
    const monday = mondayIn(6);
    const lesson = await booked(page, monday, 10);
    await page.goto(`/week?from=${monday}`);
    await line(page)
        .getByRole('button', { name: new RegExp(lesson.learner.name) })
        .click();
    const chosen = page.getByRole('region', { name: 'Chosen lesson' });
    await chosen.getByRole('button', { name: 'Cancel' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Something else').check();
    await sheet.getByLabel('Why').fill('Black ice');
    await expectNoAxeFinding(page, 'cancelling');
    await sheet.getByRole('button', { name: 'Cancel the lesson' }).click();
    await expect(sheet).toHaveCount(0);
    await line(page)
        .getByRole('button', { name: /cancelled for another reason/ })
        .click();
    await expect(chosen).toContainText('Black ice');
    // Nobody sets out for it.
    await chosen.getByRole('link', { name: 'Open' }).click();
    await expect(page.getByText('This lesson is not on: cancelled.')).toBeVisible();
    await expectNoAxeFinding(page, 'a cancelled lesson');
    await page.getByRole('link', { name: 'Its week' }).click();
    await line(page)
        .getByRole('button', { name: /cancelled for another reason/ })
        .click();
    await chosen.getByRole('button', { name: 'Book it again' }).click();
    await expect.poll(async () => (await weekOf(page, monday))[0]!.state).toBe('booked');
});

test('of two tablets that book the same hour one wins; the other sees why', async ({ page, browser }) => {
    const monday = mondayIn(7);
    const other = await (await browser.newContext({ storageState: signedIn(Number(process.env.TEST_PARALLEL_INDEX ?? 0)) })).newPage();
    for (const [tablet, whose] of [
        [page, 0],
        [other, 1],
    ] as const) {
        await tablet.goto(`/week?from=${monday}`);
        await tablet.getByRole('button', { name: 'Book', exact: true }).click();
        const sheet = tablet.getByRole('dialog');
        await sheet.getByLabel('Learner').selectOption({ index: whose + 1 });
        await sheet.getByLabel('Begins').fill(`${monday}T10:00`);
        await expect(sheet.getByText('Free, with nothing else that day.')).toBeVisible();
    }
    await Promise.all([page, other].map((tablet) => tablet.getByRole('dialog').getByRole('button', { name: 'Book', exact: true }).click()));
    const lost = (tablet: Page) => tablet.getByRole('alert').filter({ hasText: /taken from 10:00 to 11:00/ });
    await expect.poll(async () => (await lost(page).count()) + (await lost(other).count())).toBe(1);
    // The winner is led to the plan.
    await expect.poll(() => [page, other].filter((tablet) => tablet.url().includes('/lessons/')).length).toBe(1);
    expect((await weekOf(page, monday)).length).toBe(1);
    await other.context().close();
});

test('the same hour every week: what is taken is said and left out, and one press takes it back', async ({ page }) => {
    const monday = mondayIn(8);
    const lesson = await booked(page, monday, 10);
    const taken = await booked(page, mondayIn(10), 10, 1);
    await page.goto(`/week?from=${monday}`);
    await line(page)
        .getByRole('button', { name: new RegExp(lesson.learner.name) })
        .click();
    await page.getByRole('button', { name: 'Repeat' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Times more').fill('3');
    await expect(sheet.getByText('2 of 3 will be booked.')).toBeVisible();
    await expect(sheet.getByText(`a lesson with ${taken.learner.name}`)).toBeVisible();
    await expectNoAxeFinding(page, 'a series');
    await expectSound(page, 'a series');
    await sheet.getByRole('button', { name: 'Book these' }).click();
    await expect(page.getByText(/^2 more lessons are booked; taken by now: /)).toBeVisible();
    const mine = async (weeks: number) => (await weekOf(page, mondayIn(weeks))).filter(({ learner }) => learner.id === lesson.learner.id);
    for (const weeks of [9, 11]) expect((await mine(weeks)).map(({ starts_at }) => Date.parse(starts_at))).toEqual([Date.parse(at(mondayIn(weeks), 10))]);
    expect(await mine(10)).toEqual([]);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(async () => [...(await mine(9)), ...(await mine(11))].map(({ state }) => state)).toEqual(['cancelled', 'cancelled']);
});

test('an hour is held for something else, by keyboard: no lesson goes on top of it until it is given back', async ({ page }) => {
    const monday = mondayIn(12);
    const lesson = await booked(page, monday, 10);
    await page.goto(`/week?from=${monday}`);
    await page.getByRole('button', { name: 'Hold time' }).focus();
    await page.keyboard.press('Enter');
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('From').fill(`${monday}T10:30`);
    await sheet.getByLabel('A word for it').fill('Dentist');
    await expectNoAxeFinding(page, 'holding time');
    await page.keyboard.press('Enter');
    await expect(sheet.getByRole('alert')).toContainText(`taken from 10:00 to 11:00: a lesson with ${lesson.learner.name}`);
    await sheet.getByLabel('From').fill(`${monday}T12:00`);
    await expect(sheet.getByLabel('Until')).toHaveValue(`${monday}T13:00`);
    await sheet.getByLabel('A word for it').press('Enter');
    await expect(sheet).toHaveCount(0);
    // By the arrow keys on to it: said before, refused at Enter.
    const block = line(page).getByRole('button', { name: new RegExp(lesson.learner.name) });
    await block.focus();
    for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
    const chosen = page.getByRole('region', { name: 'Chosen lesson' });
    await expect(chosen.getByRole('list', { name: 'What this time means' })).toContainText('taken from 12:00 to 13:00: Dentist.');
    await page.keyboard.press('Enter');
    await expect(chosen.getByRole('alert')).toContainText('Dentist');
    await chosen.getByRole('button', { name: 'Leave it' }).click();
    await chosen.getByRole('button', { name: 'Close' }).click();
    // By hand: on top of the lesson it is refused where it is asked, a day on it is kept, and one press takes it back.
    const held = line(page).getByRole('button', { name: /^Dentist/ });
    const drag = async (rows: number, hours: number) => {
        const [from, to] = [(await held.boundingBox())!, (await line(page).getByRole('region').nth(rows).boundingBox())!];
        await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
        await page.mouse.down();
        await page.mouse.move(from.x + from.width * (0.5 + hours), to.y + to.height / 2, { steps: 10 });
        await page.mouse.up();
    };
    await drag(0, -2);
    await expect(sheet.getByLabel('From')).toHaveValue(`${monday}T10:00`);
    await sheet.getByRole('button', { name: 'Keep it so' }).click();
    await expect(sheet.getByRole('alert')).toContainText(`a lesson with ${lesson.learner.name}`);
    await page.keyboard.press('Escape');
    await expect(sheet).toHaveCount(0);
    await drag(1, 1);
    await expect(sheet.getByLabel('From')).toHaveValue(`${dayAfter(monday, 1)}T13:00`);
    await sheet.getByRole('button', { name: 'Keep it so' }).click();
    await expect(
        line(page)
            .getByRole('region')
            .nth(1)
            .getByRole('button', { name: /^Dentist/ }),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(
        line(page)
            .getByRole('region')
            .nth(0)
            .getByRole('button', { name: /^Dentist/ }),
    ).toBeVisible();
    await held.press('Enter');
    await page.getByRole('dialog').getByRole('button', { name: 'Give the time back' }).press('Enter');
    await expect(page.getByText('Dentist: the time is free again')).toBeVisible();
    await expect(line(page).getByRole('button', { name: /^Dentist/ })).toHaveCount(0);
});

test('the day runs late: what becomes of it is said, and done once it is agreed to', async ({ browser }) => {
    const soon = (minutes: number) => new Date(Math.ceil(Date.now() / 60_000) * 60_000 + minutes * 60_000).toISOString();
    test.skip(new Date(soon(180)).getUTCDate() !== new Date().getUTCDate(), 'the day is nearly over: nothing more is on today');
    // Somebody who has nothing else today, with a car of their own.
    const page = await (await browser.newContext({ storageState: { cookies: [], origins: [] } })).newPage();
    await signIn(page, { email: 'owner@harbourschool.test', password: 'demo-harbour' });
    const car = await send<{ id: string }>(page, 'vehicles', { name: 'The late one', transmission: 'manual', controls: 'standard', length_m: 4, width_m: 1.8 });
    const book = async (name: string, minutes: number, wantsTexts: boolean): Promise<DiaryLesson> => {
        const about = { name, transmission: 'manual', level: 'beginner', phone: '0700 900 461', wants_texts: wantsTexts };
        const learner = await send<{ id: string }>(page, 'learners', about);
        return send<DiaryLesson>(page, 'lessons', { learner_id: learner.id, vehicle_id: car.id, starts_at: soon(minutes), minutes: 45 });
    };
    const [first, second] = [await book('Lena Early', 10, false), await book('Lorn Later', 60, true)];
    await page.goto('/');
    await page.getByRole('button', { name: 'Running late' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('button', { name: '30 min' }).click();
    await expect(sheet.getByText('By how much are you late for the next?')).toBeVisible();
    await expect(sheet.getByText(/^Lena, I am running late: our lesson today begins at/)).toBeVisible();
    // The outbox tells Lorn; Lena wants no texts, so she is rung.
    await expect(sheet.getByText(/goes into the outbox as a text/)).toBeVisible();
    await expect(sheet.getByRole('link', { name: /^Text/ })).toHaveCount(0);
    await expect(sheet.getByRole('link', { name: 'Ring' })).toHaveCount(1);
    await expectNoAxeFinding(page, 'running late');
    await page.setViewportSize({ width: 390, height: 844 });
    await expectSound(page, 'running late on a phone');
    await sheet.getByRole('button', { name: 'Change these in the diary' }).click();
    await expect(page.getByText('2 lessons are changed')).toBeVisible();
    const starts = async () => {
        const lessons = await Promise.all([first, second].map(({ id }) => api<DiaryLesson>(page, `lessons/${id}`)));
        return lessons.map(({ starts_at }, i) => (Date.parse(starts_at) - Date.parse([first, second][i]!.starts_at)) / 60_000);
    };
    // The five minutes between the two take up some of it.
    expect(await starts()).toEqual([30, 25]);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(starts).toEqual([0, 0]);
    await page.context().close();
});

test('an hour that came free goes to somebody on the waiting list', async ({ page }) => {
    const monday = mondayIn(13);
    const lesson = await booked(page, monday, 10);
    await page.goto(`/week?from=${monday}`);
    await page.getByRole('button', { name: 'Waiting list' }).click();
    const list = page.getByRole('dialog', { name: 'Waiting list' });
    await expect(list.getByText('Mon to Fri, 17:00 to 21:00')).toBeVisible();
    await expectNoAxeFinding(page, 'waiting list');
    await list.getByRole('button', { name: 'Put somebody on it' }).click();
    const who = list.getByLabel('Learner');
    await expect(who.getByRole('option')).not.toHaveCount(1);
    // Whoever is not on it yet, and is not the one who cancels.
    const options = await who.getByRole('option').evaluateAll((all) => all.map((one) => [(one as HTMLOptionElement).value, one.textContent] as const));
    const [id, name] = options.filter(([value]) => value && value !== lesson.learner.id).at(-1)!;
    await who.selectOption(id);
    await list.getByRole('button', { name: 'Say when' }).click();
    await expectNoAxeFinding(page, 'a wish');
    await expectSound(page, 'a wish');
    await list.getByRole('button', { name: 'Put on the list' }).click();
    await expect(list.getByText('Mon to Fri, 09:00 to 18:00')).toBeVisible();
    await list.getByRole('button', { name: 'Close' }).click();
    await send(page, `lessons/${lesson.id}`, { state: 'cancelled', ended_by: 'learner' }, 'PATCH');
    await page.reload();
    await line(page)
        .getByRole('button', { name: /cancelled by the learner/ })
        .click();
    await page.getByRole('button', { name: 'Offer this hour' }).click();
    const offers = page.getByRole('dialog');
    const offer = offers.getByRole('listitem').filter({ hasText: name });
    await expect(offer).toContainText('an hour has come free');
    await expectNoAxeFinding(page, 'offers');
    await offer.getByRole('button', { name: `Book ${name.split(' ')[0]}` }).click();
    await expect(page.getByText(`${name} is booked`)).toBeVisible();
    const after = (await weekOf(page, monday)).filter(({ state }) => state === 'booked');
    expect(after.map(({ learner }) => learner.id)).toEqual([id]);
});

test('the week by night, on a phone and on paper is sound, and without findings', async ({ page }) => {
    await page.goto('/week');
    await expect(line(page)).toBeVisible();
    await expectSound(page, 'week');
    await expectNoAxeFinding(page, 'week');
    await page.emulateMedia({ colorScheme: 'dark' });
    await expectNoAxeFinding(page, 'week by night');
    await page.setViewportSize({ width: 390, height: 844 });
    const list = page.getByRole('group', { name: 'Week as a list' });
    await expect(list).toBeVisible();
    await expectSound(page, 'week on a phone');
    await expectNoAxeFinding(page, 'week on a phone');
    await list.locator('button[aria-pressed]').last().click();
    await expect(page.getByRole('region', { name: 'Chosen lesson' }).getByRole('link', { name: 'Open' })).toBeVisible();
    await expectSound(page, 'a chosen lesson on a phone');
    await page.emulateMedia({ media: 'print' });
    await expect(list).toBeVisible();
    await expect(page.getByRole('button', { name: 'Book', exact: true })).toBeHidden();
});
