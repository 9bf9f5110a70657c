import { useQueryClient } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import type { Lesson, RoutineCode, Step } from '@/api/types';

/** What a lesson works on, as it is written. */
interface Aimed {
    aim_routine: RoutineCode | null;
    aim_step: Step | null;
}

/** Writes on the lesson and keeps every page that shows it fresh. */
export function useLesson(id: string) {
    const client = useQueryClient();
    const refresh = () =>
        Promise.all([
            client.invalidateQueries({ queryKey: ['lesson', id] }),
            client.invalidateQueries({ queryKey: ['today'] }),
            client.invalidateQueries({ queryKey: ['learner'] }),
        ]);
    const write = async (
        facts: Partial<Pick<Lesson, 'aim' | 'state' | 'went_well' | 'worked_on' | 'self_rating' | 'brief_minutes' | 'debrief_minutes'> & Aimed>,
    ) => {
        client.setQueryData(['lesson', id], await api.PATCH('/lessons/{lesson}', { ...at({ lesson: id }), body: facts }));
        await Promise.all([client.invalidateQueries({ queryKey: ['today'] }), client.invalidateQueries({ queryKey: ['learner'] })]);
    };
    return { refresh, write };
}
