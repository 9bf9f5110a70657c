/** Times of the clock on the wall, as days and addresses have them: `2026-05-20T10:30`. */

export const A_WEEK = 7;

const HOUR = 60;

/** A lesson is put on quarters of an hour by hand and by keys. */
export const STEP = 15;

/** Whether a beginning and a length are such as a lesson can have. */
export const isTime = ({ at, minutes }: { at: string; minutes: number }): boolean => at !== '' && minutes >= 15 && minutes <= 480;

/** Minutes from midnight. */
export const minuteOf = (at: string): number => Number(at.slice(11, 13)) * HOUR + Number(at.slice(14, 16));

/** The last of them on which a lesson can be put, and the first. */
export const onDay = (minute: number): number => Math.max(0, Math.min(24 * HOUR - STEP, minute));

/** A time of the clock, moved by so many minutes and days: `2026-05-20T10:30`. It stays on its day. */
export function moved(at: string, minutes: number, days = 0): string {
    const day = new Date(`${at.slice(0, 10)}T12:00:00Z`);
    day.setUTCDate(day.getUTCDate() + days);
    return clockOn(day.toISOString().slice(0, 10), onDay(minuteOf(at) + minutes));
}

/** `2026-05-20T10:30` of a day and minutes from its midnight. */
export function clockOn(day: string, minute: number): string {
    return `${day}T${String(Math.floor(minute / HOUR)).padStart(2, '0')}:${String(minute % HOUR).padStart(2, '0')}`;
}

/** The Monday of a day's week, `2026-05-18`. */
export function mondayOf(day: string): string {
    const weekday = new Date(`${day}T12:00:00Z`).getUTCDay();
    return moved(`${day}T12:00`, 0, -((weekday + 6) % A_WEEK)).slice(0, 10);
}
