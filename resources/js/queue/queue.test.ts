import { describe, expect, it, vi } from 'vitest';
import { Problem } from '@/api/client';
import type { Mark } from '@/api/types';
import { Memory } from '@/testing/memory';
import { Queue, type Batch, type Neighbours, type NewEvent, type News, type QueueEvent, type Send, type Taken } from './queue';

const mark = (id: string, round = 'r1', corrects: string | null = null): NewEvent => ({
    kind: 'mark',
    mark: { id, round_id: round, kind: 'step', step: 'look', outcome: 'unaided', corrects_id: corrects, withdrawn: false, device_at: '' } as Mark,
});
const round = (id: string): NewEvent => ({
    kind: 'round',
    round: { id, lesson_id: 'l', place_id: 'p', place: 'P', routine: 'emerge-left', conditions: {}, device_at: '' },
});

/** A server that takes each id once, and can be told to fail. */
function server() {
    const taken: string[] = [];
    const state = { answer: (_ids: string[], _batch: Batch): Problem | null => null, stands: [] as Taken['stands'], calls: 0 };
    const send: Send = (batch) => {
        state.calls++;
        const ids = [...batch.rounds.map((one) => one.id), ...batch.marks.map((one) => one.id)];
        const problem = state.answer(ids, batch);
        if (problem) return Promise.reject(problem);
        taken.push(...ids.filter((id) => !taken.includes(id)));
        return Promise.resolve({ stands: state.stands });
    };
    return { taken, state, send };
}

const nothing = () => Promise.resolve();

