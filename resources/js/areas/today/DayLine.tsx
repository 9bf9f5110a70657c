import { Link } from 'react-router';
import type { Between, LessonLine } from '@/api/types';
import { stateWords } from '@/diary/stateWords';
import { useClock } from '@/session/session';

const isOver = ({ state }: LessonLine): boolean => state !== 'booked';

/** The day as one line: lessons to scale, the gaps between them said, and how much of them is driving. */
export function DayLine({ lessons, between, nextId }: { lessons: LessonLine[]; between: Between[]; nextId?: string }) {
    const clock = useClock();
    const start = (lesson: LessonLine) => new Date(lesson.starts_at).getTime() / 60_000;
    return (
        <ol className="flex flex-col gap-2 lg:flex-row lg:gap-0" aria-label="The day">
            {lessons.map((lesson, i) => {
                const before = lessons[i - 1];
                const gap = before ? Math.round(start(lesson) - start(before) - before.lasts_minutes) : 0;
                const drive = between.find((one) => one.before === lesson.id);
                const isNext = lesson.id === nextId;
                return (
                    <li key={lesson.id} className="contents">
                        {(gap > 0 || (drive?.short_minutes ?? 0) > 0) && <Gap minutes={gap} drive={drive} />}
                        <Link
                            to={`/lessons/${lesson.id}/plan`}
                            style={{ flexGrow: lesson.minutes, flexBasis: '7rem' }}
                            className={`min-h-16 min-w-0 rounded-lg border-2 px-3 py-2 ${isNext ? 'border-now border-b-8' : 'border-line'} ${isOver(lesson) ? 'bg-wash' : ''}`}
                        >
                            <span className="block font-bold">{clock.time(lesson.starts_at)}</span>
                            <span className="block truncate">{lesson.learner.name}</span>
                            <span className="text-quiet block text-sm">
                                {[`${lesson.lasts_minutes} min`, stateWords(lesson.state)].filter(Boolean).join(' · ')}
                            </span>
                        </Link>
                    </li>
                );
            })}
        </ol>
    );
}

/** Between two lessons; where the drive takes longer than there is, that stands out. */
function Gap({ minutes, drive }: { minutes: number; drive: Between | undefined }) {
    const short = drive?.short_minutes ?? 0;
    return (
        <span
            className={`content-center pl-3 text-sm lg:min-w-14 lg:pl-0 lg:text-center ${short > 0 ? 'font-semibold' : 'text-quiet'} ${drive?.travel_minutes || short > 0 ? '' : 'hidden lg:block'}`}
            style={{ flexGrow: Math.max(0, minutes) / 3 }}
        >
            <span className="hidden lg:block">{Math.max(0, minutes)} min</span>
            {short > 0 ? (
                <span className="block">▸ {short} too few</span>
            ) : (
                drive?.travel_minutes != null && drive.travel_minutes > 0 && <span className="block">drive {drive.travel_minutes}</span>
            )}
        </span>
    );
}
