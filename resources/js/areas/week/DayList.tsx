import { Fragment } from 'react';
import type { BusyTime, DiaryLesson, Week, WeekDay } from '@/api/types';
import { busyWords, entriesOf } from '@/diary/entries';
import { stateWords } from '@/diary/stateWords';
import { useClock } from '@/session/session';
import { Away } from './Away';
import { hoursWords } from './rows';

interface Props {
    week: Week;
    today: string;
    chosen: string | undefined;
    onChoose: (lesson: DiaryLesson) => void;
    onBusy: (busy: BusyTime) => void;
}

/** The days as lists, for a phone and for paper: lessons, and what is driven between them. Days that are over are folded away on a screen. */
export function DayList({ week, today, ...rest }: Props) {
    const isThisWeek = week.days.some(({ day }) => day === today);
    const earlier = isThisWeek ? week.days.filter(({ day }) => day < today) : [];
    const shown = (day: WeekDay) => <Day key={day.day} day={day} isToday={day.day === today} {...rest} />;
    return (
        <div className="grid gap-6" role="group" aria-label="Week as a list">
            {earlier.length > 0 && (
                <>
                    <details className="screen-only">
                        <summary className="min-h-12 content-center font-semibold">Earlier this week</summary>
                        <div className="grid gap-6 pt-2">{earlier.map(shown)}</div>
                    </details>
                    <div className="hidden gap-6 print:grid">{earlier.map(shown)}</div>
                </>
            )}
            {week.days.filter((day) => !earlier.includes(day)).map(shown)}
        </div>
    );
}

function Day({ day, isToday, chosen, onChoose, onBusy }: { day: WeekDay; isToday: boolean } & Omit<Props, 'week' | 'today'>) {
    const clock = useClock();
    const noon = new Date(`${day.day}T12:00:00Z`);
    const away = day.busy.filter(({ kind }) => kind === 'away');
    const entries = entriesOf(
        day.lessons,
        day.busy.filter(({ kind }) => kind !== 'away'),
    );
    const sums = [day.taught_minutes > 0 && hoursWords(day.taught_minutes), day.sun?.sunset && `sunset ${clock.time(day.sun.sunset)}`];
    return (
        <section aria-label={clock.day(noon)} className="break-inside-avoid">
            <h2
                className={`border-b-hair flex flex-wrap items-baseline justify-between gap-2 border-b-2 pb-1 text-lg ${isToday ? 'border-l-now border-l-4 pl-2' : ''}`}
            >
                <span>{clock.day(noon)}</span>
                <span className="text-quiet font-sans text-sm font-normal">{sums.filter(Boolean).join(' · ')}</span>
            </h2>
            {entries.length === 0 && <p className="text-quiet py-2">Nothing booked.</p>}
            <ol>
                {entries.map(({ id, lesson, busy }) => (
                    <Fragment key={id}>
                        <Drive day={day} to={id} />
                        {lesson ? (
                            <Line lesson={lesson} isChosen={chosen === id} onChoose={onChoose} />
                        ) : (
                            <BusyLine busy={busy} day={day.day} onOpen={busy.may_change ? () => onBusy(busy) : undefined} />
                        )}
                    </Fragment>
                ))}
            </ol>
            {away.map((one) => (
                <p key={one.id} className="text-quiet text-sm">
                    <Away busy={one} day={day.day} onOpen={() => onBusy(one)} />
                </p>
            ))}
        </section>
    );
}

function Line({ lesson, isChosen, onChoose }: { lesson: DiaryLesson; isChosen: boolean; onChoose: (lesson: DiaryLesson) => void }) {
    const clock = useClock();
    return (
        <li className="border-hair border-b">
            <button
                type="button"
                aria-pressed={isChosen}
                className={`flex min-h-14 w-full items-baseline gap-3 py-2 text-left ${isChosen ? 'border-now border-l-4 pl-2' : ''}`}
                onClick={() => onChoose(lesson)}
            >
                <span className="w-14 shrink-0 font-bold">{clock.time(lesson.starts_at)}</span>
                <span className="min-w-0">
                    <span className={`block font-semibold ${lesson.state === 'cancelled' ? 'line-through' : ''}`}>{lesson.learner.name}</span>
                    <span className="text-quiet block text-sm">
                        {[`${lesson.lasts_minutes} min`, lesson.pick_up, stateWords(lesson.state, lesson.ended?.by)].filter(Boolean).join(' · ')}
                    </span>
                </span>
            </button>
        </li>
    );
}

function BusyLine({ busy, day, onOpen }: { busy: BusyTime; day: string; onOpen: (() => void) | undefined }) {
    const clock = useClock();
    const begins = clock.iso(new Date(busy.starts_at)) === day ? clock.time(busy.starts_at) : '';
    const ends = clock.iso(new Date(busy.ends_at)) === day ? `until ${clock.time(busy.ends_at)}` : begins === '' ? 'all day' : null;
    return (
        <li className="border-hair border-b">
            <button type="button" disabled={!onOpen} className="flex min-h-14 w-full items-baseline gap-3 py-2 text-left" onClick={onOpen}>
                <span className="w-14 shrink-0 font-bold">{begins}</span>
                <span className="min-w-0">
                    <span className={`block ${busy.kind === 'test' ? 'font-semibold' : ''}`}>{busyWords(busy)}</span>
                    <span className="text-quiet block text-sm">
                        {[ends, busy.centre?.name, busy.kind === 'test' && busy.title].filter(Boolean).join(' · ')}
                    </span>
                </span>
            </button>
        </li>
    );
}

/** What is driven before a lesson or a test, where that is known: short of time it stands out. */
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