describe('the queue', () => {
    it('sends in the order things were made and forgets only what has arrived', async () => {
        const store = new Memory();
        const { taken, send } = server();
        const queue = new Queue(store, send);
        await queue.load('u', nothing);
        queue.add(round('r1'), mark('a'));
        queue.add(mark('b'));
        await queue.flush();
        await queue.flush();
        expect(taken).toEqual(['r1', 'a', 'b']);
        expect(store.events.size).toBe(0);
        expect(queue.state().waiting).toEqual([]);
        // A page that has not read the server again yet still shows them.
        expect(queue.state().made).toHaveLength(3);
    });

    it('keeps all of a press or nothing, and says how many marks are not kept yet', async () => {
        const store = new Memory();
        const { state, send } = server();
        state.answer = () => new Problem(0, 'no signal');
        const queue = new Queue(store, send);
        await queue.load('u', nothing);
        queue.add(round('r1'), mark('a'));
        await vi.waitFor(() => expect(queue.state().writing).toBe(0));
        expect(store.events.size).toBe(2);
        let letIt = () => {};
        store.held = new Promise((done) => (letIt = done));
        queue.add(mark('b'), mark('c'), mark('d'), mark('e'));
        // On screen at once, and not on the device yet: a page closed now finds the first press, and nothing of the second.
        expect(queue.state().waiting).toHaveLength(6);
        expect(queue.state().writing).toBe(4);
        const meanwhile = new Queue(store, send);
        await meanwhile.load('u', nothing);
        expect(meanwhile.state().waiting).toHaveLength(2);
        letIt();
        await vi.waitFor(() => expect(queue.state().writing).toBe(0));
        expect(store.events.size).toBe(6);
    });

    it('takes a press that says nothing new for none: nothing is written, told or sent', async () => {
        const store = new Memory();
        const { state, send } = server();
        const told: News[] = [];
        const queue = new Queue(store, send, { alone: (work) => work(), tell: (news) => told.push(news), listen: () => undefined });
        await queue.load('u', nothing);
        const write = vi.spyOn(store, 'add');
        queue.add();
        await queue.flush();
        expect([write.mock.calls, told, state.calls, queue.state().waiting]).toEqual([[], [], 0, []]);
    });

    it('loses nothing without signal, over a closed page, and when an answer got lost', async () => {
        const store = new Memory();
        const { taken, state, send } = server();
        state.answer = () => new Problem(0, 'no signal');
        const first = new Queue(store, send);
        await first.load('u', nothing);
        first.add(round('r1'), mark('a'), mark('b'));
        await first.flush();
        expect(taken).toEqual([]);
        expect(first.state().trouble).toBe('out-of-reach');
        // The server took the batch, its answer did not arrive; then the page is opened anew.
        state.answer = (ids) => {
            taken.push(...ids);
            return new Problem(504, 'gateway');
        };
        await first.flush();
        state.answer = () => null;
        const second = new Queue(store, send);
        await second.load('u', nothing);
        expect(taken).toEqual(['r1', 'a', 'b']);
        expect(store.events.size).toBe(0);
        expect(second.state().trouble).toBeNull();
    });

    it('sets a refused event aside and sends the others', async () => {
        const store = new Memory();
        const { taken, state, send } = server();
        state.answer = (ids) => (ids.includes('bad') ? new Problem(422, 'says nothing') : null);
        const queue = new Queue(store, send);
        await queue.load('u', nothing);
        queue.add(round('r1'), mark('a'), mark('bad'), mark('b'));
        await queue.flush();
        queue.add(mark('c'));
        await queue.flush();
        expect(taken).toEqual(['r1', 'a', 'b', 'c']);
        expect(queue.state().refused.map(({ reason, holdsUp }) => [reason, holdsUp])).toEqual([['says nothing', 0]]);
        expect(queue.state().waiting.map((event) => event.kind === 'mark' && event.mark.id)).toEqual(['bad']);
        expect(store.events.size).toBe(1);
    });

    it('never sends one user’s marks under another’s sign-in', async () => {
        const store = new Memory();
        const { taken, state, send } = server();
        state.answer = () => new Problem(0, 'no signal');
        const queue = new Queue(store, send);
        await queue.load('ann', nothing);
        queue.add(mark('a'));
        await queue.flush();
        state.answer = () => null;
        await queue.load('ben', nothing);
        queue.add(mark('b'));
        await queue.flush();
        expect(taken).toEqual(['b']);
        expect(queue.state().waiting).toEqual([]);
        await queue.load('ann', nothing);
        expect(taken).toEqual(['b', 'a']);
    });

    it('says with each event who made it, and waits for that person where another tab signed somebody else in', async () => {
        const store = new Memory();
        const { taken, state, send } = server();
        state.answer = (_, batch) => ([...batch.rounds, ...batch.marks].some((event) => event.made_by !== 'ben') ? new Problem(409, 'not yours') : null);
        const queue = new Queue(store, send);
        await queue.load('ann', nothing);
        queue.add(round('r1'), mark('a'));
        await queue.flush();
        expect(queue.state().trouble).toBe('somebody-else');
        expect(queue.state().refused).toEqual([]);
        // The page is Ben's by now: nothing of Ann's is seen or sent.
        await queue.load('ben', nothing);
        expect(queue.state()).toMatchObject({ waiting: [], made: [], trouble: null });
        queue.add(mark('b'));
        await queue.flush();
        expect(taken).toEqual(['b']);
        expect(await new Memory().of('ben')).toEqual([]);
        expect((await store.of('ann')).length).toBe(2);
    });

    it('is not held up by one event the server breaks on, and tries that one again later', async () => {
        const store = new Memory();
        const { taken, state, send } = server();
        let broken = true;
        state.answer = (ids) => (broken && ids.includes('bad') ? new Problem(500, 'broke') : null);
        const queue = new Queue(store, send);
        await queue.load('u', nothing);
        queue.add(round('r1'), ...Array.from({ length: 40 }, (_, i) => mark(`m${i}`)), mark('bad'), mark('after'), mark('next', 'r1', 'bad'));
        await queue.flush();
        // What corrects it waits with it; all others have gone, in few requests.
        expect(queue.state().waiting.map((event) => event.kind === 'mark' && event.mark.id)).toEqual(['bad', 'next']);
        expect(queue.state().trouble).toBe('broken');
        expect(state.calls).toBeLessThan(20);
        broken = false;
        await queue.flush();
        expect(taken.slice(-2)).toEqual(['bad', 'next']);
        expect(queue.state()).toMatchObject({ waiting: [], trouble: null, refused: [] });
    });

    it('says that the session ended, and goes on when somebody signs in again', async () => {
        const { taken, state, send } = server();
        state.answer = () => new Problem(401, 'Unauthenticated.');
        const queue = new Queue(new Memory(), send);
        await queue.load('u', nothing);
        queue.add(round('r1'), mark('a'));
        await queue.flush();
        expect(queue.state().trouble).toBe('signed-out');
        state.answer = () => null;
        await queue.load('u', nothing);
        expect(taken).toEqual(['r1', 'a']);
    });

    it('lets a refused round be sent as new or discarded, with all that waits for it', async () => {
        const store = new Memory();
        const { taken, state, send } = server();
        state.answer = (ids) => (ids.includes('r1') ? new Problem(422, 'known with another place') : null);
        const queue = new Queue(store, send);
        await queue.load('u', nothing);
        queue.add(round('r1'), mark('a'), mark('b', 'r1', 'a'), mark('c', 'elsewhere'));
        await queue.flush();
        expect(taken).toEqual(['c']);
        const [refusal] = queue.state().refused;
        expect(refusal).toMatchObject({ reason: 'known with another place', holdsUp: 2 });
        // Discarded by mistake: it is all there again.
        const given = await queue.discard(refusal!.event.seq);
        expect([queue.state().waiting.length, store.events.size]).toEqual([0, 0]);
        queue.restore(given);
        await queue.flush();
        expect(queue.state().refused).toHaveLength(1);
        let sent: Batch = { rounds: [], marks: [] };
        state.answer = (ids, batch) => {
            if (ids.includes('r1')) return new Problem(422, 'known with another place');
            sent = { rounds: [...sent.rounds, ...batch.rounds], marks: [...sent.marks, ...batch.marks] };
            return null;
        };
        await queue.sendAsNew(queue.state().refused[0]!.event.seq);
        await queue.flush();
        expect([queue.state().waiting, store.events.size]).toEqual([[], 0]);
        const [made] = sent.rounds;
        expect(sent.marks.map((one) => [one.round_id, one.corrects_id])).toEqual([
            [made!.id, null],
            [made!.id, sent.marks[0]!.id],
        ]);
        expect(made!.id).not.toBe('r1');
    });

    it('hears what another device pressed later, before any page reads the lesson again', async () => {
        const { state, send } = server();
        const queue = new Queue(new Memory(), send);
        await queue.load('u', nothing);
        const theirs = (mark('theirs') as { mark: Mark }).mark as Taken['stands'][number];
        state.stands = [theirs];
        queue.add(round('r1'), mark('a'));
        await queue.flush();
        expect(queue.state().made.flatMap((event) => (event.kind === 'mark' ? [event.mark.id] : []))).toContain('theirs');
        expect(queue.state().waiting).toEqual([]);
    });

    it('keeps in the store what it could not keep before, as soon as there is room', async () => {
        const store = new Memory();
        store.broken = true;
        const { state, send } = server();
        state.answer = () => new Problem(0, 'no signal');
        const queue = new Queue(store, send);
        await queue.load('u', nothing);
        queue.add(mark('a'));
        await queue.flush();
        expect(queue.state().unsafe).toBe(true);
        store.broken = false;
        await queue.flush();
        await queue.flush();
        expect([queue.state().unsafe, store.events.size]).toEqual([false, 1]);
    });

    it('says when the device cannot keep a mark', async () => {
        const store = new Memory();
        store.broken = true;
        const { state, send } = server();
        state.answer = () => new Problem(0, 'no signal');
        const queue = new Queue(store, send);
        await queue.load('u', nothing);
        queue.add(mark('a'));
        await queue.flush();
        expect(queue.state().unsafe).toBe(true);
    });
});

