import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '@/api/client';
import { hear, heard } from '@/api/heard';
import { LastAnswers } from './lastAnswers';
import type { Copies, Copy } from './store';

/** A device's store that outlives its pages. */
class Memory implements Copies {
    readonly kept = new Map<string, Copy>();
    full = false;
    get = (owner: string, question: string) => Promise.resolve(this.kept.get(`${owner} ${question}`));
    put = (copy: Copy) => (this.full ? Promise.reject(new Error('full')) : Promise.resolve(void this.kept.set(`${copy.owner} ${copy.question}`, copy)));
    times = (owner: string) => Promise.resolve(new Map([...this.kept.values()].filter((copy) => copy.owner === owner).map((copy) => [copy.question, copy.at])));
    keepNewest = (owner: string, begins: string, most: number) => {
        const newest = [...this.kept.entries()]
            .filter(([, copy]) => copy.owner === owner && copy.question.startsWith(begins))
            .sort(([, a], [, b]) => b.at - a.at);
        for (const [key] of newest.slice(most)) this.kept.delete(key);
        return Promise.resolve();
    };
    keepOnly = (owner: string | null, since: number) => {
        for (const [key, copy] of this.kept) if (copy.owner !== owner || copy.at < since) this.kept.delete(key);
        return Promise.resolve();
    };
}

const OUT = () => Promise.reject(new Problem(0, 'no signal'));
const PLACES = ['places'];
const answered = { status: 200, headers: new Headers() };

/** A page as it is opened on a device by somebody. */
function page(copies: Copies, user = 'ann', form = 'one') {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: 'always' } } });
    const answers = new LastAnswers(copies, form, () => user);
    answers.of(client);
    const ask = <T>(queryKey: string[], queryFn: () => Promise<T>): Promise<T> =>
        client.query({ queryKey, queryFn, persister: answers.persister as never, staleTime: 0 });
    return { client, answers, ask };
}
const hashOf = (key: readonly string[]) => JSON.stringify(key);

beforeEach(() => {
    vi.useFakeTimers({ now: new Date('2026-05-20T08:00:00Z') });
    hear(answered);
});
afterEach(() => vi.useRealTimers());

