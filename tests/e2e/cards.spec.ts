import { expect, test, type Page } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound } from './support';

interface Card {
    code: string;
    title: string;
    has_approach: boolean;
    stands: boolean;
}

/** The rules of the signed-in instructor, chosen on their own page as a user would. */
async function liveUnder(page: Page, pack: string): Promise<Card[]> {
    await page.goto('/account/rules');
    await page.getByLabel('Rules of the road').selectOption({ value: pack });
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText('Kept: plans and cards follow it from now on.')).toBeVisible();
    return api<Card[]>(page, 'routines');
}

// Whatever a test did to the rules, the next one finds them as they were.
test.afterEach(async ({ page }) => {
    const token = (await page.context().cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? '';
    const answer = await page.request.put('/api/rules/mine', {
        headers: { Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token) },
        data: { pack: null, practice: {} },
    });
    expect(answer.ok()).toBe(true);
});

for (const [pack, unit, side] of [
    ['gb', 'mph', 'left'],
    ['ie', 'km/h', 'left'],
    ['na', 'mph', 'right'],
] as const) {
    test(`every card under ${pack}: whole, in its units, on one sheet, without an axe finding`, async ({ page }) => {
        test.setTimeout(900_000);
        await page.emulateMedia({ reducedMotion: 'reduce' });
        const heard = complaints(page);
        const cards = await liveUnder(page, pack);
        expect(cards.length).toBeGreaterThan(38);
        await page.goto(`/routines/${cards[0]!.code}`);
        for (const [i, card] of cards.entries()) {
            if (i > 0) await page.getByRole('navigation', { name: 'Cards' }).getByRole('link', { name: '→' }).click();
            await expect(page.getByRole('heading', { level: 1 })).toHaveText(card.title);
            if (card.has_approach) await expect(page.getByRole('slider', { name: 'Steps of the approach' }).first()).toBeVisible();
            if (card.has_approach && !card.stands) await expect(page.getByLabel('Speed, typed').first()).toHaveValue(new RegExp(`^\\d+ ${unit}$`));
            await expectSound(page, card.code);
            const text = await page.getByRole('main').innerText();
            expect(text, card.code).not.toMatch(/[{}]/);
            if (pack === 'na') expect(text, card.code).not.toMatch(/\b(kerb|pavement|dual carriageway|motorway|tyres?|amber)\b/i);
            // All cards share their colours, which take most of the time to look at: every tenth is enough for those.
            await expectNoAxeFinding(page, `${pack} ${card.code}`, pack === 'gb' && i % 10 === 0 ? [] : ['color-contrast']);
            // Ireland's cards are Britain's in other units.
            if (pack !== 'ie') {
                const sheets = (await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length;
                expect(sheets, `${card.code}: sheets of paper`).toBe(1);
            }
        }
        const turn = await api<{ rules: { keeps: string } }>(page, 'session');
        expect(turn.rules.keeps).toBe(side);
        await page.setViewportSize({ width: 390, height: 844 });
        for (const code of ['emerge-right', 'roundabout', 'lights-right']) {
            await page.goto(`/routines/${code}`);
            await expect(page.getByRole('slider', { name: 'Steps of the approach' }).first()).toBeVisible();
            await expectSound(page, `${code} on a phone`);
        }
        expect(heard).toEqual([]);
    });
}

test('a routine is found by what goes wrong, played, varied, and laid beside another practice', async ({ page }) => {
    await page.goto('/routines');
    await page.getByLabel('Find a routine').fill('cuts the corner');
    await expect.poll(() => page.getByRole('main').getByRole('link').count()).toBeLessThan(6);
    await page
        .getByRole('main')
        .getByRole('link', { name: /Emerge right/ })
        .click();
    const strip = page.getByRole('slider', { name: 'Steps of the approach' }).first();
    await expect(strip).toHaveAttribute('aria-valuetext', /^Signal/);
    await page.getByRole('button', { name: 'Play', exact: true }).click();
    // The played approach walks through the steps by itself.
    await expect(strip).toHaveAttribute('aria-valuetext', /^Mirrors/);
    await expect(strip).toHaveAttribute('aria-valuetext', /^(Position|Speed|Look)/, { timeout: 15_000 });
    await page.getByRole('button', { name: 'Stop playing' }).click();
    const before = await strip.getAttribute('aria-valuetext');
    await page.getByRole('button', { name: 'Closed view' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'creep and look, creep and look' })).toBeVisible();
    await expect(page.getByText(/the view opens too late|0 s/).first()).toBeVisible();
    await page.getByRole('button', { name: 'As a rule' }).click();
    await page.getByText('Side by side').click();
    await page.getByLabel('Beside it').selectOption({ label: 'Steps of the routine: Six, the gear a step of its own' });
    await expect(page.getByRole('row', { name: /^Gear/ }).last()).toContainText('–');
    await page.getByLabel('Beside it').selectOption({ label: 'At 40 mph' });
    await expect(page.getByRole('row', { name: /^Mirrors/ }).last()).not.toContainText('the same');
    expect(before).toBeTruthy();
    await expect(page.getByLabel('The gap here')).toContainText(/gap of \d\.\d s/);
    await page.getByRole('link', { name: 'Is the gap long enough?' }).click();
    await expect(page.getByLabel('To do')).toHaveValue('emerge-right');
});

