import { Problem } from '@/api/client';
import type { Mark, Round } from '@/api/types';

/** A round without its marks, as it is sent. */
export type RoundEvent = Omit<Round, 'marks' | 'ordinal'>;
export type QueueEvent = { seq: number; kind: 'round'; user: string; round: RoundEvent } | { seq: number; kind: 'mark'; user: string; mark: Mark };
export type NewEvent = { kind: 'round'; round: RoundEvent } | { kind: 'mark'; mark: Mark };

/** Where events wait: they survive a closed tab and an empty battery. */
export interface Store {
    all(): Promise<QueueEvent[]>;
    add(event: QueueEvent): Promise<void>;
    drop(seqs: number[]): Promise<void>;
}

export type Send = (batch: { rounds: RoundEvent[]; marks: Mark[] }) => Promise<unknown>;

export interface QueueState {
    /** Events of the present user still on this device only, oldest first. */
    waiting: QueueEvent[];
    /** Events that could not be written to this device's store: closing the page would lose them. */
    unsafe: boolean;
    /** Why the last try did not go through; null while all is well. */
    trouble: string | null;
    /** The server will not take these as they are; they stay here until somebody looks. */
    refused: boolean;
}

const BATCH = 80;

/**
 * Sends rounds and marks in the order they were made and forgets them only when the server has them. Ids are made
 * here, so a batch whose answer got lost is simply sent again. Knows nothing of React. An event belongs to the user
 * who made it and is never sent under another sign-in.
 */
export class Queue {
    private events: QueueEvent[] = [];
    private listeners = new Set<() => void>();
    private sending: Promise<void> | null = null;
    private trouble: string | null = null;
    private refused = false;
    private unsafe = false;
    private snapshot: QueueState = { waiting: [], unsafe: false, trouble: null, refused: false };
    private lastSeq = 0;
    private user = '';
    private onSent: () => Promise<unknown> = () => Promise.resolve();

    constructor(
        private readonly store: Store,
        private readonly send: Send,
    ) {}

    async load(user: string, onSent: () => Promise<unknown>): Promise<void> {
        this.user = user;
        this.onSent = onSent;
        const kept = await this.store.all().catch(() => []);
        const known = new Set(this.events.map((event) => event.seq));
        this.events = [...this.events, ...kept.filter((event) => !known.has(event.seq))].sort((a, b) => a.seq - b.seq);
        this.lastSeq = Math.max(this.lastSeq, ...this.events.map((event) => event.seq), 0);
        this.tell();
        await this.flush();
    }

    /** On screen at once; kept on the device next; sent when it can be. */
    add(...events: NewEvent[]): void {
        for (const event of events) {
            // Later than anything made on this device before, in this tab or another.
            this.lastSeq = Math.max(this.lastSeq + 1, Date.now() * 1000);
            const entry = { ...event, seq: this.lastSeq, user: this.user };
            this.events.push(entry);
            this.store.add(entry).catch(() => {
                this.unsafe = true;
                this.tell();
            });
        }
        this.tell();
        void this.flush();
    }

    flush(): Promise<void> {
        this.sending ??= this.sendAll().finally(() => {
            this.sending = null;
        });
        return this.sending;
    }

    subscribe = (listener: () => void): (() => void) => {
        this.listeners.add(listener);
        return () => this.listeners.delete(listener);
    };

    state = (): QueueState => this.snapshot;

    private mine(): QueueEvent[] {
        return this.events.filter((event) => event.user === this.user);
    }

    private async sendAll(): Promise<void> {
        while (this.mine().length > 0) {
            const batch = this.mine().slice(0, BATCH);
            try {
                await this.send({
                    rounds: batch.flatMap((event) => (event.kind === 'round' ? [event.round] : [])),
                    marks: batch.flatMap((event) => (event.kind === 'mark' ? [event.mark] : [])),
                });
            } catch (error) {
                const problem = error instanceof Problem ? error : new Problem(0, 'Not sent yet.');
                this.trouble = problem.message;
                this.refused = problem.status === 422 || problem.status === 403 || problem.status === 404;
                this.tell();
                return;
            }
            const sent = new Set(batch.map((event) => event.seq));
            await this.store.drop([...sent]).catch(() => undefined);
            // The page reads them from the server first, so that nothing is off the screen in between.
            await this.onSent().catch(() => undefined);
            this.events = this.events.filter((event) => !sent.has(event.seq));
            this.trouble = null;
            this.refused = false;
            this.tell();
        }
    }

    private tell(): void {
        const waiting = this.mine();
        this.snapshot = { waiting, unsafe: this.unsafe && waiting.length > 0, trouble: this.trouble, refused: this.refused };
        this.listeners.forEach((listener) => listener());
    }
}
