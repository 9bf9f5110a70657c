import type { Answer, Asked } from '@/api/tools';
import type { ApproachAsked, CircuitAnswer, FastPlan, FastRoad, RoutineCard, RoutineCode, Rules, Step } from '@/api/types';
import { drawn, isPlanned } from '@/strip/plan';
import { spoken, STEP_WORDS } from '@/strip/words';

/** What one way is planned with. */
export type SeatPlan = { tool: 'approach'; inputs: ApproachAsked } | Pick<FastPlan, 'tool' | 'inputs'>;

/** A way as it is driven: its place in the order is its id for the tool. */
export interface SeatStop {
    id: string;
    name: string;
    routine: RoutineCode;
    /** How often, or how long. */
    about: string;
    note: string | null;
    /** Null where the way has none. */
    plan: SeatPlan | null;
}

/** What stands on the sheet of one way. */
export interface SeatRow {
    stop: SeatStop;
    /** How it is asked for; null until it is known, or where nothing is said. */
    direction: string | null;
    /** So far before its line it must have been said, m. */
    sayAt: number;
    /** Where each step belongs, or what the road asks. */
    figures: string;
    /** What the instructor watches, by step. */
    watch: Partial<Record<Step, string>>;
    /** Why there are no figures. */
    missing: string | null;
}

/** What was answered to the plan of a way, or why not. */
export interface SeatAnswer {
    data?: Answer<'approach' | FastRoad>;
    error?: unknown;
}

/** What stands on the sheet of each way, by its plan and its card. */
export function rowsOf(
    stops: readonly SeatStop[],
    answers: readonly SeatAnswer[],
    cards: readonly RoutineCard[] | undefined,
    unit: Rules['length_unit'],
): SeatRow[] {
    return stops.map((stop, i): SeatRow => {
        const card = cards?.find(({ code }) => code === stop.routine);
        const answer = answers[i]?.data;
        const row = { stop, direction: card?.direction || null, sayAt: 0, figures: '', watch: {}, missing: null };
        if (stop.plan === null) return { ...row, missing: 'It has no plan: mark it as it comes.' };
        if (answers[i]?.error) return { ...row, missing: 'Its plan is not shown: the server cannot be reached, or cannot plan it.' };
        if (!answer) return row;
        if (answer.tool === 'leave') {
            const signal = answer.events.find(({ kind }) => kind === 'signal')?.at_m ?? 0;
            return { ...row, sayAt: signal, figures: signalFigure(signal, unit) };
        }
        if (answer.tool !== 'approach') return { ...row, figures: 'message' in answer ? answer.message : '' };
        if (!isPlanned(answer)) return { ...row, missing: answer.not_planned.message };
        const plan = drawn(answer);
        return {
            ...row,
            direction: plan.direction || row.direction,
            sayAt: plan.unit === 's' ? 0 : plan.saidBy,
            figures: stepFigures(plan.steps, plan.unit),
            watch: Object.fromEntries(plan.steps.map(({ step, watch }) => [step, watch])),
        };
    });
}

/** Where each step of a plan belongs, in a line. */
export const stepFigures = (steps: readonly { step: keyof typeof STEP_WORDS; best: number }[], unit: Parameters<typeof spoken>[1]): string =>
    steps.map(({ step, best }) => `${STEP_WORDS[step]} ${spoken(best, unit)}`).join(' · ');

/** What a way off asks for. */
export const signalFigure = (metres: number, unit: Rules['length_unit']): string => `Signal ${spoken(metres, unit)} before it. No brake on the main road.`;

/** What the core is asked, with how each way is asked for and from how far. */
export function withDirections(asked: Asked<'circuit'> | null, rows: readonly SeatRow[]): Asked<'circuit'> {
    const ways = (asked?.ways ?? []).map((way) => {
        const row = rows.find(({ stop }) => stop.id === way.id);
        return row?.direction ? { ...way, direction: row.direction, say_at_m: row.sayAt } : way;
    });
    return { ...asked, ways };
}

/** A direction of a circuit; one of a row may have to be said while the one before is being done. */
export type Told = CircuitAnswer['directions'][number] & { meanwhile?: boolean };

/** Of a circuit, as it is driven on. */
export type Onward = Omit<CircuitAnswer, 'directions'> & { directions: Told[] };

/** The direction that is said before a way; null where it is said with the one before, or nothing is. */
export const toldBefore = (told: Onward | undefined, id: string) => told?.directions.find(({ ways }) => ways[0] === id) ?? null;

/** Whether its direction is said with the one before it. */
export const isSaidBefore = (told: Onward | undefined, id: string): boolean => told?.directions.some(({ ways }) => ways.indexOf(id) > 0) ?? false;

/** Where a direction is said: so far before the line, while the one before is done, or before setting off where the line is nearer than that. */
export function whereToSay({ say_at_m, driven_m, meanwhile = false }: Told, unit: 'm' | 'ft'): string {
    if (say_at_m === 0) return 'as it comes';
    if (meanwhile) return 'while the one before is being done';
    return driven_m > say_at_m ? `by ${spoken(say_at_m, unit)} before the line` : `before setting off: the line is nearer than ${spoken(say_at_m, unit)}`;
}
