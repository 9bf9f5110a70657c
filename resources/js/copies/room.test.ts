import { afterEach, describe, expect, it, vi } from 'vitest';
import { isNearlyFull, lookAtRoom, room } from './room';

const device = (storage: Partial<StorageManager> | undefined) => vi.stubGlobal('navigator', Object.assign(Object.create(navigator) as object, { storage }));

afterEach(() => {
    vi.unstubAllGlobals();
    room.set(null);
});

describe('the room on a device', () => {
    it('is asked for once, and promised or not', async () => {
        const persist = vi.fn(() => Promise.resolve(true));
        device({ persist, persisted: () => Promise.resolve(false), estimate: () => Promise.resolve({ quota: 1e9, usage: 4e8 }) });
        await lookAtRoom();
        expect(room.get()).toEqual({ left: 6e8, promised: true });
        expect(persist).toHaveBeenCalledOnce();
        device({ persist, persisted: () => Promise.resolve(true), estimate: () => Promise.resolve({ quota: 1e9, usage: 4e8 }) });
        await lookAtRoom();
        expect(persist).toHaveBeenCalledOnce();
    });

    it.each([
        [{ quota: 1e9, usage: 1e9 - 19e6 }, true],
        [{ quota: 1e9, usage: 1e9 - 21e6 }, false],
        [{ quota: 1e9, usage: 2e9 }, true],
        // A browser that does not say how much there is has not said that there is none.
        [{}, false],
    ])('is nearly full before it is full: %j', async (estimate, full) => {
        device({ persist: () => Promise.resolve(true), persisted: () => Promise.resolve(true), estimate: () => Promise.resolve(estimate) });
        await lookAtRoom();
        expect(isNearlyFull(room.get())).toBe(full);
    });

    it('is not spoken of where a browser says nothing of it', async () => {
        device(undefined);
        await lookAtRoom();
        expect(room.get()).toBeNull();
        expect(isNearlyFull(room.get())).toBe(false);
    });
});
