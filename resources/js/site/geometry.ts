import type { Side } from '@/api/types';
import { isRound, type Arm, type Draft } from './draft';

/** Where everything of a site lies on its picture, in metres from the middle: north is up. */

export type Point = readonly [number, number];

/** From the middle to the edge of the picture where nothing lies farther out, and where something does, m. */
export const REACH = 46;
const MOST_REACH = 130;
/** Where the ends of the arms lie, at which they are held and chosen, before the edge, as a share of the reach. */
const HOLD = 40 / 46;
/** Where the roads end, beyond the edge of a picture that is wider than it is high, m. */
const BEYOND = 2 * MOST_REACH;
export const LANE = 3.5;
const MINI_RADIUS = 6;
const RING_RADIUS = 14;

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** So far out along a bearing, and so far to the right of who looks outwards. */
export const at = (bearing: number, out: number, right = 0): Point => [
    out * Math.sin(radians(bearing)) + right * Math.cos(radians(bearing)),
    -out * Math.cos(radians(bearing)) + right * Math.sin(radians(bearing)),
];

/** So far out along an arm, and so far to the right of who looks outwards: the mouth of a staggered one lies beside the middle. */
export const lie = (arm: Arm, out: number, right = 0): Point => at(arm.bearing_deg, out, right - (arm.stagger_m ?? 0));

/** Where an arm is held and its name stands. */
export const hold = (arm: Arm, reach: number): Point => lie(arm, reach * HOLD);

/** The bearing under a point of the picture. */
export const bearingOf = ([x, y]: Point): number => (Math.atan2(x, -y) * 180) / Math.PI;

const said = ([x, y]: Point): string => `${x.toFixed(2)},${y.toFixed(2)}`;

export const line = (points: readonly Point[]): string => points.map((point, i) => `${i ? 'L' : 'M'}${said(point)}`).join(' ');

const lanesIn = (arm: Arm) => arm.lanes_in ?? 1;
const lanesOut = (arm: Arm) => arm.lanes_out ?? 1;

/** Half of an arm's surface, m: to the sides of the line between in and out. */
export const halves = (arm: Arm): { in: number; out: number } => ({ in: lanesIn(arm) * LANE, out: lanesOut(arm) * LANE });

/** Which side of the middle line traffic comes in on, seen by who looks outwards: 1 right, -1 left. */
export const inwards = (keeps: Side): 1 | -1 => (keeps === 'left' ? 1 : -1);

/** How far from the middle the mouths lie, m. */
export function mouth({ kind, arms }: Pick<Draft, 'kind' | 'arms'>): number {
    if (kind === 'stretch' || kind === 'kerb') return 0;
    if (kind === 'mini-roundabout') return MINI_RADIUS + 2 * LANE;
    if (isRound(kind)) return RING_RADIUS + ringLanes(arms) * LANE;
    return Math.max(...arms.map((arm) => Math.max(halves(arm).in, halves(arm).out))) + 3;
}

export const ringLanes = (arms: readonly Arm[]): number => Math.max(1, ...arms.map(lanesIn));

export const islandRadius = (kind: Draft['kind']): number => (kind === 'mini-roundabout' ? 2 : isRound(kind) ? RING_RADIUS : 0);

/** The surface of an arm, from the middle outwards. */
export function surface(arm: Arm, keeps: Side): string {
    const { in: coming, out: going } = halves(arm);
    const side = inwards(keeps);
    const corners: Point[] = [lie(arm, 0, side * coming), lie(arm, BEYOND, side * coming)];
    return `${line([...corners, lie(arm, BEYOND, -side * going), lie(arm, 0, -side * going)])} Z`;
}

/** Across the lanes that come in, so far from the middle. */
export function acrossIn(arm: Arm, out: number, keeps: Side): [Point, Point] {
    const side = inwards(keeps);
    return [lie(arm, out, side * 0.2), lie(arm, out, side * (halves(arm).in - 0.2))];
}

/** The middle of a lane, in or out, so far from the middle of the site; the first is next to the kerb. */
export function inLane(arm: Arm, direction: 'in' | 'out', out: number, keeps: Side, lane = 1): Point {
    const lanes = direction === 'in' ? lanesIn(arm) : lanesOut(arm);
    const aside = (Math.max(1, lanes) - lane + 0.5) * LANE;
    return lie(arm, out, (direction === 'in' ? 1 : -1) * inwards(keeps) * aside);
}

