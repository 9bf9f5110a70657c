import { openDB, type IDBPDatabase } from 'idb';
import type { QueueEvent, Store } from './queue';

/** The queue's events in the browser's own database. */
export class BrowserStore implements Store {
    private db: Promise<IDBPDatabase> | null = null;

    async all(): Promise<QueueEvent[]> {
        return (await (await this.open()).getAll('events')) as QueueEvent[];
    }

    async add(event: QueueEvent): Promise<void> {
        await (await this.open()).put('events', event);
    }

    async drop(seqs: number[]): Promise<void> {
        const work = (await this.open()).transaction('events', 'readwrite');
        await Promise.all([...seqs.map((seq) => work.store.delete(seq)), work.done]);
    }

    private open(): Promise<IDBPDatabase> {
        this.db ??= openDB('noble-turn', 1, {
            upgrade: (db) => {
                db.createObjectStore('events', { keyPath: 'seq' });
            },
        });
        return this.db;
    }
}
