import type { RoadInputs, WayOut } from './plan';
import type { Side } from './types';

/** The rules of a place and the catalogue in its words. */

export const STEPS = ['mirrors', 'signal', 'position', 'speed', 'look'] as const;
export type Step = (typeof STEPS)[number];

/** A routine of the catalogue; which there are depends on the pack. */
export type RoutineCode = string;

/** A routine as a list needs it. */
export interface RoutineLine {
    code: RoutineCode;
    title: string;
    section: string;
    section_title: string;
    steps: Step[];
    has_approach: boolean;
    /** Done while the car stands: planned in seconds. */
    stands: boolean;
    /** The tool that plans it at a place; null where it belongs to none. */
    planned_by: 'approach' | FastRoad | null;
    /** What its tool is asked with besides the road. */
    asked_with: Record<string, string>;
    /** The side the way goes to, or the car; null where it keeps its place. */
    side: Side | null;
    /** The same by way out, where it hangs on that. */
    side_by_exit: Record<WayOut, Side | null> | null;
    /** Which of a place's fields it needs, of those that only some routines have. */
    asks: ('control' | 'exit' | 'light' | 'turn_radius_m')[];
    /** How tight its turn is where nobody measured it. */
    turn_radius_m: number | null;
    /** What is judged at a place where it waits for a gap. */
    manoeuvre: string | null;
    /** Pages of the bench that reckon what it asks. */
    bench: { words: string; page: string; with: Record<string, string | number> }[];
}

/** Tools that plan a routine without an approach. */
export type FastRoad = 'join' | 'leave' | 'overtake' | 'lane-change';

export type Practice = Record<string, string | number>;

/** The pack and practice in force, with what every screen says in the pack's words. */
export interface Rules {
    pack: string;
    pack_name: string;
    keeps: Side;
    speed_unit: 'mph' | 'kmh';
    length_unit: 'm' | 'ft';
    limits: number[];
    town_limit: number;
    /** Whether whoever supervises may hold a device while the car moves, as a sentence to that person. */
    device_rule: { text: string; source: string };
    practice: Practice;
    routines: RoutineLine[];
}

export interface CardStep {
    step: Step;
    do: string;
    why: string;
    usual_mistake: string;
    /** Null for the first step: its cause lies before the routine. */
    cause_step: Step | null;
    likely_cause: string;
    remedy: string;
    drill: string;
    for_beginner: string;
    watch: string;
    /** What the practice adds. */
    says: string[];
    source: string;
}

export interface Choice {
    question: string;
    text: string;
    value: string;
    words: string;
    reason: string;
    says: string;
    step: Step;
    /** It moves points of a plan. */
    moves: boolean;
}

/** A routine as it is explained at the kerb. */
export interface RoutineCard extends Omit<RoutineLine, 'steps'> {
    where: string;
    direction: string;
    afterwards: string;
    sketch: string;
    side: Side | null;
    find: string;
    steps: CardStep[];
    variants: { name: string; changes: string; inputs: Partial<RoadInputs> & Record<string, unknown> }[];
    choices: Choice[];
    severity: { effect: string; words: string; severity: string }[];
    /** For a card that is not about one place; empty where an approach is planned. */
    ordinary_road: RoadInputs;
}

export interface PackFacts {
    code: string;
    name: string;
    keeps: Side;
    version: string;
    figures: { key: string; name: string; value: string; status: string }[];
}

export interface Question {
    key: string;
    text: string;
    step: Step;
    moves: boolean;
    default: string;
    /** A routine on whose plan or card the choice is seen. */
    shows_on: RoutineCode;
    options: { value: string; words: string; reason: string; says: string }[];
}

/** Which pack and which answers somebody has chosen; null and what is left out are as the one above says. */
export interface Doctrine {
    pack: string | null;
    practice: Practice;
}

export interface Doctrines {
    packs: PackFacts[];
    questions: Question[];
    school: Doctrine;
    mine: Doctrine;
}
