import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** What lies on a shelf: numbered in the order in which it was made, with whose it is. */
export interface Numbered {
    seq: number;
    user: string;
}

interface Kept<T extends Numbered> extends DBSchema {
    events: { key: number; value: T; indexes: { user: string } };
}

/** One of the browser's own databases, opened when it is first needed. */
export class Shelf<T extends Numbered> {
    private db: Promise<IDBPDatabase<Kept<T>>> | null = null;

    constructor(
        private readonly name: string,
        private readonly version = 1,
    ) {}

    async of(user: string): Promise<T[]> {
        return (await this.open()).getAllFromIndex('events', 'user', user);
    }

    async count(): Promise<number> {
        return (await this.open()).count('events');
    }

    async put(...things: T[]): Promise<void> {
        const work = (await this.open()).transaction('events', 'readwrite');
        const put = things.map((thing) => work.store.put(thing));
        // Said at once, not when the browser next hears of it: a page that is closed in that moment has kept it.
        work.commit();
        await Promise.all([...put, work.done]);
    }

    async drop(seqs: number[]): Promise<void> {
        const work = (await this.open()).transaction('events', 'readwrite');
        const gone = seqs.map((seq) => work.store.delete(seq));
        work.commit();
        await Promise.all([...gone, work.done]);
    }

    /** Drops what was made before another number. */
    async dropBefore(seq: number): Promise<void> {
        await (await this.open()).delete('events', IDBKeyRange.upperBound(seq));
    }

    async clear(): Promise<void> {
        await (await this.open()).clear('events');
    }

    private open(): Promise<IDBPDatabase<Kept<T>>> {
        this.db ??= openDB<Kept<T>>(this.name, this.version, {
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
