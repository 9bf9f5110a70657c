import type { LearnerReady } from '@/api/types';

const hundred = (chance: number): number => Math.round(100 * chance);

/** "Of a hundred such learners about 31 would pass today (12 to 55)." */
export function inHundred({ estimate, low, high }: NonNullable<LearnerReady['chance']>): string {
    const many = { 0: 'hardly one', 100: 'nearly all' }[hundred(estimate)] ?? `about ${hundred(estimate)}`;
    const range = hundred(low) === hundred(high) ? '' : ` (${hundred(low)} to ${hundred(high)})`;
    return `Of a hundred such learners ${many} would pass today${range}.`;
}

/** So near a day is a day; farther off it is a month: nobody knows better. */
const NEAR_MS = 60 * 86_400_000;

/** A day to come as far as one can say: "Wednesday 2 December", "October 2027". */
export function aboutWhen(iso: string, now: Date, day: (moment: string) => string): string {
    const moment = `${iso}T12:00:00Z`;
    return Date.parse(moment) - now.getTime() < NEAR_MS
        ? day(moment)
        : new Date(moment).toLocaleDateString('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' });
}

/** By which day, as far as one can say. */
export function lessonWords(
    { lessons, date, most_lessons: most }: Pick<LearnerReady, 'lessons' | 'date' | 'most_lessons'>,
    day: (iso: string) => string,
): string {
    if (!lessons || !date || lessons.low >= most) return 'By when nobody can say yet.';
    if (lessons.high === 0) return 'Nothing more is needed for it.';
    if (lessons.middle >= most) return `Not before ${day(date.low)}.`;
    const until = lessons.high >= most ? 'or much later' : `to ${day(date.high)}`;
    return `Most likely by ${day(date.middle)} (${day(date.low)} ${until}).`;
}

const hours = (minutes: number): string => `${Math.round(minutes / 6) / 10} h`;

/** What is reckoned with, and whether anybody knows it. */
export function weekWords({ lesson_minutes_a_week, practice_minutes_a_week, week_is_known }: LearnerReady): string {
    const practice = practice_minutes_a_week > 0 ? ` and ${hours(practice_minutes_a_week)} of practice` : '';
    return `Reckoned with ${hours(lesson_minutes_a_week)} of lessons a week${practice}, ${week_is_known ? 'as the last weeks were' : 'which nobody has said'}.`;
}
