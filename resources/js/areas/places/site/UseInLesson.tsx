import { useQueryClient } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import type { LessonLine } from '@/api/types';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { LessonChoice } from './LessonChoice';
import type { Way } from './WayFacts';

interface Props {
    site: string;
    from: string;
    to: string;
    routine: Way['routine'];
    onClose: () => void;
}

/** A way goes on the plan of a lesson of today or tomorrow; from then on it is one of the school's places. */
export function UseInLesson({ site, from, to, routine, onClose }: Props) {
    const client = useQueryClient();
    const notice = useNotice();
    const clock = useClock();
    const put = async (lesson: LessonLine) => {
        const place = await api.POST('/sites/{site}/ways', { ...at({ site }), body: { from, to, routine } });
        const item = await api.POST('/lessons/{lesson}/items', { ...at({ lesson: lesson.id }), body: { place_id: place.id } });
        const again = () => Promise.all([['lesson', lesson.id], ['places'], ['sites']].map((queryKey) => client.invalidateQueries({ queryKey })));
        await again();
        onClose();
        notice({
            text: `${place.name} is on the plan of ${lesson.learner.name}, ${clock.time(lesson.starts_at)}.`,
            undo: () => void api.DELETE('/items/{item}', at({ item: item.id })).then(again),
        });
    };
    return <LessonChoice onChoose={(lesson) => void put(lesson)} onClose={onClose} />;
}
