import { describe, expect, it } from 'vitest';
import type { Mark, Outcome, Round, Step } from '@/api/types';
import { chance } from '../../../tests/harness/chance';
import { counting, momentIn, pressing, settling, takingBack } from './press';
import type { NewEvent } from './queue';
import { driven, inOrder, isEmpty, standing, withMade } from './standing';
import { lastPress, spokenOf, withdrawal, type NewMark, type Press, type Slot } from './undo';
import { uuid7 } from './uuid';

const whole = (mark: NewMark & { id: string }): Mark => ({
    ...{ round_id: 'r', step: null, outcome: null, taught: null, out_of_order: false, note: null, corrects_id: null, withdrawn: false, device_at: '' },
    ...mark,
});

const roundOf = (id: string): Round => ({
    ...{
        id,
        lesson_id: 'l',
        place_id: 'p',
        place: 'P',
        routine: 'emerge-left' as const,
        conditions: {},
        device_at: `2026-05-20T10:0${id.slice(1)}:00.000Z`,
        marks: [],
    },
});

/** Two rounds of a lesson as the drive page keeps them: every press adds rows, none changes one. */
class Page {
    rounds = [roundOf('r0'), roundOf('r1')];
    presses: Press[] = [];
    clock = 0;
    constructor(private readonly remembers = true) {}
    write(events: NewEvent[]): void {
        for (const event of events) if (event.kind === 'mark') this.rounds.find((round) => round.id === event.mark.round_id)!.marks.push(event.mark);
    }
    now(): string {
        return new Date(Date.parse('2026-05-20T10:00:00Z') + 1000 * ++this.clock).toISOString();
    }
    press(slots: Slot[], say: (slot: Slot, before: Mark | null) => NewMark, at = 0): void {
        const round = this.rounds[at]!;
        const { events, press } = pressing(round.id, standing(round.marks), this.now(), slots, say);
        this.write(events);
        this.presses.push(press);
    }
    mark(step: Step, outcome: Mark['outcome'], at = 0): void {
        this.press([{ kind: 'step', step }], () => ({ kind: 'step', step, outcome }), at);
    }
    moment(at = 0): Mark {
        const { events, press } = momentIn(this.rounds[at]!.id, this.now());
        this.write(events);
        this.presses.push(press);
        return (events[0] as { mark: Mark }).mark;
    }
    settle(moment: Mark, step: Step | null, outcome: Outcome = 'missed', at = 0): void {
        const from = this.rounds.find((round) => round.id === moment.round_id)!;
        const { events, press } = settling(moment, from, step && { round: this.rounds[at]!, step, outcome }, this.now());
        this.write(events);
        this.presses.push(press);
    }
    /** As the page does it, or, as after a reload, from the rows alone. */
    undo(): void {
        const press = this.remembers ? this.presses.pop()! : lastPress(this.rounds, 'me')!;
        this.write(takingBack(press, this.rounds, 'me', this.now()));
    }
    get rows(): Mark[] {
        return this.rounds.flatMap((round) => round.marks);
    }
    /** What stands, as words. */
    said(): string {
        return this.rounds
            .map(({ marks }) => {
                const stands = standing(marks);
                return [
                    ...Object.entries(stands.steps).map(([step, mark]) => `${step} ${mark.outcome}${mark.out_of_order ? ' !' : ''}`),
                    stands.taught?.taught,
                    stands.heldBack && 'held',
                    ...stands.moments.map((moment) => `moment ${moment.id.slice(0, 13)}`),
                ]
                    .filter(Boolean)
                    .sort()
                    .join(', ');
            })
            .join(' | ');
    }
}

const held: Slot = { kind: 'decision', decision: 'held-back-rightly' };

