import { Noticed } from '@/api/noticed';

/** Nearly full is less than this, bytes (assumed: a week of marks, and the answers of a day). */
const NEARLY = 20_000_000;

/** How often it is looked at, ms (assumed). */
const LOOK = 10 * 60_000;

/** What the browser says of its room for us; null where it says nothing. */
export interface Room {
    left: number;
    /** It has promised not to clear it when it runs short. */
    promised: boolean;
}

export const room = new Noticed<Room | null>(null);

export const isNearlyFull = (now: Room | null): boolean => now !== null && now.left < NEARLY;

/**
 * Asks the browser to keep what is stored here when it runs short of room, and how much it has. It may refuse; then the marks are safe
 * only while there is room.
 */
export async function lookAtRoom(): Promise<void> {
    const storage = (navigator as { storage?: StorageManager }).storage;
    if (!storage?.persist) return;
    const promised = (await storage.persisted()) || (await storage.persist());
    const { quota = Infinity, usage = 0 } = await storage.estimate();
    room.set({ left: quota - usage, promised });
}

export function watchRoom(): void {
    const look = () => void lookAtRoom().catch(() => undefined);
    look();
    setInterval(look, LOOK);
}
