import type { LanesAnswer, Side } from '@/api/types';
import { bend, type RingState } from '@/bench/ring';

export const LANE = 9;
export const ISLAND = 26;
export const LONG = 52;
/** Lanes of an arm are drawn a little narrower than those of the ring. */
const ARM_LANE = LANE - 2;

export type Point = [number, number];
type Stretch = Pick<LanesAnswer['path'][number], 'sector' | 'lane' | 'to_lane'>;
/** A move sideways on the roundabout: where it begins, and into which lane. */
export interface MoveOver {
    angle: number;
    to: number;
}

/** While the car goes over from one lane to the next, degrees round the roundabout. */
const DRIFT = 16;

/** The moves of our way, as they are due. */
export const movesOf = (met: LanesAnswer['met']): MoveOver[] =>
    met.flatMap(({ angle_deg: angle, to_lane: to }) => (angle === null || to === null ? [] : [{ angle, to }]));

/** Degrees on the screen: our arm lies below; in driving order arms follow clockwise where traffic keeps left. */
const screen = (angle: number) => ((angle + 90) * Math.PI) / 180;

export const line = (points: Point[]) => points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(1)},${y.toFixed(1)}`).join(' ');

/** Where everything of a roundabout or a junction lies on the picture. */
export function geometry(state: RingState, keeps: Side) {
    const zero = state.arms.find((arm) => arm.name === state.from)?.angle ?? 0;
    const lanes = Math.max(1, ...state.arms.map((arm) => arm.lanes.length));
    const widest = Math.max(...state.arms.map((arm) => arm.lanes.length + Math.max(1, arm.exits)));
    const ring = state.layout === 'roundabout';
    const outer = ring ? ISLAND + lanes * LANE : Math.max(20, (widest * ARM_LANE) / 2 + 6);
    const flip = keeps === 'left' ? 1 : -1;
    const at = (radius: number, angle: number): Point => [flip * radius * Math.cos(screen(angle)), radius * Math.sin(screen(angle))];
    /** Middle of circulating lane n, 1 outermost. */
    const ringAt = (lane: number) => outer - (lane - 0.5) * LANE;
    const seen = (angle: number) => (angle - zero + 360) % 360;
    const own = state.arms.find((arm) => arm.name === state.from)!;
    const target = state.arms.find((arm) => arm.name === state.to);
    const goal = state.to === state.from ? 360 : seen(target?.angle ?? 0);
    const sorted = [...state.arms].sort((one, other) => seen(one.angle) - seen(other.angle));
    /** On an arm, so far from the middle, so far aside of its middle line. */
    const onArm = (angle: number, radius: number, aside: number): Point => {
        const [x, y] = at(radius, angle);
        const across = screen(angle) + Math.PI / 2;
        return [x + flip * aside * Math.cos(across), y + aside * Math.sin(across)];
    };
    const aside = (lane: number) => (lane - 0.5) * ARM_LANE;
    const entry = (lane: number, from: number, radius = outer + 4) => onArm(from, radius, aside(own.lanes.length + 1 - lane));
    const outLanes = Math.max(1, target?.exits ?? 1);
    const exit = (lane: number, radius = outer + 4) => onArm(goal, radius, -aside(Math.max(1, outLanes + 1 - lane)));
    /** The surface of an arm: its lanes in on one side of the middle line, its lanes out on the other. */
    const road = (arm: RingState['arms'][number]): string => {
        const angle = seen(arm.angle);
        const [near, far] = [ring ? ISLAND : 0, outer + LONG];
        const [left, right] = [arm.lanes.length * ARM_LANE, -Math.max(1, arm.exits) * ARM_LANE];
        return `${line([onArm(angle, near, left), onArm(angle, far, left), onArm(angle, far, right), onArm(angle, near, right)])} Z`;
    };
    /** A line along an arm, so far aside of its middle line. */
    const along = (angle: number, off: number): string => line([onArm(seen(angle), outer + 2, off), onArm(seen(angle), outer + LONG, off)]);
    const dividers = (arm: RingState['arms'][number]): number[] => [
        ...Array.from({ length: arm.lanes.length - 1 }, (_, i) => (i + 1) * ARM_LANE),
        ...Array.from({ length: Math.max(0, arm.exits - 1) }, (_, i) => -(i + 1) * ARM_LANE),
    ];
    /** Arrows on an approach lane: for each way it bends a line with its head. */
    const arrows = (arm: RingState['arms'][number], lane: number): string[] => {
        const angle = seen(arm.angle);
        const off = aside(arm.lanes.length + 1 - lane);
        const names = arm.lanes[lane - 1]?.to ?? [];
        const bends = new Set(names.map((name) => bend(arm.angle, state.arms.find((one) => one.name === name)?.angle ?? 0)));
        const point = (radius: number, by: number) => onArm(angle, outer + radius, off + by);
        return [...bends].map((to) =>
            to === 0
                ? `${line([point(22, 0), point(8, 0)])} ${line([point(11, 1.6), point(8, 0), point(11, -1.6)])}`
                : // The kerb's side lies further from the middle line.
                  `${line([point(22, 0), point(14, 0), point(12, -to * 2.6)])} ${line([point(14.4, -to * 2.4), point(12, -to * 2.8), point(10.6, -to * 0.8)])}`,
        );
    };
    /** An approach lane as a surface. */
    const laneArea = (arm: RingState['arms'][number], lane: number): string => {
        const [angle, near, far] = [seen(arm.angle), outer + 2, outer + LONG];
        const [left, right] = [(arm.lanes.length + 1 - lane) * ARM_LANE, (arm.lanes.length - lane) * ARM_LANE];
        return `${line([onArm(angle, near, left), onArm(angle, far, left), onArm(angle, far, right), onArm(angle, near, right)])} Z`;
    };
    const ends = (sector: number): [number, number] => [
        sector === 0 ? 0 : seen(sorted[sector]?.angle ?? 0),
        sector + 1 < sorted.length ? seen(sorted[sector + 1]!.angle) : 360,
    ];
    /** Of a way that is only compared: stretch by stretch, late in each where the core says no angle. */
    const roughly = (path: Stretch[]): MoveOver[] =>
        path.flatMap((stretch, i) => {
            const [begin, end] = ends(stretch.sector);
            const before = path[i - 1]?.to_lane ?? Math.min(stretch.lane, lanes);
            return [
                ...(stretch.lane === before ? [] : [{ angle: begin + 0.3 * (end - begin), to: stretch.lane }]),
                ...(stretch.to_lane === stretch.lane ? [] : [{ angle: begin + 0.65 * (end - begin), to: stretch.to_lane }]),
            ];
        });
    /** The circulating lane at an angle, between two while one is changed. */
    const laneAt = (entered: number, moves: MoveOver[], angle: number): number =>
        moves.reduce((lane, move) => lane + (move.to - lane) * Math.min(1, Math.max(0, (angle - move.angle) / DRIFT)), Math.min(entered, lanes));
    /** Our way: in by a lane, round stretch by stretch, out. */
    const way = (approach: number, moves: MoveOver[], exitLane: number): string => {
        const points: Point[] = [entry(approach, 0, outer + LONG), entry(approach, 0)];
        if (!ring) {
            const [from, to] = [points[1]!, exit(exitLane)];
            return `${line(points)} Q0,0 ${to[0].toFixed(1)},${to[1].toFixed(1)} ${line([exit(exitLane, outer + LONG)]).replace('M', 'L')}`.replace(
                'Q0,0',
                `Q${((from[0] + to[0]) * 0.18).toFixed(1)},${((from[1] + to[1]) * 0.18).toFixed(1)}`,
            );
        }
        for (let angle = 14; angle <= goal - 14; angle += 4) points.push(at(ringAt(laneAt(approach, moves, angle)), angle));
        points.push(exit(exitLane), exit(exitLane, outer + LONG));
        return line(points);
    };
    /** A lane that becomes another, or ends, drawn as the paint that leads it. */
    const paint = ({ sector, lane, to_lane: to }: LanesAnswer['links'][number]): string => {
        const [begin, end] = ends(sector);
        const points: Point[] = [];
        for (let share = 0; share <= 1.001; share += 0.1) {
            const now = to === null ? lane + 0.5 - (share < 0.5 ? 0 : (share - 0.5) * 2) : lane + (to - lane) * Math.min(1, share / 0.3);
            points.push(at(ringAt(now) + (to === null ? 0 : -LANE / 2), begin + (to === null ? 0.45 + 0.5 * share : share * 0.6) * (end - begin)));
        }
        return line(points);
    };
    return {
        at,
        onArm,
        ringAt,
        seen,
        flip,
        lanes,
        outer,
        ring,
        zero,
        way,
        roughly,
        laneAt,
        paint,
        road,
        along,
        dividers,
        arrows,
        laneArea,
        size: outer + LONG + 26,
    };
}
