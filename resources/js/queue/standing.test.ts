import { describe, expect, it } from 'vitest';
import { STEPS, type Mark, type Outcome, type Step } from '@/api/types';
import { markLog } from '@/testing/answers';
import { inOrder, isEmpty, says, slotsOf, standing } from './standing';

interface Row extends Omit<Mark, 'round_id' | 'note' | 'device_at' | 'pressed_at'> {
    pressed: number;
    slot: string;
}
interface Case {
    marks: Row[];
    stands: string[];
    driven: boolean;
    /** By step, as the core counts it. */
    says: Partial<Record<Step, Outcome>>;
}

/** Logs of rounds with what stands of them, as the core says; the database is held to the same. */
const cases = markLog<Case>();
const moment = (pressed: number): string => new Date(Date.parse('2026-05-20T10:00:00Z') + pressed).toISOString();
const asMark = ({ pressed, slot: _, ...row }: Row): Mark => ({ ...row, round_id: 'r', note: null, device_at: moment(pressed), pressed_at: moment(pressed) });

describe('what stands of a log', () => {
    it('is what the core says, in whatever order the marks came', () => {
        for (const { marks, stands, driven } of cases) {
            for (const rows of [marks, [...marks].reverse(), [...marks].sort((a, b) => (a.id < b.id ? -1 : 1))]) {
                const found = standing(rows.map(asMark));
                const said = [...found.last.values()].filter((mark) => !mark.withdrawn).map((mark) => mark.id);
                expect(said.sort()).toEqual([...stands].sort());
                expect(isEmpty(found)).toBe(!driven);
            }
        }
    });

    it('counts each step as the core counts it, a right decision to hold back as a clean look', () => {
        let heldBack = 0;
        for (const { marks, says: expected } of cases) {
            const found = standing(marks.map(asMark));
            for (const step of STEPS) expect(says(found, step)).toBe(expected[step] ?? null);
            if (found.heldBack && !found.steps.look) heldBack += 1;
        }
        expect(heldBack).toBeGreaterThan(2);
    });

    it('finds the slot the server keeps with each mark', () => {
        for (const { marks } of cases) {
            const slots = slotsOf(marks.map(asMark));
            for (const row of marks) expect(slots.get(row.id)).toBe(row.slot);
        }
    });

    it('reads the presses in the server’s order', () => {
        for (const { marks } of cases) {
            const ordered = [...marks].sort((a, b) => a.pressed - b.pressed || (a.id < b.id ? -1 : 1)).map((row) => row.id);
            expect(inOrder(marks.map(asMark)).map((mark) => mark.id)).toEqual(ordered);
        }
    });
});
