import type { ApproachAsked, Practice, RoadFacts, RoutineCode, Rules } from '@/api/types';
import { limitOf, speedRange } from '@/rules/rules';
import type { Conditions } from './Controls';

/** The state of the bench in its address, so that it can be shared and come back to. */
export interface BenchState {
    road: RoadFacts & { routine: RoutineCode; passing_on?: ApproachAsked['passing_on']; comfort_decel_mps2?: number };
    conditions: Conditions;
    car: string;
    level: NonNullable<ApproachAsked['learner_level']>;
    /** Answers that differ from the practice in force. */
    practice: Practice;
}

export function benchAddress(road: BenchState['road'], rules: Rules): string {
    const conditions: Conditions = { speed: limitOf(road, rules), gradient: road.gradient ?? 0, surface: 'dry', follower: false };
    return `/bench/approach?${write({ road, conditions, car: 'small-petrol-hatch', level: 'developing', practice: {} }).toString()}`;
}

export function write(state: BenchState): URLSearchParams {
    const { gradient: _, ...road } = state.road;
    return new URLSearchParams({
        road: JSON.stringify(road),
        speed: String(state.conditions.speed),
        slope: String(state.conditions.gradient),
        ...(state.conditions.surface === 'wet' ? { wet: '1' } : {}),
        ...(state.conditions.follower ? { close: '1' } : {}),
        car: state.car,
        level: state.level,
        ...(Object.keys(state.practice).length > 0 ? { practice: JSON.stringify(state.practice) } : {}),
    });
}

/** What was written as JSON, where it is an object; an address typed by hand must not break the page. */
function object(raw: string | null): Record<string, unknown> | null {
    try {
        const said: unknown = JSON.parse(raw ?? 'null');
        return said && typeof said === 'object' && !Array.isArray(said) ? (said as Record<string, unknown>) : null;
    } catch {
        return null;
    }
}

export const reader =
    (rules: Rules) =>
    (params: URLSearchParams): BenchState => {
        const number = (name: string, otherwise: number) => {
            const raw = params.get(name);
            return raw !== null && Number.isFinite(Number(raw)) ? Number(raw) : otherwise;
        };
        const said = object(params.get('road'));
        const road: BenchState['road'] = said && 'routine' in said ? (said as unknown as BenchState['road']) : { routine: 'emerge-right' };
        const range = speedRange(rules.speed_unit);
        return {
            road,
            conditions: {
                speed: Math.min(range.to, Math.max(range.from, Math.round(number('speed', limitOf(road, rules))))),
                gradient: Math.min(0.15, Math.max(-0.15, number('slope', 0))),
                surface: params.get('wet') ? 'wet' : 'dry',
                follower: params.get('close') !== null,
            },
            car: params.get('car') ?? 'small-petrol-hatch',
            level: (params.get('level') as BenchState['level'] | null) ?? 'developing',
            practice: (object(params.get('practice')) ?? {}) as Practice,
        };
    };
