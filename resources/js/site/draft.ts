import type { Side, Site, SiteArm } from '@/api/types';

/** A road of a site while it is drawn: told apart by its id, named, and lying somewhere. */
export type Arm = SiteArm & { id: string; name: string; bearing_deg: number };

/** A site while it is drawn. */
export interface Draft {
    name: string;
    kind: Site['kind'];
    arms: Arm[];
    latitude_deg: number | null;
    longitude_deg: number | null;
    note: string;
    /** What instructors say of its ways. */
    remarks: Remark[];
}

export type Remark = Site['remarks'][number];

/** Two roads nearer each other than this cannot be told apart: the core refuses them, degrees. */
export const LEAST_APART = 10;

/** How many roads each kind has at the least and at the most, as the core takes them. */
const ARMS: Record<Site['kind'], readonly [number, number]> = {
    junction: [3, 8],
    roundabout: [2, 8],
    'mini-roundabout': [2, 8],
    spiral: [2, 8],
    slip: [3, 4],
    stretch: [2, 2],
    kerb: [1, 2],
};

/** What a site is called by its kind; words that differ from place to place in braces. */
export const KINDS: Record<Site['kind'], string> = {
    junction: '{junction}',
    roundabout: 'roundabout',
    'mini-roundabout': 'mini-roundabout',
    spiral: 'spiral roundabout',
    slip: '{slip road}',
    stretch: 'stretch of road',
    kerb: '{kerb}',
};

/** Whether there is a circle to be gone round. */
export const isRound = (kind: Site['kind']): boolean => kind === 'roundabout' || kind === 'mini-roundabout' || kind === 'spiral';

/** Whether roads meet there, and lines say who goes. */
export const isMet = (kind: Site['kind']): boolean => kind === 'junction' || isRound(kind);

const cross = { n: 0, e: 90, s: 180, w: 270 } as const;
type Point = keyof typeof cross;

const arms = (control: (at: Point) => NonNullable<SiteArm['control']>, points: Point[]): Arm[] =>
    points.map((at) => ({ id: at, name: at === 'w' || at === 'e' ? 'Main road' : 'Side road', bearing_deg: cross[at], control: control(at) }));
const mainRoadOver = (at: Point) => (at === 'w' || at === 'e' ? 'none' : 'give-way');

/** How far the mouths of a staggered crossroads lie apart where one begins to draw it, half of it each, m. */
const HALF_STAGGER_M = 10;

const along = (holds: NonNullable<SiteArm['holds']>): Arm[] => [
    { id: 'w', name: 'This road', bearing_deg: 270, holds },
    { id: 'e', name: 'This road', bearing_deg: 90, holds },
];
const fast = (slip: Arm): Arm[] => [
    { id: 'w', name: 'Main road', bearing_deg: 270, lanes_in: 2, lanes_out: 0 },
    { id: 'e', name: 'Main road', bearing_deg: 90, lanes_in: 0, lanes_out: 2 },
    slip,
];