/** Pages of one device, which hear each other and send one at a time. */
function device() {
    const listeners: { page: number; listener: (news: News) => void }[] = [];
    let last: Promise<unknown> = Promise.resolve();
    let pages = 0;
    const state = { deaf: false };
    const open = (): Neighbours => {
        const page = pages++;
        return {
            alone: (work) => {
                const mine = last.then(work);
                last = mine.catch(() => undefined);
                return mine;
            },
            // As a browser hands it on: a copy, to all others.
            tell: (news) => !state.deaf && listeners.filter((one) => one.page !== page).forEach((one) => one.listener(structuredClone(news))),
            listen: (listener) => void listeners.push({ page, listener }),
        };
    };
    return { open, state };
}

describe('two pages of one device', () => {
    const two = async (deaf = false) => {
        const store = new Memory();
        const { taken, state, send } = server();
        const { open, state: between } = device();
        between.deaf = deaf;
        const [one, other] = [new Queue(store, send, open()), new Queue(store, send, open())] as const;
        await Promise.all([one.load('ann', nothing), other.load('ann', nothing)]);
        return { store, taken, state, one, other };
    };
    const ids = (events: QueueEvent[]) => events.map((event) => (event.kind === 'round' ? event.round.id : event.mark.id));

    it('show each other what was pressed, before and after it is sent', async () => {
        const { state, taken, one, other } = await two();
        state.answer = () => new Problem(0, 'no signal');
        one.add(round('r1'), mark('a'));
        other.add(mark('b'));
        await Promise.all([one.flush(), other.flush()]);
        for (const page of [one, other]) expect(ids(page.state().made)).toEqual(['r1', 'a', 'b']);
        state.answer = () => null;
        await one.flush();
        expect(taken).toEqual(['r1', 'a', 'b']);
        for (const page of [one, other]) {
            expect(page.state().waiting).toEqual([]);
            expect(ids(page.state().made)).toEqual(['r1', 'a', 'b']);
        }
    });

    it('keep on screen what the other has pressed and is still writing to the store they share', async () => {
        const { state, one, other, store } = await two();
        state.answer = () => new Problem(0, 'no signal');
        let letIt = () => {};
        store.held = new Promise((done) => (letIt = done));
        other.add(round('r1'), mark('b'));
        // It reads the store before anything is sent, and misses there what it has heard of.
        await one.flush();
        expect(ids(one.state().made)).toEqual(['r1', 'b']);
        letIt();
        await vi.waitFor(() => expect(other.state().writing).toBe(0));
        await one.flush();
        expect(ids(one.state().waiting)).toEqual(['r1', 'b']);
        // Seen in the store by now: where it is gone from there, it has gone from this device.
        store.events.clear();
        await one.flush();
        expect(ids(one.state().waiting)).toEqual([]);
    });

    it.each([false, true])('send each press once and in order, whether they hear each other or not: deaf %s', async (deaf) => {
        const { state, taken, one, other, store } = await two(deaf);
        const sent: string[] = [];
        state.answer = (ids) => {
            sent.push(...ids);
            return null;
        };
        for (let i = 0; i < 20; i++) (i % 3 === 0 ? other : one).add(mark(`m${String(i).padStart(2, '0')}`));
        await Promise.all([one.flush(), other.flush()]);
        await Promise.all([one.flush(), other.flush()]);
        expect(sent).toHaveLength(20);
        expect(new Set(sent).size).toBe(20);
        expect(taken).toHaveLength(20);
        expect(store.events.size).toBe(0);
        for (const page of [one, other]) expect(page.state().waiting).toEqual([]);
    });

    it('number what is pressed in the same moment each in its own way, and later than all before', async () => {
        vi.spyOn(Date, 'now').mockReturnValue(1_800_000_000_000);
        // Pages whose numbers lie side by side.
        const random = vi.spyOn(Math, 'random').mockReturnValueOnce(0.5).mockReturnValueOnce(0.501);
        const { one, other, state } = await two(true);
        random.mockRestore();
        state.answer = () => new Problem(0, 'no signal');
        for (let i = 0; i < 12; i++) {
            one.add(mark(`one${i}`));
            other.add(mark(`other${i}`));
        }
        const numbers = [one, other].map((page) => page.state().waiting.map(({ seq }) => seq));
        expect(new Set(numbers.flat()).size).toBe(24);
        for (const own of numbers) expect(own).toEqual(own.toSorted((a, b) => a - b));
        vi.mocked(Date.now).mockRestore();
    });

    it('hold a correction back until what it corrects has gone, though another page made that', async () => {
        const { state, taken, one, other } = await two();
        state.answer = () => new Problem(0, 'no signal');
        one.add(round('r1'), mark('a'));
        await one.flush();
        other.add(mark('b', 'r1', 'a'));
        state.answer = () => null;
        await other.flush();
        expect(taken).toEqual(['r1', 'a', 'b']);
    });

    it('give up in one what was discarded in the other, and take it back', async () => {
        const { state, one, other } = await two();
        state.answer = (ids) => (ids.includes('bad') ? new Problem(422, 'no') : null);
        one.add(mark('bad'));
        await one.flush();
        await other.flush();
        expect(other.state().refused).toHaveLength(1);
        const given = await one.discard(one.state().refused[0]!.event.seq);
        expect(other.state().waiting).toEqual([]);
        expect(other.state().refused).toEqual([]);
        one.restore(given);
        expect(ids(other.state().waiting)).toEqual(['bad']);
    });
});

