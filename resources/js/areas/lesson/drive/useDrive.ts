import { useMemo, useState } from 'react';
import type { Conditions, Lesson, Outcome, PlannedItem, Round, Step, Taught } from '@/api/types';
import { marksQueue, useMarksQueue } from '@/app/marks';
import type { NewEvent } from '@/queue/queue';
import { conditionsOf, standing, withMade, type Standing } from '@/queue/standing';
import { lastPress, markIn, undoing, withdrawal, type NewMark, type Press, type Slot } from '@/queue/undo';
import { uuid7 } from '@/queue/uuid';

/** Only what was noted. */
const written = (conditions: Conditions): Conditions => Object.fromEntries(Object.entries(conditions).filter(([, said]) => said));

/** Marking a lesson: the round that is open, what stands in it, and every press as events for the queue. */
export function useDrive(lesson: Lesson, item: PlannedItem | undefined, steps: readonly Step[]) {
    const { made } = useMarksQueue();
    const rounds = useMemo(() => withMade(lesson.id, lesson.rounds, made), [lesson.id, lesson.rounds, made]);
    const [openId, setOpenId] = useState<string | null>(null);
    const [fresh, setFresh] = useState(false);
    const [presses, setPresses] = useState<Press[]>([]);
    // The last round at this place stays open until the next one is begun.
    const atPlace = rounds.filter((round) => item && round.place_id === item.place.id);
    const round = fresh ? undefined : (rounds.find((candidate) => candidate.id === openId) ?? atPlace[atPlace.length - 1]);
    const stands: Standing = standing(round?.marks ?? []);
    // What the open round is driven in; a new one goes on as the last one was, on the kind of road this place is on.
    const [next, setNext] = useState<Conditions | null>(null);
    const last = rounds[rounds.length - 1];
    const onward = next ?? { ...(last ? conditionsOf(last) : {}), road: atPlace.length > 0 ? conditionsOf(atPlace[atPlace.length - 1]!).road : undefined };
    const conditions: Conditions = round ? conditionsOf(round) : onward;

    /** Queues marks for the open round, and the round itself where this is its first mark. All of one press share a moment. */
    const write = (marks: NewMark[]): { round: string; ids: string[] } | null => {
        if (!item || marks.length === 0) return null;
        const now = new Date().toISOString();
        const id = round?.id ?? uuid7();
        const begin: NewEvent[] = round
            ? []
            : [
                  {
                      kind: 'round',
                      round: {
                          id,
                          lesson_id: lesson.id,
                          place_id: item.place.id,
                          place: item.place.name,
                          routine: item.routine,
                          conditions: written(conditions),
                          device_at: now,
                      },
                  },
              ];
        const events = marks.map((mark) => ({
            kind: 'mark' as const,
            mark: {
                ...{ id: uuid7(), round_id: id, step: null, outcome: null, taught: null, conditions: null, out_of_order: false, note: null },
                ...{ corrects_id: null, withdrawn: false, device_at: now },
                ...mark,
            },
        }));
        marksQueue.add(...begin, ...events);
        setOpenId(id);
        setFresh(false);
        setNext(null);
        return { round: id, ids: events.map((event) => event.mark.id) };
    };
    /** One press: what stood in its slots is remembered, so that Undo can put it back. */
    const press = (slots: Slot[], mark: (before: ReturnType<typeof markIn>, slot: Slot) => NewMark) => {
        const replaced = slots.map((slot) => ({ slot, before: markIn(stands, slot) }));
        const written = write(replaced.map(({ slot, before }) => mark(before, slot)));
        if (written) setPresses((known) => [...known, { round: written.round, slots: replaced }]);
    };
    const step = (which: Step): Slot => ({ kind: 'step', step: which });
    const known = round && presses.findLast((candidate) => candidate.round === round.id);
    const undone = known ?? (round ? lastPress(round.id, round.marks, stands) : null);

    return {
        rounds,
        round,
        stands,
        mark: (which: Step, outcome: Outcome) => {
            if (stands.steps[which]?.outcome === outcome) return;
            press([step(which)], (before) => ({
                ...{ kind: 'step', step: which, outcome, out_of_order: before?.out_of_order ?? false },
                ...{ note: before?.note ?? null, corrects_id: before?.id ?? null },
            }));
        },
        restUnaided: () => {
            const unmarked = steps.filter((which) => !stands.steps[which]);
            press(unmarked.map(step), (_, slot) => ({ kind: 'step', step: slot.kind === 'step' ? slot.step : null, outcome: 'unaided' }));
        },
        outOfOrder: (which: Step) =>
            press([step(which)], (before) => ({
                ...{ kind: 'step', step: which, outcome: before?.outcome ?? 'unaided', out_of_order: !before?.out_of_order },
                ...{ note: before?.note ?? null, corrects_id: before?.id ?? null },
            })),
        note: (which: Step, note: string) => {
            if (!stands.steps[which]) return;
            press([step(which)], (before) => ({
                ...{ kind: 'step', step: which, outcome: before?.outcome ?? null, out_of_order: before?.out_of_order ?? false },
                ...{ note: note || null, corrects_id: before?.id ?? null },
            }));
        },
        taught: (taught: Taught) =>
            press([{ kind: 'taught' }], (before) =>
                before?.taught === taught ? withdrawal(before) : { kind: 'taught', taught, corrects_id: before?.id ?? null },
            ),
        heldBack: () => press([{ kind: 'held-back-rightly' }], (before) => (before ? withdrawal(before) : { kind: 'held-back-rightly' })),
        conditions,
        /** Of the open round: said beside what it began with. Before its first press they go with the round itself. */
        drivenIn: (said: Conditions) => {
            if (round) press([{ kind: 'conditions' }], (before) => ({ kind: 'conditions', conditions: written(said), corrects_id: before?.id ?? null }));
            else setNext(said);
        },
        moment: () => {
            const written = write([{ kind: 'moment' }]);
            if (written) setPresses((all) => [...all, { round: written.round, slots: [{ slot: { kind: 'moment', id: written.ids[0]! }, before: null }] }]);
        },
        again: () => {
            setFresh(true);
            setOpenId(null);
        },
        open: (opened: Round) => {
            setFresh(false);
            setOpenId(opened.id);
        },
        leave: () => {
            setFresh(false);
            setOpenId(null);
        },
        undo: undone
            ? () => {
                  write(undoing(undone, stands));
                  setPresses((all) => all.filter((candidate) => candidate !== undone));
              }
            : null,
    };
}
