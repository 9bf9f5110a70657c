import { useEffect, useMemo, useState } from 'react';
import {
    STEPS,
    type Conditions,
    type Decision,
    type Effect,
    type Fault,
    type Lesson,
    type Mark,
    type Outcome,
    type Round,
    type Stage,
    type RoutineCode,
    type Step,
    type Taught,
} from '@/api/types';
import { marksQueue, useMarksQueue } from '@/queue/marks';
import { drivenAt, useRules } from '@/rules/rules';
import { useSession } from '@/session/session';
import type { NewEvent } from '@/queue/queue';
import { conditionsOf, driven, isEmpty, standing, withMade } from '@/queue/standing';
import { counting, momentIn, onStep, pressing, pressTime, takingBack, toEffect, toFault, toOutcome, type StepChange, type Written } from '@/queue/press';
import { lastPress, spokenOf, withdrawal, type NewMark, type Press, type Slot } from '@/queue/undo';
import { uuid7 } from '@/queue/uuid';
import type { NewCount } from './instruments';
import { keepVisit, keptVisit, type Away, type Visit } from './visit';

/** Only what was noted. */
const written = (conditions: Conditions): Conditions =>
    Object.fromEntries(Object.entries(conditions as Record<string, string | undefined>).filter(([, said]) => said));

/** What is counted all the time is a stretch of this. */
const ALL_THE_TIME: RoutineCode = 'between-hazards';

const stepSlot = (which: Step, stage: Stage | null): Slot & { kind: 'step' } => ({ kind: 'step', step: which, stage });

/**
 * Marking a lesson: where it stands, the round that is open, what stands in it, and every press as events for the queue. It begins
 * where the lesson was last marked, with a new round; an older one is added to only on purpose.
 */
