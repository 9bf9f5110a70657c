import type { ApproachPlan, Outcome, RoutineCode, Step } from '@/api/types';

export const STEP_WORDS: Record<Step, string> = { mirrors: 'Mirrors', signal: 'Signal', position: 'Position', speed: 'Speed', look: 'Look' };

export const OUTCOME_WORDS: Record<Outcome, string> = {
    unaided: 'unaided',
    reminded: 'reminded',
    prompted: 'prompted',
    missed: 'missed',
    intervened: 'stepped in',
};

export const ROUTINE_WORDS: Record<RoutineCode, string> = {
    'turn-left': 'Turn left off the main road',
    'turn-right': 'Turn right off the main road',
    'emerge-left': 'Emerge left',
    'emerge-right': 'Emerge right',
};

export const STATUS_WORDS = {
    published: 'published',
    'common-practice': 'common practice, no source',
    'from-memory': 'published, from memory',
    assumed: 'assumed, adjustable',
    given: 'as entered',
} as const;

export const metres = (value: number) => `${Math.round(value)} m`;
export const seconds = (value: number) => `${value.toFixed(1)} s`;

/** The approach speed in the unit of the pack. */
export function approachSpeed(plan: ApproachPlan): string {
    return plan.approach_speed_kmh === undefined ? `${Math.round(plan.approach_speed_mph ?? 0)} mph` : `${Math.round(plan.approach_speed_kmh)} km/h`;
}
