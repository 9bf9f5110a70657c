import type { RoutineCode, Side } from '@/api/types';

/** What is driven where no place of the plan is: the routine, and a word of where. */
export interface Away {
    routine: RoutineCode;
    where: string;
    /** The way out, where all ways lead out of it. */
    side?: Side | null;
}

/** Where on the lesson's way somebody is: at which place of the plan, and in which round there. Kept over a reload of the page, not over leaving it. */
export interface Visit {
    /** The item of the plan; null for its first. */
    item: string | null;
    /** Away from the places of the plan; null at one of them. */
    away: Away | null;
    /** The open round; null where the next press begins a new one. */
    round: string | null;
    /** Whether an older round was opened again on purpose. */
    again: boolean;
}

const nameOf = (lesson: string) => `noble-turn.visit.${lesson}`;

/** Where the page was before it was loaded anew; null where it was nowhere. */
export function keptVisit(lesson: string): Visit | null {
    try {
        const kept = JSON.parse(sessionStorage.getItem(nameOf(lesson)) ?? 'null') as (Omit<Visit, 'away'> & Partial<Visit>) | null;
        return kept && { ...kept, away: kept.away ?? null };
    } catch {
        return null;
    }
}

export function keepVisit(lesson: string, visit: Visit | null): void {
    try {
        if (visit) sessionStorage.setItem(nameOf(lesson), JSON.stringify(visit));
        else sessionStorage.removeItem(nameOf(lesson));
    } catch {
        // A browser that keeps nothing: after a reload the next press begins a new round.
    }
}
