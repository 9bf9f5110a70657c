import { describe, expect, it } from 'vitest';
import type { Drawable } from './plan';
import { wayRound } from './Round';

type Exit = Drawable['place']['exit'];

/** Points on the way, from where the ring is met to where it is left, found by walking the arc. */
function walked(exit: Exit, keeps: 'left' | 'right') {
    const centre = { x: 100, y: 50 };
    const d = wayRound({ place: { exit, keeps } } as unknown as Drawable, { x: 60, y: 50 }, centre, 20);
    const [, lx, ly, large, sweep, ex, ey, ox, oy] = /L([\d.-]+),([\d.-]+) A[\d.]+,[\d.]+ 0 (\d) (\d) ([\d.-]+),([\d.-]+) L([\d.-]+),([\d.-]+)$/
        .exec(d)!
        .map(Number);
    const angle = (x: number, y: number) => (Math.atan2(y - centre.y, x - centre.x) * 180) / Math.PI;
    const turned = ((sweep === 1 ? angle(ex!, ey!) - angle(lx!, ly!) : angle(lx!, ly!) - angle(ex!, ey!)) + 720) % 360;
    return { turned, large: large === 1, clockwise: sweep === 1, out: { x: ox! - centre.x, y: oy! - centre.y } };
}

describe('the way round an island', () => {
    it.each(['left', 'right'] as const)('goes round on the side that is kept, nearest exit first, where traffic keeps %s', (keeps) => {
        const order: Exit[] = keeps === 'left' ? ['left', 'ahead', 'right', 'back'] : ['right', 'ahead', 'left', 'back'];
        const ways = order.map((exit) => walked(exit, keeps));
        for (const [i, way] of ways.entries()) {
            expect(way.clockwise, order[i]).toBe(keeps === 'left');
            // The drawn arc is the long one exactly where the way is more than half round.
            expect(way.large, order[i]).toBe(way.turned > 180);
            if (i > 0) expect(way.turned, order[i]).toBeGreaterThan(ways[i - 1]!.turned + 60);
        }
        expect(ways.at(-1)!.turned).toBeLessThan(360);
    });

    it.each([
        ['ahead', 1, 0],
        ['right', 0, 1],
        ['left', 0, -1],
        ['back', -1, 0],
    ] as const)('leaves %s by the arm that lies there', (exit, x, y) => {
        for (const keeps of ['left', 'right'] as const) {
            const { out } = walked(exit, keeps);
            expect(out.x * x + out.y * y).toBeGreaterThan(Math.hypot(out.x, out.y) * 0.8);
        }
    });
});
