import type { LanesAnswer, LanesAsked, Rules } from '@/api/types';
import { usual } from '@/rules/speed';
import type { Codec } from '@/ui/useAddress';

/** A roundabout or junction as it is drawn and asked about: arms by angle in driving order, lanes from 1 at the nearside. */
export interface DrawnLane {
    to: string[];
    bus?: boolean;
    /** Hours for buses, such as 07:30. */
    bus_from?: string;
    bus_until?: string;
}
export interface DrawnArm {
    name: string;
    angle: number;
    lanes: DrawnLane[];
    exits: number;
    /** The nearside lane that leads out is for buses, all day or in its hours. */
    bus_out?: boolean;
    bus_out_from?: string;
    bus_out_until?: string;
}
/** The junction after the exit: its lanes by what is painted on them, where we go there, how far it is. */
export interface NextJunction {
    lanes: string[];
    to: string;
    metres: number;
}
export interface RingState {
    layout: 'roundabout' | 'junction';
    arms: DrawnArm[];
    from: string;
    to: string;
    next: '' | 'left' | 'right' | 'junction';
    then: NextJunction;
    passing: boolean;
    mini: boolean;
    spirals: boolean;
    /** Our line is under lights. */
    lights: boolean;
    /** Somebody opposite turns into the same road. */
    oncoming: boolean;
    /** On the approach, in the unit of the rules. */
    speed: number;
    lane: number;
    time: string;
}

/** One thing met or due on the way, in the order of time. */
export type Met = LanesAnswer['met'][number];

const START: RingState = {
    layout: 'roundabout',
    arms: [
        { name: 'Ferry Rise', angle: 0, lanes: [{ to: ['Gull Road', 'Skerry Way'] }, { to: ['Skerry Way', 'Mast Lane'] }], exits: 1 },
        { name: 'Gull Road', angle: 90, lanes: [{ to: [] }], exits: 1 },
        { name: 'Skerry Way', angle: 180, lanes: [{ to: [] }, { to: [] }], exits: 2 },
        { name: 'Mast Lane', angle: 270, lanes: [{ to: [] }], exits: 1 },
    ],
    from: 'Ferry Rise',
    to: 'Mast Lane',
    next: '',
    then: { lanes: ['Harbour', 'Station'], to: 'Station', metres: 120 },
    passing: false,
    mini: false,
    spirals: false,
    lights: false,
    oncoming: false,
    speed: 30,
    lane: 1,
    time: '',
};

/** Hours only count as a pair. */
const lane = ({ to, bus, bus_from, bus_until }: DrawnLane) => ({ to, ...(bus ? { bus } : {}), ...(bus_from && bus_until ? { bus_from, bus_until } : {}) });

/** How many lanes lead out, or each of them where one is for buses. */
const exits = ({ exits, bus_out, bus_out_from: from, bus_out_until: until }: DrawnArm) =>
    bus_out && exits > 0 ? Array.from({ length: exits }, (_, i) => (i === 0 ? { bus_hours: from && until ? [{ from, until }] : [] } : {})) : exits;

export const asked = (state: RingState, { pack, practice }: Pick<Rules, 'pack' | 'practice'>, speedField: 'speed_mph' | 'speed_kmh'): LanesAsked => ({
    pack,
    practice,
    layout: state.layout,
    arms: state.arms.map((arm) => ({
        ...{ name: arm.name, angle_deg: arm.angle, approach_lanes: arm.lanes.map(lane), exit_lanes: exits(arm) },
        ...(state.lights && state.layout === 'roundabout' && arm.name === state.from ? { lights: true } : {}),
    })),
    from: state.from,
    to: state.to,
    [speedField]: state.speed,
    in_lane: Math.min(state.lane, state.arms.find((arm) => arm.name === state.from)?.lanes.length ?? 1),
    ...(state.next === 'left' || state.next === 'right' ? { next_turn: state.next } : {}),
    ...(state.next === 'junction'
        ? { next_junction: { to: state.then.to, distance_m: state.then.metres, approach_lanes: state.then.lanes.map((name) => ({ to: name ? [name] : [] })) } }
        : {}),
    ...(state.passing ? { passing: true } : {}),
    ...(state.mini && state.layout === 'roundabout' ? { mini: true } : {}),
    ...(state.spirals && state.layout === 'roundabout' ? { spirals_by_paint: true } : {}),
    ...(state.oncoming && state.layout === 'junction' ? { oncoming_turner: true } : {}),
    ...(state.time ? { time: state.time } : {}),
});

