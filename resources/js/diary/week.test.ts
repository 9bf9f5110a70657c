import { describe, expect, it } from 'vitest';
import { clockOn, mondayOf, moved } from './week';

describe('times of the clock', () => {
    it('move by a quarter of an hour or a day, over the end of a month and of a year, and stay on their day', () => {
        expect(moved('2026-11-30T10:00', 15)).toBe('2026-11-30T10:15');
        expect(moved('2026-11-30T10:00', 0, 1)).toBe('2026-12-01T10:00');
        expect(moved('2026-01-01T10:00', -15, -1)).toBe('2025-12-31T09:45');
        expect(moved('2026-03-29T00:10', -15)).toBe('2026-03-29T00:00');
        expect(moved('2026-03-29T23:40', 30)).toBe('2026-03-29T23:45');
        expect(clockOn('2026-03-29', 65)).toBe('2026-03-29T01:05');
    });

    it('begin on the Monday, also of a Sunday and over the end of a year', () => {
        expect(['2026-11-30', '2026-12-06', '2027-01-03', '2027-03-01'].map(mondayOf)).toEqual(['2026-11-30', '2026-11-30', '2026-12-28', '2027-03-01']);
    });
});
