import { describe, expect, it } from 'vitest';
import {
    apart,
    armIs,
    armWords,
    begun,
    compass,
    hasRoom,
    laned,
    LEAST_APART,
    leastArms,
    named,
    remarked,
    remarkOf,
    STARTS,
    turned,
    withArm,
    withoutArm,
    type Start,
} from './draft';

const starts = Object.keys(STARTS) as Start[];

describe('a site while it is drawn', () => {
    it('paints a spiral so that every lane leads to an exit of its own, counted the way it is driven', () => {
        const south = (keeps: 'left' | 'right') => begun('spiral', keeps).arms.find(({ id }) => id === 's')!.approach_lanes;
        expect(south('left')).toEqual([{ to: ['w'] }, { to: ['n'] }, { to: ['e'] }]);
        expect(south('right')).toEqual([{ to: ['e'] }, { to: ['n'] }, { to: ['w'] }]);
        // What is painted goes with the arm it leads to.
        const without = withoutArm(begun('spiral'), 'w').arms.find(({ id }) => id === 's')!;
        expect(without.approach_lanes).toEqual([{ to: [] }, { to: ['n'] }, { to: ['e'] }]);
    });

    it('begins as what it is most like, and is drawn anew each time', () => {
        for (const start of starts) {
            const draft = begun(start);
            expect(draft.arms.length).toBeGreaterThanOrEqual(leastArms(draft.kind));
            draft.arms[0]!.name = 'written over';
            expect(begun(start).arms[0]!.name).not.toBe('written over');
        }
        expect(begun('t').arms.map(({ control }) => control)).toEqual(['none', 'none', 'give-way']);
    });

    it('turns an arm to any bearing, over north too, but not upon another', () => {
        const t = begun('t');
        expect(turned(t, 's', -10).arms.find(({ id }) => id === 's')!.bearing_deg).toBe(350);
        expect(turned(t, 's', 725).arms.find(({ id }) => id === 's')!.bearing_deg).toBe(5);
        expect(turned(t, 's', 95)).toBe(t);
        expect(turned(t, 's', 100).arms.find(({ id }) => id === 's')!.bearing_deg).toBe(100);
        expect(apart(355, 5)).toBe(10);
        expect(apart(0, 180)).toBe(180);
    });

    it('never comes upon another, wherever an arm is dragged', () => {
        let draft = begun('crossroads');
        for (let bearing = 0; bearing < 720; bearing += 7) {
            draft = turned(draft, 'n', bearing);
            for (const one of draft.arms)
                for (const other of draft.arms) if (one !== other) expect(apart(one.bearing_deg, other.bearing_deg)).toBeGreaterThanOrEqual(LEAST_APART);
        }
    });

    it('names a road that goes on at both its ends, and one that shares no name alone', () => {
        const draft = named(begun('t'), 'w', 'Mole Street');
        expect(draft.arms.map(({ name }) => name)).toEqual(['Mole Street', 'Mole Street', 'Side road']);
        expect(named(draft, 's', 'Ropewalk').arms.map(({ name }) => name)).toEqual(['Mole Street', 'Mole Street', 'Ropewalk']);
        expect(draft.arms.map((arm) => armWords(arm, draft.arms))).toEqual(['Mole Street (west)', 'Mole Street (east)', 'Side road']);
    });

    it('takes more roads where there is room, up to eight, and fewer down to what a site needs', () => {
        let draft = begun('t');
        for (let i = 0; i < 9; i++) draft = withArm(draft);
        expect(draft.arms).toHaveLength(8);
        expect(new Set(draft.arms.map(({ id }) => id)).size).toBe(8);
        for (const one of draft.arms)
            for (const other of draft.arms) if (one !== other) expect(apart(one.bearing_deg, other.bearing_deg)).toBeGreaterThanOrEqual(LEAST_APART);
        // The first goes opposite the stem of the T, where there is most room.
        expect(withArm(begun('t')).arms[3]!.bearing_deg).toBe(0);
        for (const { id } of draft.arms) draft = withoutArm(draft, id);
        expect(draft.arms).toHaveLength(3);
        expect(withArm(begun('lights')).arms[4]!.control).toBe('signals');
    });

    it('forgets what is said no longer', () => {
        const said = armIs(begun('t'), 's', { sight_left_m: 21 });
        expect(said.arms[2]).toHaveProperty('sight_left_m', 21);
        expect(armIs(said, 's', { sight_left_m: undefined }).arms[2]).not.toHaveProperty('sight_left_m');
    });

    it('knows the points of the compass', () => {
        expect([0, 44, 46, 180, 359].map(compass)).toEqual(['north', 'north-east', 'north-east', 'south', 'north']);
    });

    it('takes another road of the sort the site has, as long as it has room', () => {
        expect(withArm(begun('slip-on')).arms.at(-1)).toMatchObject({ slip: true, lanes_in: 0 });
        expect(withArm(begun('slip-off')).arms.at(-1)).toMatchObject({ slip: true, lanes_out: 0 });
        expect(withArm(begun('lights')).arms.at(-1)).toMatchObject({ control: 'signals' });
        const park = withArm(begun('car-park'));
        expect(park.arms).toHaveLength(2);
        expect(park.arms.at(-1)).not.toHaveProperty('control');
        for (const start of ['stretch', 'kerb'] as const) {
            expect(hasRoom(begun(start))).toBe(false);
            expect(withArm(begun(start)).arms).toHaveLength(2);
        }
        expect(hasRoom(withArm(begun('slip-on')))).toBe(false);
    });

    it('keeps what is said of a way by itself, until nothing is left to say or a road of it is taken away', () => {
        const way = { from: 's', to: 'e', routine: 'emerge-right' } as const;
        const hard = remarked(begun('crossroads'), way, { difficulty: 'hard' });
        const both = remarked(hard, way, { note: 'school at four' });
        expect(remarkOf(both, way)).toEqual({ ...way, difficulty: 'hard', note: 'school at four' });
        expect(both.remarks).toHaveLength(1);
        expect(remarkOf(both, { ...way, routine: 'cross' })).toBeUndefined();
        expect(remarked(remarked(both, way, { note: null }), way, { difficulty: null }).remarks).toEqual([]);
        expect(withoutArm(both, 'e').remarks).toEqual([]);
        expect(withoutArm(both, 'n').remarks).toHaveLength(1);
    });

    it('keeps what is painted on the lanes that are left, and nothing that leads to a road that is gone', () => {
        const draft = armIs(begun('lights'), 's', { lanes_in: 3, approach_lanes: [{ to: ['w'] }, { to: ['n', 'e'] }, { bus: true }] });
        const south = draft.arms.find(({ id }) => id === 's')!;
        expect(laned(south, 'lanes_in', 2).approach_lanes).toEqual([{ to: ['w'] }, { to: ['n', 'e'] }]);
        expect(laned(south, 'lanes_in', 4).approach_lanes).toEqual([{ to: ['w'] }, { to: ['n', 'e'] }, { bus: true }, {}]);
        expect(laned(south, 'lanes_in', 0)).toEqual({ lanes_in: 0, approach_lanes: undefined });
        expect(laned(south, 'lanes_out', 2)).toEqual({ lanes_out: 2, exit_lanes: undefined });
        expect(withoutArm(draft, 'n').arms.find(({ id }) => id === 's')!.approach_lanes).toEqual([{ to: ['w'] }, { to: ['e'] }, { bus: true }]);
    });
});
