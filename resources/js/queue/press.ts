import type { Decision, Effect, Fault, Mark, Outcome, Round, Step } from '@/api/types';
import type { NewEvent } from './events';
import { standing, type Standing } from './standing';
import { into, markIn, pressOf, spokenOf, undoing, withdrawal, type NewMark, type Press, type Slot } from './undo';
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
        ...{ stage: null, decision: null, what: null, number: null, seconds: null, fault: null, effect: null, place_id: null, note: null },
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

/** What the key counted: each count a row of its own, all one press. */
export function counting(round: string, at: string, counts: readonly Pick<Mark, 'what' | 'number' | 'seconds'>[]): Written {
    const events = counts.map((count) => row(round, at, { kind: 'count', ...count }));
    return { events, press: events.map(({ mark }) => ({ round, slot: { kind: 'count', id: mark.id }, before: null })) };
}

/** Stepping in is an outcome too: with another one it is no effect that stays. */
export const notOurs = (effect: Mark['effect'] | undefined): Mark['effect'] => (effect === 'intervened' ? null : (effect ?? null));

/** What a press on a step changes of what stood there. */
export type StepChange = (before: Mark | null) => Partial<Mark>;

export const toOutcome =
    (outcome: Outcome): StepChange =>
    (before) => ({ outcome, effect: outcome === 'intervened' ? (before?.effect ?? null) : notOurs(before?.effect) });

/** Which kind of fault it was; the same once more says that it was none. Beside no outcome yet, it was missed. */
export const toFault =
    (fault: Fault): StepChange =>
    (before) => ({ outcome: before?.outcome ?? 'missed', fault: before?.fault === fault ? null : fault });

/** What it did to others. Where we stepped in, that is how it was done, too. */
export const toEffect =
    (effect: Effect): StepChange =>
    (before) => {
        const said = before?.effect === effect ? null : effect;
        return { outcome: said === 'intervened' ? 'intervened' : (before?.outcome ?? 'missed'), effect: said };
    };

/** A press on one step: whatever it does not change stays as it was. */
export const onStep = (round: string, stands: Standing, at: string, slot: Slot & { kind: 'step' }, change: StepChange): Written =>
    pressing(round, stands, at, [slot], (_, before) => ({
        ...{ ...spokenOf(slot), outcome: before?.outcome ?? 'unaided', out_of_order: before?.out_of_order ?? false, note: before?.note ?? null },
        ...{ fault: before?.fault ?? null, effect: before?.effect ?? null },
        ...change(before),
    }));

/** What a moment was, or null where it was nothing. */
export type Settled = { round: Round; step: Step; outcome: Outcome } | { round: Round; decision: Decision } | null;

/** Says what a moment was, in its own round or another: one press, taken back as one. */
export function settling(moment: Mark, from: Round, settled: Settled, at: string): Written {
    const slot: Slot = { kind: 'moment', id: moment.id };
    const gone = pressing(from.id, standing(from.marks), at, [slot], withdrawal);
    if (!settled) return gone;
    const { round } = settled;
    const stands = standing(round.marks);
    const said =
        'decision' in settled
            ? pressing(round.id, stands, at, [{ kind: 'decision', decision: settled.decision }], spokenOf)
            : onStep(round.id, stands, at, { kind: 'step', step: settled.step }, toOutcome(settled.outcome));
    return { events: [...gone.events, ...said.events], press: [...gone.press, ...said.press] };
}

/** The rows that take a press of this person back, in all rounds it wrote to. */
export const takingBack = (press: Press, rounds: readonly Round[], mine: string, at: string): NewEvent[] =>
    rounds.flatMap((round) => undoing(press, round.id, standing(round.marks), mine).map((said) => row(round.id, at, said)));
