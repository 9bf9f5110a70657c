import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { QueueEvent, Store } from './events';

interface Kept extends DBSchema {
    events: { key: number; value: QueueEvent; indexes: { user: string } };
}

/** So long what was sent is remembered, ms: a day without signal, and the night before it (assumed). */
const REMEMBERED = 36 * 3_600_000;

/** One of the browser's own databases, opened when it is first needed. */
class Shelf {
    private db: Promise<IDBPDatabase<Kept>> | null = null;

    constructor(
        private readonly name: string,
        private readonly version: number,
    ) {}

    open(): Promise<IDBPDatabase<Kept>> {
        this.db ??= openDB<Kept>(this.name, this.version, {
            upgrade: (db, from, _to, work) => {
                const events = from < 1 ? db.createObjectStore('events', { keyPath: 'seq' }) : work.objectStore('events');
                events.createIndex('user', 'user');
            },
            // A page of this version does not hold up a newer one.
            blocking: () => {
                void this.db?.then((db) => db.close());
                this.db = null;
            },
        }).catch((error: unknown) => {
            // Tried anew at the next press: a store that was refused once may be given later.
            this.db = null;
            throw error;
        });
        return this.db;
    }
}

/** The queue's events, found by whose they are; what was sent lies apart from what waits. */
export class BrowserStore implements Store {
    private readonly waiting = new Shelf('noble-turn', 2);
    private readonly gone = new Shelf('noble-turn-sent', 1);

    async of(user: string): Promise<QueueEvent[]> {
        return (await this.waiting.open()).getAllFromIndex('events', 'user', user);
    }

    /** How many wait here in all, whoever made them: no more is told to somebody else. */
    async count(): Promise<number> {
        return (await this.waiting.open()).count('events');
    }

    async add(event: QueueEvent): Promise<void> {
        await (await this.waiting.open()).put('events', event);
    }

    async drop(seqs: number[]): Promise<void> {
        const work = (await this.waiting.open()).transaction('events', 'readwrite');
        await Promise.all([...seqs.map((seq) => work.store.delete(seq)), work.done]);
    }

    async sent(events: QueueEvent[]): Promise<void> {
        await this.drop(events.map((event) => event.seq));
        const work = (await this.gone.open()).transaction('events', 'readwrite');
        await Promise.all([...events.map((event) => work.store.put(event)), work.done]);
    }

    async recent(user: string): Promise<QueueEvent[]> {
        const work = (await this.gone.open()).transaction('events', 'readwrite');
        // What a number counts: thousandths of a millisecond since 1970, when it was made.
        const old = IDBKeyRange.upperBound((Date.now() - REMEMBERED) * 1000);
        const [, recent] = await Promise.all([work.store.delete(old), work.store.index('user').getAll(user), work.done]);
        return recent;
    }

    /** Leaves nothing of what was sent; what still waits stays. */
    async forgetSent(): Promise<void> {
        await (await this.gone.open()).clear('events');
    }
}
