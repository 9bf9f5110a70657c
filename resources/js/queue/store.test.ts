import { IDBFactory } from 'fake-indexeddb';
import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { beforeEach, describe, expect, it } from 'vitest';
import type { QueueEvent } from './events';
import { BrowserStore } from './store';

const NOW = Date.now() * 1000;
const event = (seq: number, user = 'ann'): QueueEvent => ({ seq, kind: 'mark', user, mark: { id: `m${seq}` } as never });

beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
});

describe('the marks in the browser', () => {
    it('wait by whose they are, in the order in which they were made, over a closed page', async () => {
        const store = new BrowserStore();
        for (const one of [event(3), event(1), event(2, 'ben')]) await store.add(one);
        const opened = new BrowserStore();
        expect((await opened.of('ann')).map(({ seq }) => seq)).toEqual([1, 3]);
        expect(await opened.count()).toBe(3);
        await opened.drop([1]);
        expect((await store.of('ann')).map(({ seq }) => seq)).toEqual([3]);
    });

    it('that were sent wait no longer, and are remembered for a day and a half', async () => {
        const store = new BrowserStore();
        const [old, today] = [event(NOW - 40 * 3_600_000_000), event(NOW - 3_600_000_000)];
        for (const one of [old, today]) await store.add(one);
        await store.sent([old, today]);
        expect(await store.of('ann')).toEqual([]);
        expect(await store.recent('ben')).toEqual([]);
        expect((await store.recent('ann')).map(({ seq }) => seq)).toEqual([today.seq]);
        await store.forgetSent();
        expect(await store.recent('ann')).toEqual([]);
    });

    it('that wait are not touched by what is forgotten at a sign-out', async () => {
        const store = new BrowserStore();
        await store.add(event(1));
        await store.forgetSent();
        expect(await store.of('ann')).toHaveLength(1);
    });

    it('of a page of an older version are found: its store is the same', async () => {
        const before = await openDB('noble-turn', 1, { upgrade: (db) => void db.createObjectStore('events', { keyPath: 'seq' }) });
        await before.put('events', event(7));
        before.close();
        expect((await new BrowserStore().of('ann')).map(({ seq }) => seq)).toEqual([7]);
    });

    it('can be stored again when a store that was refused is given', async () => {
        const store = new BrowserStore();
        const given = globalThis.indexedDB;
        globalThis.indexedDB = {
            open: () => {
                throw new DOMException('no room', 'QuotaExceededError');
            },
        } as never;
        await expect(store.add(event(1))).rejects.toThrow('no room');
        globalThis.indexedDB = given;
        await store.add(event(1));
        expect(await store.count()).toBe(1);
    });
});
