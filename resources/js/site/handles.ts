import type { Side } from '@/api/types';
import { armIs, armWords, isMet, laned, type Arm, type Draft } from './draft';
import { at, beside, bow, halves, inLane, inwards, LANE, lie, REACH, type Point } from './geometry';

/** One figure of a site that is held on its picture: pulled by hand, moved by key, and said beside it. */
export interface Handle {
    /** Of which road, and which figure: a run of changes of the same is taken back at once. */
    id: string;
    label: string;
    value: number;
    least: number;
    most: number;
    /** By how much a key moves it; with Shift by one. */
    step: number;
    words: (value: number) => string;
    at: Point;
    /** How far on the picture, m, and which way, one more of it lies. */
    one: Point;
    to: (draft: Draft, value: number) => Draft;
}

export interface Drawn {
    draft: Draft;
    keeps: Side;
    /** How far from the middle the mouths lie, m. */
    out: number;
    /** From the middle to the edge of the picture, m. */
    reach: number;
    /** Roads seen to the left and to the right from the line of the road that is held, and how far along them, m, where it is known. */
    met: { left?: Arm; right?: Arm };
    seen: { left?: number; right?: number };
}

const metres = (value: number) => `${value} m`;

/** As far as anything lies before a line: farther nobody draws. */
const MOST_BEFORE_M = 500;
const MOST_LANES = 4;
/** What is seen of a road where nobody has said it: where the handle waits, m. */
const UNSAID_M = 25;
/** The lanes are held so far beyond the mouth, m. */
const HELD_M = 9;
/** What is seen farther than this share of the picture is held there. */
const MOST_OUT = 0.6;
/** The end of a row is held so far beside it, off the road, m on the smallest picture. */
const CLEAR_M = 5;
/** So much of the radius of a bend a metre on the picture is: its bow is flat. */
const RADIUS_PER_M = 10;

const scaled = ([x, y]: Point, by: number): Point => [x * by, y * by];

/** What it can be that is nearest to it. */
export const bounded = ({ least, most }: Pick<Handle, 'least' | 'most'>, value: number): number => Math.min(most, Math.max(least, Math.round(value)));

/** A figure moved to where somebody put it, within its bounds and on whole ones. */
export const put = (handle: Handle, draft: Draft, value: number): Draft => handle.to(draft, bounded(handle, value));

/** How much more of it lies under a point that was moved by so much on the picture. */
export const pulled = ({ one: [x, y] }: Handle, [dx, dy]: Point): number => (dx * x + dy * y) / (x * x + y * y);

/** What is held of the road one comes from, beside what stands or opens along it. */
export function handlesOf(arm: Arm, drawn: Drawn): Handle[] {
    return [...lanes(arm, drawn), ...mouthOf(arm, drawn), ...views(arm, drawn), ...bends(arm, drawn), ...hills(arm, drawn), ...ends(arm, drawn)];
}

function lanes(arm: Arm, { draft, keeps, out }: Drawn): Handle[] {
    const half = halves(arm);
    return (['lanes_in', 'lanes_out'] as const).map((name) => {
        const [side, wide, other] = name === 'lanes_in' ? [inwards(keeps), half.in, arm.lanes_out ?? 1] : [-inwards(keeps), half.out, arm.lanes_in ?? 1];
        return {
            id: `${name} of ${arm.id}`,
            label: `Lanes ${name === 'lanes_in' ? 'in' : 'out'} of ${armWords(arm, draft.arms)}`,
            value: arm[name] ?? 1,
            // A road leads somewhere.
            least: other > 0 ? 0 : 1,
            most: MOST_LANES,
            step: 1,
            words: (value) => (value === 1 ? '1 lane' : `${value} lanes`),
            at: lie(arm, out + HELD_M, side * wide),
            one: at(arm.bearing_deg, 0, side * LANE),
            to: (now, value) => armIs(now, arm.id, laned(arm, name, value)),
        };
    });
}

