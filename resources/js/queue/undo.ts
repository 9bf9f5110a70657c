import type { Mark, Step } from '@/api/types';
import type { Standing } from './standing';

/** The places of a round in which at most one mark stands, and one more for each moment. */
export type Slot = { kind: 'step'; step: Step } | { kind: 'taught' } | { kind: 'held-back-rightly' } | { kind: 'conditions' } | { kind: 'moment'; id: string };

/** What one press replaced, slot by slot; null where nothing stood. */
export interface Press {
    round: string;
    slots: { slot: Slot; before: Mark | null }[];
}

export type NewMark = Partial<Mark> & Pick<Mark, 'kind'>;

export function markIn(stands: Standing, slot: Slot): Mark | null {
    switch (slot.kind) {
        case 'step':
            return stands.steps[slot.step] ?? null;
        case 'taught':
            return stands.taught;
        case 'held-back-rightly':
            return stands.heldBack;
        case 'conditions':
            return stands.said;
        case 'moment':
            return stands.moments.find((mark) => mark.id === slot.id) ?? null;
    }
}

export function slotOf(mark: Mark): Slot | null {
    if (mark.kind === 'step') return mark.step ? { kind: 'step', step: mark.step } : null;
    return mark.kind === 'moment' ? { kind: 'moment', id: mark.id } : { kind: mark.kind };
}

export const withdrawal = (mark: Mark): NewMark => ({ kind: mark.kind, corrects_id: mark.id, withdrawn: true });

/** The marks that put back what stood before a press: what stands now is withdrawn or corrected, never erased. */
export function undoing(press: Press, stands: Standing): NewMark[] {
    return press.slots.flatMap(({ slot, before }) => {
        const now = markIn(stands, slot);
        if (before) {
            const { kind, step, outcome, taught, conditions, out_of_order, note } = before;
            return [{ kind, step, outcome, taught, conditions, out_of_order, note, corrects_id: now?.id ?? null }];
        }
        return now ? [withdrawal(now)] : [];
    });
}

/** The press to undo where this device knows of none, after the page was loaded anew: the newest mark that stands. */
export function lastPress(round: string, marks: Mark[], stands: Standing): Press | null {
    for (const mark of [...marks].reverse()) {
        const slot = slotOf(mark);
        if (slot && markIn(stands, slot)?.id === mark.id) return { round, slots: [{ slot, before: null }] };
    }
    return null;
}
