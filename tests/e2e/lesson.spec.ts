import { expect, test, type Page } from '@playwright/test';
import { api, complaints, everythingSent, INSTRUCTOR, keyTo, signIn } from './support';

interface Tally {
    routine: string;
    step: string;
    marked: number;
    counts: Record<string, number>;
}

/** The record's counts of one routine, by step. */
async function counts(page: Page, learner: string): Promise<Record<string, Record<string, number>>> {
    const { tallies } = await api<{ tallies: Tally[] }>(page, `learners/${learner}`);
    return Object.fromEntries(tallies.filter((tally) => tally.routine === 'emerge-right').map((tally) => [tally.step, tally.counts]));
}

// Both ways in are part of the path.
test.use({ storageState: { cookies: [], origins: [] } });

test('sign in, plan an emerge right at 30 mph, mark three rounds, debrief, see the record change', async ({ page }) => {
    const heard = complaints(page);
    await signIn(page);
    const learner = (await api<{ next: { learner: { id: string } } }>(page, 'today')).next.learner.id;
    const before = await counts(page, learner);
    await page.getByRole('link', { name: 'Open the lesson' }).click();
    const lesson = /lessons\/([^/]+)/.exec(page.url())![1]!;

    // Whose lesson is next depends on the hour; the debrief begins with its aim where it has one.
    for (const label of ['Step it works on', 'Routine it works on']) {
        if ((await page.getByLabel(label).inputValue()) === '') continue;
        const written = page.waitForResponse((answer) => answer.request().method() === 'PATCH');
        await page.getByLabel(label).selectOption('');
        await written;
    }
    await page.getByRole('button', { name: 'Add a place' }).click();
    await page.getByLabel('Search places').fill('chandlers row into');
    await page.getByRole('button', { name: /Chandlers Row into Quay Street/ }).click();
    await expect(page.getByRole('region', { name: 'Brief: Chandlers Row into Quay Street' })).toContainText('Emerge right. 30 mph limit');
    // Both are on screen: where the rule of thumb puts the signal, and where it has to be.
    await expect(page.getByText('rule of thumb 30 m')).toBeVisible();
    await expect(page.getByText(/At 30 mph, signalling 30 m before is too late: you would be braking already/)).toBeVisible();

    await page.getByRole('link', { name: 'Drive' }).click();
    await page.getByLabel('Place', { exact: true }).selectOption({ label: 'Chandlers Row into Quay Street · Emerge right' });
    await expect(page.getByText(/^Round 1/)).toBeVisible();
    // All without help but one: two presses.
    await page.getByRole('button', { name: 'Position prompted', exact: true }).click();
    await page.getByRole('button', { name: 'The rest without help' }).click();
    await page.getByRole('button', { name: 'Next attempt' }).click();
    await page.getByRole('button', { name: 'Position missed', exact: true }).click();
    await page.getByRole('button', { name: 'Signal wrong order', exact: true }).click();
    await page.getByRole('button', { name: 'The rest without help' }).click();
    // A correction and an undo: two presses back, one of them a whole row of marks.
    await page.getByRole('button', { name: 'Look I stepped in', exact: true }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: 'Look unaided', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: 'Look unaided', exact: true })).toHaveAttribute('aria-pressed', 'false');
    await expect(page.getByRole('button', { name: 'Mirrors unaided', exact: true })).toHaveAttribute('aria-pressed', 'false');
    await expect(page.getByRole('button', { name: 'Position missed', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('button', { name: 'The rest without help' }).click();
    await page.getByRole('button', { name: 'Next attempt' }).click();
    // While the car moves there is one key.
    await page.getByRole('button', { name: 'Driving' }).click();
    await expect(page.getByRole('main').getByRole('button')).toHaveCount(2);
    await page.getByRole('button', { name: /^Mark/ }).click();
    await page.getByRole('button', { name: 'Parked' }).click();
    await page.getByRole('button', { name: 'All without help' }).click();
    await page.getByRole('button', { name: 'Correctly waited' }).click();
    await expect(page.getByText('Round 3', { exact: true })).toBeVisible();
    await everythingSent(page, lesson, 3);

    await page.getByRole('link', { name: 'Debrief' }).click();
    const position = page.getByRole('group', { name: 'Position' });
    await expect(page.getByText(/logged:/)).toHaveCount(0);
    await position.getByRole('button', { name: 'with help' }).click();
    await expect(position.getByText('logged: unaided in 1 of 3')).toBeVisible();
    await expect(page.getByText(/in 2 of 3 attempts/)).toBeVisible();
    await expect(page.getByText(/Possible cause \(signal\)/)).toBeVisible();
    await page.getByLabel('One thing that went well').fill('Waited for the van and said so.');
    await page.getByLabel('Until next time').fill('Watch where the car ahead moves over');
    await page.getByRole('button', { name: 'Add' }).first().click();
    await page.getByRole('button', { name: 'Close the lesson' }).click();

    await expect(page).toHaveURL(new RegExp(`/learners/${learner}$`));
    const after = await counts(page, learner);
    expect(after.position!.prompted! - before.position!.prompted!).toBe(1);
    expect(after.position!.missed! - before.position!.missed!).toBe(1);
    expect(after.position!.unaided! - before.position!.unaided!).toBe(1);
    expect(after.look!.unaided! - before.look!.unaided!).toBe(3);
    expect(after.look!.intervened! - before.look!.intervened!).toBe(0);
    // One press on the square opens every mark behind it, those of a moment ago first.
    await page.getByRole('button', { name: /^Emerge right, Position:/i }).click();
    const behind = page.getByRole('dialog');
    await expect(behind).toContainText(`${after.position!.unaided!} unaided`);
    await expect(behind.getByRole('region', { name: 'The marks' }).getByRole('listitem')).toHaveCount(
        Object.values(after.position!).reduce((sum, n) => sum + n, 0),
    );
    await page.keyboard.press('Escape');
    await expect(page.getByText('Watch where the car ahead moves over')).toBeVisible();
    expect(heard).toEqual([]);
});

test('the same by keyboard alone', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByLabel('Email')).toBeFocused();
    await page.keyboard.type(INSTRUCTOR.email);
    await page.keyboard.press('Tab');
    await page.keyboard.type(INSTRUCTOR.password);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
    const reach = async (name: string | RegExp, role: 'link' | 'button' | 'slider' | 'textbox' | 'combobox' = 'link') => {
        const target = page.getByRole(role, { name }).first();
        await expect(target).toBeVisible();
        for (let i = 0; i < 120; i++) {
            if (await target.evaluate((element) => element === document.activeElement)) return;
            await page.keyboard.press('Tab');
        }
        throw new Error(`Tab does not reach ${String(name)}.`);
    };
    await reach('Open the lesson');
    await page.keyboard.press('Enter');
    await reach('Add a place', 'button');
    await page.keyboard.press('Enter');
    await reach('Search places', 'textbox');
    await page.keyboard.type('chandlers row into');
    await reach(/Chandlers Row into Quay Street/, 'button');
    await page.keyboard.press('Enter');
    await reach('Steps of the approach', 'slider');
    const strip = page.getByRole('slider', { name: 'Steps of the approach' });
    await expect(strip).toHaveAttribute('aria-valuetext', /^Signal at/);
    await page.keyboard.press('ArrowRight');
    await expect(strip).toHaveAttribute('aria-valuetext', /^Position at/);
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowLeft');
    await expect(strip).toHaveAttribute('aria-valuetext', /^Mirrors at/);

    const lesson = /lessons\/([^/]+)/.exec(page.url())![1]!;
    const { rounds } = await api<{ rounds: unknown[] }>(page, `lessons/${lesson}`);
    await reach('Drive');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Round \d+/).first()).toBeVisible();
    for (const keys of ['3a', '1421', 'ha']) {
        await page.keyboard.type(keys);
        await page.keyboard.press('n');
    }
    await everythingSent(page, lesson, rounds.length + 3);
    const marked = await api<{ rounds: { marks: { step: string; outcome: string; kind: string }[] }[] }>(page, `lessons/${lesson}`);
    const said = marked.rounds.slice(-3).map((round) => round.marks.map((mark) => mark.outcome || mark.kind).join(' '));
    expect(said).toEqual(['prompted unaided unaided unaided unaided', 'unaided missed reminded unaided', 'decision unaided unaided unaided unaided unaided']);

    await reach('Debrief');
    await page.keyboard.press('Enter');
    await reach('on my own', 'button');
    await page.keyboard.press('Space');
    await expect(page.getByText(/logged:/)).toHaveCount(1);
    await reach('Close the lesson', 'button');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/learners\//);
    // Elsewhere by a number, and by name.
    await page.keyboard.press('.');
    await expect(page.getByRole('dialog', { name: 'Where to?' })).toBeVisible();
    await page.keyboard.press(keyTo('Bench'));
    await expect(page.getByRole('heading', { name: 'Approach' })).toBeVisible();
    await expect(page).toHaveTitle(/^Approach/);
    await page.keyboard.press('.');
    await page.keyboard.type('sandoval mirela');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Mirela Sandoval' })).toBeVisible();
    await page.keyboard.press('.');
    await expect(page.getByRole('region', { name: 'Shortcuts' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
});
