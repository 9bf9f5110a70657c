import { useSyncExternalStore } from 'react';
import { api } from '@/api/client';
import { OpenPages } from './neighbours';
import { Queue } from './queue';
import { BrowserStore } from './store';

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

/** How many rounds and marks wait on this device, whoever made them. */
export const countMarks = (): Promise<number> => store.count().catch(() => 0);