describe('a slow store', () => {
    it('misses nothing that is pressed while it is read', async () => {
        const store = new Memory();
        const { taken, send } = server();
        const queue = new Queue(store, send);
        await queue.load('ann', nothing);
        const read = store.of;
        store.of = async (user) => {
            const kept = await read(user);
            // By the time the answer comes there is more in the store.
            for (let i = 0; i < 5; i++) await Promise.resolve();
            return kept;
        };
        queue.add(mark('a'));
        queue.add(mark('b'));
        await Promise.resolve();
        queue.add(mark('c'));
        expect(queue.state().made).toHaveLength(3);
        await queue.flush();
        expect(queue.state().made).toHaveLength(3);
        await queue.flush();
        expect(taken).toEqual(['a', 'b', 'c']);
    });
});

describe('what was sent', () => {
    it('is still there for a page that opens without signal and has read nothing of the server since', async () => {
        const store = new Memory();
        const { state, send } = server();
        const first = new Queue(store, send);
        await first.load('ann', nothing);
        first.add(round('r1'), mark('a'));
        await first.flush();
        state.answer = () => new Problem(0, 'no signal');
        const second = new Queue(store, send);
        await second.load('ann', nothing);
        second.add(mark('b'));
        expect(second.state().made.map((event) => (event.kind === 'round' ? event.round.id : event.mark.id))).toEqual(['r1', 'a', 'b']);
        expect(second.state().waiting).toHaveLength(1);
        // Another person finds nothing of it.
        const other = new Queue(store, send);
        await other.load('ben', nothing);
        expect(other.state().made).toEqual([]);
    });

    it('is said with its time', async () => {
        const { send } = server();
        const queue = new Queue(new Memory(), send);
        await queue.load('ann', nothing);
        expect(queue.state().sentAt).toBeNull();
        const before = Date.now();
        queue.add(mark('a'));
        await queue.flush();
        expect(queue.state().sentAt).toBeGreaterThanOrEqual(before);
    });
});

