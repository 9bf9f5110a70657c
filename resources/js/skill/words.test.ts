import { describe, expect, it } from 'vitest';
import { COUNTED_WORDS, inside, OUTCOME_WORDS } from '@/strip/words';
import { exactly, inTen, isUncertain, times, timesSurely } from './words';

describe('a chance as somebody says it', () => {
    it.each([
        [0, 'hardly ever'],
        [0.04, 'hardly ever'],
        [0.1, 'about once in 10'],
        [0.44, 'about 4 times in 10'],
        [0.5, 'about half the time'],
        [0.86, 'about 9 times in 10'],
        [0.95, 'nearly every time'],
        [1, 'nearly every time'],
    ])('%s is %s', (chance, words) => expect(times(chance)).toBe(words));

    it('never says more of a chance than of a greater one', () => {
        const order = ['hardly ever', 'about once in 10', ...[2, 3, 4].map((n) => `about ${n} times in 10`), 'about half the time'];
        const all = [...order, ...[6, 7, 8, 9].map((n) => `about ${n} times in 10`), 'nearly every time'];
        for (let chance = 0; chance < 1; chance += 0.01) expect(all.indexOf(times(chance + 0.01))).toBeGreaterThanOrEqual(all.indexOf(times(chance)));
    });

    it('says where it is not certain yet, and keeps the exact figures for who asks', () => {
        const wide = { estimate: 0.44, low: 0.2, high: 0.69 };
        expect(isUncertain(wide)).toBe(true);
        expect(timesSurely(wide)).toBe('about 4 times in 10, not certain yet');
        expect(timesSurely({ estimate: 0.9, low: 0.84, high: 0.95 })).toBe('about 9 times in 10');
        expect(exactly(wide)).toBe('44 %, between 20 % and 69 %');
        expect(inTen(0.44)).toBe('4 in 10');
    });
});

describe('words inside a sentence', () => {
    it('are small, but for who says them', () => {
        expect(inside('Had to answer it')).toBe('had to answer it');
        expect(inside('I stepped in')).toBe('I stepped in');
    });

    it('go with a number', () => {
        expect(`2 ${COUNTED_WORDS.intervened}`).toBe('2 with my hand or foot');
        for (const outcome of ['unaided', 'reminded', 'prompted', 'missed'] as const) expect(COUNTED_WORDS[outcome]).toBe(OUTCOME_WORDS[outcome]);
    });
});