const write = (state: RingState) => new URLSearchParams({ ring: JSON.stringify(state) });

/** What cannot be read is left at the start: an address typed by hand must not break the page. */
const read =
    (start: RingState) =>
    (params: URLSearchParams): RingState => {
        try {
            const said = JSON.parse(params.get('ring') ?? 'null') as Partial<RingState> | null;
            if (!said || !Array.isArray(said.arms) || said.arms.length < 2) return start;
            const arms = said.arms.filter(
                (arm) => typeof arm.name === 'string' && Number.isFinite(arm.angle) && Array.isArray(arm.lanes) && Number.isFinite(arm.exits),
            );
            const names = arms.map((arm) => arm.name);
            const known = (name: unknown, otherwise: string) => (typeof name === 'string' && names.includes(name) ? name : otherwise);
            return arms.length < 2 ? start : { ...start, ...said, arms, from: known(said.from, names[0]!), to: known(said.to, names[1]!) };
        } catch {
            return start;
        }
    };

export const lanes = (rules: Rules): Codec<RingState> => ({ read: read({ ...START, speed: usual(START.speed, rules.speed_unit) }), write });

/** Which way an arrow bends from one arm to another: -1 to the kerb's side, 0 ahead, 1 across. */
export function bend(from: number, to: number): -1 | 0 | 1 {
    const seen = (to - from + 360) % 360;
    return Math.abs(seen - 180) <= 10 ? 0 : seen < 180 && seen > 0 ? -1 : 1;
}

/** A name painted on a lane, or taken off it again. */
export function painted(state: RingState, arm: string, lane: number, name: string): RingState {
    const swap = (to: string[]) => (to.includes(name) ? to.filter((other) => other !== name) : [...to, name]);
    return {
        ...state,
        arms: state.arms.map((one) =>
            one.name === arm ? { ...one, lanes: one.lanes.map((each, i) => (i === lane - 1 ? { ...each, to: swap(each.to) } : each)) } : one,
        ),
    };
}

export const MOST_LANES = 4;

/** One lane in more or fewer, the furthest from the kerb. */
export function withLanes(state: RingState, arm: string, by: 1 | -1): RingState {
    const change = (lanes: DrawnLane[]) =>
        by === 1 ? (lanes.length < MOST_LANES ? [...lanes, { to: [] }] : lanes) : lanes.length > 1 ? lanes.slice(0, -1) : lanes;
    return { ...state, arms: state.arms.map((one) => (one.name === arm ? { ...one, lanes: change(one.lanes) } : one)) };
}

/** A name for one more arm that none has yet. */
export function freshName(arms: DrawnArm[]): string {
    let number = arms.length + 1;
    while (arms.some((arm) => arm.name === `Arm ${number}`)) number += 1;
    return `Arm ${number}`;
}

/** The middle of the widest gap between arms, where one more has most room. */
export function widestGap(arms: DrawnArm[]): number {
    const angles = arms.map((arm) => arm.angle).sort((one, other) => one - other);
    const gaps = angles.map((angle, i) => ({ angle, wide: (angles[(i + 1) % angles.length]! - angle + 360) % 360 || 360 }));
    const widest = gaps.reduce((best, gap) => (gap.wide > best.wide ? gap : best));
    return Math.round((widest.angle + widest.wide / 2) % 360);
}
