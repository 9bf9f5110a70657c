import type { QueueEvent, Store } from '@/queue/events';

/** A device's store that outlives its pages. */
export class Memory implements Store {
    readonly events = new Map<number, QueueEvent>();
    readonly gone = new Map<number, QueueEvent>();
    /** Full: nothing more is taken. */
    broken = false;
    /** What is written once somebody lets it be; at once otherwise. */
    held: Promise<void> | null = null;

    of = (user: string) => Promise.resolve([...this.events.values()].filter((event) => event.user === user));

    add = async (...events: QueueEvent[]) => {
        if (this.broken) throw new Error('full');
        await this.held;
        events.forEach((event) => this.events.set(event.seq, event));
    };

    drop = (seqs: number[]) => Promise.resolve(seqs.forEach((seq) => this.events.delete(seq)));

    sent = (events: QueueEvent[]) => {
        events.forEach((event) => this.gone.set(event.seq, event));
        return this.drop(events.map((event) => event.seq));
    };

    recent = (user: string) => Promise.resolve([...this.gone.values()].filter((event) => event.user === user));
}