describe('the last answers', () => {
    it('are what the server said, while it answers', async () => {
        const { ask } = page(new Memory());
        expect(await ask(PLACES, () => Promise.resolve(['a']))).toEqual(['a']);
        expect(await ask(PLACES, () => Promise.resolve(['b']))).toEqual(['b']);
    });

    it('stand in without signal, on a page opened from cold, as old as they are', async () => {
        const copies = new Memory();
        const before = page(copies);
        await before.ask(PLACES, () => Promise.resolve(['a']));
        vi.advanceTimersByTime(3_600_000);
        const { client, answers, ask } = page(copies);
        expect(await ask(PLACES, OUT)).toEqual(['a']);
        await vi.advanceTimersByTimeAsync(1);
        expect(answers.asOf([hashOf(PLACES)])).toBe(Date.parse('2026-05-20T08:00:00Z'));
        expect(client.getQueryState(PLACES)!.dataUpdatedAt).toBe(Date.parse('2026-05-20T08:00:00Z'));
        expect(client.getQueryState(PLACES)!.error).toBeNull();
        // Of other questions nothing is said.
        expect(answers.asOf(['["learners"]'])).toBeNull();
    });

    it('stand in where the server takes too long, and give way to what it says at last', async () => {
        const copies = new Memory();
        await page(copies).ask(PLACES, () => Promise.resolve(['old']));
        vi.advanceTimersByTime(1);
        const { client, answers, ask } = page(copies);
        let say: (data: string[]) => void = () => undefined;
        const shown = ask(PLACES, () => new Promise<string[]>((done) => (say = done)));
        await vi.advanceTimersByTimeAsync(3_900);
        expect(client.getQueryData(PLACES)).toBeUndefined();
        await vi.advanceTimersByTimeAsync(200);
        expect(await shown).toEqual(['old']);
        // Nothing was heard for so long: the next page does not wait as long.
        expect(heard.reached.get()).toBe(false);
        say(['new']);
        await vi.advanceTimersByTimeAsync(1);
        expect(client.getQueryData(PLACES)).toEqual(['new']);
        expect(answers.asOf([hashOf(PLACES)])).toBeNull();
        expect((await copies.get('ann', hashOf(PLACES)))!.data).toEqual(['new']);
    });

    it('never stand in for a refusal: what the server says is said', async () => {
        const copies = new Memory();
        await page(copies).ask(PLACES, () => Promise.resolve(['a']));
        for (const status of [401, 403, 404, 409, 422, 429, 500, 507]) {
            const { ask } = page(copies);
            await expect(ask(PLACES, () => Promise.reject(new Problem(status, 'no')))).rejects.toMatchObject({ status });
        }
    });

    it('say that there is nothing where nothing was ever answered', async () => {
        await expect(page(new Memory()).ask(PLACES, OUT)).rejects.toMatchObject({ status: 0 });
    });

    it('are asked again when the server answers again, those that had none too', async () => {
        const copies = new Memory();
        await page(copies).ask(PLACES, () => Promise.resolve(['a']));
        const { client, ask } = page(copies);
        hear(null);
        await ask(PLACES, OUT);
        await ask(['learners'], OUT).catch(() => undefined);
        await client.query({ queryKey: ['rules'], queryFn: () => Promise.resolve('fresh'), staleTime: Infinity });
        hear(answered);
        const stale = client
            .getQueryCache()
            .getAll()
            .filter((query) => query.state.isInvalidated);
        expect(stale.map((query) => query.queryKey[0])).toEqual(['places', 'learners']);
    });

    it('belong to one person: another who signs in finds none, and leaves none of the first', async () => {
        const copies = new Memory();
        const ann = page(copies, 'ann');
        await ann.ask(['session'], () => Promise.resolve({ user: { id: 'ann' } }));
        await ann.ask(PLACES, () => Promise.resolve(['ann’s']));
        const ben = page(copies, 'ben');
        await expect(ben.ask(PLACES, OUT)).rejects.toMatchObject({ status: 0 });
        await ben.ask(['session'], () => Promise.resolve({ user: { id: 'ben' } }));
        await vi.advanceTimersByTimeAsync(1);
        expect([...copies.kept.values()].map((copy) => copy.owner)).toEqual(['device']);
        // A page of the first that is still open cannot put anything back under the second's name.
        await ann.ask(PLACES, () => Promise.resolve(['late']));
        await expect(ben.ask(PLACES, OUT)).rejects.toMatchObject({ status: 0 });
    });

    it('are whose they were asked for: one that comes when somebody else is signed in on the same page is kept for nobody', async () => {
        const copies = new Memory();
        let user = 'ann';
        const client = new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: 'always' } } });
        const answers = new LastAnswers(copies, 'one', () => user);
        answers.of(client);
        let say: (data: string[]) => void = () => undefined;
        const asked = client.query({
            queryKey: PLACES,
            queryFn: () => new Promise<string[]>((done) => (say = done)),
            persister: answers.persister as never,
            staleTime: 0,
        });
        await vi.advanceTimersByTimeAsync(1);
        user = 'ben';
        say(['ann’s']);
        await asked;
        await vi.advanceTimersByTimeAsync(1);
        expect(copies.kept.size).toBe(0);
    });

    it('that come late do not undo what was written meanwhile', async () => {
        const copies = new Memory();
        await page(copies).ask(['lesson', 'l'], () => Promise.resolve({ aim: 'old' }));
        vi.advanceTimersByTime(1);
        const { client, ask } = page(copies);
        let say: (data: object) => void = () => undefined;
        const shown = ask(['lesson', 'l'], () => new Promise<object>((done) => (say = done)));
        await vi.advanceTimersByTimeAsync(4_100);
        expect(await shown).toEqual({ aim: 'old' });
        client.setQueryData(['lesson', 'l'], { aim: 'written' });
        say({ aim: 'old' });
        await vi.advanceTimersByTimeAsync(10);
        expect(client.getQueryData(['lesson', 'l'])).toEqual({ aim: 'written' });
    });

    it('give way to an answer that comes while the device is searched', async () => {
        const copies = new Memory();
        await page(copies).ask(PLACES, () => Promise.resolve(['old']));
        hear(null);
        const { answers, ask } = page(copies);
        const found = copies.get;
        copies.get = async (owner, question) => {
            await new Promise((done) => setTimeout(done, 50));
            return found(owner, question);
        };
        const shown = ask(PLACES, () => new Promise<string[]>((done) => setTimeout(() => done(['new']), 20)));
        await vi.advanceTimersByTimeAsync(100);
        expect(await shown).toEqual(['new']);
        expect(answers.asOf([hashOf(PLACES)])).toBeNull();
    });

    it('go when somebody signs out, or the server says that nobody is signed in', async () => {
        for (const leave of [
            (at: ReturnType<typeof page>) => at.answers.forget(),
            (at: ReturnType<typeof page>) => at.ask(['session'], () => Promise.resolve({ user: null })),
            // A question was refused with 401: the page itself says so.
            (at: ReturnType<typeof page>) => Promise.resolve(at.client.setQueryData(['session'], { user: null })),
        ]) {
            const copies = new Memory();
            const at = page(copies);
            await at.ask(['session'], () => Promise.resolve({ user: { id: 'ann' } }));
            await at.ask(PLACES, () => Promise.resolve(['a']));
            expect(copies.kept.size).toBe(2);
            await leave(at);
            await vi.advanceTimersByTimeAsync(1);
            expect(copies.kept.size).toBe(0);
        }
    });

    it('say who was signed in last, where that cannot be asked', async () => {
        const copies = new Memory();
        await page(copies, '').ask(['session'], () => Promise.resolve({ user: { id: 'ann' } }));
        expect(await page(copies, '').ask(['session'], OUT)).toEqual({ user: { id: 'ann' } });
    });

    it('are not shown after a week, nor to a version that speaks otherwise', async () => {
        const copies = new Memory();
        await page(copies).ask(PLACES, () => Promise.resolve(['a']));
        await expect(page(copies, 'ann', 'two').ask(PLACES, OUT)).rejects.toMatchObject({ status: 0 });
        vi.advanceTimersByTime(7 * 24 * 3_600_000 - 1_000);
        expect(await page(copies).ask(PLACES, OUT)).toEqual(['a']);
        vi.advanceTimersByTime(2_000);
        await expect(page(copies).ask(PLACES, OUT)).rejects.toMatchObject({ status: 0 });
    });

    it.each([[['learner', 'l', 'data']], [['people']], [['letters']], [['sessions']], [['keeping']]])('keep nothing of %j', async (key) => {
        const copies = new Memory();
        await page(copies).ask(key, () => Promise.resolve('theirs'));
        expect(copies.kept.size).toBe(0);
        await expect(page(copies).ask(key, OUT)).rejects.toMatchObject({ status: 0 });
    });

    it('keep what a page has just written, so that a reload without signal shows it', async () => {
        const copies = new Memory();
        const { client } = page(copies);
        client.setQueryData(['lesson', 'l'], { aim: 'look twice' });
        await vi.advanceTimersByTimeAsync(1);
        expect(await page(copies).ask(['lesson', 'l'], OUT)).toEqual({ aim: 'look twice' });
    });

    it('of sliders are no more than a device has room for, the newest', async () => {
        const copies = new Memory();
        const { answers, ask } = page(copies);
        for (let i = 0; i < 100; i++) {
            vi.advanceTimersByTime(1000);
            await ask(['sweep', 'approach', String(i)], () => Promise.resolve([i]));
        }
        await ask(PLACES, () => Promise.resolve(['a']));
        await answers.tidy();
        expect(copies.kept.size).toBe(81);
        expect(await page(copies).ask(['sweep', 'approach', '99'], OUT)).toEqual([99]);
        await expect(page(copies).ask(['sweep', 'approach', '19'], OUT)).rejects.toMatchObject({ status: 0 });
    });

    it('take nothing from the work where the device keeps nothing', async () => {
        const copies = new Memory();
        copies.full = true;
        const { ask } = page(copies);
        expect(await ask(PLACES, () => Promise.resolve(['a']))).toEqual(['a']);
        expect(await ask(['session'], () => Promise.resolve({ user: { id: 'ann' } }))).toEqual({ user: { id: 'ann' } });
        // What is on the page stays on it.
        expect(await ask(PLACES, OUT)).toEqual(['a']);
    });
});
