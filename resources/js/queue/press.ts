import type { Mark, Outcome, Round, Step } from '@/api/types';
import type { NewEvent } from './events';
import { standing, type Standing } from './standing';
import { into, markIn, pressOf, undoing, withdrawal, type NewMark, type Press, type Slot } from './undo';
import { uuid7 } from './uuid';

/** What one press writes, and what it replaced. Every press adds rows to the log, none changes one. */
export interface Written {
    events: NewEvent[];
    press: Press;
}

let last = 0;

/** The time of a press by this device's clock, ISO 8601 to the millisecond: all rows of one press share it, and no two presses do. */
export function pressTime(): string {
    last = Math.max(Date.now(), last + 1);
    return new Date(last).toISOString();
}

/** A row of the log, complete. */
export const row = (round: string, at: string, said: NewMark): NewEvent & { kind: 'mark' } => ({
    kind: 'mark',
    mark: {
        ...{ id: uuid7(), round_id: round, step: null, outcome: null, taught: null, conditions: null, out_of_order: false },
        ...{ fault: null, effect: null, note: null },
        ...{ corrects_id: null, withdrawn: false, device_at: at },
        ...said,
    },
});

/** A press on some slots of a round. */
export const pressing = (round: string, stands: Standing, at: string, slots: Slot[], say: (slot: Slot, before: Mark | null) => NewMark): Written => ({
    events: slots.map((slot) => row(round, at, into(stands, slot, say(slot, markIn(stands, slot))))),
    press: pressOf(round, slots, stands),
});

/** The one press while moving: what it was is said when parked. */
export function momentIn(round: string, at: string): Written {
    const marked = row(round, at, { kind: 'moment' });
    return { events: [marked], press: [{ round, slot: { kind: 'moment', id: marked.mark.id }, before: null }] };
}

/** Stepping in is an outcome too: with another one it is no effect that stays. */
export const notOurs = (effect: Mark['effect'] | undefined): Mark['effect'] => (effect === 'intervened' ? null : (effect ?? null));

/** What a moment was, or null where it was nothing. */
export type Settled = { round: Round; step: Step; outcome: Outcome } | null;

/** Says what a moment was, in its own round or another: one press, taken back as one. */
export function settling(moment: Mark, from: Round, settled: Settled, at: string): Written {
    const slot: Slot = { kind: 'moment', id: moment.id };
    const gone = pressing(from.id, standing(from.marks), at, [slot], withdrawal);
    if (!settled) return gone;
    const { round, step, outcome } = settled;
    const said = pressing(round.id, standing(round.marks), at, [{ kind: 'step', step }], (_, before) => ({
        kind: 'step',
        step,
        outcome,
        ...{ fault: before?.fault ?? null, effect: outcome === 'intervened' ? (before?.effect ?? null) : notOurs(before?.effect), note: before?.note ?? null },
    }));
    return { events: [...gone.events, ...said.events], press: [...gone.press, ...said.press] };
}

/** The rows that take a press of this person back, in all rounds it wrote to. */
export const takingBack = (press: Press, rounds: readonly Round[], mine: string, at: string): NewEvent[] =>
    rounds.flatMap((round) => undoing(press, round.id, standing(round.marks), mine).map((said) => row(round.id, at, said)));
