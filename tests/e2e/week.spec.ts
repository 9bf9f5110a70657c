import { expect, test, type Page } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, send, signedIn } from './support';

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
    await list.getByRole('button').last().click();
    await expect(page.getByRole('region', { name: 'Chosen lesson' }).getByRole('link', { name: 'Open' })).toBeVisible();
    await expectSound(page, 'a chosen lesson on a phone');
    await page.emulateMedia({ media: 'print' });
    await expect(list).toBeVisible();
    await expect(page.getByRole('button', { name: 'Book', exact: true })).toBeHidden();
});
