import { describe, expect, it } from 'vitest';
import { begun, STARTS, turned, type Start } from './draft';
import { at, bearingOf, inLane, mouth, path, REACH, type Point } from './geometry';

const near = ([x, y]: Point, [a, b]: Point) => Math.hypot(x - a, y - b);
const numbers = (d: string) => [...d.matchAll(/-?\d+(\.\d+)?/g)].map(([said]) => Number(said));

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
                    expect(near(end, at(to.bearing_deg, REACH - 4))).toBeLessThan(6);
                    const mirror = { ...draft, arms: draft.arms.map((arm) => ({ ...arm, bearing_deg: (360 - arm.bearing_deg) % 360 })) };
                    const [other, there] = [mirror.arms.find(({ id }) => id === from.id)!, mirror.arms.find(({ id }) => id === to.id)!];
                    const mirrored = numbers(path(mirror, other, there, 'right'));
                    expect(mirrored).toHaveLength(drawn.length);
                    drawn.forEach((value, i) => expect(Math.abs(mirrored[i]! - (i % 2 === 0 ? -value : value))).toBeLessThan(0.02));
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

    it('sets the mouths back as far as the widest road needs, and moves nothing else as an arm turns', () => {
        const draft = begun('t');
        const wide = { ...draft, arms: draft.arms.map((arm) => ({ ...arm, lanes_in: 3 })) };
        expect(mouth(wide)).toBeGreaterThan(mouth(draft));
        expect(mouth(turned(draft, 's', 200))).toBe(mouth(draft));
    });
});
