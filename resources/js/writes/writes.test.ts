import { describe, expect, it } from 'vitest';
import { Problem } from '@/api/client';
import { hear } from '@/api/heard';
import type { Neighbours, News } from '@/queue/events';
import type { Written } from './written';
import { Writes, type Waiting } from './writes';

class Memory {
    readonly kept = new Map<number, Waiting>();
    broken = false;
    of = (user: string) => Promise.resolve([...this.kept.values()].filter((one) => one.user === user));
    put = (one: Waiting) => (this.broken ? Promise.reject(new Error('full')) : Promise.resolve(void this.kept.set(one.seq, one)));
    drop = (seqs: number[]) => Promise.resolve(seqs.forEach((seq) => this.kept.delete(seq)));
}

const aim = (text: string): Written => ({ kind: 'facts', facts: { aim: text } });
const OUT = new Problem(0, 'no signal');
const nothing = () => Promise.resolve();

/** A server that can be told to fail, and what it took, in order. */
function server() {
    const taken: string[] = [];
    const state = { answer: (_lesson: string, _written: Written): Problem | null => null };
    const send = (lesson: string, written: Written): Promise<unknown> => {
        const problem = state.answer(lesson, written);
        if (problem) return Promise.reject(problem);
        taken.push(`${lesson}: ${written.kind === 'facts' ? written.facts.aim : written.kind}`);
        return Promise.resolve({ lesson });
    };
    return { taken, state, send };
}

