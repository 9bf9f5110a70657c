import { describe, expect, it } from 'vitest';
import { answer } from '@/testing/answers';
import { busyOn, hoursOf, hoursWords, minuteOn, placed, shortName, sumOf } from './rows';

const week = answer('demo-week');
const ZONE = 'Europe/London';
const [some] = week.days.flatMap(({ lessons }) => lessons);
const lesson = (starts_at: string, lasts_minutes = 60, state: 'booked' | 'cancelled' = 'booked') => ({
    ...some!,
    id: starts_at + state,
    starts_at,
    lasts_minutes,
    state,
});

describe('the lines of a week', () => {
    it('place lessons by the clock on the wall, in summer and in winter', () => {
        expect(minuteOn('2026-05-20', '2026-05-20T08:00:00Z', ZONE)).toBe(9 * 60);
        expect(minuteOn('2026-12-20', '2026-12-20T08:30:00Z', ZONE)).toBe(8 * 60 + 30);
        expect(minuteOn('2026-05-21', '2026-05-20T23:15:00Z', ZONE)).toBe(15);
    });

    it('end with their day: a last light after midnight is its end, not its beginning', () => {
        expect(minuteOn('2026-06-20', '2026-06-20T23:10:00Z', ZONE)).toBe(24 * 60);
        expect(minuteOn('2026-06-20', '2026-06-19T22:50:00Z', ZONE)).toBe(0);
    });

    it('put what overlaps one under the other, and what takes no time under what does', () => {
        const lines = placed(
            {
                day: '2026-12-01',
                busy: [],
                lessons: [
                    lesson('2026-12-01T10:00:00Z', 60, 'cancelled'),
                    lesson('2026-12-01T10:15:00Z'),
                    lesson('2026-12-01T11:15:00Z'),
                    lesson('2026-12-01T11:00:00Z', 30, 'cancelled'),
                ],
            },
            ZONE,
        );
        expect(lines.map(({ lesson: one, lane }) => [one.starts_at.slice(11, 16), one.state, lane])).toEqual([
            ['10:15', 'booked', 0],
            ['11:15', 'booked', 0],
            ['10:00', 'cancelled', 1],
            ['11:00', 'cancelled', 1],
        ]);
    });

    it('never lay two on each other on one line, whatever the lessons', () => {
        for (const day of week.days) {
            const lines = placed(day, ZONE);
            for (const a of lines) {
                for (const b of lines) if (a !== b && a.lane === b.lane) expect(a.until <= b.from || b.until <= a.from).toBe(true);
            }
            expect(lines).toHaveLength(day.lessons.length);
        }
    });

    it('are as long as the working day, and longer where a lesson is outside it', () => {
        const days = (starts: string, lasts: number) => [{ ...week.days[0]!, day: '2026-12-01', lessons: [lesson(starts, lasts)] }];
        expect(hoursOf(days('2026-12-01T10:00:00Z', 60), ZONE)).toEqual([8, 18]);
        expect(hoursOf(days('2026-12-01T06:50:00Z', 60), ZONE)).toEqual([6, 18]);
        expect(hoursOf(days('2026-12-01T18:15:00Z', 90), ZONE)).toEqual([8, 20]);
        expect(hoursOf([], ZONE)).toEqual([8, 18]);
        // Neither is what is proposed outside of it.
        expect(hoursOf([], ZONE, { from: 7 * 60 + 45, until: 8 * 60 + 45 })).toEqual([7, 18]);
        expect(hoursOf([], ZONE, { from: 17 * 60 + 15, until: 18 * 60 + 15 })).toEqual([8, 19]);
    });

    it('put a lesson under what else keeps somebody, and end leave with the day', () => {
        const leave = (starts_at: string, ends_at: string) => ({
            ...{ id: starts_at, kind: 'busy' as const, title: null, instructor: null, learner: null, vehicle: null, centre: null, may_change: true },
            ...{ starts_at, ends_at },
        });
        const day = {
            day: '2026-12-01',
            busy: [
                leave('2026-11-30T18:00:00Z', '2026-12-01T10:30:00Z'),
                leave('2026-12-01T21:00:00Z', '2026-12-03T00:00:00Z'),
                { ...leave('2026-12-01T12:00:00Z', '2026-12-01T13:00:00Z'), kind: 'away' as const },
            ],
            lessons: [lesson('2026-12-01T10:00:00Z', 60, 'cancelled'), lesson('2026-12-01T12:00:00Z'), lesson('2026-12-01T10:30:00Z')],
        };
        expect(placed(day, ZONE).map(({ from, lane }) => [from / 60, lane])).toEqual([
            [10.5, 0],
            [12, 0],
            [10, 1],
        ]);
        expect(busyOn(day, ZONE).map(({ from, until }) => [from / 60, until / 60])).toEqual([
            [0, 10.5],
            [21, 24],
        ]);
        // An hour of the leave in the evening is seen; a whole day of it makes the line no longer.
        expect(hoursOf([{ ...week.days[0]!, ...day }], ZONE)).toEqual([8, 22]);
        const whole = [leave('2026-11-30T18:00:00Z', '2026-12-03T00:00:00Z')];
        expect(hoursOf([{ ...week.days[0]!, ...day, busy: whole, lessons: [] }], ZONE)).toEqual([8, 18]);
    });

    it('end a lesson that goes on after midnight with the day', () => {
        const [late] = placed({ day: '2026-12-01', busy: [], lessons: [lesson('2026-12-01T23:30:00Z')] }, ZONE);
        expect([late!.from, late!.until]).toEqual([23 * 60 + 30, 24 * 60]);
    });

    it('say what they hold, without what was cancelled or only wished', () => {
        const held = week.days.flatMap(({ lessons }) => lessons).filter(({ state }) => state !== 'cancelled' && state !== 'wished');
        const minutes = held.reduce((sum, one) => sum + one.lasts_minutes, 0);
        expect(sumOf(week)).toMatch(new RegExp(`^${held.length} lessons, ${hoursWords(minutes)}; .* driving between$`));
        expect(sumOf({ ...week, days: week.days.map((day) => ({ ...day, lessons: [] })) })).toBe('No lessons.');
        expect([hoursWords(45), hoursWords(60), hoursWords(150)]).toEqual(['45 min', '1 h', '2 h 30']);
    });

    it('shorten a name to what an hour has room for', () => {
        expect([shortName('Wilhelmina Ashcombe-Featherstonehaugh'), shortName('Ada')]).toEqual(['Wilhelmina A.', 'Ada']);
    });
});
