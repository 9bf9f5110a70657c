import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { GapAsked } from '@/api/types';
import { answer, besideATool, server, show } from '@/testing/answers';
import { oursAt } from './gap/geometry';
import { GapBench } from './GapBench';

/* Out of the kerb into the stream that comes from behind. */

const kept = answer('tool-gap-kerb');
const others = besideATool();

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('from the kerb', () => {
    it('says when a long vehicle may ask, counts how long it waited, and asks for no line, nobody opposite and no road met', async () => {
        const sent = server({
            ...others,
            'POST compute/gap': ({ body }) => {
                const { sweep } = body as { sweep?: { from: number; to: number; step: number } };
                if (!sweep) return kept;
                const rows = Array.from({ length: Math.round((sweep.to - sweep.from) / sweep.step) + 1 }, (_, i) => ({ at: sweep.from + i * sweep.step }));
                return { tool: 'gap', version: { core: 'x' }, sweep: 'other_distance_m', common: kept, answers: rows };
            },
        });
        const { container } = show(<GapBench />, 'instructor', '/bench/gap?manoeuvre=move-off&rolling=true&turner=true&runs=left');
        await waitFor(() => expect(container.textContent).toContain(kept.ask!.message));
        expect(container.textContent).toContain(`From behind`);
        expect(screen.queryByLabelText('Rolling over the line')).toBeNull();
        const asked = () =>
            sent
                .filter(({ path }) => path === 'compute/gap')
                .map(({ body }) => body as GapAsked)
                .at(-1)!;
        expect(asked()).toMatchObject({ manoeuvre: 'move-off', lanes: 1 });
        for (const none of ['rolling_mps', 'oncoming_turner', 'road_met', 'waited_s']) expect(asked()).not.toHaveProperty(none);
        fireEvent.click(screen.getByRole('button', { name: 'Waited already: more' }));
        await waitFor(() => expect(asked()).toMatchObject({ waited_s: 5 }));
    });

    it('is drawn as an S out of the kerb that ends along the road in the middle of the lane', () => {
        const { path } = kept;
        const at = (metres: number) => oursAt(metres, path, 'move-off', null);
        const middle = path.lanes * path.lane_width_m - path.lane_width_m / 2;
        expect(at(0)).toMatchObject({ heading: 180 });
        expect(at(0).y).toBeGreaterThan(middle);
        expect(at(path.turn_m).y).toBeCloseTo(middle, 6);
        expect(at(path.turn_m + 5).heading).toBe(180);
        // As long as it is said to be, without a corner.
        let long = 0;
        for (let s = 0; s < path.turn_m; s += 0.05) {
            const [from, to] = [at(s), at(Math.min(path.turn_m, s + 0.05))];
            long += Math.hypot(to.x - from.x, to.y - from.y);
            expect(to.x).toBeLessThan(from.x);
            expect(Math.abs(to.heading - from.heading)).toBeLessThan(0.5);
        }
        expect(long).toBeCloseTo(path.turn_m, 1);
    });
});
