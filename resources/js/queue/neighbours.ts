import type { Neighbours, News } from './events';

/** So long one page waits for another that sends, ms: longer than any question to the server takes. */
const LONGEST = 60_000;

/** The other pages that the browser has open: one sends at a time, and each hears what the others add and send. */
export class OpenPages implements Neighbours {
    private readonly channel: BroadcastChannel | null;

    constructor(private readonly name: string) {
        this.channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name);
    }

    async alone(work: () => Promise<void>): Promise<void> {
        const { locks } = navigator as { locks?: LockManager };
        // A page without HTTPS has no locks, and one that the device has put to sleep gives none back: what two of them send at once is
        // stored once all the same.
        if (!locks) return work();
        const waited = AbortSignal.timeout(LONGEST);
        await locks.request(this.name, { signal: waited }, work).catch((error: unknown) => (error === waited.reason ? work() : Promise.reject(error as Error)));
    }

    tell(news: News): void {
        this.channel?.postMessage(news);
    }

    listen(listener: (news: News) => void): void {
        this.channel?.addEventListener('message', ({ data }: MessageEvent<News>) => listener(data));
    }
}

/** No other page. */
export const NOBODY: Neighbours = { alone: (work) => work(), tell: () => undefined, listen: () => undefined };
