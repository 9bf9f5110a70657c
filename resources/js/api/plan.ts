import type { Practice, RoutineCode, Step } from './rules';
import type { Level, Side } from './types';

/** The approach tool: what it is asked and what it answers. Names and fields are the server's; units are in the names. */

/** A step as it stands on a strip: the gear is one of its own where the practice says so. */
export type StripStep = Step | 'gear';
/** Metres, feet, or seconds where the car stands all along. */
export type LengthUnit = 'm' | 'ft' | 's';

export interface Stretch {
    side: Side;
    from_m: number;
    to_m: number;
}

export type WayOut = 'left' | 'ahead' | 'right' | 'back';
export type Light = 'green' | 'green-long' | 'changing' | 'red';

/** A second hazard close behind the first. */
export interface Then {
    routine: RoutineCode;
    distance_m: number;
    exit?: WayOut;
    light?: Light;
}

/** The sign that tells the way where nobody says it. */
export interface DirectionSign {
    at_m: number;
    legible_m?: number;
}

/** Inputs of the approach tool that belong to a road. */
export interface RoadInputs {
    limit_mph?: number;
    limit_kmh?: number;
    control?: 'give-way' | 'stop' | 'none' | 'signals' | 'all-way-stop';
    exit?: WayOut;
    light?: Light;
    sign?: DirectionSign;
    then?: Then;
    view?: 'open' | 'restricted' | 'closed';
    view_from_m?: number;
    gradient?: number;
    room_m?: number;
    openings?: Stretch[];
    parked?: Stretch[];
    one_way?: boolean;
    road_width_m?: number;
    turn_radius_m?: number;
    /** Of a slip road, where the place is one. */
    slip_length_m?: number;
    entry_speed_mph?: number;
    entry_speed_kmh?: number;
    main_speed_mph?: number;
    main_speed_kmh?: number;
    end_speed_mph?: number;
    end_speed_kmh?: number;
    limit_change_m?: number;
    slip_angle_deg?: number;
    solid_line_m?: number;
    bend_radius_m?: number;
    bend_from_m?: number;
    lower_limit_m?: number;
    lanes?: number;
    next_turn?: Side;
}

export interface ApproachInputs extends RoadInputs {
    pack?: string;
    routine: RoutineCode;
    speed_mph?: number;
    speed_kmh?: number;
    surface?: 'dry' | 'wet' | 'ice';
    close_follower?: boolean;
    passing_on?: Side;
    comfort_decel_mps2?: number;
    learner_level?: Level;
    practice?: Practice;
    vehicle?: string | Record<string, unknown>;
}

export interface PlanStep {
    step: StripStep;
    earliest_m: number;
    best_m: number;
    latest_m: number;
    end_m: number;
    best_s: number;
    speed_mps: number;
    gear: number | null;
    do: string;
    why: string;
    usual_mistake: string;
    watch: string;
    /** What the practice adds. */
    says: string[];
    source: string;
}

export interface Conflict {
    code: string;
    rule: string;
    rule_m: number | null;
    needed_m: number | null;
    shift_m: number | null;
    done: string;
    message: string;
    data: Record<string, unknown>;
}

export interface Assumption {
    name: string;
    value: number | string | boolean;
    unit: string;
    status: 'published' | 'common-practice' | 'from-memory' | 'assumed' | 'given';
    source?: string;
}

export interface ApproachPlan {
    at?: number;
    /** In which short distances are spoken there; the fields stay in metres. */
    length_unit: LengthUnit;
    /** Time where the car stands all along. */
    axis: 'distance' | 'time';
    version: { core: string; pack: string };
    routine: RoutineCode;
    title: string;
    /** Null where nothing is turned or moved to. */
    turn_side: Side | null;
    direction: string;
    groups: { name: string; steps: StripStep[] }[];
    fits: boolean;
    speed_to_fit_mps: number | null;
    approach_speed_mps: number;
    approach_speed_mph?: number;
    approach_speed_kmh?: number;
    line_speed_mps: number;
    line_speed_mph?: number;
    line_speed_kmh?: number;
    say_at_m: number;
    sign: { at_m: number; from_m: number; by_m: number; spare_s: number; in_time: boolean } | null;
    ease_off_m: number;
    ease_off_s: number;
    peak_decel_mps2: number;
    signal_rule_m: number | null;
    steps: PlanStep[];
    phases: { phase: string; from_m: number; to_m: number; decel_mps2: number; brake: boolean }[];
    gear_changes: { from: number; to: number; down_m: number; up_m: number }[];
    gear_after_line: number | null;
    place: {
        keeps: Side;
        road_width_m: number;
        one_way: boolean;
        control: string;
        light: Light;
        exit: WayOut;
        /** Off our road into another, with no line before it. */
        turns_off: boolean;
        view_from_m: number;
        room_m: number | null;
        openings: Stretch[];
        parked: Stretch[];
        car_length_m: number;
        car_width_m: number;
        lateral_usual_m: number;
        lateral_target_m: number;
    };
    profile: {
        distance_m: number[];
        time_s: number[];
        speed_mps: number[];
        decel_mps2: number[];
        gear: (number | null)[];
        clutch: (string | null)[];
        lateral_m: number[];
    };
    conflicts: Conflict[];
    practice: { question: string; text: string; value: string; words: string; reason: string }[];
    then: ThenPlan | null;
    assumptions: Assumption[];
    warnings: { code: string; message: string; data: Record<string, unknown> }[];
}

export interface ThenPlan {
    verdict: 'one-after-the-other' | 'plan-second-first' | 'both-in-one';
    message: string;
    room_m: number;
    reached_mps: number;
    earliest_m: number;
    say_together: boolean;
    direction: string;
    /** On its own axis; it has no assumptions and warnings of its own. */
    plan: Omit<ApproachPlan, 'version' | 'assumptions' | 'warnings'> | null;
}
