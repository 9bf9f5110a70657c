import { execFileSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import type { CircuitAnswer, SeriesAnswer } from '@/api/types';
import { answer } from '@/testing/answers';
import { STEP_WORDS } from '@/strip/words';
import { followingOf, rowsAsked, toldInRows, type Following } from './inARow';
import { whereToSay, type SeatStop } from './rows';

/** Ways close behind one another are planned as a row, each with the facts of its own place: asked of the real core. */

const compute = (input: object) =>
    JSON.parse(execFileSync('php', ['artisan', 'compute', 'series'], { input: JSON.stringify(input) }).toString()) as SeriesAnswer;
const { routines } = answer('session').rules;
const stop = (id: string, plan: object | null, routine = 'turn-left') => ({ id, name: id, routine, about: 'once', note: null, plan }) as unknown as SeatStop;
const line = (id: string, more: object = {}, routine = 'turn-left') =>
    stop(id, { tool: 'approach', inputs: { pack: 'gb', vehicle: 'small-petrol-hatch', routine, limit_mph: 30, ...more } }, routine);
const drives = (...metres: number[]) =>
    metres.map((distance_m, i) => ({
        kind: 'drive',
        way: 'abcdefghijklmnop'[i]!,
        round: null,
        from_s: 0,
        until_s: 60,
        distance_m,
        measured: i === 1,
    })) as unknown as CircuitAnswer['parts'];
const rows = (stops: SeatStop[], ...metres: number[]) => rowsAsked(stops, drives(...metres), routines);
const ids = (...of: Parameters<typeof rows>) => rows(...of).map((row) => row.ids);

describe('ways in a row', () => {
    it('are those close behind the one before; what lies farther off begins another, and nobody alone is a row', () => {
        expect(ids([line('a'), line('b'), line('c'), line('d'), line('e')], 900, 120, 1_500, 800, 801)).toEqual([
            ['a', 'b'],
            ['c', 'd'],
        ]);
        expect(ids([line('a'), line('b')], 900, 900)).toEqual([]);
        // Another way of the same place: one comes round again, and how far that is is no distance between them.
        expect(ids([line('a'), line('b')], 900, 0)).toEqual([]);
        expect(rowsAsked([line('a'), line('b')], [], routines)).toEqual([]);
    });

    it('are broken by what has no plan, is done standing, goes on at once, or is driven under other rules or in another car', () => {
        const near = [900, 100, 100] as const;
        for (const broken of [
            stop('b', null),
            line('b', {}, 'move-off'),
            line('b', { then: { routine: 'turn-right', distance_m: 20 } }),
            line('b', { pack: 'ie' }),
            line('b', { vehicle: 'rigid-lorry' }),
            stop('b', { tool: 'overtake', inputs: { pack: 'gb', vehicle: 'small-petrol-hatch' } }),
        ]) {
            expect(ids([line('a'), broken, line('c')], ...near)).toEqual([]);
        }
        expect(ids([line('a'), line('b'), line('c')], ...near)).toEqual([['a', 'b', 'c']]);
    });

    it('are no more than the tool takes: the next row begins where one ends', () => {
        const many = Array.from({ length: 15 }, (_, i) => line('abcdefghijklmnop'[i]!));
        expect(ids(many, 900, ...Array.from({ length: 14 }, () => 100)).map((row) => row.length)).toEqual([12, 3]);
    });

    it('keep the facts of each place, and leave out what the others decide', () => {
        const [row] = rows(
            [
                line('a', { road_width_m: 6, room_m: 200 }),
                line('b', { room_m: 80, limit_mph: 20 }),
                stop('c', { tool: 'join', inputs: { ...DRIVE, slip_length_m: 250, main_speed_mph: 70, entry_speed_mph: 30 } }),
                stop('d', { tool: 'leave', inputs: { ...DRIVE, slip_length_m: 300, main_speed_mph: 70, end_speed_mph: 30, next_turn: 'left' } }),
                line('e'),
            ],
            ...[900, 150, 200, 300, 250],
        );
        expect(row!.asked).toEqual({
            ...DRIVE,
            parts: [
                { tool: 'approach', routine: 'turn-left', limit_mph: 30, road_width_m: 6, room_m: 200 },
                { tool: 'approach', distance_m: 150, routine: 'turn-left', limit_mph: 20 },
                { tool: 'join', distance_m: 200, slip_length_m: 250, main_speed_mph: 70 },
                { tool: 'leave', distance_m: 300, slip_length_m: 300, main_speed_mph: 70 },
                { tool: 'approach', distance_m: 250, routine: 'turn-left', limit_mph: 30 },
            ],
        });
        const said = compute(row!.asked);
        expect(said.plans).toHaveLength(5);
        expect(followingOf(row!, said, drives(900, 150, 200, 300, 250), 'm').map(([id, { metres }]) => [id, metres])).toEqual([
            ['b', 150],
            ['c', 200],
            ['d', 300],
            ['e', 250],
        ]);
    });

    it('say how each follows the one before, in the core’s words, and whether there is room for it', () => {
        const [row] = rows([line('a'), line('b', {}, 'turn-right'), line('c')], 900, 12, 350);
        const parts = drives(900, 12, 350);
        const said = compute(row!.asked);
        const following = new Map(followingOf(row!, said, parts, 'm'));
        expect(following.has('a')).toBe(false);
        expect(following.get('b')).toMatchObject({ message: said.plans[1]!.message, fits: said.plans[1]!.fits, metres: 12, measured: true });
        expect([following.get('b')!.fits, following.get('c')!.fits]).toEqual([false, true]);
        expect(following.get('c')!.message).toContain('one after the other');
        // Behind another every step belongs where there is room for it: alone the mirrors would begin before the turn before.
        const near = compute(rows([line('a'), line('b', {}, 'turn-right')], 900, 80)[0]!.asked);
        const [[, close]] = followingOf(rows([line('a'), line('b', {}, 'turn-right')], 900, 80)[0]!, near, drives(900, 80), 'm') as [[string, Following]];
        const plan = near.plans[1]!;
        if (plan.tool !== 'approach') throw new Error('a line');
        expect(close.figures).toBe(plan.plan.steps.map(({ step, best_m }) => `${STEP_WORDS[step]} ${Math.round(best_m)} m`).join(' · '));
        expect(plan.plan.steps[0]!.best_m).toBeLessThan(80);
        expect(followingOf(row!, said, [], 'm')).toEqual([]);
    });
});

describe('what is said along a row', () => {
    const told = (...breaths: string[][]) =>
        breaths.map((ways) => ({ ways, after: ways[0] === 'a' ? 'z' : null, driven_m: 1, say_at_m: 50, say: ways.join(), message: null }));
    const along = (metres: number[]) => {
        const [row] = rows(
            metres.map((_, i) => line('abcdefghijklmnop'[i]!, {}, i % 2 ? 'turn-right' : 'turn-left')),
            ...metres,
        );
        return { row: row!, answer: compute(row!.asked), parts: drives(...metres) };
    };

    it('is as the row has it, at its places, and elsewhere as the circuit has it', () => {
        const { row, answer, parts } = along([900, 60, 500]);
        const [first, second, ...rest] = toldInRows(told(['y'], ['a'], ['b'], ['c'], ['d']), [[row, answer]], parts).slice(1);
        // Where there is no room between them the circuit's own distances would have parted them.
        expect(first).toMatchObject({ ways: ['a', 'b'], after: 'z', driven_m: 900, say: answer.directions[0]!.say, say_at_m: answer.directions[0]!.say_at_m });
        expect(first!.message).toContain('said together');
        expect(second).toMatchObject({ ways: ['c'], after: 'b', driven_m: 500, message: null, meanwhile: false });
        expect(whereToSay(second!, 'm')).toBe(`by ${Math.round(second!.say_at_m)} m before the line`);
        expect(rest).toEqual(told(['d']));
        expect(toldInRows(told(['y'], ['d']), [[row, answer]], parts)).toEqual(told(['y'], ['d']));
    });

    it('is no more than three at once: what comes then is said while the one before is being done', () => {
        const { row, answer, parts } = along([900, 60, 60, 60, 60]);
        const all = toldInRows(told(['a'], ['b'], ['c'], ['d'], ['e']), [[row, answer]], parts);
        expect(all.map(({ ways }) => ways)).toEqual([
            ['a', 'b', 'c'],
            ['d', 'e'],
        ]);
        expect(all.map((one) => whereToSay(one, 'm').startsWith('while the one before'))).toEqual([false, true]);
        expect(all[1]!.message).toContain('said together');
    });

    it('stays as it is where the circuit says one of it together with something outside it', () => {
        const { row, answer, parts } = along([900, 60]);
        const before = told(['y', 'a'], ['b']);
        expect(toldInRows(before, [[row, answer]], parts)).toEqual(before);
    });
});

const DRIVE = { pack: 'gb', vehicle: 'small-petrol-hatch' };
