import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { AREAS } from '../../resources/js/keys/areas';

/** The key that leads to an area from the signpost. */
export const keyTo = (area: string): string => String(AREAS.findIndex(({ label }) => label === area) + 1);

export const INSTRUCTOR = { email: 'instructor@harbourschool.test', password: 'demo-harbour' };

/** Where the instructor's session with each application is kept between tests. */
export const signedIn = (app: number): string => `var/test/signed-in-${app}.json`;

export async function signIn(page: Page, who = INSTRUCTOR): Promise<void> {
    // Whoever has just signed out is being led away still: the one leading ends the other.
    await expect(() => page.goto('/')).toPass();
    await page.getByLabel('Email').fill(who.email);
    await page.getByLabel('Password').fill(who.password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
}

/** Asks the API as the page's own user. */
export async function api<T>(page: Page, path: string): Promise<T> {
    return (await (await page.request.get(`/api/${path}`, { headers: { Accept: 'application/json' } })).json()) as T;
}

/** Writes as the page's own user, who has been somewhere already. */
export async function send<T>(page: Page, path: string, data: object, method = 'POST'): Promise<T> {
    const token = decodeURIComponent((await page.context().cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN')!.value);
    const answer = await page.request.fetch(`/api/${path}`, { method, data, headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token } });
    const said = await answer.text();
    // Nothing is said of what is gone.
    return (said === '' ? undefined : JSON.parse(said)) as T;
}

/** Everything the browser complained of; must be empty at the end. */
/** @param but what is expected, such as that there is no network */
export function complaints(page: Page, but?: RegExp): string[] {
    const found: string[] = [];
    page.on('console', (message) => message.type() === 'error' && !but?.test(message.text()) && found.push(message.text()));
    page.on('pageerror', (error) => found.push(error.message));
    return found;
}

/** The query of a circuit of the demo as its page has it, and the id of the test centre. */
export async function demoCircuit(page: Page): Promise<{ query: string; centre: string }> {
    type Way = { site: string; from: string; to: string; routine: string; rounds: number };
    const [circuit] = await api<{ ways: Way[] }[]>(page, 'circuits');
    const [centre] = await api<{ id: string }[]>(page, 'centres');
    const search = new URLSearchParams();
    circuit!.ways.forEach(({ site, from, to, routine, rounds }) => search.append('way', [site, from, to, routine, rounds].join('~')));
    return { query: search.toString(), centre: centre!.id };
}

/** @param without rules that another test has already held against the same colours or parts */
export async function expectNoAxeFinding(page: Page, where: string, without: string[] = []): Promise<void> {
    // There are no frames: one page is enough, and no second one is opened for the sum of them.
    const { violations } = await new AxeBuilder({ page }).setLegacyMode(true).disableRules(without).analyze();
    expect(
        violations.map((violation) => `${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join(', ')}`),
        where,
    ).toEqual([]);
}

/** Nothing is wider than the screen, and no text says NaN, undefined or null. */
export async function expectSound(page: Page, where: string): Promise<void> {
    const { wide, text } = await page.evaluate(() => ({
        wide: document.documentElement.scrollWidth - document.documentElement.clientWidth,
        text: document.body.innerText,
    }));
    expect(wide, `${where}: wider than the screen`).toBeLessThanOrEqual(0);
    expect(text, where).not.toMatch(/\b(NaN|undefined|null|Infinity)\b/);
}

/** Waits until the server has that many rounds of the lesson with marks in them. */
export async function everythingSent(page: Page, lesson: string, rounds: number): Promise<void> {
    await expect
        .poll(async () => (await api<{ rounds: { marks: unknown[] }[] }>(page, `lessons/${lesson}`)).rounds.filter((round) => round.marks.length > 0).length)
        .toBe(rounds);
    // What was pressed last may still be on its way.
    await expect.poll(() => waitingOnDevice(page)).toBe(0);
}

/** How many rounds and marks the browser of a page still keeps to be sent. */
export const waitingOnDevice = (page: Page): Promise<number> =>
    page.evaluate(async () => {
        const asked = <T>(request: IDBRequest<T>) =>
            new Promise<T>((done, failed) => {
                request.onsuccess = () => done(request.result);
                request.onerror = () => failed(new Error(String(request.error)));
            });
        // Opened without being there, it would be made, empty and of no use to the page.
        if (!(await indexedDB.databases()).some((known) => known.name === 'noble-turn')) return 0;
        const db = await asked(indexedDB.open('noble-turn'));
        try {
            return await asked(db.transaction('events').objectStore('events').count());
        } finally {
            db.close();
        }
    });

export interface Round {
    id: string;
    place_id: string;
    ordinal: number | null;
    marks: { id: string; step: string | null; outcome: string | null; kind: string; withdrawn: boolean; user_id: string }[];
}
export interface Lesson {
    id: string;
    starts_at: string;
    rounds: Round[];
    items: { id: string; place: { id: string; name: string } }[];
}

/** Late in the evening of the next day: a lesson that is fetched ahead, and the next one of nobody. */
export const tomorrow = (): Date => new Date(`${new Date(Date.now() + 86_400_000).toISOString().slice(0, 10)}T21:30:00Z`);

/** A lesson as a list of lessons names it: by its day as well, since other days may have one at the same hour. */
export function saidOf(lesson: Lesson): string {
    const by = (parts: Intl.DateTimeFormatOptions) =>
        new Intl.DateTimeFormat('en-GB', { ...parts, timeZone: 'Europe/London' }).format(new Date(lesson.starts_at));
    return `${by({ weekday: 'long', day: 'numeric', month: 'long' })}, ${by({ hour: '2-digit', minute: '2-digit' })}`;
}

/** Books at that time, or at the nearest of the same day by the school's clock at which nobody who is needed is taken. */
async function book(page: Page, what: { learner_id: string; vehicle_id: string; minutes: number }, near: Date): Promise<string> {
    const QUARTER = 15 * 60_000;
    const dayOf = (at: Date) => new Intl.DateTimeFormat('en-CA', { timeZone: 'Europe/London' }).format(at);
    const around = Array.from({ length: 96 }, (_, n) => [n, -n - 1]).flat();
    for (const at of around.map((n) => new Date(near.getTime() + n * QUARTER)).filter((at) => dayOf(at) === dayOf(near))) {
        const said = await send<{ id?: string }>(page, 'lessons', { ...what, starts_at: at.toISOString() });
        if (said.id) return said.id;
    }
    throw new Error(`Nothing is free on ${dayOf(near)}.`);
}

/** So many lessons a test each have been asked for far ahead: not all on one day. */
let asked = 0;
const farAhead = (): Date => new Date(Date.now() + (40 + (asked++ % 30)) * 86_400_000);

/** A lesson of its own for one test, with three places on its plan; of the first learner, or of another by where they stand in the list. */
export async function newLesson(page: Page, starts = farAhead(), whose = 0, minutes = 60): Promise<Lesson> {
    await page.goto('/');
    await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible();
    const learner = (await api<{ id: string }[]>(page, 'learners')).at(whose);
    const [vehicle] = await api<{ id: string }[]>(page, 'vehicles');
    // Of the law that is taught here: the branch overseas has places of its own.
    const here = new Set((await api<{ id: string; pack: string }[]>(page, 'sites')).filter(({ pack }) => pack === 'gb').map(({ id }) => id));
    const places = (await api<{ id: string; name: string; routine: string; site_id: string | null }[]>(page, 'places')).filter(
        (place) => place.routine.startsWith('emerge-') && (place.site_id === null || here.has(place.site_id)),
    );
    const id = await book(page, { learner_id: learner!.id, vehicle_id: vehicle!.id, minutes }, starts);
    for (const place of places.slice(0, 3)) await send(page, `lessons/${id}/items`, { place_id: place.id });
    return api<Lesson>(page, `lessons/${id}`);
}
