import { useQueryClient } from '@tanstack/react-query';
import { api, at, Problem } from '@/api/client';
import type { CircuitAnswer, LessonLine } from '@/api/types';
import { useClock } from '@/session/session';
import { minutesOf, type Taken } from '@/site/circuit';
import { useNotice } from '@/ui/Notice';
import { LessonChoice } from '../site/LessonChoice';

/** Its ways go on the plan of a lesson, in their order and with their minutes. */
export function TakeIt({ data, driven, onClose }: { data: CircuitAnswer; driven: Taken[]; onClose: () => void }) {
    const client = useQueryClient();
    const notice = useNotice();
    const clock = useClock();
    const minutes = minutesOf(data.parts, data.order);
    const put = async (lesson: LessonLine) => {
        const items: string[] = [];
        const again = () => Promise.all([['lesson', lesson.id], ['places'], ['sites']].map((queryKey) => client.invalidateQueries({ queryKey })));
        const takeBack = async () => {
            for (const item of items) await api.DELETE('/items/{item}', at({ item }));
            await again();
        };
        try {
            for (const [i, { site, from, to, routine }] of driven.entries()) {
                const place = await api.POST('/sites/{site}/ways', { ...at({ site }), body: { from, to, routine } });
                const item = await api.POST('/lessons/{lesson}/items', { ...at({ lesson: lesson.id }), body: { place_id: place.id } });
                items.push(item.id);
                await api.PATCH('/items/{item}', { ...at({ item: item.id }), body: { minutes: minutes[i]! } });
            }
        } catch (problem) {
            if (!(problem instanceof Problem)) throw problem;
            // Half a circuit is none.
            await takeBack();
            onClose();
            notice({ text: `Nothing was taken: ${problem.message}` });
            return;
        }
        await again();
        onClose();
        notice({
            text: `${items.length === 1 ? 'One way is' : `${items.length} ways are`} on the plan of ${lesson.learner.name}, ${clock.time(lesson.starts_at)}.`,
            undo: () => void takeBack(),
        });
    };
    return <LessonChoice onChoose={(lesson) => void put(lesson)} onClose={onClose} />;
}
