import { Fragment } from 'react';
import type { DiaryLesson, Week, WeekDay } from '@/api/types';
import { useClock } from '@/session/session';
import { hoursWords, stateWords } from './rows';

interface Props {
    week: Week;
    today: string;
    chosen: string | undefined;
    onChoose: (lesson: DiaryLesson) => void;
}

/** The days as lists, for a phone and for paper: lessons, and what is driven between them. */
export function DayList({ week, today, chosen, onChoose }: Props) {
    const clock = useClock();
    return (
        <div className="grid gap-6" role="group" aria-label="Week as a list">
            {week.days.map((day) => {
                const noon = new Date(`${day.day}T12:00:00Z`);
                return (
                    <section key={day.day} aria-label={clock.day(noon)} className="break-inside-avoid">
                        <h2
                            className={`border-hair flex flex-wrap items-baseline justify-between gap-2 border-b-2 pb-1 text-lg ${day.day === today ? 'border-l-now border-l-4 pl-2' : ''}`}
                        >
                            <span>{clock.day(noon)}</span>
                            <span className="text-quiet font-sans text-sm font-normal">
                                {[day.taught_minutes > 0 && hoursWords(day.taught_minutes), day.sun?.sunset && `sunset ${clock.time(day.sun.sunset)}`]
                                    .filter(Boolean)
                                    .join(' · ')}
                            </span>
                        </h2>
                        {day.lessons.length === 0 && <p className="text-quiet py-2">Nothing booked.</p>}
                        <ol>
                            {day.lessons.map((lesson) => (
                                <Fragment key={lesson.id}>
                                    <Drive day={day} to={lesson.id} />
                                    <li className="border-hair border-b">
                                        <button
                                            type="button"
                                            aria-pressed={chosen === lesson.id}
                                            className={`flex min-h-14 w-full items-baseline gap-3 py-2 text-left ${chosen === lesson.id ? 'border-now border-l-4 pl-2' : ''}`}
                                            onClick={() => onChoose(lesson)}
                                        >
                                            <span className="w-14 shrink-0 font-bold">{clock.time(lesson.starts_at)}</span>
                                            <span className="min-w-0">
                                                <span className={`block font-semibold ${lesson.state === 'cancelled' ? 'line-through' : ''}`}>
                                                    {lesson.learner.name}
                                                </span>
                                                <span className="text-quiet block text-sm">
                                                    {[`${lesson.lasts_minutes} min`, lesson.pick_up, stateWords(lesson)].filter(Boolean).join(' · ')}
                                                </span>
                                            </span>
                                        </button>
                                    </li>
                                </Fragment>
                            ))}
                        </ol>
                    </section>
                );
            })}
        </div>
    );
}

/** What is driven before a lesson, where that is known: short of time it stands out. */
function Drive({ day, to }: { day: WeekDay; to: string }) {
    const clock = useClock();
    const one = day.between.find(({ before }) => before === to);
    if (!one || (one.travel_minutes === null && one.short_minutes === 0)) return null;
    return (
        <li className={`py-1 pl-[4.25rem] text-sm ${one.short_minutes > 0 ? 'font-semibold' : 'text-quiet'}`}>
            {one.short_minutes > 0
                ? `▸ ${one.short_minutes} min too few${one.travel_minutes === null ? '' : `: the drive takes ${one.travel_minutes}`}`
                : `${one.travel_minutes} min drive${one.leave_at ? `, leave by ${clock.time(one.leave_at)}` : ''}`}
        </li>
    );
}