/** The line itself: moved along the road met where it lies staggered, and back behind a box for cycles at lights. */
function mouthOf(arm: Arm, { draft, keeps, out }: Drawn): Handle[] {
    if ((arm.lanes_in ?? 1) === 0) return [];
    const across = (inwards(keeps) * halves(arm).in) / 2;
    const [label, set] = [
        `The line of ${armWords(arm, draft.arms)}`,
        (part: (value: number) => Partial<Arm>) => (now: Draft, value: number) => armIs(now, arm.id, part(value)),
    ];
    if (arm.control === 'signals') {
        const value = arm.cycle_box_m ?? 0;
        return [
            {
                ...{ id: `cycle_box_m of ${arm.id}`, label, value, least: 0, most: 10, step: 1 },
                words: (deep) => (deep === 0 ? 'no box for cycles' : `${deep} m of box for cycles beyond it`),
                at: lie(arm, out + value, across),
                one: at(arm.bearing_deg, 1),
                to: set((deep) => ({ cycle_box_m: deep || undefined })),
            },
        ];
    }
    if (draft.kind !== 'junction' || (arm.control !== 'give-way' && arm.control !== 'stop')) return [];
    return [
        {
            ...{ id: `stagger_m of ${arm.id}`, label, value: arm.stagger_m ?? 0, least: -60, most: 60, step: 5 },
            words: (right) => (right === 0 ? 'in the middle' : `${Math.abs(right)} m ${right > 0 ? 'right' : 'left'} of the middle`),
            at: lie(arm, out, across),
            // To the right as seen by who comes in: to the left of who looks out.
            one: at(arm.bearing_deg, 0, -1),
            to: set((right) => ({ stagger_m: right || undefined })),
        },
    ];
}

/** How far one sees along the roads met, and where the view opens, unless it was measured: then the measures say it. */
function views(arm: Arm, { draft, keeps, out, reach, met, seen }: Drawn): Handle[] {
    const isMeasured = (of: string) => arm.measures?.some((one) => one.of === of) ?? false;
    const sights = (['left', 'right'] as const).flatMap((side): Handle[] => {
        const road = met[side];
        if (!road || isMeasured(`sight_${side}`)) return [];
        const value = seen[side];
        return [
            {
                ...{ id: `sight_${side}_m of ${arm.id}`, label: `Seen to the ${side} from the line`, value: Math.round(value ?? UNSAID_M) },
                ...{ least: 0, most: 1000, step: 5 },
                words: (far) => (value === undefined && far === UNSAID_M ? 'not said yet' : metres(far)),
                // Short of the end of that road, which is pressed to go there.
                at: inLane(road, 'in', Math.min(value ?? UNSAID_M, reach * MOST_OUT), keeps),
                one: at(road.bearing_deg, 1),
                to: (now, far) => armIs(now, arm.id, { [`sight_${side}_m`]: far }),
            },
        ];
    });
    const from = arm.view_from_m;
    if (from === undefined || isMeasured('view_from') || !isMet(draft.kind)) return sights;
    return [
        ...sights,
        {
            ...{ id: `view_from_m of ${arm.id}`, label: 'Where the view opens', value: from, least: 0, most: 200, step: 1 },
            words: (far) => `${far} m before the line`,
            at: beside(arm, Math.min(from, reach - out), keeps, out, keeps, 0),
            one: at(arm.bearing_deg, 1),
            to: (now, far) => armIs(now, arm.id, { view_from_m: far }),
        },
    ];
}

/** The bend on the way: where it begins and ends, and how tight it is. */
function bends(arm: Arm, { keeps, out }: Drawn): Handle[] {
    const bend = arm.bend;
    if (!bend) return [];
    const { radius_m: radius = 40, from_m: from = 80, to_m: to = 50 } = bend;
    const [begins, top, ends] = bow(arm, out, keeps);
    const set =
        (part: (value: number) => typeof bend): Handle['to'] =>
        (now, value) =>
            armIs(now, arm.id, { bend: { ...bend, ...part(value) } });
    const before = (value: number) => `${value} m before the line`;
    return [
        {
            ...{ id: `bend from of ${arm.id}`, label: 'The bend begins', value: from, least: to + 1, most: MOST_BEFORE_M, step: 5, words: before },
            at: begins,
            one: at(arm.bearing_deg, 1),
            to: set((value) => ({ from_m: value })),
        },
        {
            ...{ id: `bend to of ${arm.id}`, label: 'The bend ends', value: to, least: 0, most: from - 1, step: 5, words: before },
            at: ends,
            one: at(arm.bearing_deg, 1),
            to: set((value) => ({ to_m: value })),
        },
        {
            ...{ id: `bend radius of ${arm.id}`, label: 'How tight the bend is', value: radius, least: 5, most: 2000, step: 5 },
            words: (value) => `radius ${value} m`,
            at: top,
            // The tighter, the farther its bow stands out from the kerb.
            one: scaled(at(arm.bearing_deg, 0, -inwards(keeps)), 1 / RADIUS_PER_M),
            to: set((value) => ({ radius_m: value })),
        },
    ];
}

