import { Link } from 'react-router';
import type { LessonLine } from '@/api/types';
import { useClock } from '@/session/session';

/** The day as one line: lessons to scale, the gaps between them said. */
export function DayLine({ lessons, nextId }: { lessons: LessonLine[]; nextId?: string }) {
    const clock = useClock();
    const start = (lesson: LessonLine) => new Date(lesson.starts_at).getTime() / 60_000;
    return (
        <ol className="flex flex-col gap-2 lg:flex-row lg:gap-0" aria-label="The day">
            {lessons.map((lesson, i) => {
                const before = lessons[i - 1];
                const gap = before ? Math.round(start(lesson) - start(before) - before.minutes) : 0;
                const isNext = lesson.id === nextId;
                return (
                    <li key={lesson.id} className="contents">
                        {gap > 0 && (
                            <span
                                className="text-quiet hidden min-w-12 content-center text-center text-sm lg:block"
                                style={{ flexGrow: gap / 3 }}
                                aria-label={`${gap} minutes free`}
                            >
                                {gap} min
                            </span>
                        )}
                        <Link
                            to={`/lessons/${lesson.id}/plan`}
                            style={{ flexGrow: lesson.minutes, flexBasis: '7rem' }}
                            className={`min-h-16 min-w-0 rounded-lg border-2 px-3 py-2 ${isNext ? 'border-now border-b-8' : 'border-line'} ${lesson.state === 'done' ? 'bg-wash' : ''}`}
                        >
                            <span className="block font-bold">{clock.time(lesson.starts_at)}</span>
                            <span className="block truncate">{lesson.learner.name}</span>
                            <span className="text-quiet block text-sm">
                                {lesson.minutes} min{lesson.state === 'done' && ' · done'}
                            </span>
                        </Link>
                    </li>
                );
            })}
        </ol>
    );
}
