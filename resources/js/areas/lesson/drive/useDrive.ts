import { useEffect, useMemo, useState } from 'react';
import { STEPS, type Conditions, type Effect, type Fault, type Lesson, type Mark, type Outcome, type Round, type Step, type Taught } from '@/api/types';
import { marksQueue, useMarksQueue } from '@/queue/marks';
import { useRules } from '@/rules/rules';
import { useSession } from '@/session/session';
import type { NewEvent } from '@/queue/queue';
import { conditionsOf, driven, isEmpty, standing, withMade } from '@/queue/standing';
import { momentIn, notOurs, pressing, pressTime, settling, takingBack, type Settled, type Written } from '@/queue/press';
import { lastPress, withdrawal, type NewMark, type Press, type Slot } from '@/queue/undo';
import { uuid7 } from '@/queue/uuid';
import { keepVisit, keptVisit, type Visit } from './visit';

/** Only what was noted. */
const written = (conditions: Conditions): Conditions =>
    Object.fromEntries(Object.entries(conditions as Record<string, string | undefined>).filter(([, said]) => said));

const stepSlot = (which: Step): Slot => ({ kind: 'step', step: which });

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
    const [visit, setVisit] = useState<Visit>(() => keptVisit(lesson.id) ?? { item: itemOf(latest)?.id ?? null, round: null, again: false });
    const [presses, setPresses] = useState<Press[]>([]);
    useEffect(() => keepVisit(lesson.id, visit), [lesson.id, visit]);
    // Leaving Drive ends the visit: whoever comes back begins a new round. (A reload leaves nothing.)
    useEffect(() => () => keepVisit(lesson.id, null), [lesson.id]);

    const item = lesson.items.find((candidate) => candidate.id === visit.item) ?? lesson.items[0];
    const round = rounds.find((candidate) => candidate.id === visit.round);
    const stands = standing(round?.marks ?? []);
    const routine = round?.routine ?? item?.routine;
    // The steps this routine has; a hump has no signal.
    const steps: readonly Step[] = routines.find((candidate) => candidate.code === routine)?.steps ?? STEPS;
    const atPlace = happened.findLast((candidate) => candidate.place_id === item?.place.id);
    // What the open round is driven in; a new one goes on as the last one was, on the kind of road this place is on.
    const [next, setNext] = useState<Conditions | null>(null);
    const onward = next ?? { ...(latest ? conditionsOf(latest) : {}), road: atPlace && conditionsOf(atPlace).road };
    const conditions: Conditions = round ? conditionsOf(round) : onward;
    const before = rounds.slice(0, round ? rounds.indexOf(round) : undefined);

    /** The round that a press goes into: the open one, or a new one that it begins. */
    const begin = (at: string): { id: string; begun: NewEvent[] } | null => {
        if (round) return { id: round.id, begun: [] };
        if (!item) return null;
        const place = { lesson_id: lesson.id, place_id: item.place.id, place: item.place.name, routine: item.routine };
        const id = uuid7();
        return { id, begun: [{ kind: 'round', round: { id, ...place, conditions: written(conditions), plan: item.plan, device_at: at } }] };
    };
    const keep = ({ events, press }: Written, begun: NewEvent[] = []): void => {
        marksQueue.add(...begun, ...events);
        setPresses((known) => [...known, press]);
    };
    const stay = (id: string): void => {
        setVisit({ item: item?.id ?? null, round: id, again: round !== undefined && visit.again });
        setNext(null);
    };
    const press = (slots: Slot[], say: (slot: Slot, before: Mark | null) => NewMark): void => {
        const at = pressTime();
        const there = slots.length > 0 && begin(at);
        if (!there) return;
        keep(pressing(there.id, stands, at, slots, say), there.begun);
        stay(there.id);
    };
    const toStep = (which: Step, change: (before: Mark | null) => Partial<Mark>): void =>
        press([stepSlot(which)], (_, before) => ({
            ...{ kind: 'step', step: which, outcome: before?.outcome ?? 'unaided', out_of_order: before?.out_of_order ?? false, note: before?.note ?? null },
            ...{ fault: before?.fault ?? null, effect: before?.effect ?? null },
            ...change(before),
        }));
    const newVisit = (place: string | null): void => setVisit({ item: place, round: null, again: false });
    const open = (opened: Round): void => setVisit({ item: itemOf(opened)?.id ?? null, round: opened.id, again: true });

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
        round,
        /** Added to on purpose: not the round that the lesson stands at. */
        again: visit.again && round !== undefined,
        stands,
        steps,
        routine,
        number: before.filter((candidate) => !isEmpty(standing(candidate.marks))).length + 1,
        conditions,
        mark: (which: Step, outcome: Outcome) => {
            if (stands.steps[which]?.outcome !== outcome) {
                toStep(which, (mark) => ({ outcome, effect: outcome === 'intervened' ? (mark?.effect ?? null) : notOurs(mark?.effect) }));
            }
        },
        restUnaided: () =>
            press(steps.filter((which) => !stands.steps[which]).map(stepSlot), (slot) => ({
                ...{ kind: 'step', step: slot.kind === 'step' ? slot.step : null, outcome: 'unaided' },
            })),
        outOfOrder: (which: Step) => toStep(which, (mark) => ({ out_of_order: !mark?.out_of_order })),
        /** Which kind of fault it was; the same once more says that it was none. Beside no outcome yet, it was missed. */
        fault: (which: Step, fault: Fault) => toStep(which, (mark) => ({ outcome: mark?.outcome ?? 'missed', fault: mark?.fault === fault ? null : fault })),
        /** What it did to others. Where we stepped in, that is how it was done, too. */
        effect: (which: Step, effect: Effect) =>
            toStep(which, (mark) => {
                const said = mark?.effect === effect ? null : effect;
                return { outcome: said === 'intervened' ? 'intervened' : (mark?.outcome ?? 'missed'), effect: said };
            }),
        note: (which: Step, note: string) => {
            if (stands.steps[which]) toStep(which, () => ({ note: note || null }));
        },
        taught: (taught: Taught) => press([{ kind: 'taught' }], (slot, mark) => (mark?.taught === taught ? withdrawal(slot) : { kind: 'taught', taught })),
        heldBack: () => press([{ kind: 'held-back-rightly' }], (slot, mark) => (mark ? withdrawal(slot) : { kind: 'held-back-rightly' })),
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
        /** Says what a moment was, or that it was nothing. */
        settle: (moment: Mark, settled: Settled) => {
            const from = rounds.find((candidate) => candidate.id === moment.round_id);
            if (from) keep(settling(moment, from, settled, pressTime()));
        },
        newRound: () => newVisit(item?.id ?? null),
        goTo: newVisit,
        open,
        undo: undone ? () => undo(undone) : null,
    };
}
