import { describe, expect, it } from 'vitest';
import type { Between, Fit } from '@/api/types';
import { fitWords, lightWords } from './fitWords';
import { stateWords } from './stateWords';

const between = (free: number, travel: number | null): Between => ({
    after: 'a',
    before: 'b',
    free_minutes: free,
    travel_minutes: travel,
    leave_at: null,
    short_minutes: Math.max(0, (travel ?? 0) - free),
});
const fit = (more: Partial<Fit> = {}): Fit => ({ clashes: [], notes: [], before: null, after: null, light_at_start: 'day', light_at_end: 'day', ...more });
const said = (more: Partial<Fit>) => fitWords(fit(more)).map(({ tone, text }) => `${tone}: ${text}`);

describe('what a time means', () => {
    it('is said to be free where nothing is near', () => {
        expect(said({})).toEqual(['plain: Free, with nothing else that day.']);
    });

    it('names who is taken first, then what is too late, then the rest', () => {
        expect(
            said({
                clashes: ['Wanda is taken from 10:00 to 11:00: a lesson with Ada.'],
                before: { ...between(30, 12), name: 'Gus' },
                after: { ...between(5, 9), name: 'Orla' },
                notes: ['It begins before 08:00, when the day does.'],
                light_at_end: 'dusk',
            }),
        ).toEqual([
            'bad: Wanda is taken from 10:00 to 11:00: a lesson with Ada.',
            'tight: It begins before 08:00, when the day does.',
            'tight: 4 minutes too few before Orla: the drive takes 9 minutes.',
            'plain: 12 minutes’ drive from Gus, 18 minutes to spare.',
            'plain: Ends at dusk.',
        ]);
    });

    it.each([
        [between(12, 12), 'plain: 12 minutes’ drive from Gus, none to spare.'],
        [between(13, 12), 'plain: 12 minutes’ drive from Gus, 1 minute to spare.'],
        [between(11, 12), 'tight: 1 minute too few after Gus: the drive takes 12 minutes.'],
        [between(40, null), 'plain: 40 minutes after Gus; how long the drive is, is not known: an address is not on the map.'],
    ])('tells the drive from the lesson before', (before, words) => {
        expect(said({ before: { ...before, name: 'Gus' } })).toEqual([words]);
    });

    it('leaves an overlap to the clash that names it', () => {
        expect(said({ clashes: ['No.'], after: { ...between(-20, 5), name: 'Orla' } })).toEqual(['bad: No.']);
    });

    it.each([
        ['day', 'day', null],
        ['day', 'dusk', 'ends at dusk'],
        ['day', 'night', 'ends in the dark'],
        ['dusk', 'dusk', 'at dusk'],
        ['dusk', 'night', 'ends in the dark'],
        ['night', 'night', 'in the dark'],
        ['dusk', 'day', 'begins before it is light'],
        ['night', 'day', 'begins before it is light'],
        ['night', 'dusk', 'begins in the dark'],
        [null, null, null],
    ] as const)('knows the light from %s to %s', (light_at_start, light_at_end, words) => {
        expect(lightWords({ light_at_start, light_at_end })).toBe(words);
    });
});

describe('what has become of a lesson', () => {
    it('is not said of one that is simply booked', () => {
        expect(stateWords('booked')).toBeNull();
    });
    it('says of a cancelled one whose doing it was, where that is known', () => {
        expect([stateWords('cancelled', 'learner'), stateWords('cancelled', null), stateWords('no-show')]).toEqual([
            'cancelled by the learner',
            'cancelled',
            'did not come',
        ]);
    });
});
