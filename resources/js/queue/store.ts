import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { QueueEvent, Store } from './events';

interface Kept extends DBSchema {
    events: { key: number; value: QueueEvent; indexes: { user: string } };
}

/** The queue's events in the browser's own database, found by whose they are. */
export class BrowserStore implements Store {
    private db: Promise<IDBPDatabase<Kept>> | null = null;

    async of(user: string): Promise<QueueEvent[]> {
        return (await this.open()).getAllFromIndex('events', 'user', user);
    }

    /** How many wait here in all, whoever made them: no more is told to somebody else. */
    async count(): Promise<number> {
        return (await this.open()).count('events');
    }

    async add(event: QueueEvent): Promise<void> {
        await (await this.open()).put('events', event);
    }

    async drop(seqs: number[]): Promise<void> {
        const work = (await this.open()).transaction('events', 'readwrite');
        await Promise.all([...seqs.map((seq) => work.store.delete(seq)), work.done]);
    }

    private open(): Promise<IDBPDatabase<Kept>> {
        this.db ??= openDB<Kept>('noble-turn', 2, {
            upgrade: (db, from, _to, work) => {
                const events = from < 1 ? db.createObjectStore('events', { keyPath: 'seq' }) : work.objectStore('events');
                events.createIndex('user', 'user');
            },
        }).catch((error: unknown) => {
            // Tried anew at the next press: a store that was refused once may be given later.
            this.db = null;
            throw error;
        });
        return this.db;
    }
}

/** Asks the browser to keep what is stored here when it runs short of room. It may refuse; then the marks are safe only while there is room. */
export async function askToPersist(): Promise<boolean> {
    const storage = (navigator as { storage?: StorageManager }).storage;
    if (!storage?.persist) return false;
    return (await storage.persisted()) || (await storage.persist());
}
