import type { Lesson, LessonItem, Round, RoutineCode, RoutineLine, Side } from '@/api/types';

/** What a moment may have been: one of the rounds, a place of the plan that is still to be driven, or a routine anywhere. */
export type What = { kind: 'round'; round: Round } | { kind: 'item'; item: LessonItem } | { kind: 'routine'; routine: RoutineCode; side: Side | null };

/** As many as stand side by side without scrolling. */
const SHOWN = 8;

/**
 * The likeliest first: the round in which the key was pressed, the place that comes next in the plan, the round before; then what nobody plans.
 */
export function likeliest(lesson: Lesson, rounds: Round[], from: Round, routines: readonly RoutineLine[]): What[] {
    const here = rounds.findIndex((round) => round.id === from.id);
    const before = rounds.slice(0, Math.max(0, here)).at(-1);
    const at = lesson.items.findIndex((item) => item.place.id === from.place_id);
    const next = lesson.items[at + 1];
    const rounded: What[] = [
        { kind: 'round', round: from },
        ...(next && !rounds.some((round) => round.place_id === next.place.id) ? [{ kind: 'item' as const, item: next }] : []),
        ...(before ? [{ kind: 'round' as const, round: before }] : []),
    ];
    const unplanned = routines.filter((routine) => routine.unplanned && routine.code !== from.routine);
    return [...rounded, ...unplanned.map((routine): What => ({ kind: 'routine', routine: routine.code, side: null }))].slice(0, SHOWN);
}
