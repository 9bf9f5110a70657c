import type { ApproachAsked, Practice, RoadFacts, RoutineCode, Rules } from '@/api/types';
import { limitOf } from '@/rules/rules';
import { speedRange } from '@/rules/speed';
import { carChosen } from './car';
import type { Codec } from '@/ui/useAddress';
import { objectIn } from './flat';

/** What changes from one drive to the next at the same place. */
export interface Conditions {
    speed: number;
    gradient: number;
    surface: 'dry' | 'wet';
    follower: boolean;
}

/** The state of the page in its address, so that it can be shared and come back to. */
export interface ApproachState {
    road: RoadFacts & { routine: RoutineCode; passing_on?: ApproachAsked['passing_on']; comfort_decel_mps2?: number };
    conditions: Conditions;
    car: string;
    level: NonNullable<ApproachAsked['learner_level']>;
    /** Answers that differ from the practice in force. */
    practice: Practice;
}

function write(state: ApproachState): URLSearchParams {
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

const reader =
    (rules: Rules) =>
    (params: URLSearchParams): ApproachState => {
        const number = (name: string, otherwise: number) => {
            const raw = params.get(name);
            return raw !== null && Number.isFinite(Number(raw)) ? Number(raw) : otherwise;
        };
        const said = objectIn(params.get('road'));
        const road: ApproachState['road'] = said && 'routine' in said ? (said as unknown as ApproachState['road']) : { routine: 'emerge-right' };
        const range = speedRange(rules.speed_unit);
        return {
            road,
            conditions: {
                speed: Math.min(range.to, Math.max(range.from, Math.round(number('speed', limitOf(road, rules))))),
                gradient: Math.min(0.15, Math.max(-0.15, number('slope', 0))),
                surface: params.get('wet') ? 'wet' : 'dry',
                follower: params.get('close') !== null,
            },
            car: params.get('car') ?? carChosen(),
            level: (params.get('level') as ApproachState['level'] | null) ?? 'developing',
            practice: (objectIn(params.get('practice')) ?? {}) as Practice,
        };
    };

/** A place as this page begins with it. */
export const atPlace = (road: ApproachState['road'], rules: Rules): ApproachState => ({
    road,
    conditions: { speed: limitOf(road, rules), gradient: road.gradient ?? 0, surface: 'dry', follower: false },
    car: carChosen(),
    level: 'developing',
    practice: {},
});

export const approach = (rules: Rules): Codec<ApproachState> => ({ read: reader(rules), write });
