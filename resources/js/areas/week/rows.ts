import type { BusyTime, DiaryLesson, Week, WeekDay } from '@/api/types';
import { wallClock } from '@/diary/wallClock';
import { minuteOf } from '@/diary/week';

/** Where things stand on a day's line: minutes of the clock on the wall, from midnight. */
export interface Placed {
    lesson: DiaryLesson;
    from: number;
    until: number;
    /** Which of the lines on top of each other it is on; 0 but for what lies on top of something else. */
    lane: number;
}

/** Lessons are at least shown between these hours. */
const SHOWN = [8, 18] as const;

const HOUR = 60;

/** What takes nobody's time. */
export const isOff = ({ state }: Pick<DiaryLesson, 'state'>): boolean => state === 'cancelled' || state === 'wished';

/** Where a moment stands on the line of a day; what is before or after that day, at its ends. */
export function minuteOn(day: string, moment: string, zone: string): number {
    const shown = wallClock(new Date(moment), zone);
    return shown.slice(0, 10) < day ? 0 : shown.slice(0, 10) > day ? 24 * HOUR : minuteOf(shown);
}

/** What else keeps somebody on a day, where it stands; a car that is away is no place on anybody's line. */
export function busyOn(day: Pick<WeekDay, 'day' | 'busy'>, zone: string): { busy: BusyTime; from: number; until: number }[] {
    return day.busy
        .filter(({ kind }) => kind !== 'away')
        .map((busy) => ({ busy, from: minuteOn(day.day, busy.starts_at, zone), until: minuteOn(day.day, busy.ends_at, zone) }))
        .filter(({ from, until }) => until > from);
}

/** The lessons of a day where they stand, those that overlap one under the other, and all under what else keeps somebody. */
export function placed(day: Pick<WeekDay, 'day' | 'lessons' | 'busy'>, zone: string): Placed[] {
    const lanes: { from: number; until: number }[][] = [busyOn(day, zone)];
    // What takes time comes first: a wish or a cancelled lesson gives way to it.
    return [...day.lessons]
        .sort((a, b) => Number(isOff(a)) - Number(isOff(b)) || a.starts_at.localeCompare(b.starts_at))
        .map((lesson) => {
            const from = minuteOn(day.day, lesson.starts_at, zone);
            // What goes on after midnight ends with the line.
            const until = Math.min(24 * HOUR, from + lesson.lasts_minutes);
            const free = lanes.findIndex((taken) => taken.every((one) => one.until <= from || until <= one.from));
            const lane = free === -1 ? lanes.length : free;
            lanes[lane] = [...(lanes[lane] ?? []), { from, until }];
            return { lesson, from, until, lane };
        });
}

/** The hours a week is shown between, so that nothing of it is outside, nor what is proposed. */
export function hoursOf(days: WeekDay[], zone: string, proposed?: Pick<Placed, 'from' | 'until'> | null): [number, number] {
    // Leave that goes on over midnight does not make the line as long as the day: an hour of it is enough to be seen.
    const busy = days
        .flatMap((day) => busyOn(day, zone))
        .filter(({ from, until }) => from > 0 || until < 24 * HOUR)
        .map(({ from, until }) => ({ from: from === 0 ? until - HOUR : from, until: until === 24 * HOUR ? from + HOUR : until }));
    const all = [...days.flatMap((day) => placed(day, zone)), ...busy, ...(proposed ? [proposed] : [])];
    return [
        Math.floor(Math.min(SHOWN[0] * HOUR, ...all.map(({ from }) => from)) / HOUR),
        Math.ceil(Math.max(SHOWN[1] * HOUR, ...all.map(({ until }) => until)) / HOUR),
    ];
}

/** So many minutes in hours, as one says it. */
export function hoursWords(minutes: number): string {
    const [hours, rest] = [Math.floor(minutes / HOUR), minutes % HOUR];
    return hours === 0 ? `${rest} min` : rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}

/** What stands over a week: how much of it is lessons, how much is driven between. */
export function sumOf({ days }: Week): string {
    const held = days.flatMap(({ lessons }) => lessons.filter((lesson) => !isOff(lesson) && lesson.state !== 'no-show')).length;
    const sum = (of: 'taught_minutes' | 'travel_minutes') => days.reduce((minutes, day) => minutes + day[of], 0);
    if (held === 0) return 'No lessons.';
    return `${held === 1 ? '1 lesson' : `${held} lessons`}, ${hoursWords(sum('taught_minutes'))}; ${hoursWords(sum('travel_minutes'))} driving between`;
}

/** A name that fits an hour of the line: the first, and how the last begins. */
export function shortName(name: string): string {
    const [first, ...rest] = name.split(' ');
    return rest.length === 0 ? name : `${first} ${rest.at(-1)![0]}.`;
}
