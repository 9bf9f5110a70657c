import { Problem } from '@/api/client';
import { heldUpBy, renewed } from './dependence';
import {
    asBatch,
    meaning,
    type Neighbours,
    type NewEvent,
    type News,
    type QueueEvent,
    type QueueState,
    type Send,
    type Store,
    type Taken,
    type Trouble,
} from './events';
import { NOBODY } from './neighbours';

export type * from './events';

const BATCH = 80;

/** So many sent events are remembered: more than a day's marks of one lesson. */
const REMEMBERED = 2000;

const EMPTY: QueueState = { loaded: false, waiting: [], made: [], writing: 0, unsafe: false, trouble: null, sentAt: null, refused: [] };

/**
 * Sends rounds and marks in the order they were made and forgets them only when the server has them. Ids are made here, so a batch
 * whose answer got lost is simply sent again. One event that the server refuses or breaks on is set aside with what builds on it;
 * all others go. Knows nothing of React. An event belongs to the user who made it and is never sent under another sign-in.
 */
export class Queue {
    private events: QueueEvent[] = [];
    private sent: QueueEvent[] = [];
    private listeners = new Set<() => void>();
    private sending: Promise<void> | null = null;
    private trouble: Trouble | null = null;
    private refused = new Map<number, string>();
    /** Set aside until the next flush: the server broke on them. */
    private stuck = new Set<number>();
    private unstored = new Set<number>();
    /** Being written to the store at this moment. */
    private writing = new Set<number>();
    /** Another page is writing them, or has: heard of, and not yet seen in the store. */
    private heardOf = new Set<number>();
    private sentAt: number | null = null;
    /** Two pages that add in the same millisecond number what they add differently. */
    private readonly page = Math.floor(Math.random() * 1000);
    private snapshot: QueueState = EMPTY;
    private lastSeq = 0;
    private user = '';
    private loaded = false;
    private onSent: () => Promise<unknown> = () => Promise.resolve();

    constructor(
        private readonly store: Store,
        private readonly send: Send,
        private readonly neighbours: Neighbours = NOBODY,
    ) {
        neighbours.listen((news) => this.heard(news));
    }

    async load(user: string, onSent: () => Promise<unknown>): Promise<void> {
        if (user !== this.user) this.loaded = false;
        this.user = user;
        this.onSent = onSent;
        this.refused.clear();
        const [kept, recent] = await Promise.all([this.store.of(user).catch(() => []), this.store.recent(user).catch(() => [])]);
        this.adopt(kept);
        this.remember(recent);
        this.loaded = true;
        this.tell();
        await this.flush();
    }

    /** On screen at once; kept on the device next; sent when it can be. */
    add(...events: NewEvent[]): void {
        if (events.length === 0) return;
        const made = events.map((event) => {
            // Later than anything made on this device before, in this tab or another; and never what another makes in the same moment.
            this.lastSeq = 1000 * Math.max(Math.floor(this.lastSeq / 1000) + 1, Date.now()) + this.page;
            return { ...event, seq: this.lastSeq, user: this.user };
        });
        this.keep(made);
        this.neighbours.tell({ added: made });
        this.tell();
        void this.flush();
    }

    flush(): Promise<void> {
        this.sending ??= this.neighbours
            .alone(() => this.sendAll())
            .finally(() => {
                this.sending = null;
            });
        return this.sending;
    }

    /** Gives up a refused event and what waits for it. Answers with them, so that it can be undone. */
    async discard(seq: number): Promise<QueueEvent[]> {
        const given = this.withWhatWaitsFor(seq);
        await this.drop(given);
        this.tell();
        return given;
    }

    /** Takes back what was discarded. */
    restore(events: QueueEvent[]): void {
        this.keep(events);
        this.events.sort((a, b) => a.seq - b.seq);
        this.neighbours.tell({ added: events });
        this.tell();
        void this.flush();
    }

    /** Sends a refused event, and what waits for it, once more as something newly made: under new ids, in place of nothing. */
    async sendAsNew(seq: number): Promise<void> {
        await this.putRight(seq, (event) => event);
    }

    /** The same, with what was wrong in it said otherwise. */
    async putRight(seq: number, right: (event: NewEvent) => NewEvent): Promise<void> {
        const given = this.withWhatWaitsFor(seq);
        const [first, ...others] = renewed(given);
        if (!first) return;
        this.add(right(first), ...others);
        await this.drop(given);
        this.tell();
    }

    /** A refused event and what waits for it, as they would be sent: to be kept as a file. */
    written(seq: number): ReturnType<typeof asBatch> {
        return asBatch(this.withWhatWaitsFor(seq));
    }

    subscribe = (listener: () => void): (() => void) => {
        this.listeners.add(listener);
        return () => this.listeners.delete(listener);
    };

    state = (): QueueState => this.snapshot;

    private keep(entries: QueueEvent[]): void {
        this.events.push(...entries);
        entries.forEach(({ seq }) => this.writing.add(seq));
        const isOver = () => {
            entries.forEach(({ seq }) => this.writing.delete(seq));
            this.tell();
        };
        this.store.add(...entries).then(isOver, () => {
            entries.forEach(({ seq }) => this.unstored.add(seq));
            isOver();
        });
    }

    /** What the store holds, in the order in which it was made, beside what it could not take. */
    private adopt(kept: QueueEvent[]): void {
        const known = new Set(this.events.map((event) => event.seq));
        this.events = [...this.events, ...kept.filter((event) => !known.has(event.seq))].sort((a, b) => a.seq - b.seq);
        this.lastSeq = Math.max(this.lastSeq, ...this.events.map((event) => event.seq), 0);
    }

