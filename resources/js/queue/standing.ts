import { OUTCOMES, type Conditions, type Decision, type Mark, type Outcome, type Round, type Stage, type Step, type Taught } from '@/api/types';
import type { QueueEvent } from './events';

/** The one thing of a round a mark speaks of: its step, its kind, or one moment. */
export type SlotKey = string;

export type StepMark = Mark & { outcome: Outcome };

/** What stands for a round: in each slot the latest press, unless it takes back what was there. */
export interface Standing {
    /** What each step comes to: of several stages the one that took most help. */
    steps: Partial<Record<Step, StepMark>>;
    stages: Partial<Record<Stage, Partial<Record<Step, StepMark>>>>;
    taught: (Mark & { taught: Taught }) | null;
    /** Right ones. */
    decisions: Partial<Record<Decision, Mark>>;
    heldBack: Mark | null;
    /** What the key counted or timed. */
    counts: Mark[];
    /** Pressed while moving and not yet said what they were; each as it was first pressed. */
    moments: Mark[];
    /** Conditions said after the round began: they stand instead of those it began with. */
    said: Mark | null;
    /** The place, where it was said after the round began. */
    place: Mark | null;
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

export const HELD_BACK = 'held-back-rightly';

export const stepKey = (step: Step | 'step', stage?: Stage | null): SlotKey => (stage && stage !== 'approach' ? `${step} ${stage}` : step);

/** The oldest of the decisions has a kind of its own; both ways of saying it are the same. */
export const decisionKey = (decision: Decision): SlotKey => (decision === HELD_BACK ? HELD_BACK : `decision ${decision}`);

function keyOfMark({ kind, step, stage, decision, id }: Mark): SlotKey {
    if (kind === 'step') return stepKey(step ?? 'step', stage);
    if (kind === 'moment' || kind === 'count') return `${kind} ${id}`;
    return kind === 'decision' && decision ? decisionKey(decision) : kind;
}

/** How much help it took, as the core ranks it (StepMark::support). */
function support({ outcome, out_of_order, effect, fault }: StepMark): number {
    const rank = (of: Outcome): number => OUTCOMES.indexOf(of);
    return Math.max(...[rank(outcome), out_of_order ? rank('prompted') : 0], ...[effect === 'affected' ? rank('missed') : 0, fault ? rank('reminded') : 0]);
}

/** The slot of every mark of a round, by its id. A withdrawal speaks of what it withdraws. */
export function slotsOf(marks: readonly Mark[]): Map<string, SlotKey> {
    const byId = byIdOf(marks);
    return new Map(
        marks.map((mark) => {
            return [mark.id, keyOfMark(first(mark, byId))];
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
    const result: Standing = { steps: {}, stages: {}, taught: null, decisions: {}, heldBack: null, counts: [], moments: [], said: null, place: null, last };
    for (const mark of last.values()) {
        if (mark.withdrawn) continue;
        if (mark.kind === 'step' && mark.step && mark.outcome) {
            const said = { ...mark, outcome: mark.outcome };
            const sofar = result.steps[mark.step];
            if (!sofar || support(said) > support(sofar)) result.steps[mark.step] = said;
            result.stages[mark.stage ?? 'approach'] = { ...result.stages[mark.stage ?? 'approach'], [mark.step]: said };
        }
        if (mark.kind === 'taught' && mark.taught) result.taught = { ...mark, taught: mark.taught };
        if (mark.kind === 'decision' && mark.decision) result.decisions[mark.decision] = mark;
        if (mark.kind === HELD_BACK) result.decisions[HELD_BACK] = mark;
        if (mark.kind === 'count') result.counts.push(mark);
        if (mark.kind === 'conditions') result.said = mark;
        if (mark.kind === 'place') result.place = mark;
        if (mark.kind === 'moment') result.moments.push(first(mark, byId));
    }
    result.heldBack = result.decisions[HELD_BACK] ?? null;
    return result;
}

/** What a round says of a step, as the core counts it: as it was marked; who held back rightly has looked. Null where it says nothing. */
export const says = ({ steps, heldBack }: Standing, step: Step): Outcome | null => steps[step]?.outcome ?? (step === 'look' && heldBack ? 'unaided' : null);

/** Whether nothing that was said of it stands: a round emptied by undoing is none. */
export const isEmpty = ({ steps, taught, decisions, counts, moments }: Standing): boolean =>
    Object.keys(steps).length === 0 && !taught && Object.keys(decisions).length === 0 && counts.length === 0 && moments.length === 0;

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
