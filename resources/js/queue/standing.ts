import type { Conditions, Mark, Outcome, Round, Step, Taught } from '@/api/types';
import type { QueueEvent } from './queue';

/** What stands for a round once corrections and withdrawals are applied. */
export interface Standing {
    steps: Partial<Record<Step, Mark & { outcome: Outcome }>>;
    taught: (Mark & { taught: Taught }) | null;
    heldBack: Mark | null;
    moments: Mark[];
    /** Conditions said after the round began: they stand instead of those it began with. */
    said: Mark | null;
}

/** A mark stands when no later row corrects it and it was not withdrawn. The same rule as the server's. */
export function standing(marks: Mark[]): Standing {
    const corrected = new Set(marks.map((mark) => mark.corrects_id).filter(Boolean));
    const result: Standing = { steps: {}, taught: null, heldBack: null, moments: [], said: null };
    for (const mark of marks) {
        if (mark.withdrawn || corrected.has(mark.id)) continue;
        if (mark.kind === 'step' && mark.step && mark.outcome) result.steps[mark.step] = { ...mark, outcome: mark.outcome };
        if (mark.kind === 'taught' && mark.taught) result.taught = { ...mark, taught: mark.taught };
        if (mark.kind === 'held-back-rightly') result.heldBack = mark;
        if (mark.kind === 'conditions') result.said = mark;
        if (mark.kind === 'moment') result.moments.push(mark);
    }
    return result;
}

/** What a round was driven in, as it stands. */
export const conditionsOf = (round: Round): Conditions => standing(round.marks).said?.conditions ?? round.conditions;

/** The server's rounds with everything that was made on this device laid over them; what is in both counts once. */
export function withMade(lessonId: string, rounds: Round[], made: QueueEvent[]): Round[] {
    const merged = new Map(rounds.map((round) => [round.id, { ...round, marks: [...round.marks] }]));
    for (const event of made) {
        if (event.kind === 'round' && event.round.lesson_id === lessonId && !merged.has(event.round.id)) {
            merged.set(event.round.id, { ...event.round, marks: [] });
        }
        if (event.kind === 'mark') {
            const round = merged.get(event.mark.round_id);
            if (round && !round.marks.some((mark) => mark.id === event.mark.id)) round.marks.push(event.mark);
        }
    }
    return [...merged.values()];
}
