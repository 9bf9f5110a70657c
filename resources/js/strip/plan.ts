import type { ApproachAlong, ApproachAnswer, ApproachInTime, ApproachNotPlanned, ThenPlan } from '@/api/types';

/** An answer with steps to draw. */
export type Planned = Exclude<ApproachAnswer, ApproachNotPlanned>;

/** Metres, feet, or seconds where the car stands all along. */
export type AxisUnit = ApproachAlong['length_unit'] | 's';

type AlongStep = ApproachAlong['steps'][number];
type Second = Omit<ApproachAlong, 'at' | 'tool' | 'version' | 'assumptions' | 'warnings' | 'then'>;

/** A step on the axis of its plan: where or when it may begin, belongs, must have begun and is done. */
export type DrawnStep = Omit<AlongStep, 'earliest_m' | 'best_m' | 'latest_m' | 'end_m' | 'speed_mps'> & Record<'earliest' | 'best' | 'latest' | 'end', number>;

/** A step as it stands on a strip: the gear is one of its own where the practice says so. */
export type StripStep = DrawnStep['step'];

/** A plan on the axis it is drawn on: metres to the line, or seconds until the wheels turn. */
export interface Drawable extends Pick<
    ApproachAlong,
    | 'routine'
    | 'title'
    | 'turn_side'
    | 'direction'
    | 'groups'
    | 'gear_after_line'
    | 'place'
    | 'practice'
    | 'sign'
    | 'gear_changes'
    | 'phases'
    | 'stages'
    | 'creep'
    | 'point_of_no_return_m'
    | 'gives_way'
> {
    axis: Planned['axis'];
    unit: AxisUnit;
    steps: DrawnStep[];
    /** By where on the axis the direction must have been given. */
    saidBy: number;
    /** Where the practice’s rule of thumb puts the signal; null where it has none. */
    ruleAt: number | null;
    profile: Omit<ApproachAlong['profile'], 'distance_m'> & { along: number[] };
}

/** With what stands below a strip. */
export interface DrawnPlan extends Drawable, Pick<ApproachAlong, 'assumptions' | 'warnings' | 'conflicts' | 'version'> {
    /** The hazards close behind, in their order. */
    then: ThenPlan[];
    /** How the car comes along; null where it stands. */
    motion: Pick<ApproachAlong, 'approach_speed_mps' | 'peak_decel_mps2' | 'braking' | 'fits'> | null;
}

/** A plan along the road, as the second of two has it too. */
export function alongTheRoad(plan: Second): Drawable {
    const { length_unit: unit, say_at_m: saidBy, signal_rule_m: ruleAt, profile, steps, ...rest } = plan;
    const { distance_m: along, ...columns } = profile;
    return {
        ...rest,
        unit,
        saidBy,
        ruleAt,
        steps: steps.map(({ earliest_m: earliest, best_m: best, latest_m: latest, end_m: end, ...step }) => ({ ...step, earliest, best, latest, end })),
        profile: { ...columns, along },
    };
}

/** A plan in time: each step has its moment, and the car its place. */
function inTime(plan: ApproachInTime): Drawable {
    const { steps, profile, ...rest } = plan;
    const still = profile.time_s.map(() => 0);
    return {
        ...rest,
        ...{ sign: null, gear_changes: [], phases: [], stages: [], creep: null, point_of_no_return_m: null },
        unit: 's',
        saidBy: profile.time_s[0] ?? 0,
        ruleAt: null,
        steps: steps.map((step) => ({ ...step, earliest: step.best_s, best: step.best_s, latest: step.best_s, end: step.best_s })),
        profile: { ...profile, along: profile.time_s, speed_mps: still, decel_mps2: still },
    };
}

/** There may be none: then the answer says why. */
export const isPlanned = (answer: ApproachAnswer): answer is Planned => answer.axis !== 'none';

export function drawn(answer: Planned): DrawnPlan {
    const { assumptions, warnings, version, conflicts } = answer;
    return answer.axis === 'distance'
        ? { ...alongTheRoad(answer), assumptions, warnings, version, conflicts, then: [answer.then ?? []].flat(), motion: answer }
        : { ...inTime(answer), assumptions, warnings, version, conflicts, then: [], motion: null };
}
