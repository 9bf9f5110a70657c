import type { BusyTime, DiaryLesson, Week, WeekDay } from '@/api/types';
import { useClock, useSession } from '@/session/session';
import { Away } from './Away';
import { Block } from './Block';
import { BusyBlock } from './BusyBlock';
import { wallClock } from '@/diary/wallClock';
import { clockOn, minuteOf, moved, onDay, STEP } from '@/diary/week';
import { busyOn, hoursOf, hoursWords, isOff, minuteOn, placed } from './rows';
import type { Diary, Proposed } from './useDiary';

/** A line of lessons is so high, rem. */
const LANE = 4.25;

interface Props {
    week: Week;
    diary: Diary;
    today: string;
    mayWrite: (lesson: DiaryLesson) => boolean;
    onBook: (at: string) => void;
    /** To change what is held: as it is, or from another time of the clock on. */
    onBusy: (busy: BusyTime, at?: string) => void;
}

/** The week as lines: a day each, hours from left to right, the drives dotted between, the dark shaded. */
export function TimeLine({ week, diary, today, ...rest }: Props) {
    const { school } = useSession();
    const [first, last] = hoursOf(week.days, school.time_zone, placeOf(diary.proposed));
    const hours = Array.from({ length: last - first + 1 }, (_, i) => first + i);
    const across = (minute: number): string => `${(100 * (minute - first * 60)) / ((last - first) * 60)}%`;
    return (
        <div className="grid gap-0" role="group" aria-label="Week as a time line">
            <div className="ml-24 h-7" aria-hidden="true">
                <div className="relative h-full">
                    {hours.map((hour) => (
                        <span key={hour} className="text-quiet absolute -translate-x-1/2 text-sm" style={{ left: across(hour * 60) }}>
                            {String(hour).padStart(2, '0')}
                        </span>
                    ))}
                </div>
            </div>
            {week.days.map((day) => (
                <Row key={day.day} {...{ day, diary, hours, across }} {...rest} first={first} last={last} isToday={day.day === today} />
            ))}
        </div>
    );
}

interface RowProps extends Omit<Props, 'week' | 'today'> {
    day: WeekDay;
    hours: number[];
    first: number;
    last: number;
    across: (minute: number) => string;
    isToday: boolean;
}

