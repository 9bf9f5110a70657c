import { describe, expect, it } from 'vitest';
import { apart, armIs, armWords, begun, compass, LEAST_APART, leastArms, named, STARTS, turned, withArm, withoutArm, type Start } from './draft';

const starts = Object.keys(STARTS) as Start[];

describe('a site while it is drawn', () => {
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
});