export function useDrive(lesson: Lesson) {
    const { made } = useMarksQueue();
    const { user } = useSession();
    const { routines } = useRules();
    const rounds = useMemo(() => withMade(lesson.id, lesson.rounds, made), [lesson.id, lesson.rounds, made]);
    const happened = driven(rounds);
    const latest = happened[happened.length - 1];
    const itemOf = (round: Round | undefined) => round && lesson.items.find((candidate) => candidate.place.id === round.place_id);
    // Where the lesson stands as Drive is opened: what a colleague's device marks elsewhere does not move it under the hand.
    const [visit, setVisit] = useState<Visit>(() => keptVisit(lesson.id) ?? { item: itemOf(latest)?.id ?? null, away: null, round: null, again: false });
    const [presses, setPresses] = useState<Press[]>([]);
    useEffect(() => keepVisit(lesson.id, visit), [lesson.id, visit]);
    // Leaving Drive ends the visit: whoever comes back begins a new round. (A reload leaves nothing.)
    useEffect(() => () => keepVisit(lesson.id, null), [lesson.id]);

    const item = visit.away ? undefined : (lesson.items.find((candidate) => candidate.id === visit.item) ?? lesson.items[0]);
    const round = rounds.find((candidate) => candidate.id === visit.round);
    const stands = standing(round?.marks ?? []);
    const routine = round?.routine ?? visit.away?.routine ?? item?.routine;
    const known = routines.find((candidate) => candidate.code === routine);
    // The parts that are marked apart, where it has some.
    const [chosen, setStage] = useState<Stage | null>(null);
    const apart = known?.stages ?? {};
    // A round that was marked as one, before it could be marked apart, shows that too.
    const stages = Object.keys(apart).length > 0 && !apart.approach && stands.stages.approach ? { approach: 'As one', ...apart } : apart;
    const parts = Object.keys(stages) as Stage[];
    const stage = parts.length === 0 ? null : chosen && parts.includes(chosen) ? chosen : parts[0]!;
    const said = stands.stages[stage ?? 'approach'] ?? {};
    // The steps this routine has; a hump has no signal.
    const steps: readonly Step[] = known?.steps ?? STEPS;
    const atPlace = happened.findLast((candidate) => candidate.place_id === item?.place.id);
    // What the open round is driven in; a new one goes on as the last one was, on the kind of road this place is on.
    const [next, setNext] = useState<Conditions | null>(null);
    const onward = next ?? { ...(latest ? conditionsOf(latest) : {}), road: atPlace && conditionsOf(atPlace).road };
    const conditions: Conditions = round ? conditionsOf(round) : onward;
    const before = rounds.slice(0, round ? rounds.indexOf(round) : undefined);

    /** The round that a press goes into: the open one, or a new one that it begins. */
    const begin = (at: string): { id: string; begun: NewEvent[] } | null => {
        if (round) return { id: round.id, begun: [] };
        const id = uuid7();
        const drivenIn = { id, lesson_id: lesson.id, conditions: written(conditions), device_at: at };
        if (visit.away) {
            const { where, routine: away, side = null } = visit.away;
            return { id, begun: [{ kind: 'round', round: { ...drivenIn, place_id: null, place: where, elsewhere: where || null, routine: away, side } }] };
        }
        if (!item) return null;
        return { id, begun: [{ kind: 'round', round: { ...drivenIn, ...drivenAt(item, known) } }] };
    };
    const keep = ({ events, press }: Written, begun: NewEvent[] = []): void => {
        marksQueue.add(...begun, ...events);
        setPresses((known) => [...known, press]);
    };
    const stay = (id: string): void => {
        setVisit({ item: item?.id ?? null, away: visit.away, round: id, again: round !== undefined && visit.again });
        setNext(null);
    };
    const press = (slots: Slot[], say: (slot: Slot, before: Mark | null) => NewMark): void => {
        const at = pressTime();
        const there = slots.length > 0 && begin(at);
        if (!there) return;
        keep(pressing(there.id, stands, at, slots, say), there.begun);
        stay(there.id);
    };
    const toStep = (which: Step, change: StepChange): void => {
        const at = pressTime();
        const there = begin(at);
        if (!there) return;
        keep(onStep(there.id, stands, at, stepSlot(which, stage), change), there.begun);
        stay(there.id);
    };
    const newVisit = (place: string | null, away: Away | null = null): void => setVisit({ item: place, away, round: null, again: false });
    const awayOf = (opened: Round): Away | null =>
        opened.place_id === null ? { routine: opened.routine, where: opened.elsewhere ?? '', side: opened.side ?? null } : null;
    const open = (opened: Round): void => setVisit({ item: itemOf(opened)?.id ?? null, away: awayOf(opened), round: opened.id, again: true });

    const undone = presses[presses.length - 1] ?? lastPress(rounds, user.id);
    const undo = (press: Press): void => {
        const concerned = rounds.filter((candidate) => press.some((replaced) => replaced.round === candidate.id));
        marksQueue.add(...takingBack(press, concerned, user.id, pressTime()));
        setPresses((known) => known.filter((candidate) => candidate !== press));
        // What was taken back is shown, whichever round it was in.
        const shown = concerned[0];
        if (shown && shown.id !== round?.id) open(shown);
    };

    return {
        rounds: happened,
        item,
        /** The place that comes after it in the plan. */
        nextItem: lesson.items[lesson.items.findIndex((candidate) => candidate.id === item?.id) + 1],
        round,
        /** Added to on purpose: not the round that the lesson stands at. */
        again: visit.again && round !== undefined,
        stands,
        /** What stands of the part that is marked. */
        said,
        stage,
        stages,
        /** The first part of which nothing has been said yet; null where it is marked as one, or all of it was. */
        stageLeft: parts.find((one) => !stands.stages[one]) ?? null,
        setStage,
        steps,
        routine,
        number: before.filter((candidate) => !isEmpty(standing(candidate.marks))).length + 1,
        conditions,
        mark: (which: Step, outcome: Outcome) => {
            if (said[which]?.outcome !== outcome) toStep(which, toOutcome(outcome));
        },
        restUnaided: () =>
            press(
                steps.filter((which) => !said[which]).map((which) => stepSlot(which, stage)),
                (slot) => ({ ...spokenOf(slot), outcome: 'unaided' }),
            ),
        outOfOrder: (which: Step) => toStep(which, (mark) => ({ out_of_order: !mark?.out_of_order })),
        fault: (which: Step, fault: Fault) => toStep(which, toFault(fault)),
        effect: (which: Step, effect: Effect) => toStep(which, toEffect(effect)),
        note: (which: Step, note: string) => {
            if (said[which]) toStep(which, () => ({ note: note || null }));
        },
        taught: (taught: Taught) => press([{ kind: 'taught' }], (slot, mark) => (mark?.taught === taught ? withdrawal(slot) : { kind: 'taught', taught })),
        /** A right decision; the same once more takes it back. */
        decide: (decision: Decision) => press([{ kind: 'decision', decision }], (slot, mark) => (mark ? withdrawal(slot) : spokenOf(slot))),
        /** Of the open round: said beside what it began with. Before its first press they go with the round itself. */
        drivenIn: (said: Conditions) => {
            if (round) press([{ kind: 'conditions' }], () => ({ kind: 'conditions', conditions: written(said) }));
            else setNext(said);
        },
        /** One press while moving. */
        moment: () => {
            const at = pressTime();
            const there = begin(at);
            if (!there) return;
            keep(momentIn(there.id, at), there.begun);
            stay(there.id);
        },
        /** What the key counted: of this round, or of a stretch of its own that began so long ago, ms. */
        count: (counts: readonly NewCount[], stretch: number | null) => {
            const at = pressTime();
            if (stretch === null || !routines.some((candidate) => candidate.code === ALL_THE_TIME)) {
                const there = begin(at);
                if (!there) return;
                keep(counting(there.id, at, counts), there.begun);
                stay(there.id);
                return;
            }
            const began = new Date(Date.parse(at) - Math.max(1, Math.round(stretch))).toISOString();
            const round = {
                ...{ id: uuid7(), lesson_id: lesson.id, place_id: null, place: '', elsewhere: null, routine: ALL_THE_TIME },
                ...{ conditions: written(conditions), device_at: began },
            };
            keep(counting(round.id, at, counts), [{ kind: 'round', round }]);
        },
        /** All rounds, those too of which nothing stands; and how whatever is pressed is kept, with the way back. */
        all: rounds,
        keep,
        /** Away from the places of the plan; null at one of them. */
        away: visit.away,
        newRound: () => newVisit(item?.id ?? null, visit.away),
        goTo: (place: string | null) => newVisit(place),
        /** Any routine, anywhere. */
        goAway: (away: Away) => newVisit(null, away),
        /** Where the open round was, said afterwards. */
        place: (place: string) => {
            if (round) press([{ kind: 'place' }], () => ({ kind: 'place', place_id: place }));
        },
        open,
        undo: undone ? () => undo(undone) : null,
    };
}
