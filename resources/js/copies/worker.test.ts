import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { heard } from '@/api/heard';
import { PageKeeper } from './worker';

type State = ServiceWorker['state'];

class Worker extends EventTarget {
    state: State = 'installing';
    postMessage = vi.fn();

    goes(state: State): void {
        this.state = state;
        this.dispatchEvent(new Event('statechange'));
    }
}

/** A browser's registration, of which a test says what becomes of it. */
class Registration extends EventTarget {
    installing: Worker | null = null;
    waiting: Worker | null = null;
    active: Worker | null = null;
    update = vi.fn(() => Promise.resolve());

    finds(): Worker {
        this.installing = new Worker();
        this.dispatchEvent(new Event('updatefound'));
        return this.installing;
    }

    /** Fetched whole: it waits where another is in charge, and takes over where none is. */
    installs(worker: Worker): void {
        this.installing = null;
        this.waiting = worker;
        worker.goes('installed');
        if (!this.active) this.takes(worker);
    }

    takes(worker: Worker): void {
        const before = this.active;
        this.waiting = null;
        this.active = worker;
        worker.goes('activated');
        before?.goes('redundant');
    }

    loses(worker: Worker): void {
        this.installing = null;
        worker.goes('redundant');
    }
}

let registration: Registration;
let container: EventTarget & { register: () => Promise<Registration | undefined>; ready: Promise<Registration> };
const reload = vi.fn();

async function opened(): Promise<PageKeeper> {
    const keeper = new PageKeeper();
    keeper.begin();
    await vi.advanceTimersByTimeAsync(0);
    return keeper;
}

const runs = (): Worker => {
    const worker = new Worker();
    worker.state = 'activated';
    registration.active = worker;
    return worker;
};

beforeEach(() => {
    vi.useFakeTimers();
    vi.stubEnv('DEV', false);
    vi.stubGlobal('location', { reload });
    registration = new Registration();
    container = Object.assign(new EventTarget(), {
        register: () => Promise.resolve<Registration | undefined>(registration),
        ready: new Promise<Registration>(() => undefined),
    });
    Object.defineProperty(navigator, 'serviceWorker', { configurable: true, value: container });
    Object.defineProperty(navigator, 'locks', {
        configurable: true,
        value: { request: () => new Promise(() => undefined), query: () => Promise.resolve({ held: [{ name: 'noble-turn-page' }] }) },
    });
});

afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllEnvs();
    vi.unstubAllGlobals();
    reload.mockClear();
    heard.otherForm.set(false);
    Reflect.deleteProperty(navigator, 'serviceWorker');
    Reflect.deleteProperty(navigator, 'locks');
});

describe('what opens the pages without signal', () => {
    it('is ready once the first version has taken over, and is none that is newer', async () => {
        const keeper = await opened();
        expect(keeper.ready.get()).toBe(false);
        const first = registration.finds();
        registration.installs(first);
        expect([keeper.ready.get(), keeper.newer.get()]).toEqual([true, false]);
    });

    it.each([
        ['found while the page is open', () => registration.finds(), true],
        ['being fetched when the page opens', () => (registration.installing = new Worker()), false],
    ])('says of a newer version %s', async (_, comes, isLater) => {
        runs();
        let newer = isLater ? null : comes();
        const keeper = await opened();
        newer ??= comes();
        expect(keeper.newer.get()).toBe(false);
        registration.installs(newer);
        expect(keeper.newer.get()).toBe(true);
    });

    it('says of one that waited before the page was opened', async () => {
        runs();
        registration.waiting = new Worker();
        expect((await opened()).newer.get()).toBe(true);
    });

    it('looks again in a minute for one that could not be fetched whole, as often as it takes', async () => {
        runs();
        const keeper = await opened();
        for (const times of [1, 2]) {
            registration.loses(registration.finds());
            expect(keeper.newer.get()).toBe(false);
            await vi.advanceTimersByTimeAsync(61_000);
            expect(registration.update).toHaveBeenCalledTimes(times);
        }
        registration.installs(registration.finds());
        expect(keeper.newer.get()).toBe(true);
        await vi.advanceTimersByTimeAsync(10 * 60_000);
        expect(registration.update).toHaveBeenCalledTimes(2);
    });

    it('looks until it has found what the server says it speaks by now', async () => {
        runs();
        await opened();
        heard.otherForm.set(true);
        // Joined to a look that had read the version of before: nothing is found.
        await vi.advanceTimersByTimeAsync(125_000);
        expect(registration.update).toHaveBeenCalledTimes(3);
        registration.update.mockImplementationOnce(() => {
            registration.installs(registration.finds());
            return Promise.resolve();
        });
        await vi.advanceTimersByTimeAsync(10 * 60_000);
        expect(registration.update).toHaveBeenCalledTimes(4);
    });

    it.each([
        ['fails', () => Promise.reject(new DOMException('aborted', 'AbortError'))],
        ['never answers', () => new Promise<undefined>(() => undefined)],
    ])('follows one that was registered before where asking for it %s', async (_, register) => {
        runs();
        container.register = register;
        container.ready = Promise.resolve(registration);
        const keeper = await opened();
        expect(keeper.ready.get()).toBe(true);
        registration.installs(registration.finds());
        expect(keeper.newer.get()).toBe(true);
    });

    it('asks again in a minute where the first on a device could not be had', async () => {
        const register = vi.fn().mockRejectedValueOnce(new TypeError('no signal')).mockResolvedValue(registration);
        container.register = register;
        const keeper = await opened();
        expect(register).toHaveBeenCalledTimes(1);
        await vi.advanceTimersByTimeAsync(61_000);
        expect(register).toHaveBeenCalledTimes(2);
        registration.installs(registration.finds());
        expect(keeper.ready.get()).toBe(true);
    });

    it('does without where workers are blocked, by an error or by nothing', async () => {
        for (const register of [() => Promise.reject(new DOMException('blocked', 'SecurityError')), () => Promise.resolve(undefined)]) {
            container.register = register;
            const keeper = await opened();
            heard.otherForm.set(true);
            await vi.advanceTimersByTimeAsync(0);
            keeper.take();
            await keeper.between();
            expect([keeper.ready.get(), keeper.newer.get()]).toEqual([false, false]);
            heard.otherForm.set(false);
        }
    });

    it('does not look again when the one before it gives way', async () => {
        const keeper = await opened();
        registration.installs(registration.finds());
        const newer = registration.finds();
        registration.installs(newer);
        registration.takes(newer);
        await vi.advanceTimersByTimeAsync(5 * 60_000);
        expect(registration.update).not.toHaveBeenCalled();
        expect(keeper.newer.get()).toBe(true);
    });

    it('takes it between two pages where no other page is open, and goes on with it', async () => {
        runs();
        const keeper = await opened();
        await keeper.between();
        const newer = registration.finds();
        registration.installs(newer);
        await keeper.between();
        expect(newer.postMessage).toHaveBeenCalledExactlyOnceWith({ type: 'SKIP_WAITING' });
        container.dispatchEvent(new Event('controllerchange'));
        expect(reload).toHaveBeenCalledOnce();
    });

    it('leaves the page alone while it is worked on, and goes on when it is left, where another page took it', async () => {
        runs();
        const keeper = await opened();
        registration.takes(registration.finds());
        container.dispatchEvent(new Event('controllerchange'));
        expect(reload).not.toHaveBeenCalled();
        await keeper.between();
        expect(reload).toHaveBeenCalledOnce();
    });
});
