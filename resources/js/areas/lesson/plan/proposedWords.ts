import type { ProposedLesson, RoutineCode } from '@/api/types';
import { STEP_WORDS } from '@/strip/words';
import type { Facts } from '@/writes/written';

export type ProposedWay = Pick<ProposedLesson['left_out'][number], 'site' | 'from' | 'to' | 'routine' | 'name'>;
export type ProposedAimOf = ProposedLesson['aims'][number];

/** A way as the address of a proposal names it. */
export const nameOf = ({ site, from, to, routine }: ProposedWay): string => [site, from, to, routine].join('~');

/** "1 way", "3 ways". */
export const count = (number: number, what: string): string => `${number} ${number === 1 ? what : `${what}s`}`;

/** Of an aim that no way of the proposal is for, why not; null where one is, or where nobody knows the places. */
export function withoutAPlace(aim: ProposedAimOf, { is_placed, ways, left_out }: ProposedLesson): string | null {
    const isOf = ({ routine }: ProposedWay) => routine === aim.routine;
    if (!is_placed || ways.some(isOf)) return null;
    if (!aim.needs_place) return 'Met on the way, at no place of its own.';
    return left_out.some(isOf) ? 'Why none of its places is driven stands below.' : 'None of the school’s places is for it: perhaps you know one.';
}

/** The aims as a lesson keeps them: in words, and the main one as what it works on. */
export function aimOf(aims: ProposedAimOf[], name: (code: RoutineCode) => string): Facts {
    const [first] = aims;
    return {
        aim: aims.map(({ routine, step }) => `${name(routine)}: ${STEP_WORDS[step].toLowerCase()}`).join('; '),
        aim_routine: first?.routine ?? null,
        aim_step: first?.step ?? null,
    };
}

/** What is left out, told apart: what one might want after all, or gave one's word for, and the rest by how many there are. */
export function leftOutOf(data: ProposedLesson, agreed: (RoutineCode | null)[] = []): { near: ProposedLesson['left_out']; rest: ProposedLesson['left_out'] } {
    const wanted = new Set([...data.aims.map(({ routine }) => routine), ...agreed]);
    const isNear = (one: ProposedLesson['left_out'][number]) => wanted.has(one.routine) || one.reason === 'excluded';
    return { near: data.left_out.filter(isNear), rest: data.left_out.filter((one) => !isNear(one)) };
}
