import { useEffect, useSyncExternalStore } from 'react';
import { api } from '@/api/client';
import { heard } from '@/api/heard';
import { OpenPages } from './neighbours';
import { Queue } from './queue';
import { BrowserStore } from './store';
import { countWrites, writes } from '@/writes/here';

const store = new BrowserStore();

/** The one queue of this device. It says what its clock shows, so that a wrong one can be taken off its times. */
export const marksQueue = new Queue(
    store,
    (batch) => api.POST('/sync', { body: { ...batch, sent_at: new Date().toISOString() } }),
    new OpenPages('noble-turn-queue'),
);

export function useMarksQueue() {
    return useSyncExternalStore(marksQueue.subscribe, marksQueue.state);
}

/** Leaves nothing of what was sent from here; what waits stays until whoever made it signs in again. */
export const forgetSent = (): Promise<void> => store.forgetSent().catch(() => undefined);

/** How much waits on this device, marks and what was written, whoever made it. */
export const countWaiting = async (): Promise<number> => (await store.count().catch(() => 0)) + (await countWrites());

/**
 * Tries again when the server answers again, when the page is looked at again, and every half minute. While something could be lost by
 * closing the page, the browser asks before it does.
 */
export function useFlushing(user: string, onSent: () => Promise<unknown>): void {
    useEffect(() => {
        void marksQueue.load(user, onSent);
        void writes.load(user, onSent);
        const flush = () => void Promise.all([marksQueue.flush(), writes.flush()]);
        const ask = (event: BeforeUnloadEvent) => {
            if (marksQueue.state().unsafe) event.preventDefault();
        };
        window.addEventListener('online', flush);
        window.addEventListener('beforeunload', ask);
        document.addEventListener('visibilitychange', flush);
        const timer = setInterval(flush, 30_000);
        const leave = heard.reached.subscribe(() => heard.reached.get() && flush());
        return () => {
            window.removeEventListener('online', flush);
            window.removeEventListener('beforeunload', ask);
            document.removeEventListener('visibilitychange', flush);
            clearInterval(timer);
            leave();
        };
    }, [user, onSent]);
}
