import { expect, test, type Page } from '@playwright/test';
import { api, complaints, demoCircuit, expectNoAxeFinding, expectSound, newLesson } from './support';

// Nothing is written here: the long walks are shared out.
test.describe.configure({ mode: 'parallel' });

interface Line {
    id: string;
    name: string;
}

/** Every screen of the application, by a learner with a long name and a lesson with many rounds. */
async function screens(page: Page): Promise<Record<string, string>> {
    const learners = await api<Line[]>(page, 'learners');
    const long = learners.reduce((a, b) => (b.name.length > a.name.length ? b : a));
    const record = await api<{ lessons: { id: string; state: string; rounds: number }[] }>(page, `learners/${long.id}`);
    const driven = record.lessons.find((lesson) => lesson.state === 'done')!.id;
    // Which lesson is next, and what it begins with, depends on the hour.
    const next = (await newLesson(page)).id;
    const { query, centre } = await demoCircuit(page);
    return {
        Today: '/',
        Week: '/week',
        Plan: `/lessons/${next}/plan`,
        'Kerb view': `/lessons/${next}/kerb`,
        'The lesson for the seat beside': `/lessons/${next}/seat`,
        'The lesson on paper': `/lessons/${next}/sheet`,
        Drive: `/lessons/${next}/drive`,
        Debrief: `/lessons/${driven}/debrief`,
        Learners: '/learners',
        Learner: `/learners/${long.id}`,
        'Learner, in plain words': `/learners/${long.id}/words`,
        'Learner, hours': `/learners/${long.id}/hours`,
        'Learner, all that is kept': `/learners/${long.id}/data`,
        School: '/school',
        'School: who needs a word': '/school?show=word',
        'School: routines': '/school?show=routines',
        'School: causes': '/school?show=causes',
        'School: places': '/school?show=places',
        Places: '/places',
        Circuits: '/places/circuits',
        'A circuit': `/places/circuit?${query}`,
        'Sheet of a circuit': `/places/circuit/sheet?${query}`,
        'Test centre': `/places/centres/${centre}`,
        'New test centre': '/places/centres/new',
        Routines: '/routines',
        'Routines, a turn': '/routines/turn-left',
        'Bench: approach': '/bench/approach',
        'Bench: gap': '/bench/gap',
        'Bench: roundabout': '/bench/lanes',
        'Bench: join': '/bench/join',
        'Bench: leave': '/bench/leave',
        'Bench: lane change': '/bench/lane-change',
        'Bench: overtake': '/bench/overtake',
        'Bench: stopping': '/bench/stopping',
        'Bench: following': '/bench/following',
        'Bench: amber': '/bench/amber?speed=45',
        'Bench: crossing': '/bench/crossing?island=3',
        'Bench: in a row': '/bench/series',
        'Bench: whose turn': '/bench/priority',
        'Bench: lights': '/bench/lights',
        'Bench: sight': '/bench/sight',
        'Bench: sight over a crest': '/bench/sight?hides=crest',
        'Bench: gears': '/bench/engine',
        'Bench: steering': '/bench/steering',
        'Bench: reversing': '/bench/reverse',
        'Bench: into a bay': '/bench/reverse?exercise=bay',
        'Bench: out of a bay': '/bench/reverse?exercise=out-of-bay',
        'Bench: a space at the kerb': '/bench/reverse?exercise=kerb-space',
        'Bench: a lorry in a lane': '/bench/swept-path?way=s-bend&best=true',
        'Bench: long vehicle': '/bench/swept-path',
        'Bench: clearance': '/bench/clearance',
        Account: '/account',
        'Rules and practice': '/account/rules',
        'Nothing here': '/no-such-page',
    };
}

async function settle(page: Page): Promise<void> {
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForLoadState('networkidle');
}

for (const [theme, half] of [
    ['day', 0],
    ['day', 1],
    ['night', 0],
    ['night', 1],
] as const) {
    test(`axe finds nothing on any screen, ${theme}, ${half === 0 ? 'one half' : 'the other half and what opens over a page'}`, async ({ page }) => {
        test.setTimeout(600_000);
        await page.addInitScript((chosen) => localStorage.setItem('noble-turn.theme', chosen), theme);
        const heard = complaints(page);
        for (const [name, path] of Object.entries(await screens(page)).filter((_, i) => i % 2 === half)) {
            await page.goto(path);
            await settle(page);
            await expectNoAxeFinding(page, name);
            await expectSound(page, name);
        }
        if (half === 0) {
            expect(heard).toEqual([]);
            return;
        }
        // What opens over a page is a screen too.
        await page.goto('/learners');
        await page.getByRole('button', { name: 'New learner' }).click();
        await expectNoAxeFinding(page, 'New learner');
        await page.keyboard.press('Escape');
        await page.goto((await screens(page)).Learner!);
        await page
            .getByRole('button', { name: /, Position:/ })
            .first()
            .click();
        await expect(page.getByRole('heading', { name: 'The marks' })).toBeVisible();
        await expectNoAxeFinding(page, 'Behind a square');
        await page.keyboard.press('Escape');
        await page.keyboard.press('.');
        await expect(page.getByRole('dialog', { name: 'Where to?' })).toBeVisible();
        await expectNoAxeFinding(page, 'Where to?');
        expect(heard).toEqual([]);
    });
}

for (const [width, height, what] of [
    [390, 844, 'a phone'],
    [640, 400, 'the tablet at 200 % zoom'],
    [1600, 1000, 'a laptop'],
] as const) {
    test(`nothing is wider than ${what}`, async ({ page }) => {
        test.setTimeout(600_000);
        await page.setViewportSize({ width, height });
        await page.emulateMedia({ reducedMotion: 'reduce' });
        await page.goto('/');
        for (const [name, path] of Object.entries(await screens(page))) {
            await page.goto(path);
            await settle(page);
            await expectSound(page, name);
        }
    });
}

test('keys are large enough for a thumb, larger in Drive', async ({ page }) => {
    await page.goto('/');
    const all = await screens(page);
    for (const [name, least] of [
        ['Today', 48],
        ['Plan', 48],
        ['Drive', 88],
    ] as const) {
        await page.goto(all[name]!);
        await settle(page);
        const small = await page
            .getByRole('main')
            .getByRole('button')
            .evaluateAll(
                (buttons, size) => buttons.filter((button) => button.getBoundingClientRect().height < size - 0.5).map((button) => button.textContent),
                least,
            );
        // In Drive the keys that mark are large; what is set while parked between rounds is not pressed in haste.
        expect(
            small.filter((text) => name !== 'Drive' || !/Driving|^\d+\./.test(text)),
            name,
        ).toEqual([]);
    }
});
