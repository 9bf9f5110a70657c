import { useQueryClient } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { heard } from '@/api/heard';
import { lastAnswers } from '@/copies/here';
import { isNearlyFull, room } from '@/copies/room';
import { pageKeeper } from '@/copies/worker';
import { useMarksQueue } from '@/queue/marks';
import type { QueueState } from '@/queue/queue';
import { useWrites } from '@/writes/here';
import { useNoticed } from '@/ui/useNoticed';

/** How this device stands. */
export interface Device {
    queue: QueueState;
    /** What was written on lessons beside the marks, how much of it waits and how much was refused. */
    writes: { waiting: number; refused: number };
    reached: boolean;
    /** As of when the oldest of what the page shows was answered, ms; null where all of it is fresh. */
    asOf: number | null;
    /** Minutes by which its clock is fast; slow where negative. */
    clockAhead: number;
    nearlyFull: boolean;
    newer: boolean;
    otherForm: boolean;
}

export function useDevice(): Device {
    const client = useQueryClient();
    const shown = () =>
        client
            .getQueryCache()
            .findAll({ type: 'active' })
            .filter((query) => query.queryKey[0] !== 'session')
            .map((query) => query.queryHash);
    const { waiting, refused } = useWrites();
    return {
        queue: useMarksQueue(),
        writes: { waiting: waiting.length - refused.size, refused: refused.size },
        reached: useNoticed(heard.reached),
        asOf: useSyncExternalStore(lastAnswers.subscribe, () => lastAnswers.asOf(shown())),
        clockAhead: useNoticed(heard.clockAhead),
        nearlyFull: isNearlyFull(useNoticed(room)),
        newer: useNoticed(pageKeeper.newer),
        otherForm: useNoticed(heard.otherForm),
    };
}
