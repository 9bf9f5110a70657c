import { useQueryClient } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import type { RoutineCode } from '@/api/types';

export interface WayWithMinutes {
    site: string;
    from: string;
    to: string;
    routine: RoutineCode;
    minutes: number;
}

/** Ways of sites go on the plan of a lesson, in their order and with their minutes: all of them, or none. Gives back what takes them off again. */
export function useTakeWays() {
    const client = useQueryClient();
    return async (lesson: string, ways: readonly WayWithMinutes[]): Promise<() => Promise<void>> => {
        const items: string[] = [];
        const again = () => Promise.all([['lesson', lesson], ['places'], ['sites']].map((queryKey) => client.invalidateQueries({ queryKey })));
        const takeBack = async () => {
            for (const item of items) await api.DELETE('/items/{item}', at({ item }));
            await again();
        };
        try {
            for (const { site, from, to, routine, minutes } of ways) {
                const place = await api.POST('/sites/{site}/ways', { ...at({ site }), body: { from, to, routine } });
                const item = await api.POST('/lessons/{lesson}/items', { ...at({ lesson }), body: { place_id: place.id } });
                items.push(item.id);
                await api.PATCH('/items/{item}', { ...at({ item: item.id }), body: { minutes } });
            }
        } catch (problem) {
            // Half of it is none.
            await takeBack();
            throw problem;
        }
        await again();
        return takeBack;
    };
}
