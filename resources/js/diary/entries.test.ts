import { describe, expect, it } from 'vitest';
import { answer } from '@/testing/answers';
import { busyWords, entriesOf } from './entries';

const lessons = answer('demo-week').days.flatMap((day) => day.lessons);
const who = { id: 'x', name: 'Ada' };
const busy = {
    ...{ id: 'b', kind: 'test' as const, title: null, instructor: who, learner: who, vehicle: { id: 'v', name: 'The blue one' }, centre: null },
    ...{ starts_at: '2026-05-19T00:00:00Z', ends_at: '2026-05-19T01:00:00Z', may_change: true },
};

describe('what is on a day', () => {
    it('stands in the order of time, lessons and all else, none left out', () => {
        const all = entriesOf(lessons, [busy, { ...busy, id: 'c', starts_at: '2030-01-01T00:00:00Z', ends_at: '2030-01-01T00:30:00Z' }]);
        expect(all).toHaveLength(lessons.length + 2);
        expect(all.at(-1)).toMatchObject({ id: 'c', lesson: null });
        for (const [i, one] of all.entries()) {
            expect(one.from).toBeGreaterThanOrEqual(all[i - 1]?.from ?? 0);
            expect(one.until).toBeGreaterThan(one.from);
        }
    });

    it.each([
        [busy, 'Test: Ada'],
        [{ ...busy, learner: null }, 'A test'],
        [{ ...busy, kind: 'busy' as const, title: 'Dentist' }, 'Dentist'],
        [{ ...busy, kind: 'busy' as const }, 'Busy'],
        [{ ...busy, kind: 'away' as const }, 'The blue one away'],
        [{ ...busy, kind: 'away' as const, title: 'service' }, 'The blue one away: service'],
    ])('is said in a word or two', (one, words) => expect(busyWords(one)).toBe(words));
});
