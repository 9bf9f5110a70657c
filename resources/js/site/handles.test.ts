import { describe, expect, it } from 'vitest';
import { armIs, begun, STARTS, type Arm, type Draft, type Start } from './draft';
import { at, hold, mouth, reaching, type Point } from './geometry';
import { handlesOf, pulled, put, rowHandle, type Drawn, type Handle } from './handles';

const full = (start: Start, keeps: 'left' | 'right' = 'left'): Draft => {
    const draft = begun(start, keeps);
    const part: Partial<Arm> = {
        openings: [{ side: 'left', from_m: 40, to_m: 34 }],
        parked: [{ side: 'right', from_m: 30, to_m: 12 }],
        bend: { radius_m: 60, from_m: 70, to_m: 44 },
        crest: { from_m: 100, to_m: 76, gradient_change: 0.08 },
        dip: { from_m: 150, to_m: 116, depth_m: 1.5 },
        view_from_m: 12,
    };
    return draft.arms.reduce((now, { id }) => armIs(now, id, part), draft);
};

/** Of a road of a site, with the other roads as those that are met. */
function drawnFor(draft: Draft, id: string, keeps: 'left' | 'right' = 'left'): [Arm, Drawn] {
    const arm = draft.arms.find((one) => one.id === id)!;
    const [left, right] = draft.arms.filter((one) => one !== arm);
    const seen = { left: arm.sight_left_m ?? 20, right: arm.sight_right_m ?? 22 };
    return [arm, { draft, keeps, out: mouth(draft), reach: reaching(draft), met: { ...(left ? { left } : {}), ...(right ? { right } : {}) }, seen }];
}
const heldOf = (draft: Draft, id: string, keeps: 'left' | 'right' = 'left') => handlesOf(...drawnFor(draft, id, keeps));
const named = (handles: Handle[], id: string) => handles.find((one) => one.id === id)!;
const everywhere = (check: (draft: Draft, arm: Arm, keeps: 'left' | 'right', start: Start) => void) => {
    for (const keeps of ['left', 'right'] as const)
        for (const start of Object.keys(STARTS) as Start[]) {
            const draft = full(start, keeps);
            for (const arm of draft.arms) check(draft, arm, keeps, start);
        }
};

