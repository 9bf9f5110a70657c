import { useMemo, useSyncExternalStore } from 'react';
import type { Lesson } from '@/api/types';
import { OpenPages } from '@/queue/neighbours';
import { Shelf } from '@/queue/shelf';
import { Writes, type Waiting } from './writes';
import { sendWritten, withWritten } from './written';

const shelf = new Shelf<Waiting>('noble-turn-writes');

/** What was written on this device without signal. */
export const writes = new Writes(shelf, sendWritten, new OpenPages('noble-turn-writes'));

/** How many wait on this device, whoever wrote them. */
export const countWrites = (): Promise<number> => shelf.count().catch(() => 0);

export const useWrites = () => useSyncExternalStore(writes.state.subscribe, writes.state.get);

/** A lesson with what was written on it here and waits. */
export function useAsWritten<L extends Lesson | undefined>(lesson: L): L {
    const { waiting, refused } = useWrites();
    return useMemo(
        () =>
            lesson &&
            (waiting
                .filter((one) => one.lesson === lesson.id && !refused.has(one.seq))
                .reduce<Lesson>((now, one) => withWritten(now, one.written), lesson) as L),
        [lesson, waiting, refused],
    );
}