describe('undo', () => {
    it.each([
        ['by what the page remembers', true],
        ['by the rows alone', false],
    ])('walks back through any run of presses in any rounds, state by state, and erases no row: %s', (_, remembers) => {
        const steps: Step[] = ['mirrors', 'signal', 'look'];
        const outcomes = ['unaided', 'missed', 'prompted'] as const;
        for (let seed = 1; seed <= 150; seed++) {
            const next = chance(seed);
            const page = new Page(remembers);
            const states = [page.said()];
            const turns = new Map<string, number>();
            // Nor can a press that says once more what stood just before: alone by its rows, outcomes take turns.
            const outcome = (at: number, step: Step): Outcome => {
                const turn = remembers ? next(3) : (turns.get(`${at} ${step}`) ?? 0);
                turns.set(`${at} ${step}`, turn + 1);
                return outcomes[turn % 3]!;
            };
            for (let i = 0; i < 12; i++) {
                // To take something back cannot be told from an undo by its rows: that is the page's own to remember.
                const kind = remembers ? next(9) : next(7);
                const at = next(2);
                const moments = page.rounds.flatMap((round) => standing(round.marks).moments);
                const stands = standing(page.rounds[at]!.marks);
                if (kind === 3 && (remembers || !stands.heldBack)) page.press([held], (slot, before) => (before ? withdrawal(slot) : spokenOf(slot)), at);
                else if (kind === 4 && (remembers || !stands.taught))
                    page.press([{ kind: 'taught' }], (slot, before) => (before ? withdrawal(slot) : { kind: 'taught', taught: 'shown' }), at);
                else if (kind === 5) page.moment(at);
                else if (kind === 6 && moments.length > 0) {
                    const step = steps[next(3)]!;
                    page.settle(moments[next(moments.length)]!, step, outcome(at, step), at);
                } else if (kind === 7 && moments.length > 0) page.settle(moments[next(moments.length)]!, null);
                else {
                    const step = steps[next(3)]!;
                    page.mark(step, outcome(at, step), at);
                }
                states.push(page.said());
            }
            const rows = page.rows.length;
            for (let i = 11; i >= 0; i--) {
                page.undo();
                expect(page.said(), `seed ${seed}, back to ${i}`).toBe(states[i]);
            }
            expect(page.rows.length).toBeGreaterThan(rows);
        }
    });

    it('takes back a moment that was told as a round of its own, as one press, from whatever was said of it: the moment stands again', () => {
        for (const remembers of [true, false]) {
            for (const settled of [{ step: 'look' as Step, outcome: 'missed' as Outcome }, { decision: 'let-go' as const }]) {
                const page = new Page(remembers);
                page.mark('position', 'prompted');
                const moment = page.moment();
                const before = page.said();
                const told = { ...roundOf('r2'), place_id: null, moment_id: moment.id };
                page.rounds.push(told);
                const { events, press } = settling(moment, page.rounds[0]!, { round: told, ...settled }, page.now());
                page.write(events);
                page.presses.push(press);
                expect(standing(page.rounds[0]!.marks).moments).toEqual([]);
                expect(driven(page.rounds).map((round) => round.id)).toEqual(['r0', 'r2']);
                page.undo();
                // The round stays in the log, but nothing stands in it.
                expect(page.said()).toBe(`${before} | `);
                expect(driven(page.rounds).map((round) => round.id)).toEqual(['r0']);
                page.undo();
                expect(standing(page.rounds[0]!.marks).moments).toEqual([]);
            }
        }
    });

    it('takes back counts as the one press they were, and puts a decision back that was taken off', () => {
        for (const remembers of [true, false]) {
            const page = new Page(remembers);
            const { events, press } = counting('r0', page.now(), [
                { what: 'gaps-let-go', number: 1, seconds: 4.1 },
                { what: 'gap-taken', number: 1, seconds: 7.9 },
            ]);
            page.write(events);
            page.presses.push(press);
            expect(
                standing(page.rounds[0]!.marks)
                    .counts.map(({ what }) => what)
                    .sort(),
            ).toEqual(['gap-taken', 'gaps-let-go']);
            page.undo();
            expect(isEmpty(standing(page.rounds[0]!.marks))).toBe(true);
        }
        const page = new Page();
        const letGo: Slot = { kind: 'decision', decision: 'let-go' };
        for (let i = 0; i < 2; i++) page.press([letGo], (slot, before) => (before ? withdrawal(slot) : spokenOf(slot)));
        expect(standing(page.rounds[0]!.marks).decisions).toEqual({});
        page.undo();
        expect(Object.keys(standing(page.rounds[0]!.marks).decisions)).toEqual(['let-go']);
    });

    it('keeps the parts of an exercise apart: a press in one leaves the other, and so does its undo', () => {
        for (const remembers of [true, false]) {
            const page = new Page(remembers);
            const part = (stage: 'first' | 'rejoin'): Slot => ({ kind: 'step', step: 'look', stage });
            page.press([part('first')], (slot) => ({ ...spokenOf(slot), outcome: 'unaided' }));
            page.press([part('rejoin')], (slot) => ({ ...spokenOf(slot), outcome: 'missed' }));
            const stands = () => standing(page.rounds[0]!.marks);
            expect([stands().stages.first?.look?.outcome, stands().stages.rejoin?.look?.outcome, stands().steps.look?.outcome]).toEqual([
                ...['unaided', 'missed', 'missed'],
            ]);
            page.undo();
            expect([stands().stages.first?.look?.outcome, stands().stages.rejoin, stands().steps.look?.outcome]).toEqual(['unaided', undefined, 'unaided']);
        }
    });

    it('takes back a press that set several steps in one go, after a reload too', () => {
        for (const remembers of [true, false]) {
            const page = new Page(remembers);
            page.mark('position', 'prompted');
            page.press(
                (['mirrors', 'signal'] as Step[]).map((step) => ({ kind: 'step' as const, step })),
                (slot) => ({ kind: 'step', step: slot.kind === 'step' ? slot.step : null, outcome: 'unaided' }),
            );
            page.undo();
            expect(page.said()).toBe('position prompted | ');
        }
    });

    it('after a reload puts back what a correction replaced, then takes that away, and leaves alone what a colleague pressed', () => {
        const page = new Page(false);
        page.mark('look', 'missed');
        page.mark('look', 'unaided');
        page.undo();
        expect(page.said()).toBe('look missed | ');
        page.undo();
        expect(page.said()).toBe(' | ');
        expect(lastPress(page.rounds, 'me')).toBeNull();
        page.rounds[0]!.marks.push({ ...whole({ id: uuid7(), kind: 'step', step: 'speed', outcome: 'missed', user_id: 'colleague' }), device_at: page.now() });
        expect(lastPress(page.rounds, 'me')).toBeNull();
    });

    it('leaves a colleague’s later word in the same place', () => {
        const page = new Page();
        page.mark('look', 'missed');
        const mine = page.rounds[0]!.marks[0]!;
        page.rounds[0]!.marks.push({ ...mine, id: uuid7(), outcome: 'unaided', corrects_id: mine.id, user_id: 'colleague', device_at: page.now() });
        page.undo();
        expect(page.said()).toBe('look unaided | ');
    });
});