describe('a server that does not understand this page', () => {
    it('is given nothing by halves: everything waits, in order, until it does', async () => {
        const { taken, state, send } = server();
        const queue = new Queue(new Memory(), send);
        await queue.load('ann', nothing);
        state.answer = () => new Problem(426, 'newer');
        queue.add(round('r1'), mark('a'), mark('b'));
        await queue.flush();
        expect([queue.state().trouble, queue.state().refused, queue.state().waiting.length]).toEqual(['older-server', [], 3]);
        state.answer = () => null;
        await queue.flush();
        expect(taken).toEqual(['r1', 'a', 'b']);
        expect(queue.state().trouble).toBeNull();
    });
});

describe('a refused mark', () => {
    it('is put right under a new id, with what waits for it, and kept as it would be sent', async () => {
        const { taken, state, send } = server();
        const queue = new Queue(new Memory(), send);
        await queue.load('ann', nothing);
        state.answer = (_, batch) => (batch.rounds.some((one) => one.place_id === 'p') ? new Problem(422, 'The place is gone.') : null);
        queue.add(round('r1'), mark('a', 'r1'));
        await queue.flush();
        const [refused] = queue.state().refused;
        expect([refused!.reason, refused!.holdsUp]).toEqual(['The place is gone.', 1]);
        expect(queue.written(refused!.event.seq)).toMatchObject({
            rounds: [{ id: 'r1', made_by: 'ann' }],
            marks: [{ id: 'a', round_id: 'r1', made_by: 'ann' }],
        });
        await queue.putRight(refused!.event.seq, (event) => (event.kind === 'round' ? { ...event, round: { ...event.round, place_id: 'q' } } : event));
        await queue.flush();
        expect(queue.state().waiting).toEqual([]);
        expect(taken).toHaveLength(2);
        expect(taken).not.toContain('r1');
        const [, sent] = queue.state().made;
        expect(sent?.kind === 'mark' && sent.mark.round_id).toBe(taken[0]);
    });
});