/** What one begins to draw with: the line that is usual there, and names to be written over. */
export const STARTS = {
    t: { words: 'A T', kind: 'junction', arms: arms(mainRoadOver, ['w', 'e', 's']) },
    crossroads: { words: 'A {crossroads}', kind: 'junction', arms: arms(mainRoadOver, ['w', 'n', 'e', 's']) },
    lights: { words: 'Lights', kind: 'junction', arms: arms(() => 'signals', ['w', 'n', 'e', 's']) },
    roundabout: { words: 'A roundabout', kind: 'roundabout', arms: arms(() => 'give-way', ['w', 'n', 'e', 's']) },
    mini: { words: 'A mini-roundabout', kind: 'mini-roundabout', arms: arms(() => 'give-way', ['w', 'e', 's']) },
    spiral: { words: 'A spiral', kind: 'spiral', arms: arms(() => 'give-way', ['w', 'n', 'e', 's']).map((arm) => ({ ...arm, lanes_in: 3 })) },
    staggered: {
        words: 'A staggered {crossroads}',
        kind: 'junction',
        arms: arms(mainRoadOver, ['w', 'n', 'e', 's']).map((arm) => (arm.control === 'give-way' ? { ...arm, stagger_m: HALF_STAGGER_M } : arm)),
    },
    'slip-on': { words: 'A {slip road} on', kind: 'slip', arms: fast({ id: 's', name: 'Slip road', bearing_deg: 240, slip: true, lanes_out: 0 }) },
    'slip-off': { words: 'A {slip road} off', kind: 'slip', arms: fast({ id: 's', name: 'Slip road', bearing_deg: 120, slip: true, lanes_in: 0 }) },
    stretch: { words: 'A stretch of road', kind: 'stretch', arms: along(['parked']) },
    kerb: { words: 'A {kerb}', kind: 'kerb', arms: along(['free-kerb']) },
    'car-park': { words: 'A car park', kind: 'kerb', arms: [{ id: 'w', name: 'Car park', bearing_deg: 270, holds: ['bay'] }] },
} satisfies Record<string, { words: string; kind: Site['kind']; arms: Arm[] }>;

export type Start = keyof typeof STARTS;
export const isStart = (word: string | null): word is Start => word !== null && word in STARTS;

export const begun = (start: Start, keeps: Side = 'left'): Draft => ({
    name: '',
    kind: STARTS[start].kind,
    arms: start === 'spiral' ? painted(STARTS.spiral.arms, keeps) : STARTS[start].arms.map((arm) => ({ ...arm })),
    latitude_deg: null,
    longitude_deg: null,
    note: '',
    remarks: [],
});

export const drawnBefore = ({ name, kind, arms, latitude_deg, longitude_deg, note, remarks }: Site): Draft => ({
    name,
    kind,
    arms: arms as Arm[],
    latitude_deg,
    longitude_deg,
    note: note ?? '',
    remarks,
});

/** From 0 to under 360. */
export const round = (degrees: number): number => ((degrees % 360) + 360) % 360;

/** Between two directions, 0 to 180 degrees. */
export const apart = (one: number, other: number): number => Math.abs(round(one - other + 180) - 180);

/** Every lane into a spiral leads to an exit of its own: that next to the kerb to the first. */
const painted = (drawn: Arm[], keeps: Side): Arm[] =>
    drawn.map((arm) => {
        const onward = (other: Arm) => round((other.bearing_deg - arm.bearing_deg) * (keeps === 'left' ? 1 : -1));
        const exits = drawn.filter((other) => other !== arm).sort((one, other) => onward(one) - onward(other));
        return { ...arm, approach_lanes: exits.map(({ id }) => ({ to: [id] })) };
    });

/** An arm lies elsewhere; beside another it stops where the two can still be told apart. */
export function turned(draft: Draft, id: string, bearing: number): Draft {
    const wanted = round(Math.round(bearing));
    const others = draft.arms.filter((arm) => arm.id !== id);
    return others.some((arm) => apart(arm.bearing_deg, wanted) < LEAST_APART) ? draft : armIs(draft, id, { bearing_deg: wanted });
}

/** Says more of an arm; what is undefined is no longer said. */
export function armIs(draft: Draft, id: string, part: Partial<Arm>): Draft {
    const arms = draft.arms.map((arm) =>
        arm.id === id ? (Object.fromEntries(Object.entries<unknown>({ ...arm, ...part }).filter(([, said]) => said !== undefined)) as Arm) : arm,
    );
    return { ...draft, arms };
}

/** A road that goes on under one name is named at both its ends at once. */
export function named(draft: Draft, id: string, name: string): Draft {
    const before = draft.arms.find((arm) => arm.id === id)?.name;
    return { ...draft, arms: draft.arms.map((arm) => (arm.name === before ? { ...arm, name } : arm)) };
}

