import { describe, expect, it } from 'vitest';
import { Problem } from '@/api/client';
import type { Mark } from '@/api/types';
import { Queue, type NewEvent, type QueueEvent, type Send, type Store } from './queue';

/** A device's store that outlives its page. */
class Memory implements Store {
    events = new Map<number, QueueEvent>();
    broken = false;
    all = () => Promise.resolve([...this.events.values()]);
    add = (event: QueueEvent) => (this.broken ? Promise.reject(new Error('full')) : Promise.resolve(void this.events.set(event.seq, event)));
    drop = (seqs: number[]) => Promise.resolve(seqs.forEach((seq) => this.events.delete(seq)));
}

const mark = (id: string, round = 'r1'): NewEvent => ({
    kind: 'mark',
    mark: { id, round_id: round, kind: 'step', step: 'look', outcome: 'unaided', corrects_id: null, withdrawn: false } as Mark,
});
const round = (id: string): NewEvent => ({
    kind: 'round',
    round: { id, lesson_id: 'l', place_id: 'p', place: 'P', routine: 'emerge-left', conditions: {}, device_at: '' },
});

/** A server that takes each id once, and can be told to fail. */
function server() {
    const taken: string[] = [];
    const state = { answer: (_ids: string[]): Problem | null => null, calls: 0 };
    const send: Send = ({ rounds, marks }) => {
        state.calls++;
        const ids = [...rounds.map((one) => one.id), ...marks.map((one) => one.id)];
        const problem = state.answer(ids);
        if (problem) return Promise.reject(problem);
        taken.push(...ids.filter((id) => !taken.includes(id)));
        return Promise.resolve();
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

    it('loses nothing without signal, over a closed page, and when an answer got lost', async () => {
        const store = new Memory();
        const { taken, state, send } = server();
        state.answer = () => new Problem(0, 'no signal');
        const first = new Queue(store, send);
        await first.load('u', nothing);
        first.add(round('r1'), mark('a'), mark('b'));
        await first.flush();
        expect(taken).toEqual([]);
        expect(first.state().trouble).toBe('no signal');
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
        expect(queue.state().refused).toBe('says nothing');
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
