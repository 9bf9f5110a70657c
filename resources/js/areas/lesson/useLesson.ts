import { useQuery, useQueryClient } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useAsWritten, writes } from '@/writes/here';
import type { Facts, Written } from '@/writes/written';

/** Writes on the lesson and keeps every page that shows it fresh; without signal it waits, and is shown all the same. */
export function useLesson(id: string) {
    const client = useQueryClient();
    const refresh = () =>
        Promise.all([
            client.invalidateQueries({ queryKey: ['lesson', id] }),
            client.invalidateQueries({ queryKey: ['today'] }),
            client.invalidateQueries({ queryKey: ['learner'] }),
        ]);
    const write = async (facts: Facts) => {
        const answer = await writes.write(id, { kind: 'facts', facts });
        if (answer === null) return;
        client.setQueryData(['lesson', id], answer);
        await Promise.all([client.invalidateQueries({ queryKey: ['today'] }), client.invalidateQueries({ queryKey: ['learner'] })]);
    };
    /** Anything else that is written on it. */
    const put = async (written: Written) => {
        if ((await writes.write(id, written)) !== null) await refresh();
    };
    return { refresh, write, put };
}

/** A lesson as it is shown: what the server has of it, with what was written here and waits for signal. */
export function useShownLesson(id: string) {
    const { data, error, isLoading, refetch } = useQuery(questions.lesson(id));
    return { data: useAsWritten(data), error, isLoading, refetch };
}
