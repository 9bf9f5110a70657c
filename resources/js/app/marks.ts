import { useEffect, useSyncExternalStore } from 'react';
import { post } from '@/api/client';
import { Queue } from '@/queue/queue';
import { BrowserStore } from '@/queue/store';

/** The one queue of this device. */
export const marksQueue = new Queue(new BrowserStore(), (batch) => post('sync', batch));

export function useMarksQueue() {
    return useSyncExternalStore(marksQueue.subscribe, marksQueue.state);
}

/** Tries again when signal comes back, when the page is looked at again, and every half minute. */
export function useFlushing(user: string, onSent: () => Promise<unknown>): void {
    useEffect(() => {
        void marksQueue.load(user, onSent);
        const flush = () => void marksQueue.flush();
        window.addEventListener('online', flush);
        document.addEventListener('visibilitychange', flush);
        const timer = setInterval(flush, 30_000);
        return () => {
            window.removeEventListener('online', flush);
            document.removeEventListener('visibilitychange', flush);
            clearInterval(timer);
        };
    }, [user, onSent]);
}
