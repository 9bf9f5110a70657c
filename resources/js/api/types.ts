import type * as Contract from './contract';
import type { ApproachAlong, RoadFacts, RoutineLine } from './contract';

/** What the API answers and takes, as its document says (docs/openapi.json), with short names for parts of it. Units are in the names. */
export type * from './contract';

/** Best to worst, as the keys stand in Drive. */
export const OUTCOMES = ['unaided', 'reminded', 'prompted', 'missed', 'intervened'] as const satisfies Contract.Outcome[];
export const STEPS = ['mirrors', 'signal', 'position', 'speed', 'look'] as const satisfies Contract.Step[];
/** Lowest first. */
export const SKILL_LEVELS = ['not-yet', 'seldom', 'half-the-time', 'mostly', 'nearly-always'] as const satisfies Contract.SkillLevel[];

/** Tools that plan a routine without an approach. */
export type FastRoad = Exclude<RoutineLine['planned_by'], 'approach' | null>;

export type Conflict = ApproachAlong['conflicts'][number];
/** One of the hazards close behind. */
export type ThenPlan = Exclude<NonNullable<ApproachAlong['then']>, unknown[]>;
export type Stretch = ApproachAlong['place']['parked'][number];
export type Light = ApproachAlong['place']['light'];
export type Then = Exclude<NonNullable<RoadFacts['then']>, unknown[]>;
/** With some of its fields still open. */
type Open<Whole, Fields extends keyof Whole> = Omit<Whole, Fields> & Partial<Pick<Whole, Fields>>;
/** As this device knows it: of a mark that waits here the server has said nothing yet. */
export type Mark = Open<
    Contract.Mark,
    | ('stage' | 'decision' | 'what' | 'number' | 'seconds' | 'conditions' | 'fault' | 'effect' | 'place_id')
    | ('user_id' | 'pressed_at' | 'server_at' | 'clock_ahead')
>;
export type Round = Open<Omit<Contract.Round, 'marks'>, 'elsewhere' | 'moment_id' | 'assessment_id' | 'side' | 'began_at' | 'clock_ahead' | 'ordinal'> & {
    marks: Mark[];
};

/** What a fast road's tool is asked at a place. */
export type FastPlan = Exclude<Contract.Planned, { tool: 'approach' }>;

/** What is asked about times for a lesson: one, the same every week, free ones. */
export type FitAsked = NonNullable<Contract.paths['/fit']['get']['parameters']['query']>;
export type RepeatAsked = NonNullable<Contract.paths['/series']['get']['parameters']['query']>;
export type FreeAsked = NonNullable<Contract.paths['/free']['get']['parameters']['query']>;
export type WeekDay = Contract.Week['days'][number];
