import { describe, expect, it } from 'vitest';
import type { Lesson, Round } from '@/api/types';
import { answer } from '@/testing/answers';
import { likeliest, type What } from './likeliest';

const lesson: Lesson = answer('demo-lesson-planned');
const { routines } = lesson.rules;
const passing = routines.filter((one) => one.unplanned).map((one) => one.code);

const round = (id: string, item: number | null, routine = item === null ? 'hump' : lesson.items[item]!.routine): Round => ({
    ...{ id, lesson_id: lesson.id, place_id: item === null ? null : lesson.items[item]!.place.id, place: '', routine: routine },
    ...{ conditions: {}, device_at: '2026-05-20T10:00:00Z', marks: [] },
});
const said = (what: What): string => (what.kind === 'round' ? what.round.id : what.kind === 'item' ? `planned ${what.item.id}` : what.routine);

describe('what a moment may have been', () => {
    it('is likeliest the round it was pressed in, then the next place of the plan, then the round before, then what nobody plans', () => {
        const [before, from] = [round('before', null), round('from', 0)];
        expect(likeliest(lesson, [before, from], from, routines).slice(0, 4).map(said)).toEqual([
            'from',
            `planned ${lesson.items[1]!.id}`,
            'before',
            passing[0],
        ]);
    });

    it('offers no place again that was driven already: its rounds are there', () => {
        const rounds = [round('a', 0), round('b', 1)];
        const offered = likeliest(lesson, rounds, rounds[0]!, routines).map(said);
        expect(offered).not.toContain(`planned ${lesson.items[1]!.id}`);
        expect(offered[0]).toBe('a');
    });

    it('never offers more than stand side by side, nor the same twice, wherever the lesson is', () => {
        for (const at of [null, ...lesson.items.keys()]) {
            for (const others of [[], [round('x', 0)], [round('x', null), round('y', 2)]]) {
                const from = round('from', at);
                const offered = likeliest(lesson, [...others, from], from, routines).map(said);
                expect(offered.length).toBeLessThanOrEqual(8);
                expect(new Set(offered).size).toBe(offered.length);
                expect(offered[0]).toBe('from');
                // A hazard of the same routine is that round, not another.
                expect(offered).not.toContain(from.routine);
            }
        }
    });

    it('leaves nothing out under another pack’s routines, where nothing passes', () => {
        const from = round('from', 0);
        expect(
            likeliest(
                lesson,
                [from],
                from,
                routines.filter((one) => !one.unplanned),
            ).map(said),
        ).toEqual(['from', `planned ${lesson.items[1]!.id}`]);
    });
});
