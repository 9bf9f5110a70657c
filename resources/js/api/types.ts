import type { ApproachInputs, RoadInputs } from './plan';
import type { Practice, RoutineCode, Rules, Step } from './rules';

export * from './plan';
export * from './rules';

/** What the API answers and takes. Names and fields are the server's; units are in the names. */

/** Best to worst, as the keys stand in Drive. */
export const OUTCOMES = ['unaided', 'reminded', 'prompted', 'missed', 'intervened'] as const;
export type Outcome = (typeof OUTCOMES)[number];

export type Side = 'left' | 'right';
export type Taught = 'shown' | 'talked-through';
export type Level = 'beginner' | 'developing' | 'independent';

export interface User {
    id: string;
    name: string;
    email: string;
    role: 'owner' | 'instructor';
}
export interface School {
    id: string;
    name: string;
    time_zone: string;
    /** Whether instructors read each other's lessons. */
    colleagues_read: boolean;
}

export type Session = { user: User; school: School; rules: Rules } | { user: null; first_run: boolean };

export interface Vehicle {
    id: string;
    name: string;
    transmission: 'manual' | 'automatic';
    controls: 'standard' | 'hand';
    length_m: number;
    width_m: number;
    /** Further fields of the core's vehicle, where they are known. */
    figures: Record<string, unknown>;
}

/** A kind of vehicle that fills the gaps of one that is like it. */
export interface VehicleKind extends Vehicle {
    electric: boolean;
    units: VehicleUnit[];
}

/** One rigid part of a vehicle, as the core's `swept-path` takes it. */
export interface VehicleUnit {
    wheelbase_m: number;
    width_m: number;
    front_overhang_m: number;
    rear_overhang_m: number;
    hitch_offset_m: number;
}

/** A page of the bench kept with a place: the tool and the state of its address. */
export interface Drawing {
    id: string;
    place_id: string;
    lesson_id: string | null;
    title: string;
    tool: string;
    state: string;
}

/** What a driver sees against what, in which car; null where it holds in any. */
export interface ReferencePoint {
    what: string;
    where: string;
    vehicle_id?: string | null;
}

export interface Place {
    id: string;
    name: string;
    routine: RoutineCode;
    note: string | null;
    approach: RoadInputs;
    drawings?: Drawing[];
}

export interface PlannedItem {
    id: string;
    routine: RoutineCode;
    ordinal: number;
    minutes: number;
    place: Place;
    drawings: Drawing[];
}

export interface Promised {
    id: string;
    lesson_id: string;
    kind: 'promise' | 'homework';
    text: string;
    kept_at: string | null;
}

export interface LessonLine {
    id: string;
    minutes: number;
    aim: string | null;
    state: 'planned' | 'done' | 'cancelled';
    instructor_id: string;
    starts_at: string;
    learner: { id: string; name: string; pick_up: string | null; level: Level };
    vehicle: Vehicle;
}

export interface Today {
    day: string;
    lessons: LessonLine[];
    next: (LessonLine & { items: PlannedItem[]; promised: Promised[] }) | null;
    unfinished: LessonLine[];
}

/** What a round was driven in, as far as it was noted. */
export interface Conditions {
    traffic?: string;
    light?: string;
    surface?: string;
    road?: string;
}

export interface Mark {
    id: string;
    round_id: string;
    kind: 'step' | 'held-back-rightly' | 'taught' | 'moment' | 'conditions';
    step: Step | null;
    outcome: Outcome | null;
    taught: Taught | null;
    /** Of the round, where they were said after it began. */
    conditions?: Conditions | null;
    out_of_order: boolean;
    note: string | null;
    corrects_id: string | null;
    withdrawn: boolean;
    /** As the device's clock said. */
    device_at: string;
    /** As far as the clocks tell: the order in which the log is read. The server says it. */
    pressed_at?: string;
    user_id?: string;
    server_at?: string;
    /** The device's clock was more than a day ahead. */
    clock_ahead?: boolean;
}

export interface Round {
    id: string;
    lesson_id: string;
    place_id: string;
    /** Its name, to be shown. */
    place: string;
    routine: RoutineCode;
    conditions: Conditions;
    device_at: string;
    began_at?: string;
    clock_ahead?: boolean;
    /** As they were driven; null for one that was emptied by undoing. */
    ordinal?: number | null;
    marks: Mark[];
}

export interface DebriefFault {
    routine: RoutineCode;
    step: Step;
    rounds: number;
    of: number;
    cause_step: Step | null;
    cause_seen: number;
    usual_mistake: string;
    likely_cause: string;
    remedy: string;
    drill: string;
    source: string;
}

export interface Lesson extends LessonLine {
    number: number;
    instructor: { id: string; name: string };
    went_well: string | null;
    worked_on: string | null;
    self_rating: Partial<Record<Step, Exclude<Outcome, 'intervened'>>>;
    items: PlannedItem[];
    rounds: Round[];
    promises: Promised[];
    promised_before: Promised[];
    reference_points: ReferencePoint[];
    rules: Rules;
    debrief: { well: Step | null; well_rounds: number; held_back_rightly: number; fault: DebriefFault | null };
    plan_defaults: Pick<ApproachInputs, 'pack' | 'practice' | 'vehicle' | 'learner_level'>;
}

export interface LearnerFacts {
    id: string;
    name: string;
    phone: string | null;
    email: string | null;
    pick_up: string | null;
    licence_seen_on: string | null;
    eyesight_checked_on: string | null;
    transmission: 'manual' | 'automatic';
    level: Level;
    is_minor: boolean;
    guardian_name: string | null;
    guardian_contact: string | null;
    guardian_consent_on: string | null;
    reference_points: ReferencePoint[];
    pack: string | null;
    practice: Practice;
}

export interface LearnerLine {
    id: string;
    name: string;
    level: Level;
    transmission: 'manual' | 'automatic';
    pick_up: string | null;
    lessons_done: number;
}

export interface Tally {
    routine: RoutineCode;
    step: Step;
    counts: Record<Outcome, number>;
    marked: number;
    out_of_order: number;
    taught: number;
}

/** What a learner's record asks of one routine. */
export interface RoutineNeed {
    routine: RoutineCode;
    need: 'weak' | 'only-shown' | 'long-not-driven' | 'never-driven' | 'going-well';
    step: Step | null;
    helped: number;
    of: number;
    last_at: string | null;
}

/** Time at the wheel by kind of conditions and what it was, minutes. */
export interface Hours {
    total: number;
    minutes: Record<string, Record<string, number>>;
}

export interface LearnerRecord extends LearnerFacts {
    lessons: (Omit<LessonLine, 'learner' | 'vehicle'> & { rounds: number })[];
    promises: Promised[];
    rounds: number;
    tallies: Tally[];
    hours: Hours;
}