describe('what stands', () => {
    const at = (second: number) => `2026-05-20T10:00:${String(second).padStart(2, '0')}.000Z`;
    const look = (id: string, outcome: Mark['outcome'], second: number, more: Partial<Mark> = {}) =>
        whole({ id, kind: 'step', step: 'look', outcome, device_at: at(second), ...more });

    it('is the later press of two devices, in whichever order they arrive', () => {
        const marks = [look('a', 'missed', 5), look('b', 'unaided', 9)];
        for (const order of [marks, [...marks].reverse()]) expect(standing(order).steps.look?.outcome).toBe('unaided');
        // As the server reads the clocks, not as they said.
        expect(standing([look('a', 'missed', 5, { pressed_at: at(20) }), look('b', 'unaided', 9, { pressed_at: at(9) })]).steps.look?.outcome).toBe('missed');
    });

    it('is a correction, whatever the clock says, and nothing where it was taken back', () => {
        const marks = [look('a', 'missed', 30), look('b', 'unaided', 1, { corrects_id: 'a' })];
        expect(standing(marks).steps.look?.outcome).toBe('unaided');
        expect(inOrder(marks).map((mark) => mark.id)).toEqual(['a', 'b']);
        // An older press of another device does not come back to life.
        const gone = standing([look('old', 'prompted', 0), ...marks, look('c', null, 2, { step: null, corrects_id: 'b', withdrawn: true })]);
        expect(gone.steps.look).toBeUndefined();
        expect(isEmpty(gone)).toBe(true);
    });

    it('has a moment as it was first pressed, until it is settled', () => {
        const page = new Page();
        const moment = page.moment();
        page.settle(moment, 'speed', 'missed', 1);
        expect(page.said()).toBe(' | speed missed');
        page.undo();
        expect(standing(page.rounds[0]!.marks).moments).toEqual([moment]);
        expect(page.said()).toContain('moment');
        // The round that held nothing but the moment is none once it is settled elsewhere.
        page.settle(moment, 'speed', 'missed', 1);
        expect(driven(page.rounds).map((round) => round.id)).toEqual(['r1']);
    });
});

describe('what was made on the device', () => {
    it('is laid over the server’s rounds once, however often it is seen', () => {
        const mark = whole({ id: 'm1', kind: 'step', step: 'look', outcome: 'unaided' });
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

describe('the order of rounds', () => {
    it('is the server’s, and what was made here comes after, however far off this device’s clock is', () => {
        const server = [
            { ...roundOf('r5'), began_at: '2026-05-20T10:05:00.000Z' },
            { ...roundOf('r1'), began_at: '2026-05-20T10:01:00.000Z' },
        ];
        const here = { ...roundOf('r9'), device_at: '2026-05-20T07:00:00.000Z' };
        const made = [{ seq: 1, kind: 'round' as const, user: 'u', round: here }];
        expect(withMade('l', server, made).map((round) => round.id)).toEqual(['r1', 'r5', 'r9']);
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