describe('what is written on lessons', () => {
    it('is told to the server at once, whose answer and whose refusal are the writer’s', async () => {
        const { taken, state, send } = server();
        const writes = new Writes(new Memory(), send);
        await writes.load('ann', nothing);
        expect(await writes.write('l', aim('a'))).toEqual({ lesson: 'l' });
        for (const status of [401, 403, 404, 409, 422, 500, 507]) {
            state.answer = () => new Problem(status, 'no');
            await expect(writes.write('l', aim('b'))).rejects.toMatchObject({ status });
        }
        expect(taken).toEqual(['l: a']);
        expect(writes.state.get().waiting).toEqual([]);
    });

    it('waits without signal, over a closed page, and goes in the order in which it was written', async () => {
        const shelf = new Memory();
        const { taken, state, send } = server();
        state.answer = () => OUT;
        const first = new Writes(shelf, send);
        await first.load('ann', nothing);
        expect(await first.write('l', aim('a'))).toBeNull();
        expect(await first.write('m', aim('b'))).toBeNull();
        expect(await first.write('l', aim('c'))).toBeNull();
        const second = new Writes(shelf, send);
        await second.load('ann', nothing);
        expect(second.state.get().waiting.map((one) => one.lesson)).toEqual(['l', 'm', 'l']);
        state.answer = () => null;
        const told: string[] = [];
        await second.load('ann', (lesson) => Promise.resolve(told.push(lesson)));
        expect(taken).toEqual(['l: a', 'm: b', 'l: c']);
        expect(told).toEqual(['l', 'm', 'l']);
        expect(shelf.kept.size).toBe(0);
    });

    it('is on the device at once where there is no signal: nothing hangs on a network that carries nothing', async () => {
        const shelf = new Memory();
        const { state, send } = server();
        const writes = new Writes(shelf, send);
        await writes.load('ann', nothing);
        hear(null);
        state.answer = () => OUT;
        const hanging = new Writes(shelf, () => new Promise(() => undefined));
        await hanging.load('ann', nothing);
        expect(await hanging.write('l', aim('a'))).toBeNull();
        expect(shelf.kept.size).toBe(1);
        hear({ status: 200, headers: new Headers() });
    });

    it('is neither shown nor sent before the device holds it: a page closed in that moment has promised nothing', async () => {
        const shelf = new Memory();
        const { taken, state, send } = server();
        const writes = new Writes(shelf, send);
        await writes.load('ann', nothing);
        let held = (): void => undefined;
        const put = shelf.put;
        shelf.put = (one) => new Promise<void>((done) => (held = done)).then(() => put(one));
        state.answer = () => OUT;
        const shown: number[] = [];
        writes.state.subscribe(() => shown.push(writes.state.get().waiting.length));
        const writing = writes.write('l', aim('a'));
        await new Promise((done) => setTimeout(done));
        state.answer = () => null;
        await writes.flush();
        expect([Math.max(0, ...shown), taken]).toEqual([0, []]);
        state.answer = () => OUT;
        held();
        await writing;
        expect([writes.state.get().waiting.length, shelf.kept.size]).toEqual([1, 1]);
        state.answer = () => null;
        await writes.flush();
        await writes.flush();
        expect(taken).toEqual(['l: a']);
    });

    it('does not overtake what was written on the same lesson before it', async () => {
        const { taken, state, send } = server();
        const writes = new Writes(new Memory(), send);
        await writes.load('ann', nothing);
        state.answer = () => OUT;
        await writes.write('l', aim('first'));
        state.answer = () => null;
        await writes.write('l', aim('second'));
        await writes.flush();
        await writes.flush();
        expect(taken).toEqual(['l: first', 'l: second']);
    });

    it('that is refused when it goes is set aside with its reason, and holds up nothing', async () => {
        const { taken, state, send } = server();
        const shelf = new Memory();
        const writes = new Writes(shelf, send);
        await writes.load('ann', nothing);
        state.answer = () => OUT;
        await writes.write('gone', aim('a'));
        await writes.write('l', aim('b'));
        await writes.flush();
        state.answer = (lesson) => (lesson === 'gone' ? new Problem(404, 'It was archived.') : null);
        await writes.flush();
        const [one] = writes.state.get().waiting;
        expect([taken, [...writes.state.get().refused]]).toEqual([['l: b'], [[one!.seq, 'It was archived.']]]);
        // Tried once more when it was restored; or given up.
        state.answer = () => null;
        await writes.again(one!.seq);
        expect(taken).toEqual(['l: b', 'gone: a']);
        state.answer = () => OUT;
        await writes.write('l', aim('c'));
        await writes.discard(writes.state.get().waiting[0]!.seq);
        expect([writes.state.get().waiting, shelf.kept.size]).toEqual([[], 0]);
    });

    it.each([0, 401, 409, 419, 429, 503, 507])('waits on, whole, while the server answers %i', async (status) => {
        const { taken, state, send } = server();
        const writes = new Writes(new Memory(), send);
        await writes.load('ann', nothing);
        state.answer = () => OUT;
        await writes.write('l', aim('a'));
        await writes.write('l', aim('b'));
        state.answer = () => new Problem(status, 'not now');
        await writes.flush();
        expect([writes.state.get().waiting.length, writes.state.get().refused.size, taken]).toEqual([2, 0, []]);
    });

    it('is one person’s: never sent under another sign-in, nor shown there', async () => {
        const { taken, state, send } = server();
        const writes = new Writes(new Memory(), send);
        await writes.load('ann', nothing);
        state.answer = () => OUT;
        await writes.write('l', aim('a'));
        state.answer = () => null;
        await writes.load('ben', nothing);
        expect([writes.state.get().waiting, taken]).toEqual([[], []]);
        await writes.load('ann', nothing);
        expect(taken).toEqual(['l: a']);
    });

    it('is said to be lost where nothing can be stored, while it is still on the page', async () => {
        const shelf = new Memory();
        shelf.broken = true;
        const { state, send } = server();
        const writes = new Writes(shelf, send);
        await writes.load('ann', nothing);
        state.answer = () => OUT;
        await expect(writes.write('l', aim('a'))).rejects.toThrow(/cannot store it/);
        expect(writes.state.get().waiting).toEqual([]);
    });

    it('goes once though two pages are open, and is shown in both', async () => {
        const shelf = new Memory();
        const { taken, state, send } = server();
        const listeners: ((news: News) => void)[] = [];
        let last: Promise<unknown> = Promise.resolve();
        const open = (): Neighbours => ({
            alone: (work) => {
                const mine = last.then(work);
                last = mine.catch(() => undefined);
                return mine;
            },
            tell: (news) => listeners.forEach((listener) => listener(news)),
            listen: (listener) => void listeners.push(listener),
        });
        const [one, other] = [new Writes(shelf, send, open()), new Writes(shelf, send, open())];
        await Promise.all([one.load('ann', nothing), other.load('ann', nothing)]);
        state.answer = () => OUT;
        await one.write('l', aim('a'));
        await other.flush();
        expect(other.state.get().waiting).toHaveLength(1);
        state.answer = () => null;
        await Promise.all([one.flush(), other.flush()]);
        expect(taken).toEqual(['l: a']);
        await new Promise((done) => setTimeout(done));
        for (const page of [one, other]) expect(page.state.get().waiting).toEqual([]);
    });
});
