import { IDBFactory } from 'fake-indexeddb';
import 'fake-indexeddb/auto';
import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { belongTo } from '@/api/client';
import { hear } from '@/api/heard';
import type { Asked } from '@/api/tools';
import type { SignedIn } from '@/api/types';
import { mondayOf, moved } from '@/diary/week';
import { lastAnswers } from '@/copies/here';
import { packed } from '@/copies/packed';
import { isoDay } from '@/session/session';
import { answer, server, tool, type Sent } from '@/testing/answers';
import { pack } from './packing';

const session: SignedIn = answer('session');
const lesson = answer('demo-lesson-planned');
const today = answer('demo-today');
const line = { ...today.lessons[0]!, id: lesson.id, learner: lesson.learner };
const NOW = Date.parse('2026-05-20T08:00:00Z');
const day = (ms: number) => `GET today?day=${isoDay(new Date(ms), session.school.time_zone)}`;
const [TODAY, TOMORROW] = [day(NOW), day(NOW + 24 * 3_600_000)];

/** This one and the next, from their Mondays. */
const WEEKS = [0, 7].map((days) => `GET week?from=${moved(`${mondayOf(TODAY.slice(-10))}T12:00`, 0, days).slice(0, 10)}`);

/** Pictures hang at the sites of its places: the first has one on the road one comes by, and one on another. */
const drawn = lesson.items.flatMap(({ place }) => (place.site_id === null ? [] : [{ site: place.site_id, arm: place.from_arm! }]));
const hung = (id: string, arm: string) => ({ id, site_id: drawn[0]!.site, arm, note: null, width: 4, height: 3, lines: [] });
const pictures = {
    ...Object.fromEntries(drawn.map(({ site }) => [`GET sites/${site}/pictures`, []])),
    // Whatever they look like: one drawing stands for all.
    ...Object.fromEntries(drawn.map(({ site }) => [`GET sites/${site}`, answer('demo-site')])),
    'POST compute/site': tool('tool-site'),
    [`GET sites/${drawn[0]!.site}/pictures`]: [hung('seen', drawn[0]!.arm), hung('unseen', 'elsewhere')],
    'GET pictures/seen': { ...hung('seen', drawn[0]!.arm), image: 'data:image/jpeg;base64,AAAA' },
};

/** What belongs to the one lesson of the day, and to every day. */
const replies = (more: Record<string, object | number> = {}) => ({
    [TODAY]: { ...today, lessons: [line] },
    [TOMORROW]: { ...today, lessons: [] },
    ...Object.fromEntries(WEEKS.map((week) => [week, answer('demo-week')])),
    'GET places': answer('demo-places'),
    'GET sites': answer('demo-sites'),
    'GET learners': answer('demo-learners'),
    'GET legs': answer('demo-legs'),
    'GET centres': answer('demo-centres'),
    'GET circuits': answer('demo-circuits'),
    'GET vehicles': answer('demo-vehicles'),
    'GET vehicle-kinds': answer('demo-vehicle-kinds'),
    'GET rules': answer('demo-rules'),
    'GET texts': answer('demo-texts'),
    [`GET routines?pack=${session.rules.pack}`]: answer('demo-routines'),
    [`GET lessons/${lesson.id}`]: lesson,
    [`GET lessons/${lesson.id}/changed`]: answer('demo-changed'),
    [`GET learners/${lesson.learner.id}`]: answer('demo-learner'),
    [`GET learners/${lesson.learner.id}/skill`]: answer('demo-skill'),
    [`GET learners/${lesson.learner.id}/habits`]: answer('demo-habits'),
    [`GET learners/${lesson.learner.id}/needs`]: answer('demo-needs'),
    ...pictures,
    'POST compute/approach': tool('tool-approach'),
    'POST compute/gap': tool('tool-gap'),
    'POST compute/circuit': answer('demo-onward'),
    ...more,
});

let client: QueryClient;
const asked = (sent: Sent[]) => sent.map(({ method, path }) => `${method} ${path}`);

beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
    vi.useFakeTimers({ now: NOW, toFake: ['Date'] });
    hear({ status: 200, headers: new Headers() });
    belongTo(session.user.id);
    packed.set(null);
    client = new QueryClient({ defaultOptions: { queries: { networkMode: 'always', persister: lastAnswers.persister } } });
    lastAnswers.of(client);
});
afterEach(async () => {
    await lastAnswers.forget();
    belongTo('');
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

describe('what is fetched ahead', () => {
    it('is two days, what every page needs, and of each lesson its places’ plans and its learner’s record', async () => {
        const sent = server(replies());
        await pack(client, session);
        const all = asked(sent);
        for (const question of Object.keys(replies())) expect(all, question).toContain(question);
        // Each place by the plan itself and over the whole slider of speed.
        const sweeps = sent.filter(({ path, body }) => path === 'compute/approach' && (body as { sweep?: object }).sweep);
        expect(sweeps).toHaveLength(lesson.items.filter(({ plan }) => plan.tool === 'approach').length);
        // Of the pictures those that are shown at the kerb.
        expect(all).not.toContain('GET pictures/unseen');
        // Nothing twice.
        expect(new Set(sent.map((one) => JSON.stringify(one))).size).toBe(sent.length);
    });

    it('is what the way on of a lesson needs: its drives, and where each direction is said', async () => {
        const picked = answer('demo-learners').map((learner) =>
            learner.id === lesson.learner.id ? { ...learner, pick_up_latitude_deg: 49.1978, pick_up_longitude_deg: -8.1025 } : learner,
        );
        const sent = server(replies({ 'GET learners': picked }));
        await pack(client, session);
        const circuits = sent.filter(({ path }) => path === 'compute/circuit').map(({ body }) => body as Asked<'circuit'>);
        const [plan, told] = circuits as [Asked<'circuit'>, Asked<'circuit'>];
        expect(circuits).toHaveLength(2);
        expect(plan.ways!.map(({ id }) => id)).toEqual(lesson.items.map(({ id }) => id));
        expect(plan.ways!.every(({ direction }) => direction === undefined)).toBe(true);
        expect(told.ways!.every(({ direction, say_at_m }) => direction !== undefined && say_at_m! > 0)).toBe(true);
        expect({ ...told, ways: plan.ways }).toEqual(plan);
    });

    it('has this week and the next, whatever day it is', async () => {
        const sent = server(replies());
        await pack(client, session);
        expect(asked(sent)).toEqual(expect.arrayContaining(WEEKS));
        expect(WEEKS).toEqual(['GET week?from=2026-05-18', 'GET week?from=2026-05-25']);
    });

    it('is not fetched again while it is fresh, but for the days themselves; and again when it is not', async () => {
        server(replies());
        await pack(client, session);
        // A page opened anew has nothing but what lies on the device.
        client.clear();
        vi.setSystemTime(NOW + 9 * 60_000);
        const soon = server(replies());
        await pack(client, session);
        expect(asked(soon)).toEqual([TODAY, TOMORROW]);
        vi.setSystemTime(NOW + 21 * 60_000);
        const later = server(replies());
        await pack(client, session);
        expect(asked(later)).toContain(`GET lessons/${lesson.id}`);
        // A picture stays what it is.
        expect(asked(later)).not.toContain('GET pictures/seen');
    });

    it('is all here only when nothing failed; what the server refuses for good is not missing', async () => {
        server(replies({ 'GET places': 500 }));
        await pack(client, session);
        expect(packed.get()).toBeNull();
        server(replies({ 'POST compute/approach': 422 }));
        await pack(client, session, NOW + 60_000);
        expect(packed.get()).toBe(NOW + 60_000);
    });

    it('goes on past what fails, and leaves it for the next time', async () => {
        const sent = server(replies({ 'GET places': 500, 'POST compute/approach': 422 }));
        await pack(client, session);
        expect(asked(sent)).toContain(`GET learners/${lesson.learner.id}/needs`);
        const again = server(replies());
        vi.setSystemTime(NOW + 60_000);
        await pack(client, session);
        expect(asked(again)).toEqual(expect.arrayContaining(['GET places', 'POST compute/approach']));
        expect(asked(again)).not.toContain('GET learners');
    });

    it('stops where the server has enough for now', async () => {
        const sent = server(replies({ 'GET learners': 429 }));
        await expect(pack(client, session)).rejects.toMatchObject({ status: 429 });
        expect(packed.get()).toBeNull();
        expect(asked(sent).at(-1)).toBe('GET learners');
    });

    it('asks nothing on and on where the signal goes in the middle of it', async () => {
        const sent: string[] = [];
        vi.stubGlobal('fetch', (request: Request) => {
            sent.push(request.url);
            return Promise.reject(new TypeError('no signal'));
        });
        await pack(client, session);
        expect(sent).toHaveLength(2);
        expect(packed.get()).toBeNull();
    });

    it('is nobody else’s: of another person nothing is taken for fresh', async () => {
        server(replies());
        await pack(client, session);
        client.clear();
        belongTo('01a22249-0000-7000-8000-00000000beef');
        const sent = server(replies());
        await pack(client, session);
        expect(asked(sent)).toEqual(expect.arrayContaining(['GET places', `GET lessons/${lesson.id}`]));
    });
});
