import { describe, expect, it } from 'vitest';
import { answer } from '@/testing/answers';
import { crestHeight, dipHeight, lineAlong, pointAt, seenAt } from './geometry';

const bend = { radius: 60, angle: Math.PI / 2 };

describe('the shape of a bend', () => {
    it('is straight before it, round in it and straight after it, without a kink', () => {
        expect(pointAt(bend, -25)).toEqual([-25, 0]);
        expect(pointAt(bend, 0, 3)).toEqual([0, 3]);
        const end = (60 * Math.PI) / 2;
        const [x, y] = pointAt(bend, end);
        expect([x, y].map((one) => Number(one.toFixed(6)))).toEqual([60, 60]);
        // It goes on straight up there, the hedge to its left.
        expect(pointAt(bend, end + 10)[1]).toBeCloseTo(70, 6);
        expect(pointAt(bend, end + 10, 4)[0]).toBeCloseTo(56, 6);
    });

    it('has points as far apart along it as they say', () => {
        const line = lineAlong(bend, -20, 120);
        const long = line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0);
        expect(long).toBeCloseTo(140, 0);
    });
});

describe('the heights of a road', () => {
    it('rises to a crest and falls behind it as it rose', () => {
        expect(crestHeight(100, 0.1, 50)).toBeGreaterThan(crestHeight(100, 0.1, 0));
        for (const away of [10, 50, 90]) expect(crestHeight(100, 0.1, 50 + away)).toBeCloseTo(crestHeight(100, 0.1, 50 - away), 6);
    });

    it('is level outside a dip and deepest at its middle', () => {
        expect([dipHeight(80, 3, -5), dipHeight(80, 3, 85)]).toEqual([0, 0]);
        expect(dipHeight(80, 3, 40)).toBeCloseTo(-3, 6);
    });
});

describe('what is seen from a place', () => {
    const { profile, seen_m: least } = answer('tool-sight');

    it('is read off between the places of the core, and is never less than the least', () => {
        for (let toGo = profile.distance_m[0]! + 20; toGo > profile.distance_m.at(-1)! - 20; toGo -= 0.7) {
            const seen = seenAt(profile, toGo);
            if (seen !== null) expect(seen).toBeGreaterThanOrEqual(least! - 0.01);
        }
        expect(seenAt(profile, profile.distance_m[7]!)).toBe(profile.seen_m[7]);
    });

    it('is without end where nothing hides the road', () => {
        expect(seenAt({ distance_m: [20, 10, 0, -10], seen_m: [40, 35, 50, null] }, -9)).toBeNull();
        expect(seenAt({ distance_m: [20, 10, 0, -10], seen_m: [40, 35, 50, null] }, -30)).toBeNull();
        expect(seenAt({ distance_m: [20, 10, 0, -10], seen_m: [40, 30, 50, null] }, 15)).toBe(35);
    });
});
