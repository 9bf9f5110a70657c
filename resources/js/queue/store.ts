import type { QueueEvent, Store } from './events';
import { Shelf } from './shelf';

/** So long what was sent is remembered, ms: a day without signal, and the night before it (assumed). */
const REMEMBERED = 36 * 3_600_000;

/** The queue's events in the browser; what was sent lies apart from what waits. */
export class BrowserStore implements Store {
    private readonly waiting = new Shelf<QueueEvent>('noble-turn', 2);
    private readonly gone = new Shelf<QueueEvent>('noble-turn-sent');

    of = (user: string): Promise<QueueEvent[]> => this.waiting.of(user);

    /** How many wait here in all, whoever made them: no more is told to somebody else. */
    count = (): Promise<number> => this.waiting.count();

    add = (...events: QueueEvent[]): Promise<void> => this.waiting.put(...events);

    drop = (seqs: number[]): Promise<void> => this.waiting.drop(seqs);

    async sent(events: QueueEvent[]): Promise<void> {
        await this.drop(events.map((event) => event.seq));
        await this.gone.put(...events);
    }

    async recent(user: string): Promise<QueueEvent[]> {
        // What a number counts: thousandths of a millisecond since 1970, when it was made.
        await this.gone.dropBefore((Date.now() - REMEMBERED) * 1000);
        return this.gone.of(user);
    }

    /** Leaves nothing of what was sent; what still waits stays. */
    forgetSent = (): Promise<void> => this.gone.clear();
}
