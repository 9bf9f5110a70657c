import type { Conditions, Mark, Outcome, Round, Step, Taught } from '@/api/types';
import type { QueueEvent } from './events';

/** The one thing of a round a mark speaks of: its step, its kind, or one moment. */
export type SlotKey = string;

/** What stands for a round: in each slot the latest press, unless it takes back what was there. */
export interface Standing {
    steps: Partial<Record<Step, Mark & { outcome: Outcome }>>;
    taught: (Mark & { taught: Taught }) | null;
    heldBack: Mark | null;
    /** Pressed while moving and not yet said what they were; each as it was first pressed. */
    moments: Mark[];
    /** Conditions said after the round began: they stand instead of those it began with. */
    said: Mark | null;
    /** The latest press in each slot, one that took something back too: what the next press there follows. */
    last: ReadonlyMap<SlotKey, Mark>;
}

/** The first mark of the chain that a mark corrects. */
function first(mark: Mark, byId: ReadonlyMap<string, Mark>): Mark {
    let root = mark;
    for (let before = byId.get(root.corrects_id ?? ''); before; before = byId.get(root.corrects_id ?? '')) root = before;
    return root;
}

const byIdOf = (marks: readonly Mark[]) => new Map(marks.map((mark) => [mark.id, mark]));

/** The slot of every mark of a round, by its id. A withdrawal speaks of what it withdraws. */
export function slotsOf(marks: readonly Mark[]): Map<string, SlotKey> {
    const byId = byIdOf(marks);
    return new Map(
        marks.map((mark) => {
            const root = first(mark, byId);
            return [mark.id, root.kind === 'step' ? (root.step ?? 'step') : root.kind === 'moment' ? `moment ${root.id}` : root.kind];
        }),
    );
}

/** Marks in the order of their presses, as the server reads them: a correction comes after what it corrects, whatever a clock says. */
export function inOrder(marks: readonly Mark[]): Mark[] {
    const byId = byIdOf(marks);
    const times = new Map<string, number>();
    const time = (mark: Mark): number => {
        const known = times.get(mark.id);
        if (known !== undefined) return known;
        const before = byId.get(mark.corrects_id ?? '');
        const own = Date.parse(mark.pressed_at ?? mark.device_at) || 0;
        const found = before ? Math.max(own, time(before) + 1) : own;
        times.set(mark.id, found);
        return found;
    };
    return [...marks].sort((a, b) => time(a) - time(b) || (a.id < b.id ? -1 : 1));
}

/** The same rule as the server's. */
export function standing(marks: readonly Mark[]): Standing {
    const slots = slotsOf(marks);
    const byId = byIdOf(marks);
    const last = new Map<SlotKey, Mark>();
    for (const mark of inOrder(marks)) last.set(slots.get(mark.id)!, mark);
    const result: Standing = { steps: {}, taught: null, heldBack: null, moments: [], said: null, last };
    for (const mark of last.values()) {
        if (mark.withdrawn) continue;
        if (mark.kind === 'step' && mark.step && mark.outcome) result.steps[mark.step] = { ...mark, outcome: mark.outcome };
        if (mark.kind === 'taught' && mark.taught) result.taught = { ...mark, taught: mark.taught };
        if (mark.kind === 'held-back-rightly') result.heldBack = mark;
        if (mark.kind === 'conditions') result.said = mark;
        if (mark.kind === 'moment') result.moments.push(first(mark, byId));
    }
    return result;
}

/** What a round says of a step, as the core counts it: as it was marked; who held back rightly has looked. Null where it says nothing. */
export const says = ({ steps, heldBack }: Standing, step: Step): Outcome | null => steps[step]?.outcome ?? (step === 'look' && heldBack ? 'unaided' : null);

/** Whether nothing that was said of it stands: a round emptied by undoing is none. */
export const isEmpty = ({ steps, taught, heldBack, moments }: Standing): boolean =>
    Object.keys(steps).length === 0 && !taught && !heldBack && moments.length === 0;

/** What a round was driven in, as it stands. */
export const conditionsOf = (round: Round): Conditions => standing(round.marks).said?.conditions ?? round.conditions;

const beganAt = (round: Round): number => Date.parse(round.began_at ?? round.device_at) || 0;

/**
 * The server's rounds in the order in which they were driven, and after them what was made on this device and the server has not
 * shown yet, as it was made: a clock that is off must not put it before what somebody already saw. What is in both counts once.
 */
export function withMade(lessonId: string, rounds: Round[], made: QueueEvent[]): Round[] {
    const shown = [...rounds].sort((a, b) => beganAt(a) - beganAt(b) || (a.id < b.id ? -1 : 1));
    const merged = new Map(shown.map((round) => [round.id, { ...round, marks: [...round.marks] }]));
    for (const event of made) {
        if (event.kind === 'round' && event.round.lesson_id === lessonId && !merged.has(event.round.id)) {
            merged.set(event.round.id, { ...event.round, marks: [] });
        }
        if (event.kind === 'mark') {
            const round = merged.get(event.mark.round_id);
            if (round && !round.marks.some((mark) => mark.id === event.mark.id)) round.marks.push(event.mark);
        }
    }
    return [...merged.values()];
}

/** The rounds in which something happened, numbered as they were driven. */
export const driven = (rounds: Round[]): Round[] => rounds.filter((round) => !isEmpty(standing(round.marks)));