describe('what is held on the picture of a site', () => {
    it('lies under the finger that pulled it: one more of every figure moves its handle by just what one more takes', () => {
        let checked = 0;
        everywhere((draft, arm, keeps, start) => {
            for (const handle of heldOf(draft, arm.id, keeps)) {
                // How tight a bend is bows it, but not by as much as was pulled.
                if (handle.id.startsWith('bend radius')) continue;
                const by = handle.value < handle.most ? 1 : -1;
                const then = put(handle, draft, handle.value + by);
                const after = named(heldOf(then, arm.id, keeps), handle.id);
                expect(after.value, handle.id).toBe(handle.value + by);
                const moved: Point = [after.at[0] - handle.at[0], after.at[1] - handle.at[1]];
                expect(pulled(handle, moved), `${start} ${keeps}: ${handle.id}`).toBeCloseTo(by, 6);
                checked++;
            }
        });
        expect(checked).toBeGreaterThan(500);
    });

    it('takes no more and no less than it can be, and whole ones', () => {
        everywhere((draft, arm, keeps) => {
            for (const handle of heldOf(draft, arm.id, keeps)) {
                for (const [wanted, got] of [
                    [1e6, handle.most],
                    [-1e6, handle.least],
                    [handle.value + 1.4, Math.min(handle.most, handle.value + 1)],
                ] as const) {
                    const after = named(heldOf(put(handle, draft, wanted), arm.id, keeps), handle.id);
                    expect(after.value, handle.id).toBe(got);
                }
            }
        });
    });

    it('touches one figure of one road: all others stay as they were', () => {
        const draft = full('crossroads');
        for (const handle of heldOf(draft, 's')) {
            const then = put(handle, draft, handle.value === handle.most ? handle.value - 1 : handle.value + 1);
            expect(then.arms.filter((arm, i) => arm !== draft.arms[i]).map(({ id }) => id)).toEqual(['s']);
            const [before, after] = [draft, then].map(({ arms }) => arms.find(({ id }) => id === 's')!) as [Arm, Arm];
            const names = [...new Set([...Object.keys(before), ...Object.keys(after)])] as (keyof Arm)[];
            expect(
                names.filter((name) => JSON.stringify(before[name]) !== JSON.stringify(after[name])),
                handle.id,
            ).toHaveLength(1);
        }
    });

    it('never lets a road lead nowhere, and says nothing of painted lanes that are no more', () => {
        const oneWay = armIs(begun('t'), 's', { lanes_out: 0, lanes_in: 2, approach_lanes: [{ to: ['w'] }, { to: ['e'] }] });
        const lanes = named(heldOf(oneWay, 's'), 'lanes_in of s');
        expect(lanes.least).toBe(1);
        expect(put(lanes, oneWay, 0).arms.find(({ id }) => id === 's')).toMatchObject({ lanes_in: 1, approach_lanes: [{ to: ['w'] }] });
        expect(named(heldOf(oneWay, 's'), 'lanes_out of s').least).toBe(0);
    });

    it('holds the line where it can lie elsewhere: beside the middle where one gives way, behind a box for cycles at lights', () => {
        const line = (start: Start, id: string) => heldOf(begun(start), id).filter(({ label }) => label.startsWith('The line'));
        expect(line('t', 's').map(({ id }) => id)).toEqual(['stagger_m of s']);
        expect(line('lights', 's').map(({ id }) => id)).toEqual(['cycle_box_m of s']);
        expect([...line('t', 'w'), ...line('roundabout', 's'), ...line('stretch', 'w')]).toEqual([]);
        const [staggered] = line('t', 's') as [Handle];
        expect([-7, 0, 4].map(staggered.words)).toEqual(['7 m left of the middle', 'in the middle', '4 m right of the middle']);
        // The right of who comes in from the south is the east.
        expect(staggered.one[0]).toBeCloseTo(1, 9);
        const [box] = line('lights', 's') as [Handle];
        const cleared = put(box, put(box, begun('lights'), 4), 0);
        expect(cleared.arms.find(({ id }) => id === 's')).not.toHaveProperty('cycle_box_m', 4);
    });

    it('leaves what was measured to its measures', () => {
        const draft = armIs(full('t'), 's', {
            measures: [
                { of: 'sight_left', by: 'tape', length_m: 30 },
                { of: 'view_from', by: 'paces', number: 12 },
            ],
        });
        const ids = heldOf(draft, 's').map(({ id }) => id);
        expect(ids).not.toContain('sight_left_m of s');
        expect(ids).not.toContain('view_from_m of s');
        expect(ids).toContain('sight_right_m of s');
    });

    it('keeps what is seen farther than the picture within reach, and says how far it is', () => {
        const draft = armIs(begun('t'), 's', { sight_left_m: 400 });
        const [, drawn] = drawnFor(draft, 's');
        const handle = named(heldOf(draft, 's'), 'sight_left_m of s');
        expect(Math.max(...handle.at.map(Math.abs))).toBeLessThan(drawn.reach);
        expect(handle.words(handle.value)).toBe('400 m');
    });

    it('leaves the ends of the roads to be pressed: nothing is held over one', () => {
        for (const far of [30, 90, 400]) {
            const draft = armIs(full('crossroads'), 's', { sight_left_m: far, sight_right_m: far });
            const [arm, drawn] = drawnFor(draft, 's');
            const handles = handlesOf(arm, { ...drawn, seen: { left: far, right: far } }).filter(({ id }) => /sight|end of/.test(id));
            expect(handles).toHaveLength(4);
            const k = drawn.reach / 46;
            for (const handle of handles)
                for (const road of draft.arms) {
                    const [x, y] = hold(road, drawn.reach);
                    // Its hand's breadth and the ring of the road's end.
                    expect(Math.hypot(handle.at[0] - x, handle.at[1] - y), `${handle.id} ${road.id}`).toBeGreaterThan((4 + 2.4) * k);
                }
        }
    });

    it('moves a row as long as it was, never beyond the line', () => {
        const [arm, drawn] = drawnFor(full('t'), 's');
        const cars = rowHandle(arm, 'parked', 0, drawn);
        const row = (draft: Draft) => draft.arms.find(({ id }) => id === 's')!.parked;
        expect(row(put(cars, drawn.draft, 17))).toEqual([{ side: 'right', from_m: 35, to_m: 17 }]);
        expect(row(put(cars, drawn.draft, -500))).toEqual([{ side: 'right', from_m: 18, to_m: 0 }]);
        expect(cars.words(17)).toBe('35 to 17 m before');
    });

    it('is mirrored where one keeps right', () => {
        const mirror = (arm: Arm): Arm => ({ ...arm, bearing_deg: (360 - arm.bearing_deg) % 360 });
        const draft = begun('crossroads');
        const there = { ...draft, arms: draft.arms.map(mirror) };
        for (const { id } of draft.arms)
            for (const name of [`lanes_in of ${id}`, `lanes_out of ${id}`]) {
                const [here, other] = [named(heldOf(draft, id), name), named(heldOf(there, id, 'right'), name)];
                expect([-here.at[0], here.at[1]].map((n) => n.toFixed(6))).toEqual(other.at.map((n) => n.toFixed(6)));
            }
        expect(at(0, 1)[1]).toBe(-1);
    });
});
