import { describe, expect, it } from 'vitest';
import type { Rules } from '@/api/types';
import { answer } from '@/testing/answers';
import { told } from './told';

const { rules } = answer('session');
const overseas: Rules = { ...rules, keeps: 'right', length_unit: 'ft', words: { 'slip road': 'ramp' } };
const road = { slip_length_m: 210 };

describe('what a fast road asks, as it is told', () => {
    it('joining: the core’s own sentence, the speed at the end, and how much is short of the traffic', () => {
        const join = answer('tool-join');
        const said = told({ ...join, speed_short_mps: 0 }, road, rules);
        expect(said.says).toBe(join.message);
        expect(said.number).toEqual({ value: `${Math.round(join.speed_at_end_mps / 0.44704)} mph`, of: 'at the end of the slip road' });
        expect(said.behind).toMatch(new RegExp(`^In gear ${join.gear}\\. The \\d+ m that count need`));
        expect(told({ ...join, speed_short_mps: 1.7 }, road, rules).behind).toContain(`In gear ${join.gear}, 4 mph below the traffic. `);
        expect(told(join, road, overseas).number!.of).toBe('at the end of the ramp');
    });

    it('leaving: where the signal belongs, before the slip road, in the unit of the rules', () => {
        const leave = answer('tool-leave');
        const signal = leave.events.find((event) => event.kind === 'signal')!.at_m;
        expect(told(leave, road, rules).number!.value).toBe(`${Math.round(signal)} m`);
        expect(told(leave, road, overseas).number).toEqual({ value: `${Math.round(signal / 0.3048)} ft`, of: 'before the ramp: signal' });
        expect(told(leave, road, rules).behind).toContain(leave.message);
        expect(told({ ...leave, bend_speed_mps: null }, road, rules).says).toMatch(/No brake on the main road\.$/);
        expect(told({ ...leave, bend_speed_mps: 13.4 }, road, rules).says).toMatch(/30 mph before the bend\.$/);
    });

    it('overtaking: how much clear road, or no number where none would do', () => {
        const over = answer('tool-overtake');
        expect(told(over, {}, rules).number).toEqual({ value: `${Math.round(over.sight_needed_m!)} m`, of: 'of clear road' });
        expect(told({ ...over, sight_needed_m: null, point_of_no_return_s: null }, {}, rules)).toMatchObject({ number: null, says: over.message });
        expect(told({ ...over, sight_needed_m: null, point_of_no_return_s: null }, {}, rules).behind).not.toContain('No way back');
    });

    it('changing lane: how long the looks take before the move', () => {
        const change = answer('tool-lane-change');
        const move = change.checks.find((check) => check.at === 'move')!.time_s;
        expect(told(change, {}, rules).number!.value).toBe(`${move.toFixed(0)} s`);
        expect(told(change, {}, rules).picture).toBeNull();
    });
});