/** A crest or a dip on the way: where it begins and ends, off the road on the side that is not ours: the bend is held on ours. */
function hills(arm: Arm, { keeps, out }: Drawn): Handle[] {
    return (['crest', 'dip'] as const).flatMap((kind): Handle[] => {
        const hill = arm[kind];
        if (!hill) return [];
        const { from_m: from = 120, to_m: to = 80 } = hill;
        const set =
            (end: 'from_m' | 'to_m'): Handle['to'] =>
            (now, value) =>
                armIs(now, arm.id, { [kind]: { ...hill, [end]: value } });
        const off = (metres: number) => beside(arm, metres, keeps === 'left' ? 'right' : 'left', out, keeps, CLEAR_M);
        const held = { words: (value: number) => `${value} m before the line`, one: at(arm.bearing_deg, 1), step: 5 };
        return [
            {
                ...{ ...held, id: `${kind} from of ${arm.id}`, label: `The ${kind} begins`, value: from, least: to + 1, most: MOST_BEFORE_M },
                at: off(from),
                to: set('from_m'),
            },
            {
                ...{ ...held, id: `${kind} to of ${arm.id}`, label: `The ${kind} ends`, value: to, least: 0, most: from - 1 },
                at: off(to),
                to: set('to_m'),
            },
        ];
    });
}

const ROWS = { openings: 'An opening', parked: 'Parked cars' } as const;
type Row = keyof typeof ROWS;
const rowWords = (arm: Arm, draft: Draft, what: Row, side: Side) => `${ROWS[what]} on the ${side} of ${armWords(arm, draft.arms)}`;

/** How far aside of the kerb what stands or opens there is drawn, m. */
export const aside = (what: Row): number => (what === 'openings' ? 1.5 : -1);

/** How far back a row reaches. */
function ends(arm: Arm, { draft, keeps, out, reach }: Drawn): Handle[] {
    return (['openings', 'parked'] as const).flatMap((what) =>
        (arm[what] ?? []).map(({ side = keeps, from_m: far = 0, to_m: near = 0 }, i, rows): Handle => ({
            ...{ id: `end of ${what} ${i} of ${arm.id}`, label: `${rowWords(arm, draft, what, side)}: how long`, value: far - near },
            ...{ least: 1, most: MOST_BEFORE_M, step: 1, words: metres },
            // Clear of the row, which is moved by being held, and of the end of the road.
            at: beside(arm, far, side, out, keeps, aside(what) + CLEAR_M * (reach / REACH)),
            one: at(arm.bearing_deg, 1),
            to: (now, long) => armIs(now, arm.id, { [what]: rows.map((row, at) => (at === i ? { ...row, from_m: near + long } : row)) }),
        })),
    );
}

/** What stands or opens beside a road is moved as long as it is, never beyond the line. */
export function rowHandle(arm: Arm, what: Row, i: number, { draft, keeps, out }: Pick<Drawn, 'draft' | 'keeps' | 'out'>): Handle {
    const rows = arm[what]!;
    const { side = keeps, from_m: far = 0, to_m: near = 0 } = rows[i]!;
    return {
        ...{ id: `${what} ${i} of ${arm.id}`, label: rowWords(arm, draft, what, side), value: near, least: 0, most: MOST_BEFORE_M, step: 5 },
        words: (value) => `${value + far - near} to ${value} m before`,
        at: beside(arm, (far + near) / 2, side, out, keeps, aside(what)),
        one: at(arm.bearing_deg, 1),
        to: (now, value) => armIs(now, arm.id, { [what]: rows.map((row, at) => (at === i ? { ...row, from_m: value + far - near, to_m: value } : row)) }),
    };
}
