import type { Assumption, Side } from '@/api/types';

/** What the tools of fast roads answer; names are the core's. */
interface Answer {
    assumptions: Assumption[];
    warnings: { code: string; message: string }[];
}

export interface JoinAnswer extends Answer {
    feasible: boolean;
    accel_needed_mps2: number;
    accel_available_mps2: number;
    counts_m: number;
    speed_at_end_mps: number;
    gear: number;
    view_from_m: number;
    choose_from_m: number;
    join_at_m: number;
    solid_until_m: number;
    limit_sign_m: number;
    options: {
        vehicle: string | null;
        where: 'ahead' | 'behind' | 'free';
        accel_mps2: number;
        speed_mps: number;
        time_s: number;
        gap_s: number | null;
        spare_m: number | null;
        effort_mps2: number;
        behind_of: string | null;
        ahead_of: string | null;
        feasible: boolean;
        latest_m: number | null;
    }[];
    best: number | null;
    decide_by_m: number | null;
    glances: { at_m: number; time_s: number; at: string; covers_m: number; why: string }[];
    stop_from_m: number;
    choice_s: number;
    profile: { time_s: number[]; distance_m: number[]; speed_mps: number[]; gear: number[] };
    others: { name: string; length_m: number; distance_m: number[] }[];
}

export interface LeaveAnswer extends Answer {
    events: { kind: string; at_m: number; time_s: number; speed_mps: number; text: string; side: Side | null; gear: number | null }[];
    decel_mps2: number;
    peak_decel_mps2: number;
    late_half_decel_mps2: number;
    brake_from_m: number;
    bend_speed_mps: number | null;
    slip_lane: number;
    slip_lane_reason: string;
    verdict: 'even' | 'firm' | 'harsh';
    fits: boolean;
    profile: { distance_m: number[]; time_s: number[]; speed_mps: number[]; decel_mps2: number[] };
}

export interface OvertakeAnswer extends Answer {
    at?: number;
    verdict: 'go' | 'marginal' | 'drop-back' | 'unknown';
    message: string;
    time_s: number | null;
    distance_m: number | null;
    other_speed_mps: number;
    relative_m: number;
    sight_needed_m: number | null;
    sight_published_m: number;
    difference: string;
    gear: number;
    speed_at_end_mps: number | null;
    rpm_at_end: number | null;
    over_rev: boolean;
    point_of_no_return_s: number | null;
    steps: { time_s: number; step: string; text: string }[];
    profile: { time_s: number[]; ours_m: number[]; other_m: number[]; speed_mps: number[]; gear: number[]; rpm: number[] };
    our_length_m: number;
    other_length_m: number;
}

export interface ChangeAnswer extends Answer {
    options: {
        kind: 'faster-ahead' | 'easier-behind' | 'wait';
        feasible: boolean;
        accel_mps2: number;
        speed_mps: number;
        time_s: number;
        metres_m: number;
        spare_m: number | null;
        gap_ahead_s: number | null;
        gap_behind_s: number | null;
        in_room: boolean;
        motion: { time_s: number[]; ours_m: number[]; over: number[] };
    }[];
    best: 'faster-ahead' | 'easier-behind' | 'wait' | null;
    message: string;
    checks: { at: string; time_s: number }[];
    being_passed_by: string[];
    lane_by_m: number | null;
    junctions: 'room-between' | 'before-the-first' | null;
}
