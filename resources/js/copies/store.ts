import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** What the server answered, as it is kept on the device. */
export interface Copy {
    /** Whose it is: only they are ever shown it. */
    owner: string;
    /** The question, in one string. */
    question: string;
    /** Which form of answers it has: another version of the application may not understand it. */
    form: string;
    /** When it was answered, ms. */
    at: number;
    data: unknown;
}

/** Where copies are kept. */
export interface Copies {
    get(owner: string, question: string): Promise<Copy | undefined>;
    put(copy: Copy): Promise<void>;
    /** When each question of somebody was answered, ms. */
    times(owner: string): Promise<Map<string, number>>;
    /** Of the questions of somebody that begin so, keeps the newest. */
    keepNewest(owner: string, begins: string, most: number): Promise<void>;
    /** Drops everything that is not this person’s, and what of theirs was answered before a moment. */
    keepOnly(owner: string | null, since: number): Promise<void>;
}

interface Kept extends DBSchema {
    copies: { key: [string, string]; value: Copy; indexes: { time: [string, number, string] } };
}

/** In the browser's own database: apart from the marks that wait, which outlive a sign-out. */
export class BrowserCopies implements Copies {
    private db: Promise<IDBPDatabase<Kept>> | null = null;

    async get(owner: string, question: string): Promise<Copy | undefined> {
        return (await this.open()).get('copies', [owner, question]);
    }

    async put(copy: Copy): Promise<void> {
        await (await this.open()).put('copies', copy);
    }

    async times(owner: string): Promise<Map<string, number>> {
        const times = new Map<string, number>();
        const index = (await this.open()).transaction('copies').store.index('time');
        for (let cursor = await index.openKeyCursor(IDBKeyRange.bound([owner], [owner, []])); cursor; cursor = await cursor.continue())
            times.set(cursor.key[2], cursor.key[1]);
        return times;
    }

    async keepOnly(owner: string | null, since: number): Promise<void> {
        const work = (await this.open()).transaction('copies', 'readwrite');
        for (let cursor = await work.store.index('time').openKeyCursor(); cursor; cursor = await cursor.continue()) {
            const [whose, at] = cursor.key;
            if (whose !== owner || at < since) await work.store.delete(cursor.primaryKey);
        }
        await work.done;
    }

    async keepNewest(owner: string, begins: string, most: number): Promise<void> {
        const work = (await this.open()).transaction('copies', 'readwrite');
        let left = most;
        for (
            let cursor = await work.store.index('time').openKeyCursor(IDBKeyRange.bound([owner], [owner, []]), 'prev');
            cursor;
            cursor = await cursor.continue()
        ) {
            if (!cursor.key[2].startsWith(begins)) continue;
            if (left > 0) left--;
            else await work.store.delete(cursor.primaryKey);
        }
        await work.done;
    }

    private open(): Promise<IDBPDatabase<Kept>> {
        this.db ??= openDB<Kept>('noble-turn-copies', 1, {
            upgrade: (db) => {
                db.createObjectStore('copies', { keyPath: ['owner', 'question'] }).createIndex('time', ['owner', 'at', 'question']);
            },
        }).catch((error: unknown) => {
            this.db = null;
            throw error;
        });
        return this.db;
    }
}