function Row({ day, diary, mayWrite, onBook, onBusy, hours, first, last, across, isToday }: RowProps) {
    const { school } = useSession();
    const clock = useClock();
    const zone = school.time_zone;
    const all = placed(day, zone);
    const busy = busyOn(day, zone);
    const away = day.busy.filter(({ kind }) => kind === 'away');
    const spots = new Map([...all.map(({ lesson, ...spot }) => [lesson.id, spot] as const), ...busy.map(({ busy: one, ...spot }) => [one.id, spot] as const)]);
    const shortOf = (id: string): number => day.between.find(({ before }) => before === id)?.short_minutes ?? 0;
    const noon = new Date(`${day.day}T12:00:00Z`);
    const lanes = Math.max(1, ...all.map(({ lane }) => lane + 1));
    const proposed = diary.proposed?.at?.startsWith(day.day) ? placeOf(diary.proposed) : null;
    // What begins before the line, or ends after it, is shown as far as the line goes.
    const between = (from: number, until: number) => {
        const [left, right] = [Math.max(from, first * 60), Math.min(until, last * 60)];
        return { left: across(left), width: `calc(${across(right)} - ${across(left)})` };
    };
    const minuteAt = (event: React.MouseEvent<HTMLElement>): number => {
        const box = event.currentTarget.getBoundingClientRect();
        return Math.round((first * 60 + ((event.clientX - box.left) / box.width) * (last - first) * 60) / STEP) * STEP;
    };
    const minutesPerPixel = (width: number) => ((last - first) * 60) / width;
    const beginning = (one: BusyTime): string => wallClock(new Date(one.starts_at), zone);
    // What goes on over midnight is taken by its beginning.
    const isMovable = (one: BusyTime): boolean => one.may_change && beginning(one).startsWith(day.day);
    return (
        <section aria-label={clock.day(noon)} className={`border-hair grid grid-cols-[6rem_minmax(0,1fr)] border-t ${isToday ? 'bg-wash/60' : ''}`}>
            <div className="py-2 pl-1">
                <h2 className={`font-sans text-base ${isToday ? 'border-now border-l-4 pl-2' : 'pl-3'}`}>
                    {noon.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', timeZone: 'UTC' })}
                </h2>
                {day.taught_minutes > 0 && <p className="text-quiet pl-3 text-sm leading-tight">{hoursWords(day.taught_minutes)}</p>}
                {day.sun?.sunset && <p className="text-quiet pl-3 text-xs">sunset {clock.time(day.sun.sunset)}</p>}
            </div>
            {/* A free place is pressed to book there; by keys the key above does the same. */}
            <div
                data-day={day.day}
                className="relative my-1"
                style={{ height: `${lanes * LANE}rem` }}
                onClick={(event) => event.target === event.currentTarget && onBook(clockOn(day.day, Math.min(minuteAt(event), 23 * 60)))}
            >
                {day.sun && <Dark sun={day.sun} day={day.day} {...{ across, first, last, zone }} />}
                {hours.map((hour) => (
                    <span key={hour} className="border-hair pointer-events-none absolute inset-y-0 border-l" style={{ left: across(hour * 60) }} />
                ))}
                {day.between
                    .filter(({ free_minutes: free }) => free > 0)
                    .map((one) => {
                        const [before, next] = [spots.get(one.after), spots.get(one.before)];
                        return (
                            before &&
                            next && (
                                <span
                                    key={one.after}
                                    className="border-line pointer-events-none absolute border-t-4 border-dotted"
                                    style={{ left: across(before.until), width: `calc(${across(next.from)} - ${across(before.until)})`, top: `${LANE / 2}rem` }}
                                />
                            )
                        );
                    })}
                {busy.map(({ busy: one, from, until }) => (
                    <BusyBlock
                        key={one.id}
                        busy={one}
                        short={shortOf(one.id)}
                        style={{ ...between(from, until), top: '0.125rem', height: `${LANE - 0.25}rem` }}
                        onOpen={one.may_change ? () => onBusy(one) : undefined}
                        onKey={isMovable(one) ? (minutes, days) => onBusy(one, moved(beginning(one), minutes, days)) : undefined}
                        onDrop={isMovable(one) ? (to, minute) => onBusy(one, clockOn(to, onDay(minute))) : undefined}
                        {...{ minutesPerPixel, from }}
                    />
                ))}
                {all.map(({ lesson, from, until, lane }) => (
                    <Block
                        key={lesson.id}
                        lesson={lesson}
                        short={shortOf(lesson.id)}
                        style={{ ...between(from, until), top: `${lane * LANE + 0.125}rem`, height: `${LANE - 0.25}rem` }}
                        isChosen={diary.proposed?.lesson.id === lesson.id}
                        isAway={diary.proposed?.lesson.id === lesson.id && diary.proposed.at !== null}
                        onChoose={() => diary.choose(lesson)}
                        onKey={mayWrite(lesson) && !isOff(lesson) ? (minutes, days) => diary.propose(lesson, (at) => moved(at, minutes, days)) : undefined}
                        onSettle={() => diary.proposed?.at && void diary.move(lesson, diary.proposed.at)}
                        onLeave={() => diary.choose(diary.proposed?.at ? lesson : null)}
                        onDrop={mayWrite(lesson) && !isOff(lesson) ? (to, minute) => diary.propose(lesson, () => clockOn(to, onDay(minute))) : undefined}
                        {...{ minutesPerPixel, from }}
                    />
                ))}
                {proposed && (
                    <div
                        className="border-now bg-raised/80 pointer-events-none absolute z-10 rounded-lg border-4 border-dashed px-2"
                        style={{ ...between(proposed.from, proposed.until), top: '0.125rem', height: `${LANE - 0.25}rem` }}
                    >
                        <span className="block truncate font-bold">{proposed.at.slice(11)}</span>
                        <span className="block truncate text-sm">{proposed.lesson.learner.name}</span>
                    </div>
                )}
            </div>
            {away.length > 0 && (
                <p className="text-quiet col-start-2 flex flex-wrap gap-x-4 text-sm">
                    {away.map((one) => (
                        <Away key={one.id} busy={one} day={day.day} onOpen={() => onBusy(one)} />
                    ))}
                </p>
            )}
        </section>
    );
}

/** Where a lesson would stand that is proposed elsewhere. */
function placeOf(proposed: Proposed | null) {
    if (!proposed?.at) return null;
    const from = minuteOf(proposed.at);
    return { at: proposed.at, lesson: proposed.lesson, from, until: Math.min(24 * 60, from + proposed.lesson.lasts_minutes) };
}

interface DarkProps {
    sun: NonNullable<WeekDay['sun']>;
    day: string;
    across: (minute: number) => string;
    first: number;
    last: number;
    zone: string;
}

/** Before sunrise and after sunset; between sunset and the last light it is dusk. */
function Dark({ sun, day, across, first, last, zone }: DarkProps) {
    const at = (moment: string | null) => (moment === null ? null : minuteOn(day, moment, zone));
    const [rise, set, over] = [at(sun.sunrise), at(sun.sunset), at(sun.last_light)];
    const shade = (key: string, from: number, until: number, strong: boolean) => {
        const [left, right] = [Math.max(from, first * 60), Math.min(until, last * 60)];
        return (
            right > left && (
                <span
                    key={key}
                    className={`pointer-events-none absolute inset-y-0 ${strong ? 'bg-wash' : 'bg-wash/60'}`}
                    style={{ left: across(left), width: `calc(${across(right)} - ${across(left)})` }}
                />
            )
        );
    };
    return (
        <>
            {rise !== null && shade('morning', 0, rise, true)}
            {set !== null && shade('dusk', set, over ?? 24 * 60, false)}
            {over !== null && shade('night', over, 24 * 60, true)}
        </>
    );
}
