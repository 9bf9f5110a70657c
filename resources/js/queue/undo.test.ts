import { describe, expect, it } from 'vitest';
import type { Mark, Step } from '@/api/types';
import { standing, withMade } from './standing';
import { lastPress, markIn, undoing, withdrawal, type NewMark, type Press, type Slot } from './undo';
import { uuid7 } from './uuid';

let made = 0;
const whole = (mark: NewMark): Mark => ({
    id: `m${++made}`,
    round_id: 'r',
    step: null,
    outcome: null,
    taught: null,
    out_of_order: false,
    note: null,
    corrects_id: null,
    withdrawn: false,
    device_at: '',
    ...mark,
});

/** A round as the drive page keeps it: every press adds rows, none changes one. */
class Page {
    rows: Mark[] = [];
    presses: Press[] = [];
    press(slots: Slot[], say: (before: Mark | null, slot: Slot) => NewMark): void {
        const replaced = slots.map((slot) => ({ slot, before: markIn(standing(this.rows), slot) }));
        this.rows.push(...replaced.map(({ slot, before }) => whole(say(before, slot))));
        this.presses.push({ round: 'r', slots: replaced });
    }
    mark(step: Step, outcome: Mark['outcome']): void {
        this.press([{ kind: 'step', step }], (before) => ({ kind: 'step', step, outcome, corrects_id: before?.id ?? null }));
    }
    undo(): void {
        this.rows.push(...undoing(this.presses.pop()!, standing(this.rows)).map(whole));
    }
    /** What stands, as words. */
    said(): string {
        const stands = standing(this.rows);
        return [
            ...Object.entries(stands.steps).map(([step, mark]) => `${step} ${mark.outcome}${mark.out_of_order ? ' !' : ''}`),
            stands.taught?.taught,
            stands.heldBack && 'held',
        ]
            .filter(Boolean)
            .sort()
            .join(', ');
    }
}

/** Numbers from a seed (mulberry32), so that a failing run can be run again. */
function chance(seed: number): (below: number) => number {
    let state = seed;
    return (below) => {
        state = (state + 0x6d2b79f5) | 0;
        let t = Math.imul(state ^ (state >>> 15), 1 | state);
        t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
        return ((t ^ (t >>> 14)) >>> 0) % below;
    };
}

describe('undo', () => {
    it('walks back through any run of presses, state by state, and erases no row', () => {
        const steps: Step[] = ['mirrors', 'signal', 'look'];
        const outcomes = ['unaided', 'missed', 'prompted'] as const;
        for (let seed = 1; seed <= 200; seed++) {
            const next = chance(seed);
            const page = new Page();
            const states = [page.said()];
            for (let i = 0; i < 12; i++) {
                const kind = next(5);
                if (kind < 3) page.mark(steps[next(3)]!, outcomes[next(3)]!);
                if (kind === 3) page.press([{ kind: 'held-back-rightly' }], (before) => (before ? withdrawal(before) : { kind: 'held-back-rightly' }));
                if (kind === 4) page.press([{ kind: 'taught' }], (before) => (before ? withdrawal(before) : { kind: 'taught', taught: 'shown' }));
                states.push(page.said());
            }
            const rows = page.rows.length;
            for (let i = 11; i >= 0; i--) {
                page.undo();
                expect(page.said(), `seed ${seed}, back to ${i}`).toBe(states[i]);
            }
            expect(page.rows.length).toBeGreaterThan(rows);
            // Each row is corrected once at the most: the server refuses a second.
            const corrected = page.rows.map((row) => row.corrects_id).filter(Boolean);
            expect(new Set(corrected).size).toBe(corrected.length);
        }
    });

    it('takes back a press that set several steps in one go', () => {
        const page = new Page();
        page.mark('position', 'prompted');
        page.press(
            (['mirrors', 'signal'] as Step[]).map((step) => ({ kind: 'step' as const, step })),
            (_, slot) => ({ kind: 'step', step: slot.kind === 'step' ? slot.step : null, outcome: 'unaided' }),
        );
        page.undo();
        expect(page.said()).toBe('position prompted');
    });

    it('after a reload takes the newest mark that stands', () => {
        const page = new Page();
        page.mark('look', 'missed');
        page.mark('look', 'unaided');
        const press = lastPress('r', page.rows, standing(page.rows))!;
        expect(undoing(press, standing(page.rows))).toEqual([{ kind: 'step', corrects_id: page.rows[1]!.id, withdrawn: true }]);
        expect(lastPress('r', [], standing([]))).toBeNull();
    });
});

describe('what was made on the device', () => {
    it('is laid over the server’s rounds once, however often it is seen', () => {
        const mark = whole({ kind: 'step', step: 'look', outcome: 'unaided' });
        const round = { id: 'r', lesson_id: 'l', place_id: 'p', place: 'P', routine: 'emerge-left' as const, conditions: {}, device_at: '' };
        const events = [
            { seq: 1, kind: 'round' as const, user: 'u', round },
            { seq: 2, kind: 'mark' as const, user: 'u', mark },
        ];
        expect(withMade('l', [], events)).toEqual([{ ...round, marks: [mark] }]);
        expect(withMade('l', [{ ...round, ordinal: 1, marks: [mark] }], events)).toEqual([{ ...round, ordinal: 1, marks: [mark] }]);
        expect(withMade('another lesson', [], events)).toEqual([]);
    });
});

describe('uuid7', () => {
    it('is a version 7 UUID as RFC 9562 lays it out', () => {
        // The example of RFC 9562, appendix A.6 (from memory): 0x017F22E279B0 ms, rand_a CC3, rand_b 18C4DC0C0C07398F.
        const id = uuid7(0x017f22e279b0, new Uint8Array([0x0c, 0xc3, 0x18, 0xc4, 0xdc, 0x0c, 0x0c, 0x07, 0x39, 0x8f]));
        expect(id).toBe('017f22e2-79b0-7cc3-98c4-dc0c0c07398f');
        expect(uuid7(1) < uuid7(2)).toBe(true);
    });
});
