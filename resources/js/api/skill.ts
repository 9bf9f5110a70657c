import type { Conditions, Level, Outcome, RoutineCode, Step, Taught } from './types';

/** A chance of “unaided” with its 80 % range, 0 to 1. */
export interface Believed {
    estimate: number;
    low: number;
    high: number;
}

export const SKILL_LEVELS = ['not-yet', 'seldom', 'half-the-time', 'mostly', 'nearly-always'] as const;
export type SkillLevel = (typeof SKILL_LEVELS)[number];

/** What the marks say of one step of one routine today. */
export interface SkillCell extends Believed {
    routine: RoutineCode;
    step: Step;
    level: SkillLevel;
    unsure: boolean;
    evidence: number;
    lessons: number;
    last: string;
    trend: 'rising' | 'steady' | 'falling' | 'unknown';
    fading: boolean;
    faded_by: number;
    said: SkillLevel | null;
    marks_alone: number | null;
}

export interface HeldBackBy {
    step: Step | null;
    section: string | null;
    routine: RoutineCode | null;
    condition: string | null;
    deficit: number;
    gain: number;
    evidence: number;
}

export interface OwnRating {
    step: Step;
    lessons: number;
    /** Rungs of the ladder, 0 to 4. */
    said: number;
    marked: number;
    leans: 'lower' | 'alike' | 'higher';
}

export interface Skill {
    cells: SkillCell[];
    /** Lowest first. */
    weakest: { routine: RoutineCode; step: Step }[];
    holds_back: HeldBackBy[];
    never_done: RoutineCode[];
    only_shown: RoutineCode[];
    not_for_long: { routine: RoutineCode; days: number }[];
    own_ratings: OwnRating[];
}

export interface Overruling {
    id: string;
    level: SkillLevel;
    reason: string;
    user_id: string;
    by: string;
    at: string;
    withdrawn_at: string | null;
}

/** One of the marks behind a figure; `was` is what it was first marked as. */
export interface MarkBehind {
    id: string;
    lesson: string;
    place: string;
    at: string;
    step: Step;
    outcome: Outcome;
    out_of_order: boolean;
    note: string | null;
    taught: Taught | null;
    conditions: Conditions;
    /** What was said before, where somebody had read it. */
    was: Outcome | null;
    clock_ahead: boolean;
}

/** Everything behind one cell. */
export interface CellEvidence {
    history: ({ lesson: string; at: string; unaided: number; of: number } & Believed)[];
    marks: MarkBehind[];
    overrulings: Overruling[];
}

/** What a lesson changed at one step of one routine. */
export interface Changed {
    routine: RoutineCode;
    step: Step;
    marks: number;
    unaided: number;
    before: Believed | null;
    after: Believed;
    by: number;
}

/** So many of so many, with what the share may be. */
export interface Share {
    count: number;
    of: number;
    low: number;
    high: number;
}

export interface SchoolLearner {
    id: string;
    name: string;
    level: Level;
    lessons_done: number;
    last_lesson_at: string | null;
    skill: {
        day: string;
        average: number | null;
        steps: Partial<Record<Step, Believed>>;
        marks: number;
        holds_back: HeldBackBy | null;
        never_done: number;
        not_for_long: number;
    } | null;
}

/** How far the records of a school are up to date. */
export interface RecordsState {
    stale: number;
    progress: { done: number; of: number } | null;
    /** Jobs that failed a short while ago. */
    failed: number;
}

export interface Teaching {
    routines: {
        routine: RoutineCode;
        learners: number;
        only_shown: number;
        never: number;
        enough: boolean;
        average: number | null;
        low: number | null;
        high: number | null;
        weakest: Step | null;
    }[];
    failures: {
        routine: RoutineCode;
        step: Step;
        helped: Share;
        learners: number;
        enough: boolean;
        cause: Step | null;
        cause_shows: boolean;
        with: Share | null;
        without: Share | null;
    }[];
    places: {
        place: string;
        name: string;
        routine: RoutineCode;
        failed: Share;
        learners: number;
        enough: boolean;
        fails_more: boolean;
        elsewhere: Share;
        step: Step | null;
        step_rounds: number;
    }[];
}
