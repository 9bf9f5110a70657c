import type { DrivesMeasured, Lesson, LessonItem, SiteLine } from '@/api/types';
import type { SeatStop } from '@/seat/rows';
import { degrees, legsOf, type Asking, type Mark } from '@/site/circuit';
import { lies, type Lying } from '@/site/map';

type Placed = LessonItem & { at: Lying; site: string };

/** A drive is what is asked about: what is done there is the plan’s own minutes. */
const AT_ONCE = { brief_s: 0, round_s: 1, again_s: 0, rounds: 1 };

/** What is known beside the lesson itself. */
interface Known {
    sites: readonly SiteLine[] | undefined;
    marks: readonly Mark[];
    measured: DrivesMeasured['measured'] | undefined;
    /** Of the school. */
    zone: string;
}

/** The plan of a lesson as a circuit: where it starts, which of its places lie somewhere, and what the core is asked about the drives between. */
export function onwardOf(lesson: Lesson, { sites, marks, measured, zone }: Known) {
    // Who is picked up nowhere known comes to the school.
    const start = marks.find(({ id }) => id === lesson.learner.id) ?? marks.find(({ kind }) => kind === 'school') ?? null;
    const placed = lesson.items.flatMap((item): Placed[] => {
        const site = sites?.find(({ id }) => id === item.place.site_id);
        return site && lies(site) ? [{ ...item, at: degrees(site), site: site.id }] : [];
    });
    const shared = { pack: lesson.rules.pack, order: 'as-given' as const, time_zone: zone };
    const way = (item: Placed) => ({ id: item.id, name: item.place.name, routine: item.routine, in: item.at });
    const home = start?.kind === 'school' ? null : undefined;
    /** Of some of the places, from where the lesson is to where it ends. */
    const legs = (of: readonly Placed[], from: string | null | undefined) => {
        const found = legsOf(measured ?? [], of, { start: from, end: home });
        return found.length > 0 ? { legs: found } : {};
    };
    /** The whole lesson; null where nobody knows where it starts, or where any of its places lies. */
    const asked: Asking | null =
        start === null || placed.length === 0
            ? null
            : {
                  ...shared,
                  ...legs(placed, home),
                  minutes: Math.max(5, lesson.minutes - lesson.brief_minutes),
                  debrief_s: lesson.debrief_minutes * 60,
                  starts_at: new Date(Date.parse(lesson.starts_at) + lesson.brief_minutes * 60_000).toISOString(),
                  start: degrees(start),
                  ways: placed.map((item) => ({ ...way(item), ...AT_ONCE })),
              };
    /** What still fits into so many minutes from one of its places on; null where nobody knows where that is, or nothing comes after it. */
    const left = (from: string | undefined, minutes: number, now: Date): Asking | null => {
        const turn = lesson.items.findIndex(({ id }) => id === from);
        const isAfter = ({ id }: Placed) => lesson.items.findIndex((item) => item.id === id) > turn;
        const after = placed.filter(isAfter);
        // Where nobody knows where the lesson is, it is where it last was on the map.
        const here = placed.filter((item) => !isAfter(item)).at(-1);
        if (start === null || after.length === 0) return null;
        return {
            ...shared,
            ...legs(after, here ? here.site : home),
            minutes,
            debrief_s: lesson.debrief_minutes * 60,
            starts_at: now.toISOString(),
            start: here ? here.at : degrees(start),
            end: degrees(start),
            ways: after.map(way),
        };
    };
    return { start, asked, left, without: lesson.items.filter(({ id }) => !placed.some((item) => item.id === id)) };
}

/** What stands on the sheet of a place of the plan. */
export const stopOf = ({ id, place, routine, minutes, plan }: LessonItem): SeatStop => ({
    id,
    name: place.name,
    routine,
    about: `${minutes} min`,
    note: place.note,
    plan,
});
