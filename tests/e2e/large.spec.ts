import { expect, test, type Page } from '@playwright/test';
import { api, demoCircuit, newLesson } from './support';

/** Text or everything at 200 %: nothing lies over another, is lost, or is smaller than a thumb. */

async function screens(page: Page): Promise<Record<string, string>> {
    await page.goto('/');
    const lesson = await newLesson(page);
    const [learner] = await api<{ id: string }[]>(page, 'learners');
    const { lessons } = await api<{ lessons: { id: string; state: string }[] }>(page, `learners/${learner!.id}`);
    const { query, centre } = await demoCircuit(page);
    return {
        Today: '/',
        Plan: `/lessons/${lesson.id}/plan`,
        Drive: `/lessons/${lesson.id}/drive`,
        'Kerb view': `/lessons/${lesson.id}/kerb`,
        Debrief: `/lessons/${lessons.find((one) => one.state === 'done')!.id}/debrief`,
        Learner: `/learners/${learner!.id}`,
        Hours: `/learners/${learner!.id}/hours`,
        Places: '/places',
        Circuits: '/places/circuits',
        'A circuit': `/places/circuit?${query}`,
        'Sheet of a circuit': `/places/circuit/sheet?${query}`,
        'Test centre': `/places/centres/${centre}`,
        Card: '/routines/turn-left',
        Approach: '/bench/approach',
        Gap: '/bench/gap',
        Learners: '/learners',
        School: '/school',
        Account: '/account',
        'Rules and practice': '/account/rules',
    };
}

/** Keys that are small, or whose middle something else lies over once they are scrolled to. */
const wrong = (page: Page, least: number) =>
    page.getByRole('main').evaluate((main, size) => {
        const found: string[] = [];
        for (const key of main.querySelectorAll<HTMLElement>('button, a.key, select, summary')) {
            if (!key.checkVisibility() || key.closest('svg') || (key instanceof HTMLButtonElement && key.disabled)) continue;
            key.scrollIntoView({ block: 'center', inline: 'center' });
            const { x, y, width, height } = key.getBoundingClientRect();
            const name = key.getAttribute('aria-label') ?? key.textContent.trim().slice(0, 30);
            if (height < size - 0.5 || width < Math.min(size, 40)) found.push(`${name}: ${Math.round(width)} x ${Math.round(height)}`);
            const words = document.createTreeWalker(key, NodeFilter.SHOW_TEXT);
            for (let word = words.nextNode(); word && key.tagName === 'BUTTON'; word = words.nextNode()) {
                // A long name may end in dots; whatever else a key says is read whole.
                if (word.parentElement!.closest('.truncate, .sr-only')) continue;
                const range = document.createRange();
                range.selectNodeContents(word);
                if (range.getBoundingClientRect().width > width + 1) found.push(`${name}: “${word.textContent}” leaves it`);
            }
            const there = document.elementFromPoint(x + width / 2, y + height / 2);
            if (there !== key && !key.contains(there) && !there?.contains(key))
                found.push(`${name}: under ${there?.textContent.trim().slice(0, 30) ?? 'nothing'}`);
        }
        return found;
    }, least);

for (const [what, width, height, font] of [
    ['text at 200 %, the tablet', 1280, 800, 32],
    ['text at 200 %, a phone', 390, 844, 32],
    ['zoom at 200 %, the tablet', 640, 400, 16],
] as const) {
    test(`nothing overlaps, is lost or is smaller than a thumb: ${what}`, async ({ page }) => {
        test.setTimeout(600_000);
        const all = await screens(page);
        await page.setViewportSize({ width, height });
        await page.emulateMedia({ reducedMotion: 'reduce' });
        const cdp = await page.context().newCDPSession(page);
        await cdp.send('Page.setFontSizes', { fontSizes: { standard: font, fixed: font } });
        for (const [name, path] of Object.entries(all)) {
            await page.goto(path);
            await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
            await page.waitForLoadState('networkidle');
            const { wide, text } = await page.evaluate(() => ({
                wide: document.documentElement.scrollWidth - document.documentElement.clientWidth,
                text: parseFloat(getComputedStyle(document.documentElement).fontSize),
            }));
            expect(text, name).toBeCloseTo(font * 1.0625, 1);
            expect(wide, `${name}: wider than the screen`).toBeLessThanOrEqual(0);
            expect(await wrong(page, name === 'Drive' ? 48 : 44), name).toEqual([]);
            // What a card of the day says stays within it.
            const cards = page.getByRole('list', { name: 'The day' }).getByRole('link');
            const leaving = await cards.evaluateAll((all) => all.filter((card) => card.scrollHeight > card.clientHeight + 1).map((card) => card.textContent));
            expect(leaving, name).toEqual([]);
        }
    });
}

test('the longest day of the week fits a phone with text at 200 %', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    const cdp = await page.context().newCDPSession(page);
    await cdp.send('Page.setFontSizes', { fontSizes: { standard: 32, fixed: 32 } });
    await page.clock.setFixedTime(new Date('2026-09-30T10:00:00Z'));
    await page.goto('/');
    const heading = page.getByRole('heading', { level: 1, name: 'Wednesday 30 September' });
    await expect(heading).toBeVisible();
    await page.waitForLoadState('networkidle');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(wide, 'wider than the screen').toBeLessThanOrEqual(0);
    // Whole words: none is broken to fit.
    const width = await heading.evaluate((one) => {
        const words = document.createRange();
        words.selectNodeContents(one);
        return Math.max(...[...words.getClientRects()].map((line) => line.right)) - one.getBoundingClientRect().left;
    });
    expect(width).toBeLessThanOrEqual(await heading.evaluate((one) => one.clientWidth + 1));
});
