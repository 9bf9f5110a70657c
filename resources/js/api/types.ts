import type * as Contract from './contract';
import type { ApproachAnswer, RoadFacts, RoutineLine } from './contract';

/** What the API answers and takes, as its document says (docs/openapi.json), with short names for parts of it. Units are in the names. */
export type * from './contract';

/** Best to worst, as the keys stand in Drive. */
export const OUTCOMES = ['unaided', 'reminded', 'prompted', 'missed', 'intervened'] as const satisfies Contract.Outcome[];
export const STEPS = ['mirrors', 'signal', 'position', 'speed', 'look'] as const satisfies Contract.Step[];
/** Lowest first. */
export const SKILL_LEVELS = ['not-yet', 'seldom', 'half-the-time', 'mostly', 'nearly-always'] as const satisfies Contract.SkillLevel[];

/** Tools that plan a routine without an approach. */
export type FastRoad = Exclude<RoutineLine['planned_by'], 'approach' | null>;

export type PlanStep = ApproachAnswer['steps'][number];
/** A step as it stands on a strip: the gear is one of its own where the practice says so. */
export type StripStep = PlanStep['step'];
/** Metres, feet, or seconds where the car stands all along. */
export type LengthUnit = ApproachAnswer['length_unit'] | 's';
export type Conflict = ApproachAnswer['conflicts'][number];
export type ThenPlan = NonNullable<ApproachAnswer['then']>;
export type Stretch = ApproachAnswer['place']['parked'][number];
export type Light = ApproachAnswer['place']['light'];
export type Then = NonNullable<RoadFacts['then']>;
/** A plan on the axis it is drawn on: seconds take the place of metres where the car stands all along. */
export type DrawnPlan = Omit<ApproachAnswer, 'length_unit'> & { length_unit: LengthUnit };
/** As much of it as is drawn: the second of two hazards has no assumptions and warnings of its own. */
export type Drawable = Omit<DrawnPlan, 'at' | 'tool' | 'version' | 'assumptions' | 'warnings' | 'then'>;

/** With some of its fields still open. */
type Open<Whole, Fields extends keyof Whole> = Omit<Whole, Fields> & Partial<Pick<Whole, Fields>>;
/** As this device knows it: of a mark that waits here the server has said nothing yet. */
export type Mark = Open<Contract.Mark, 'conditions' | 'user_id' | 'pressed_at' | 'server_at' | 'clock_ahead'>;
export type Round = Open<Omit<Contract.Round, 'marks'>, 'began_at' | 'clock_ahead' | 'ordinal'> & { marks: Mark[] };

/** What a fast road's tool is asked at a place. */
export type FastPlan = Exclude<Contract.Planned, { tool: 'approach' }>;
