import { useQueryClient } from '@tanstack/react-query';
import { api, at, Problem } from '@/api/client';
import type { Answered } from '@/api/client';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import type { Repetition } from './RepeatFields';

type Booked = Answered<'/lessons/{lesson}/series', 'post'>;

/** Everything that tells of times is asked for anew once one of them is taken or given back. */
export function useReread(): () => Promise<unknown> {
    const client = useQueryClient();
    return () =>
        Promise.all(['today', 'week', 'lesson', 'fit', 'free', 'series', 'late', 'texts'].map((name) => client.invalidateQueries({ queryKey: [name] })));
}

/** Books a lesson again week after week, and says how many were booked and why others were not. The lesson itself stays, whatever happens. */
export function useSeries(): (lesson: string, repetition: Repetition) => Promise<boolean> {
    const clock = useClock();
    const notice = useNotice();
    const reread = useReread();
    const cancel = async (booked: Booked['booked']) => {
        for (const { id } of booked) {
            await api.PATCH('/lessons/{lesson}', {
                ...at({ lesson: id }),
                body: { state: 'cancelled', ended_by: 'instructor', ended_why: 'Booked by mistake' },
            });
        }
        await reread();
    };
    return async (lesson, repetition) => {
        try {
            const { booked, left_out } = await api.POST('/lessons/{lesson}/series', { ...at({ lesson }), body: repetition });
            await reread();
            const missing = left_out.map(({ starts_at }) => clock.short(starts_at)).join(', ');
            const text = `${booked.length === 1 ? '1 more lesson is' : `${booked.length} more lessons are`} booked${missing && `; taken by now: ${missing}`}.`;
            notice({ text, ...(booked.length > 0 ? { undo: () => void cancel(booked) } : {}) });
            return true;
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            notice({ text: `The weeks after it are not booked: ${error.message}` });
            return false;
        }
    };
}