    private remember(sent: QueueEvent[]): void {
        const known = new Set(this.sent.map((event) => event.seq));
        this.sent = [...this.sent, ...sent.filter((event) => !known.has(event.seq))].slice(-REMEMBERED);
    }

    /** Another page of this device has added, sent or given up something. */
    private heard(news: News): void {
        if ('added' in news) {
            this.adopt(news.added);
            news.added.forEach(({ seq }) => this.heardOf.add(seq));
        } else {
            const gone = new Set('sent' in news ? news.sent.map((event) => event.seq) : news.dropped);
            this.leave(gone);
            if ('sent' in news) this.remember(news.sent);
        }
        this.tell();
    }

    /** Before anything is sent: what another page has sent meanwhile is not sent again, what it has added is not forgotten. */
    private async readAgain(): Promise<void> {
        // What is added while the store is read is not missed in it.
        const stored = this.mine().filter(({ seq }) => ![this.unstored, this.writing, this.heardOf].some((some) => some.has(seq)));
        const kept = await this.store.of(this.user).catch(() => null);
        if (!kept) return;
        const there = new Set(kept.map((event) => event.seq));
        there.forEach((seq) => this.heardOf.delete(seq));
        const gone = stored.filter((event) => !there.has(event.seq));
        if (gone.length > 0) this.remember(await this.store.recent(this.user).catch(() => []));
        this.leave(new Set(gone.map((event) => event.seq)));
        this.adopt(kept);
    }

    private mine(): QueueEvent[] {
        return this.events.filter((event) => event.user === this.user);
    }

    private withWhatWaitsFor(seq: number): QueueEvent[] {
        const mine = this.mine();
        const held = heldUpBy(mine, new Set([seq]));
        return mine.filter((event) => event.seq === seq || held.has(event.seq));
    }

    private async drop(events: QueueEvent[]): Promise<void> {
        const dropped = events.map((event) => event.seq);
        await this.store.drop(dropped).catch(() => undefined);
        this.leave(new Set(dropped));
        this.neighbours.tell({ dropped });
    }

    /** They have arrived. */
    private async settle(events: QueueEvent[]): Promise<void> {
        await this.store.sent(events).catch(() => undefined);
        this.leave(new Set(events.map((event) => event.seq)));
        this.remember(events);
        this.sentAt = Date.now();
        this.neighbours.tell({ sent: events });
    }

    private leave(seqs: ReadonlySet<number>): void {
        this.events = this.events.filter((event) => !seqs.has(event.seq));
        seqs.forEach((seq) => {
            this.refused.delete(seq);
            this.unstored.delete(seq);
            this.heardOf.delete(seq);
        });
    }

    /** In batches; one that fails is halved until what is wrong stands alone, so that one bad event does not hold up the others. */
    private async sendAll(): Promise<void> {
        this.stuck.clear();
        await this.readAgain();
        // A store that was full may have room by now.
        for (const event of this.events)
            if (this.unstored.has(event.seq))
                this.store.add(event).then(
                    () => this.unstored.delete(event.seq),
                    () => undefined,
                );
        let size = BATCH;
        let trouble: Trouble | null = null;
        for (let batch = this.next(size); batch.length > 0; batch = this.next(size)) {
            try {
                this.hear(await this.send(asBatch(batch)), batch[0]!.user);
            } catch (error) {
                const problem = error instanceof Problem ? error : new Problem(0, 'Not sent yet.');
                const why = meaning(problem);
                if (why !== 'refused' && why !== 'broken') {
                    this.trouble = why;
                    this.tell();
                    return;
                }
                if (batch.length > 1) {
                    size = Math.ceil(batch.length / 2);
                    continue;
                }
                if (why === 'refused') this.refused.set(batch[0]!.seq, problem.message);
                else {
                    this.stuck.add(batch[0]!.seq);
                    trouble = 'broken';
                }
                this.tell();
                continue;
            }
            await this.settle(batch);
            this.trouble = trouble;
            size = Math.min(BATCH, size * 2);
            this.tell();
            await this.onSent().catch(() => undefined);
        }
        this.trouble = trouble;
        this.tell();
    }

    /** What others pressed later: shown at once, and what is pressed next builds on it. */
    private hear(taken: Taken, user: string): void {
        this.sent.push(...taken.stands.map((mark) => ({ seq: 0, kind: 'mark' as const, user, mark })));
    }

    private next(size: number): QueueEvent[] {
        const mine = this.mine();
        const aside = new Set([...this.refused.keys(), ...this.stuck]);
        const held = heldUpBy(mine, aside);
        return mine.filter((event) => !aside.has(event.seq) && !held.has(event.seq)).slice(0, size);
    }

    private tell(): void {
        const waiting = this.mine();
        this.snapshot = {
            loaded: this.loaded,
            waiting,
            made: [...this.sent.filter((event) => event.user === this.user), ...waiting],
            writing: waiting.filter((event) => event.kind === 'mark' && this.writing.has(event.seq)).length,
            unsafe: waiting.some((event) => this.unstored.has(event.seq)),
            trouble: this.trouble,
            sentAt: this.sentAt,
            refused: waiting.flatMap((event) => {
                const reason = this.refused.get(event.seq);
                return reason === undefined ? [] : [{ event, reason, holdsUp: heldUpBy(waiting, new Set([event.seq])).size }];
            }),
        };
        this.listeners.forEach((listener) => listener());
    }
}
