import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import { useClock, isoDay, useSession } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { useNow } from '@/ui/useNow';
import { Sheet } from '@/ui/Sheet';
import type { Way } from './WayFacts';
import { Failed, Waiting } from '@/ui/State';

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
    const { school } = useSession();
    const now = useNow();
    const day = (ahead: number) => questions.today(isoDay(new Date(now.getTime() + ahead * 24 * 3_600_000), school.time_zone));
    const today = useQuery(day(0));
    const tomorrow = useQuery(day(1));
    const lessons = [today, tomorrow].flatMap(({ data }) => data?.lessons ?? []).filter(({ state }) => state === 'planned');
    const put = async (lesson: (typeof lessons)[number]) => {
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
    return (
        <Sheet title="Use in a lesson" about="Of today and tomorrow." open onOpenChange={onClose}>
            {today.isLoading && <Waiting />}
            {today.error && <Failed error={today.error} retry={() => void today.refetch()} />}
            {!today.isLoading && lessons.length === 0 && <p>No lesson is planned for today or tomorrow.</p>}
            <ul className="grid gap-2">
                {lessons.map((lesson) => (
                    <li key={lesson.id}>
                        <button type="button" className="key min-h-14 w-full justify-start text-left" onClick={() => void put(lesson)}>
                            {clock.day(lesson.starts_at)}, {clock.time(lesson.starts_at)} · {lesson.learner.name}
                        </button>
                    </li>
                ))}
            </ul>
        </Sheet>
    );
}
