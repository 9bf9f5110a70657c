import { heard } from '@/api/heard';
import { Noticed } from '@/api/noticed';

/** How often a newer version is looked for while a page stays open, ms (assumed). */
const LOOK = 30 * 60_000;

/** So long after one could not be fetched whole, or was not found where the server says there is one, it is looked for again, ms (assumed). */
const LOOK_AGAIN = 60_000;

/** Longer after a press or a change of pages nobody expects the page to be loaded anew, ms (assumed). */
const AT_ONCE = 2_000;

/** Each open page holds it, shared with the others: how many do says whether this is the only one. */
const A_PAGE = 'noble-turn-page';

/**
 * What opens the pages without signal: a worker beside them keeps scripts, styles and fonts. Only over HTTPS or on the machine itself
 * does a browser give one.
 */
export class PageKeeper {
    /** Whether pages open without signal from now on. */
    readonly ready = new Noticed(false);
    /** A newer version lies on the device and waits until it may take over. */
    readonly newer = new Noticed(false);
    private registered: ServiceWorkerRegistration | null = null;
    /** When it was asked to take over, ms. */
    private asked = -Infinity;
    /** It has taken over, later than it was asked or asked by another page: this page goes on with it as soon as it is left. */
    private due = false;

    begin(): void {
        void this.standing();
        if (!('serviceWorker' in navigator) || import.meta.env.DEV) return;
        // The first version on a device takes no page over; whichever does so later is a newer one.
        navigator.serviceWorker.addEventListener('controllerchange', () => {
            if (Date.now() < this.asked + AT_ONCE) window.location.reload();
            else this.due = true;
        });
        // What the page itself needs is fetched first.
        if (document.readyState === 'complete') void this.register();
        else window.addEventListener('load', () => void this.register());
        // One that was registered before is followed also where asking for it fails or hangs, as it may while much is asked at once.
        void navigator.serviceWorker.ready.then(this.keep);
        setInterval(() => void this.look(), LOOK);
        heard.otherForm.subscribe(() => heard.otherForm.get() && void this.look());
    }

    /** Lets the newer version take over; the page is loaded anew with it. */
    take(): void {
        this.asked = Date.now();
        this.registered?.waiting?.postMessage({ type: 'SKIP_WAITING' });
    }

    /** A page has been left for another: the moment at which nothing is half typed. */
    async between(): Promise<void> {
        if (this.due) window.location.reload();
        else if (this.newer.get() && (await this.isAlone())) this.take();
    }

    private register(): Promise<void> {
        return navigator.serviceWorker.register('/sw.js').then(this.keep, () => this.lookAgain());
    }

    private keep = (registered: ServiceWorkerRegistration | undefined): void => {
        // A browser in which workers are blocked may answer with nothing; and it is told of twice.
        if (!registered || this.registered) return;
        this.registered = registered;
        this.ready.set(registered.active !== null);
        if (registered.waiting) this.newer.set(true);
        // One that had begun before this page heard of it is followed too.
        this.follow(registered.installing);
        registered.addEventListener('updatefound', () => this.follow(registered.installing));
    };

    /** From its first byte until it takes over or is given up: it could not be fetched whole, or another came after it. */
    private follow(worker: ServiceWorker | null): void {
        const done = new AbortController();
        const follow = () => {
            if (worker?.state === 'installed') this.newer.set(this.registered?.active != null);
            if (worker?.state === 'redundant' && !this.registered?.waiting) {
                this.newer.set(false);
                this.lookAgain();
            }
            if (worker?.state !== 'activated') return;
            this.ready.set(true);
            done.abort();
        };
        worker?.addEventListener('statechange', follow, { signal: done.signal });
    }

    /** A browser may join a look to one it has begun before, which has read the older version: what the server says counts until it is found. */
    private look = async (): Promise<void> => {
        await (this.registered ? this.registered.update().catch(() => undefined) : this.register());
        if (heard.otherForm.get() && !this.newer.get() && !this.registered?.installing) this.lookAgain();
    };

    private again: ReturnType<typeof setTimeout> | undefined;

    private lookAgain(): void {
        clearTimeout(this.again);
        this.again = setTimeout(() => void this.look(), LOOK_AGAIN);
    }

    private async isAlone(): Promise<boolean> {
        const { held } = await navigator.locks.query();
        return (held ?? []).filter((lock) => lock.name === A_PAGE).length <= 1;
    }

    /** Until the page is closed. */
    private async standing(): Promise<void> {
        await (navigator as { locks?: LockManager }).locks?.request(A_PAGE, { mode: 'shared' }, () => new Promise(() => undefined)).catch(() => undefined);
    }
}

export const pageKeeper = new PageKeeper();