/** From the middle to the edge of a picture that shows all that stands or opens beside its roads, m. */
export function reaching(draft: Pick<Draft, 'kind' | 'arms'>): number {
    const far = draft.arms.flatMap(({ openings = [], parked = [], bend, crest, dip }) =>
        [...openings, ...parked, ...(bend ? [bend] : []), ...(crest ? [crest] : []), ...(dip ? [dip] : [])].map(({ from_m: metres = 0 }) => metres),
    );
    return Math.min(MOST_REACH, Math.max(REACH, ...far.map((metres) => (mouth(draft) + metres + 8) / HOLD)));
}

/** The middle line of an arm, from the mouth outwards. */
export const middle = (arm: Arm, out: number): string => line([lie(arm, out + 1), lie(arm, BEYOND)]);

/** At the kerb's side, or opposite, so far before the line: where cars stand or an opening is. */
export function beside(arm: Arm, before: number, side: Side, line: number, keeps: Side, wide = 1): Point {
    // Who comes in looks the other way than who looks outwards.
    const ours = side === keeps;
    const half = ours ? halves(arm).in : halves(arm).out;
    return lie(arm, line + before, (ours ? 1 : -1) * inwards(keeps) * (half + wide));
}

/** The flattest and the fullest bow that is drawn for a bend, m out from the kerb. */
const BOW = { least: 1.5, most: 12 };

/**
 * A bend on the way, beside the kerb of who comes in: where it begins, how far it bows out at the most, and where it ends. To which side it bends
 * nobody has said: it is drawn off the road.
 */
export function bow(arm: Arm, out: number, keeps: Side): [Point, Point, Point] {
    const { radius_m: radius = 40, from_m: far = 80, to_m: near = 50 } = arm.bend ?? {};
    const chord = Math.max(0, far - near);
    const rise = Math.min(BOW.most, Math.max(BOW.least, chord ** 2 / (8 * radius)));
    const point = (metres: number, wide: number) => beside(arm, metres, keeps, out, keeps, wide);
    return [point(far, 1), point((far + near) / 2, 1 + rise), point(near, 1)];
}

/** How far from our path through a bend a hedge is drawn, out from the kerb, m: beyond the bow. */
const HEDGE_M = 1.6;

/** What hides the bend along its inside: a bow beside that of the bend. */
export const hedge = (arm: Arm, out: number, keeps: Side): [Point, Point, Point] => {
    const { from_m: far = 80, to_m: near = 50 } = arm.bend ?? {};
    const [, [x, y]] = bow(arm, out, keeps);
    const [dx, dy] = at(arm.bearing_deg, 0, inwards(keeps) * HEDGE_M);
    return [beside(arm, far, keeps, out, keeps, 1 + HEDGE_M), [x + dx, y + dy], beside(arm, near, keeps, out, keeps, 1 + HEDGE_M)];
};

/** Strokes keep so far from the middle of a crest or a dip, at the most, m; and are so wide at their upper end. */
const STROKE = { clear: 1.2, wide: 0.9 };

/**
 * A crest or a dip on the way, over the whole width of the road, as hills are drawn on maps: strokes that point downhill, each given by its two upper
 * corners and its point. From the top of a crest to both sides, from both edges of a dip to its middle.
 */
export function fallStrokes(arm: Arm, kind: 'crest' | 'dip', out: number, keeps: Side): [Point, Point, Point][] {
    const { from_m: far = 120, to_m: near = 80 } = arm[kind] ?? {};
    const [coming, going] = [halves(arm).in, halves(arm).out];
    const middle = out + (far + near) / 2;
    const half = Math.max(1, Math.abs(far - near) / 2);
    const [inner, outer] = [Math.min(STROKE.clear, half * 0.3), half];
    const [high, low] = kind === 'crest' ? [inner, outer] : [outer, inner];
    const lines = Math.max(2, Math.round((coming + going) / 2.4));
    return Array.from({ length: lines }, (_, i) => {
        const aside = inwards(keeps) * (coming - ((i + 0.5) / lines) * (coming + going));
        return ([1, -1] as const).map((way): [Point, Point, Point] => [
            lie(arm, middle + way * high, aside - STROKE.wide / 2),
            lie(arm, middle + way * high, aside + STROKE.wide / 2),
            lie(arm, middle + way * low, aside),
        ]);
    }).flat();
}

