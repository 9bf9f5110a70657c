import { describe, expect, it } from 'vitest';
import { begun, STARTS, turned, type Arm, type Start } from './draft';
import { at, bearingOf, halves, inLane, islandRadius, LANE, lie, mouth, paintedLane, path, REACH, reaching, spiralLines, type Point } from './geometry';

const near = ([x, y]: Point, [a, b]: Point) => Math.hypot(x - a, y - b);
const numbers = (d: string) => [...d.matchAll(/-?\d+(\.\d+)?/g)].map(([said]) => Number(said));

const mirrored = (arm: Arm): Arm => ({
    ...arm,
    bearing_deg: (360 - arm.bearing_deg) % 360,
    ...(arm.stagger_m === undefined ? {} : { stagger_m: -arm.stagger_m }),
});

describe('where things lie on the picture of a site', () => {
    it('has north up, and finds the bearing under a point again', () => {
        expect(near(at(0, 10), [0, -10])).toBeLessThan(1e-9);
        expect(near(at(90, 10), [10, 0])).toBeLessThan(1e-9);
        for (let bearing = -179; bearing < 180; bearing += 13) expect(bearingOf(at(bearing, 20))).toBeCloseTo(bearing, 6);
    });

    it('drives on its own side: coming from the south where one keeps left, in the western half; where one keeps right, in the eastern', () => {
        const south = begun('crossroads').arms.find(({ id }) => id === 's')!;
        expect(inLane(south, 'in', 20, 'left')[0]).toBeLessThan(0);
        expect(inLane(south, 'out', 20, 'left')[0]).toBeGreaterThan(0);
        expect(inLane(south, 'in', 20, 'right')[0]).toBeGreaterThan(0);
    });

    it('draws every way within the picture’s reach, from beyond its edge to near it, and mirrored where one keeps right', () => {
        for (const start of Object.keys(STARTS) as Start[]) {
            const draft = begun(start);
            for (const from of draft.arms)
                for (const to of draft.arms) {
                    if (from === to) continue;
                    const drawn = numbers(path(draft, from, to, 'left'));
                    expect(drawn.every(Number.isFinite)).toBe(true);
                    const end: Point = [drawn.at(-2)!, drawn.at(-1)!];
                    expect(near(end, lie(to, REACH - 4))).toBeLessThan(6);
                    const mirror = { ...draft, arms: draft.arms.map(mirrored) };
                    const [other, there] = [mirror.arms.find(({ id }) => id === from.id)!, mirror.arms.find(({ id }) => id === to.id)!];
                    const drawnThere = numbers(path(mirror, other, there, 'right'));
                    expect(drawnThere).toHaveLength(drawn.length);
                    drawn.forEach((value, i) =>
                        expect(Math.abs(drawnThere[i]! - (i % 2 === 0 ? -value : value)), `${start} ${from.id}>${to.id}`).toBeLessThan(0.02),
                    );
                }
        }
    });

    it('goes round a roundabout the way traffic goes there: to the right the long way where one keeps left', () => {
        const ring = begun('roundabout');
        const arm = (id: string) => ring.arms.find((one) => one.id === id)!;
        const length = (d: string) => {
            const points = numbers(d);
            let sum = 0;
            for (let i = 2; i < points.length; i += 2) sum += Math.hypot(points[i]! - points[i - 2]!, points[i + 1]! - points[i - 1]!);
            return sum;
        };
        expect(length(path(ring, arm('s'), arm('e'), 'left'))).toBeGreaterThan(length(path(ring, arm('s'), arm('w'), 'left')) + 40);
        expect(length(path(ring, arm('s'), arm('w'), 'right'))).toBeGreaterThan(length(path(ring, arm('s'), arm('e'), 'right')) + 40);
    });

    it('draws a way in the lane that is painted for it, next to the kerb where none is', () => {
        const [w, n, e, s] = begun('lights').arms as [Arm, Arm, Arm, Arm];
        const two: Arm = { ...s, lanes_in: 2, approach_lanes: [{ to: ['w', 'n'] }, { to: ['e'] }] };
        expect([w, n, e].map((to) => paintedLane(two, to))).toEqual([1, 1, 2]);
        expect(paintedLane({ ...two, approach_lanes: [{}, {}] }, e)).toBe(1);
        expect(paintedLane(s, e)).toBe(1);
        // Keeping left the lane farther from the kerb lies a lane's width nearer the middle line of the road.
        const begins = (to: Arm) => numbers(path({ kind: 'junction', arms: [w, n, e, two] }, two, to, 'left'))[0]!;
        expect(begins(e) - begins(w)).toBeCloseTo(LANE, 2);
    });

    it('leads a spiral outward: never further in than before, and out at the edge for every exit', () => {
        for (const keeps of ['left', 'right'] as const) {
            const spiral = begun('spiral', keeps);
            const arm = (id: string) => spiral.arms.find((one) => one.id === id)!;
            const edge = mouth(spiral) - LANE / 2;
            for (const to of ['w', 'n', 'e']) {
                // Without the two points of the road in and the two of the road out: what is driven round the island.
                const round = numbers(path(spiral, arm('s'), arm(to), keeps)).slice(4, -4);
                const radii = round.filter((_, i) => i % 2 === 0).map((x, i) => Math.hypot(x, round[2 * i + 1]!));
                radii.forEach((radius, i) => expect(radius).toBeGreaterThanOrEqual((radii[i - 1] ?? 0) - 0.02));
                expect(radii.at(-1)).toBeCloseTo(edge, 1);
                const exit = (keeps === 'left' ? ['w', 'n', 'e'] : ['e', 'n', 'w']).indexOf(to) + 1;
                expect(edge - radii[0]!).toBeCloseTo((exit - 1) * LANE, 1);
            }
            const lines = spiralLines(spiral, keeps).map(numbers);
            expect(lines).toHaveLength(4);
            for (const drawn of lines) {
                expect(Math.hypot(drawn[0]!, drawn[1]!)).toBeCloseTo(islandRadius('spiral'), 1);
                expect(Math.hypot(drawn.at(-2)!, drawn.at(-1)!)).toBeCloseTo(mouth(spiral), 1);
            }
        }
    });

    it('sets the mouths back as far as the widest road needs, and moves nothing else as an arm turns', () => {
        const draft = begun('t');
        const wide = { ...draft, arms: draft.arms.map((arm) => ({ ...arm, lanes_in: 3 })) };
        expect(mouth(wide)).toBeGreaterThan(mouth(draft));
        expect(mouth(turned(draft, 's', 200))).toBe(mouth(draft));
    });

    it('lays the mouths of a staggered crossroads beside the middle, to the right of who comes in', () => {
        const arm = (id: string) => begun('staggered').arms.find((one) => one.id === id)!;
        // From the south right is east, from the north it is west.
        expect(lie(arm('s'), 20)[0]).toBeCloseTo(10, 6);
        expect(lie(arm('n'), 20)[0]).toBeCloseTo(-10, 6);
        expect(lie(arm('w'), 20)).toEqual(at(270, 20, -0));
    });

    it('shows more of the roads where something lies far before a line, and never less', () => {
        const draft = begun('t');
        const far = (metres: number) =>
            reaching({ ...draft, arms: draft.arms.map((arm) => ({ ...arm, openings: [{ side: 'left', from_m: metres, to_m: metres - 6 }] })) });
        expect(reaching(draft)).toBe(REACH);
        expect(far(10)).toBe(REACH);
        expect(far(72)).toBeGreaterThan(72);
        expect(far(72) - far(70)).toBeLessThan(3);
        expect(far(900)).toBe(far(800));
    });

    it('drives out round parked cars and in again, and as far as the kerb goes', () => {
        const stretch = begun('stretch');
        const [west, east] = stretch.arms as [Arm, Arm];
        const points = numbers(path(stretch, west, east, 'left'));
        const aside = points.filter((_, i) => i % 2 === 1);
        // Keeping left, eastwards: north of the middle, upon it beside the cars, and back.
        expect(aside[0]).toBeLessThan(-1);
        expect(Math.min(...aside.map(Math.abs))).toBeLessThan(0.1);
        expect(aside.at(-1)).toBeLessThan(-1);
        const clear = numbers(path(stretch, { ...west, holds: [] }, { ...east, holds: [] }, 'left')).filter((_, i) => i % 2 === 1);
        expect(Math.min(...clear.map(Math.abs))).toBeGreaterThan(1);
        const park = begun('car-park');
        const into = numbers(path(park, park.arms[0]!, park.arms[0]!, 'left'));
        expect(into.at(-2)).toBeCloseTo(0, 6);
        expect(Math.abs(into.at(-1)!)).toBeLessThan(halves(park.arms[0]!).in);
    });
});
