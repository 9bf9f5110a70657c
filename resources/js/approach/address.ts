import type { ApproachInputs, RoadInputs, RoutineCode } from '@/api/types';
import { SPEEDS } from '@/strip/useApproach';
import type { Conditions } from './Controls';

/** The state of the bench in its address, so that it can be shared and come back to. */
export interface BenchState {
    road: RoadInputs & { routine: RoutineCode; passing_on?: ApproachInputs['passing_on']; comfort_decel_mps2?: number };
    conditions: Conditions;
    car: string;
    level: NonNullable<ApproachInputs['learner_level']>;
    signal: string;
    gears: string;
    line: string;
    look: string;
}

export function benchAddress(road: BenchState['road']): string {
    return `/bench/approach?${write({ road, conditions: { speed: road.limit_mph ?? 30, gradient: road.gradient ?? 0, surface: 'dry', follower: false }, car: 'small-petrol-hatch', level: 'developing', signal: 'limit-number', gears: 'block', line: 'by-level', look: 'alternate' }).toString()}`;
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
        signal: state.signal,
        gears: state.gears,
        line: state.line,
        look: state.look,
    });
}

/** What cannot be read is left at its default: an address typed by hand must not break the page. */
export function read(params: URLSearchParams): BenchState {
    const number = (name: string, otherwise: number) => {
        const raw = params.get(name);
        return raw !== null && Number.isFinite(Number(raw)) ? Number(raw) : otherwise;
    };
    let road: BenchState['road'] = { routine: 'emerge-right', limit_mph: 30 };
    try {
        const said: unknown = JSON.parse(params.get('road') ?? 'null');
        if (said && typeof said === 'object' && 'routine' in said) road = said as BenchState['road'];
    } catch {
        // Left at the default.
    }
    return {
        road,
        conditions: {
            speed: Math.min(SPEEDS.to, Math.max(SPEEDS.from, Math.round(number('speed', road.limit_mph ?? 30)))),
            gradient: Math.min(0.15, Math.max(-0.15, number('slope', 0))),
            surface: params.get('wet') ? 'wet' : 'dry',
            follower: params.get('close') !== null,
        },
        car: params.get('car') ?? 'small-petrol-hatch',
        level: (params.get('level') as BenchState['level'] | null) ?? 'developing',
        signal: params.get('signal') ?? 'limit-number',
        gears: params.get('gears') ?? 'block',
        line: params.get('line') ?? 'by-level',
        look: params.get('look') ?? 'alternate',
    };
}