/** One arm more, where there is most room for it. */
export function withArm(draft: Draft): Draft {
    if (!hasRoom(draft)) return draft;
    const lie = draft.arms.map((arm) => arm.bearing_deg).sort((one, other) => one - other);
    const gaps = lie.map((from, i) => ({ from, wide: round((lie[(i + 1) % lie.length] ?? from) - from) }));
    const { from, wide } = gaps.reduce((most, gap) => (gap.wide > most.wide ? gap : most));
    const taken = new Set(draft.arms.map((arm) => arm.id));
    const id = Array.from({ length: draft.arms.length + 1 }, (_, i) => `r${i + 1}`).find((free) => !taken.has(free))!;
    return { ...draft, arms: [...draft.arms, { id, name: 'Another road', bearing_deg: Math.round(round(from + wide / 2)), ...like(draft) }] };
}

/** What another road at such a site begins as. */
function like({ kind, arms }: Draft): Partial<Arm> {
    if (kind === 'slip') return arms.some((arm) => arm.slip && arm.lanes_in === 0) ? { slip: true, lanes_out: 0 } : { slip: true, lanes_in: 0 };
    if (!isMet(kind)) return {};
    return { control: arms.some((arm) => arm.control === 'signals') ? 'signals' : 'give-way' };
}

export const hasRoom = ({ kind, arms }: Pick<Draft, 'kind' | 'arms'>): boolean => arms.length < ARMS[kind][1];

export const leastArms = (kind: Site['kind']): number => ARMS[kind][0];

export function withoutArm(draft: Draft, id: string): Draft {
    if (draft.arms.length <= leastArms(draft.kind)) return draft;
    const isOf = ({ from, to }: Remark) => from === id || to === id;
    const arms = draft.arms.filter((arm) => arm.id !== id).map((arm) => unpainted(arm, id));
    return { ...draft, arms, remarks: draft.remarks.filter((said) => !isOf(said)) };
}

/** Nothing painted leads to an arm that is no more. */
const unpainted = (arm: Arm, id: string): Arm =>
    arm.approach_lanes
        ? { ...arm, approach_lanes: arm.approach_lanes.map((lane) => ({ ...lane, ...(lane.to ? { to: lane.to.filter((one) => one !== id) } : {}) })) }
        : arm;

/** So many lanes: what is said of each stays with those that are left, and of a new one nothing is. */
export function laned(arm: Arm, name: 'lanes_in' | 'lanes_out', number: number): Partial<Arm> {
    const sized = <Lane>(lanes: Lane[] | undefined, empty: Lane): Lane[] | undefined =>
        lanes && number > 0 ? Array.from({ length: number }, (_, i) => lanes[i] ?? empty) : undefined;
    return name === 'lanes_in'
        ? { lanes_in: number, approach_lanes: sized(arm.approach_lanes, {}) }
        : { lanes_out: number, exit_lanes: sized(arm.exit_lanes, {}) };
}

type WayOf = Pick<Remark, 'from' | 'to' | 'routine'>;

const isSame = (one: WayOf, other: WayOf) => one.from === other.from && one.to === other.to && one.routine === other.routine;

export const remarkOf = (draft: Pick<Draft, 'remarks'>, way: WayOf): Remark | undefined => draft.remarks.find((said) => isSame(said, way));

/** Says something of a way; with nothing left to say there is no remark. */
export function remarked(draft: Draft, { from, to, routine }: WayOf, part: Pick<Remark, 'note' | 'difficulty'>): Draft {
    const said = { ...remarkOf(draft, { from, to, routine }), from, to, routine, ...part };
    const others = draft.remarks.filter((one) => !isSame(one, said));
    return { ...draft, remarks: said.note || said.difficulty ? [...others, said] : others };
}

const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;
export const compass = (bearing: number): string => COMPASS[Math.round(round(bearing) / 45) % 8]!;

/** As it is told from the others: a road that comes twice with its compass point. */
export function armWords(arm: Pick<Arm, 'name' | 'bearing_deg'>, all: readonly Pick<Arm, 'name'>[]): string {
    return all.filter((other) => other.name === arm.name).length > 1 ? `${arm.name} (${compass(arm.bearing_deg)})` : arm.name;
}
