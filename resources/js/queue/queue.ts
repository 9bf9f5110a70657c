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
    /** Those and the ones sent since the page was loaded: what to lay over the server’s rounds, however late a page reads them again. */
    made: QueueEvent[];
    /** Events that could not be written to this device's store: closing the page would lose them. */
    unsafe: boolean;
    /** Why the last try did not go through; null while all is well. */
    trouble: string | null;
    /** Why the server will not take some of them as they are; they stay here, tried again when the page is loaded anew. */
    refused: string | null;
}

const BATCH = 80;

/** Answers that will not change by trying again. */
const REFUSALS = [403, 404, 422];

/** So many sent events are remembered: more than a day's marks of one lesson. */
const REMEMBERED = 2000;

/**
 * Sends rounds and marks in the order they were made and forgets them only when the server has them. Ids are made
 * here, so a batch whose answer got lost is simply sent again. Knows nothing of React. An event belongs to the user
 * who made it and is never sent under another sign-in.
 */
export class Queue {
    private events: QueueEvent[] = [];
    private sent: QueueEvent[] = [];
    private listeners = new Set<() => void>();
    private sending: Promise<void> | null = null;
    private trouble: string | null = null;
    private refused = new Map<number, string>();
    private unsafe = false;
    private snapshot: QueueState = { waiting: [], made: [], unsafe: false, trouble: null, refused: null };
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

    /** In batches; a batch that is refused is sent again one by one, so that one bad event does not hold up the others. */
    private async sendAll(): Promise<void> {
        let size = BATCH;
        for (let batch = this.next(size); batch.length > 0; batch = this.next(size)) {
            try {
                await this.send({
                    rounds: batch.flatMap((event) => (event.kind === 'round' ? [event.round] : [])),
                    marks: batch.flatMap((event) => (event.kind === 'mark' ? [event.mark] : [])),
                });
            } catch (error) {
                const problem = error instanceof Problem ? error : new Problem(0, 'Not sent yet.');
                if (!REFUSALS.includes(problem.status)) {
                    this.trouble = problem.message;
                    this.tell();
                    return;
                }
                if (batch.length === 1) this.refused.set(batch[0]!.seq, problem.message);
                size = 1;
                this.tell();
                continue;
            }
            const sent = new Set(batch.map((event) => event.seq));
            await this.store.drop([...sent]).catch(() => undefined);
            this.sent = [...this.sent, ...batch].slice(-REMEMBERED);
            this.events = this.events.filter((event) => !sent.has(event.seq));
            this.trouble = null;
            this.tell();
            await this.onSent().catch(() => undefined);
        }
    }

    private next(size: number): QueueEvent[] {
        return this.mine()
            .filter((event) => !this.refused.has(event.seq))
            .slice(0, size);
    }

    private tell(): void {
        const waiting = this.mine();
        const made = [...this.sent.filter((event) => event.user === this.user), ...waiting];
        this.snapshot = { waiting, made, unsafe: this.unsafe && waiting.length > 0, trouble: this.trouble, refused: [...this.refused.values()][0] ?? null };
        this.listeners.forEach((listener) => listener());
    }
}
