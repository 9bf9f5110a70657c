import { Workbox } from 'workbox-window';
import { heard } from '@/api/heard';
import { Noticed } from '@/api/noticed';

/** How often a newer version is looked for while a page stays open, ms (assumed). */
const LOOK = 30 * 60_000;

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
    private worker: Workbox | null = null;
    /** When it was asked to take over, ms. */
    private asked = -Infinity;
    /** It has taken over, later than it was asked or asked by another page: this page goes on with it as soon as it is left. */
    private due = false;

    begin(): void {
        void this.standing();
        if (!('serviceWorker' in navigator) || import.meta.env.DEV) return;
        this.worker = new Workbox('/sw.js');
        this.worker.addEventListener('activated', () => this.ready.set(true));
        this.worker.addEventListener('waiting', () => this.newer.set(true));
        this.worker.addEventListener('controlling', ({ isUpdate, isExternal }) => {
            if (!isUpdate && !isExternal) return;
            if (Date.now() < this.asked + AT_ONCE) window.location.reload();
            else this.due = true;
        });
        this.worker.register().then(
            (registration) => this.ready.set(registration?.active != null),
            () => undefined,
        );
        setInterval(() => void this.look(), LOOK);
        heard.otherForm.subscribe(() => heard.otherForm.get() && void this.look());
    }

    /** Lets the newer version take over; the page is loaded anew with it. */
    take(): void {
        this.asked = Date.now();
        this.worker?.messageSkipWaiting();
    }

    /** A page has been left for another: the moment at which nothing is half typed. */
    async between(): Promise<void> {
        if (this.due) window.location.reload();
        else if (this.newer.get() && (await this.isAlone())) this.take();
    }

    private look = async (): Promise<void> => this.worker?.update().catch(() => undefined);

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