/** Which lane in is painted for a way, the first next to the kerb; that one where nothing is painted for it. */
export const paintedLane = (from: Arm, to: Arm): number =>
    Math.min(lanesIn(from), Math.max(0, from.approach_lanes?.findIndex((lane) => lane.to?.includes(to.id)) ?? 0) + 1);

/** The way of a car through the site: along its lane, round or across, and out. */
export function path(draft: Pick<Draft, 'kind' | 'arms'>, from: Arm, to: Arm, keeps: Side, reach = REACH): string {
    const out = mouth(draft);
    const lane = paintedLane(from, to);
    const [start, enter] = [inLane(from, 'in', BEYOND, keeps, lane), inLane(from, 'in', out, keeps, lane)];
    const [leave, end] = [inLane(to, 'out', out, keeps), inLane(to, 'out', reach - 4, keeps)];
    // To a kerb or into a bay: as far as it is.
    if (from === to) return line([start, inLane(from, 'in', 0, keeps)]);
    if (from.holds?.some((feature) => feature === 'parked' || feature === 'narrow')) {
        // Out round what stands on our side, and in again.
        return line([start, inLane(from, 'in', 33, keeps), lie(from, 27), lie(from, 6), inLane(to, 'out', 2, keeps), end]);
    }
    if (!isRound(draft.kind)) {
        // Towards the middle of either lane: a wide turn becomes a wide bend, a sharp one a sharp.
        const [a, b] = [inLane(from, 'in', out * 0.25, keeps, lane), inLane(to, 'out', out * 0.25, keeps)];
        return `${line([start, enter])} C${said(a)} ${said(b)} ${said(leave)} L${said(end)}`;
    }
    const by = keeps === 'left' ? 1 : -1;
    const whole = ((to.bearing_deg - from.bearing_deg) * by + 360) % 360 || 360;
    const radius = (share: number) =>
        draft.kind === 'spiral'
            ? spiralOut(Math.min(ringLanes(draft.arms), exits(draft.arms, from, to, keeps)), out, share)
            : (islandRadius(draft.kind) + out) / 2;
    const margin = Math.min(20, whole / 4);
    const steps = Math.max(2, Math.ceil((whole - 2 * margin) / 6));
    const ring = Array.from({ length: steps + 1 }, (_, i) => at(from.bearing_deg + by * (margin + ((whole - 2 * margin) * i) / steps), radius(i / steps)));
    return line([start, enter, ...ring, leave, end]);
}

/** From the middle of the lane so many from the outside, out to that of the outermost, after a share of the way round, m from the middle. */
const spiralOut = (lanes: number, out: number, share: number): number => out - LANE / 2 - Math.max(0, lanes - 1) * LANE * (1 - share);

/** Which exit an arm is from another, as it is driven round: the first is 1, back where one came from the last. */
function exits(arms: readonly Arm[], from: Arm, to: Arm, keeps: Side): number {
    const onward = (arm: Arm) => ((arm.bearing_deg - from.bearing_deg) * (keeps === 'left' ? 1 : -1) + 360) % 360 || 360;
    return arms.filter((arm) => (arm.lanes_out ?? 1) > 0 && onward(arm) <= onward(to)).length;
}

/** The lines between the lanes of a spiral: each begins at the island beside an arm and leads outward by a lane from arm to arm. */
export function spiralLines({ kind, arms }: Pick<Draft, 'kind' | 'arms'>, keeps: Side): string[] {
    const [inner, outer] = [islandRadius(kind), mouth({ kind, arms })];
    const turn = ((keeps === 'left' ? 1 : -1) * 360 * ringLanes(arms)) / arms.length;
    const steps = 24;
    return arms.map((arm) =>
        line(Array.from({ length: steps + 1 }, (_, i) => at(arm.bearing_deg + (turn * i) / steps, inner + ((outer - inner) * i) / steps))),
    );
}

/** What is seen from the line to one side: a wedge along the road met, as far as it is known, or to the edge. */
export function sight(from: Arm, towards: Arm, metres: number, line_m: number, keeps: Side, reach = REACH): string {
    const eye = inLane(from, 'in', line_m + 2, keeps);
    const far = Math.min(metres, reach + 4);
    return `${line([eye, inLane(towards, 'in', far, keeps), inLane(towards, 'out', far, keeps)])} Z`;
}
