import type { Site, SiteArm } from '@/api/types';

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
}

/** Two roads nearer each other than this cannot be told apart: the core refuses them, degrees. */
export const LEAST_APART = 10;
const MOST_ARMS = 8;

const cross = { n: 0, e: 90, s: 180, w: 270 } as const;
type Point = keyof typeof cross;

const arms = (control: (at: Point) => NonNullable<SiteArm['control']>, points: Point[]): Arm[] =>
    points.map((at) => ({ id: at, name: at === 'w' || at === 'e' ? 'Main road' : 'Side road', bearing_deg: cross[at], control: control(at) }));
const mainRoadOver = (at: Point) => (at === 'w' || at === 'e' ? 'none' : 'give-way');

/** What one begins to draw with: the line that is usual there, and two names to be written over. */
export const STARTS = {
    t: { words: 'A T', kind: 'junction', arms: arms(mainRoadOver, ['w', 'e', 's']) },
    crossroads: { words: 'A {crossroads}', kind: 'junction', arms: arms(mainRoadOver, ['w', 'n', 'e', 's']) },
    lights: { words: 'Lights', kind: 'junction', arms: arms(() => 'signals', ['w', 'n', 'e', 's']) },
    roundabout: { words: 'A roundabout', kind: 'roundabout', arms: arms(() => 'give-way', ['w', 'n', 'e', 's']) },
    mini: { words: 'A mini-roundabout', kind: 'mini-roundabout', arms: arms(() => 'give-way', ['w', 'e', 's']) },
} as const satisfies Record<string, { words: string; kind: Site['kind']; arms: Arm[] }>;

export type Start = keyof typeof STARTS;
export const isStart = (word: string | null): word is Start => word !== null && word in STARTS;

export const begun = (start: Start): Draft => ({
    name: '',
    kind: STARTS[start].kind,
    arms: STARTS[start].arms.map((arm) => ({ ...arm })),
    latitude_deg: null,
    longitude_deg: null,
    note: '',
});

export const drawnBefore = ({ name, kind, arms, latitude_deg, longitude_deg, note }: Site): Draft => ({
    name,
    kind,
    arms: arms as Arm[],
    latitude_deg,
    longitude_deg,
    note: note ?? '',
});

/** From 0 to under 360. */
export const round = (degrees: number): number => ((degrees % 360) + 360) % 360;

/** Between two directions, 0 to 180 degrees. */
export const apart = (one: number, other: number): number => Math.abs(round(one - other + 180) - 180);

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
    if (draft.arms.length >= MOST_ARMS) return draft;
    const lie = draft.arms.map((arm) => arm.bearing_deg).sort((one, other) => one - other);
    const gaps = lie.map((from, i) => ({ from, wide: round((lie[(i + 1) % lie.length] ?? from) - from) }));
    const { from, wide } = gaps.reduce((most, gap) => (gap.wide > most.wide ? gap : most));
    const taken = new Set(draft.arms.map((arm) => arm.id));
    const id = Array.from({ length: MOST_ARMS + 1 }, (_, i) => `r${i + 1}`).find((free) => !taken.has(free))!;
    const control = draft.arms.some((arm) => arm.control === 'signals') ? 'signals' : 'give-way';
    return { ...draft, arms: [...draft.arms, { id, name: 'Another road', bearing_deg: Math.round(round(from + wide / 2)), control }] };
}

export const leastArms = (kind: Site['kind']): number => (kind === 'junction' ? 3 : 2);

export function withoutArm(draft: Draft, id: string): Draft {
    return draft.arms.length <= leastArms(draft.kind) ? draft : { ...draft, arms: draft.arms.filter((arm) => arm.id !== id) };
}

const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;
export const compass = (bearing: number): string => COMPASS[Math.round(round(bearing) / 45) % 8]!;

/** As it is told from the others: a road that comes twice with its compass point. */
export function armWords(arm: Pick<Arm, 'name' | 'bearing_deg'>, all: readonly Pick<Arm, 'name'>[]): string {
    return all.filter((other) => other.name === arm.name).length > 1 ? `${arm.name} (${compass(arm.bearing_deg)})` : arm.name;
}
