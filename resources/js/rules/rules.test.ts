import { describe, expect, it } from 'vitest';
import type { RoadFacts, RoutineLine, Rules } from '@/api/types';
import { placeAddress } from '@/bench/places';
import { answer } from '@/testing/answers';
import { sideAt } from './rules';

/** As the application answers a school in Great Britain; and what is otherwise where traffic keeps right. */
const { rules } = answer('session');
const line = (code: string): RoutineLine => rules.routines.find((routine) => routine.code === code)!;

describe('facts that come with a routine', () => {
    it.each<[string, RoadFacts | undefined, string]>([
        ['emerge-left', undefined, 'left'],
        ['turn-right', undefined, 'right'],
        // Not in their names: what is passed, who is met, which way out.
        ['pass-parked', undefined, 'right'],
        ['meet', undefined, 'left'],
        ['roundabout', { exit: 'left' }, 'left'],
        ['roundabout', { exit: 'back' }, 'right'],
        ['roundabout', {}, 'left'],
        ['cross', undefined, 'left'],
    ])('%s at %o goes to the %s', (code, road, side) => expect(sideAt(line(code), road, rules)).toBe(side));

    it('falls back on the side traffic keeps for what is taught under other rules only', () => {
        expect(sideAt(undefined, undefined, { ...rules, keeps: 'right' } satisfies Rules)).toBe('right');
    });

    it('names for each routine only what a place can be asked', () => {
        for (const { asks, has_approach } of rules.routines) if (!has_approach) expect(asks).toEqual([]);
        expect(line('roundabout').asks).toEqual(['exit', 'view_beyond_m']);
        expect(line('emerge-right').asks).toEqual(['control', 'road_met', 'sight_left_m', 'sight_right_m', 'view_beyond_m']);
        // Straight on at lights nobody turns: no radius is asked for.
        expect(line('lights-ahead').asks).toEqual(['light', 'cycle_box_m']);
    });

    it('opens the lane-change page on the side the routine is about', () => {
        expect(placeAddress('lane-change', {}, 'lane-change-left', rules)).toContain('to=left');
        expect(placeAddress('lane-change', {}, 'lane-change-right', rules)).toContain('to=right');
    });
});
