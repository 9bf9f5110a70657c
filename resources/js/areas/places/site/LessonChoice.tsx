import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { LessonLine } from '@/api/types';
import { isoDay, useClock, useSession } from '@/session/session';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { useNow } from '@/ui/useNow';

/** A lesson of today or tomorrow that is still to be given. */
export function LessonChoice({ onChoose, onClose }: { onChoose: (lesson: LessonLine) => void; onClose: () => void }) {
    const clock = useClock();
    const { school } = useSession();
    const now = useNow();
    const day = (ahead: number) => questions.today(isoDay(new Date(now.getTime() + ahead * 24 * 3_600_000), school.time_zone));
    const today = useQuery(day(0));
    const tomorrow = useQuery(day(1));
    const lessons = [today, tomorrow].flatMap(({ data }) => data?.lessons ?? []).filter(({ state }) => state === 'booked');
    return (
        <Sheet title="Use in a lesson" about="Of today and tomorrow." open onOpenChange={onClose}>
            {today.isLoading && <Waiting />}
            {today.error && <Failed error={today.error} retry={() => void today.refetch()} />}
            {!today.isLoading && lessons.length === 0 && <p>No lesson is planned for today or tomorrow.</p>}
            <ul className="grid gap-2">
                {lessons.map((lesson) => (
                    <li key={lesson.id}>
                        <button type="button" className="key min-h-14 w-full justify-start text-left" onClick={() => onChoose(lesson)}>
                            {clock.day(lesson.starts_at)}, {clock.time(lesson.starts_at)} · {lesson.learner.name}
                        </button>
                    </li>
                ))}
            </ul>
        </Sheet>
    );
}
