import { useEffect } from 'react';
import { heard } from '@/api/heard';
import { countMarks, marksQueue } from '@/queue/marks';
import { countWrites, writes } from '@/writes/here';

/** How much waits on this device, marks and what was written, whoever made it. */
export const countWaiting = async (): Promise<number> => (await countMarks()) + (await countWrites());

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
