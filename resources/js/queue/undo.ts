import type { Decision, Mark, Round, Stage, Step } from '@/api/types';
import { decisionKey, HELD_BACK, inOrder, slotsOf, stepKey, type SlotKey, type Standing } from './standing';

/** The places of a round in which at most one mark stands, and one more for each moment and count. */
export type Slot =
    | { kind: 'step'; step: Step; stage?: Stage | null }
    | { kind: 'taught' }
    | { kind: 'decision'; decision: Decision }
    | { kind: 'conditions' }
    | { kind: 'place' }
    | { kind: 'moment' | 'count'; id: string };

/** What a mark says, without what makes it a row. */
export type Said = Omit<Mark, 'id' | 'round_id' | 'corrects_id' | 'withdrawn' | 'user_id' | 'device_at' | 'pressed_at' | 'server_at' | 'clock_ahead'>;

/** What one press replaced, slot by slot, in one round or several; null where nothing stood. */
export type Press = { round: string; slot: Slot; before: Said | null }[];

export type NewMark = Partial<Mark> & Pick<Mark, 'kind'>;

export function keyOf(slot: Slot): SlotKey {
    if (slot.kind === 'step') return stepKey(slot.step, slot.stage);
    if (slot.kind === 'decision') return decisionKey(slot.decision);
    return slot.kind === 'moment' || slot.kind === 'count' ? `${slot.kind} ${slot.id}` : slot.kind;
}

/** Somebody else's; what was made on this device and not yet sent is one's own. */
const isTheirs = (mark: Mark | undefined, mine: string): boolean => mark?.user_id !== undefined && mark.user_id !== mine;

export function markIn(stands: Standing, slot: Slot): Mark | null {
    const mark = stands.last.get(keyOf(slot));
    return mark && !mark.withdrawn ? mark : null;
}

const saidIn = (mark: Mark): Said => ({
    ...{ kind: mark.kind, step: mark.step, stage: mark.stage ?? null, outcome: mark.outcome, taught: mark.taught, decision: mark.decision ?? null },
    ...{ what: mark.what ?? null, number: mark.number ?? null, seconds: mark.seconds ?? null, conditions: mark.conditions },
    ...{ out_of_order: mark.out_of_order, fault: mark.fault ?? null, effect: mark.effect ?? null, place_id: mark.place_id ?? null, note: mark.note },
});

/** Follows whatever was pressed last in the slot, so that it stands after it. */
export const into = (stands: Standing, slot: Slot, said: NewMark): NewMark => ({ ...said, corrects_id: stands.last.get(keyOf(slot))?.id ?? null });

/** What every mark of a slot says, whatever else it says. */
export function spokenOf(slot: Slot): NewMark {
    if (slot.kind === 'step') return { kind: 'step', step: slot.step, stage: slot.stage ?? null };
    return slot.kind === 'decision' ? { kind: 'decision', decision: slot.decision } : { kind: slot.kind };
}

/** Takes back what stands in a slot. */
export const withdrawal = (slot: Slot): NewMark => ({ ...spokenOf(slot), withdrawn: true });

/** A press as it is made: what stood in its slots is remembered, so that it can be put back. */
export const pressOf = (round: string, slots: Slot[], stands: Standing): Press =>
    slots.map((slot) => {
        const mark = markIn(stands, slot);
        return { round, slot, before: mark && saidIn(mark) };
    });

/**
 * The marks that put back what stood before a press in one round: what stands now is withdrawn or corrected, never erased. Where
 * somebody else pressed later, their word stands.
 */
export function undoing(press: Press, round: string, stands: Standing, mine: string): NewMark[] {
    return press
        .filter((replaced) => replaced.round === round)
        .flatMap(({ slot, before }) => {
            if (isTheirs(stands.last.get(keyOf(slot)), mine)) return [];
            if (before) return [into(stands, slot, before)];
            return markIn(stands, slot) ? [into(stands, slot, withdrawal(slot))] : [];
        });
}

const same = (a: Said | null, b: Said | null): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What stood in a slot, one state upon the other; a press that put back the state below it is an undo, and takes one off. */
function states(marks: Mark[], settled: ReadonlySet<string>): { said: Said | null; mark: Mark | null }[] {
    const stack: { said: Said | null; mark: Mark | null }[] = [{ said: null, mark: null }];
    for (const mark of marks) {
        const said = mark.withdrawn ? null : saidIn(mark);
        const isUndo = !(mark.kind === 'moment' && mark.withdrawn && settled.has(mark.device_at));
        if (isUndo && stack.length > 1 && same(stack[stack.length - 2]!.said, said)) stack.pop();
        else stack.push({ said, mark });
    }
    return stack;
}

function grouped<T>(items: readonly T[], key: (item: T) => string): Map<string, T[]> {
    const groups = new Map<string, T[]>();
    for (const item of items) groups.set(key(item), [...(groups.get(key(item)) ?? []), item]);
    return groups;
}

function slotAs(key: SlotKey, mark: Mark): Slot {
    if (mark.kind === 'step') return { kind: 'step', step: mark.step!, stage: mark.stage };
    if (mark.kind === 'moment' || mark.kind === 'count') return { kind: mark.kind, id: key.slice(mark.kind.length + 1) };
    if (mark.kind === 'decision') return { kind: 'decision', decision: mark.decision! };
    return mark.kind === HELD_BACK ? { kind: 'decision', decision: HELD_BACK } : { kind: mark.kind };
}

/**
 * The press to undo where this page knows of none, after it was loaded anew: the newest marks of this person that stand, all of one
 * moment, in whichever rounds, with what they replaced.
 */
export function lastPress(rounds: readonly Round[], mine: string): Press | null {
    let newest = '';
    let press: Press = [];
    // A moment that went in the same press as something was said became that: it was not undone.
    const settled = new Set(rounds.flatMap((round) => round.marks.flatMap((mark) => (mark.withdrawn || mark.kind === 'moment' ? [] : [mark.device_at]))));
    for (const round of rounds) {
        const slots = slotsOf(round.marks);
        for (const [key, marks] of grouped(inOrder(round.marks), (mark) => slots.get(mark.id)!)) {
            const stack = states(marks, settled);
            const top = stack[stack.length - 1]!;
            if (!top.mark || isTheirs(top.mark, mine)) continue;
            const at = top.mark.device_at;
            if (at < newest) continue;
            const replaced = { round: round.id, slot: slotAs(key, top.mark), before: stack[stack.length - 2]!.said };
            press = at === newest ? [...press, replaced] : [replaced];
            newest = at;
        }
    }
    return press.length === 0 ? null : press;
}