test('two hazards close together share the room, and the bench says which way and what to say', async ({ page }) => {
    await page.goto('/bench/approach?road={"routine":"turn-left","limit_mph":30}');
    await page.getByLabel('Next hazard, close behind').selectOption('turn-right');
    const next = page.getByRole('region', { name: 'The next hazard' });
    await page.getByLabel('From line to line, m').fill('220');
    await expect(next.getByRole('heading')).toHaveText('One after the other');
    await page.getByLabel('From line to line, m').fill('40');
    await expect(next.getByRole('heading')).toHaveText('Plan the second before the first');
    await expect(next).toContainText('Say both together');
    await page.getByLabel('From line to line, m').fill('14');
    await expect(next.getByRole('heading')).toHaveText('Both in one');
    await expectNoAxeFinding(page, 'chained hazards');
});

test('a choice shows what it changes, is kept, and a learner can have their own', async ({ page }) => {
    await page.goto('/account/rules');
    const preview = page.getByRole('region', { name: 'What it changes' });
    const strip = preview.getByRole('slider');
    await expect(strip).toBeVisible();
    const before = await strip.getAttribute('aria-valuetext');
    await page.getByLabel('When to signal for a turn').selectOption('car-lengths');
    await expect(preview.getByRole('heading')).toHaveText('Eight to ten car lengths');
    await page.getByLabel('Hands', { exact: true }).selectOption('ten-to-two');
    await expect(preview).toContainText('Hands at ten to two.');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText('Kept: plans and cards follow it from now on.')).toBeVisible();
    await page.goto('/routines/seat-and-hands');
    await expect(page.getByText('Hands at ten to two.').first()).toBeVisible();
    await page.goto('/account/rules');
    await page.getByLabel('When to signal for a turn').selectOption('');
    await page.getByLabel('Hands', { exact: true }).selectOption('');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText('Kept: plans and cards follow it from now on.')).toBeVisible();

    const [learner] = await api<{ id: string; name: string }[]>(page, 'learners');
    await page.goto(`/learners/${learner!.id}`);
    await page.getByRole('button', { name: 'Teaching choices' }).click();
    await page.getByLabel('Steps of the routine').selectOption('six');
    await page.getByRole('dialog').getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Teaching choices · 1 of their own' })).toBeVisible();
    await page.getByRole('button', { name: 'Teaching choices · 1 of their own' }).click();
    await page.getByLabel('Steps of the routine').selectOption('');
    await page.getByRole('dialog').getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Teaching choices', exact: true })).toBeVisible();
    expect(before).toMatch(/^Signal at/);
});

test('routines stand in the order in which a learner’s record asks for them', async ({ page }) => {
    await page.goto('/routines');
    await page.getByLabel('In the order of').selectOption({ label: 'What Mirela Sandoval needs' });
    await expect(page).toHaveURL(/for=/);
    const learner = new URL(page.url()).searchParams.get('for')!;
    const needs = await api<{ routine: string; need: string; step: string | null; helped: number; of: number }[]>(page, `learners/${learner}/needs`);
    expect(needs.length).toBeGreaterThan(38);
    const weak = needs.filter((need) => need.need === 'weak');
    const region = page.getByRole('region', { name: 'Weak in the last rounds' });
    if (weak.length === 0) await expect(region).toHaveCount(0);
    else {
        await expect(region.getByRole('link')).toHaveCount(weak.length);
        await expect(region.getByRole('link').first()).toContainText(`helped in ${weak[0]!.helped} of the last ${weak[0]!.of}`);
    }
    await expect(page.getByRole('region', { name: 'Never driven' }).getByRole('link')).toHaveCount(needs.filter((need) => need.need === 'never-driven').length);
});

test('a sign says the way in place of the instructor, or is said to come too late', async ({ page }) => {
    const road = (at: number) => encodeURIComponent(JSON.stringify({ routine: 'roundabout', limit_mph: 30, exit: 'right', sign: { at_m: at } }));
    await page.goto(`/bench/approach?road=${road(130)}`);
    await expect(page.getByText(/read the sign from 180 m/).first()).toBeVisible();
    await page.goto(`/bench/approach?road=${road(20)}`);
    await expect(page.getByText(/sign legible only from 70 m: give the direction at least/).first()).toBeVisible();
    await expect(page.getByText('The sign can only be read when the mirrors should have begun', { exact: false })).toBeVisible();
});
