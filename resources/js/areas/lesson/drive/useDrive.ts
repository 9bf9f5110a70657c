import { useMemo, useState } from 'react';
import type { Lesson, Mark, Outcome, PlannedItem, Round, Step, Taught } from '@/api/types';
import { STEPS } from '@/api/types';
import { marksQueue, useMarksQueue } from '@/app/marks';
import type { NewEvent } from '@/queue/queue';
import { standing, withWaiting, type Standing } from '@/queue/standing';
import { uuid7 } from '@/queue/uuid';

type NewMark = Partial<Mark> & Pick<Mark, 'kind'>;

/** Marking a lesson: the round that is open, what stands in it, and every press as an event for the queue. */
export function useDrive(lesson: Lesson, item: PlannedItem | undefined) {
    const { waiting } = useMarksQueue();
    const rounds = useMemo(() => withWaiting(lesson.id, lesson.rounds, waiting), [lesson.id, lesson.rounds, waiting]);
    const [openId, setOpenId] = useState<string | null>(null);
    const [fresh, setFresh] = useState(false);
    // The last round at this place stays open until the next one is begun; a finished lesson begins none by itself.
    const atPlace = rounds.filter((round) => item && round.place_id === item.place.id);
    const round = fresh ? undefined : (rounds.find((candidate) => candidate.id === openId) ?? atPlace[atPlace.length - 1]);
    const stands: Standing = standing(round?.marks ?? []);

    const roundEvents = (): { id: string; events: NewEvent[] } | null => {
        if (round) return { id: round.id, events: [] };
        if (!item) return null;
        const id = uuid7();
        const now = new Date().toISOString();
        return {
            id,
            events: [{ kind: 'round', round: { id, lesson_id: lesson.id, place_id: item.place.id, routine: item.routine, conditions: {}, device_at: now } }],
        };
    };
    const write = (marks: NewMark[]) => {
        const target = roundEvents();
        if (!target) return;
        const events = marks.map<NewEvent>((mark) => ({
            kind: 'mark',
            mark: {
                id: uuid7(),
                round_id: target.id,
                step: null,
                outcome: null,
                taught: null,
                out_of_order: false,
                note: null,
                corrects_id: null,
                withdrawn: false,
                device_at: new Date().toISOString(),
                ...mark,
            },
        }));
        marksQueue.add(...target.events, ...events);
        setOpenId(target.id);
        setFresh(false);
    };
    const withdraw = (mark: Mark): NewMark => ({ kind: mark.kind, corrects_id: mark.id, withdrawn: true });

    return {
        rounds,
        round,
        stands,
        mark: (step: Step, outcome: Outcome) => {
            const before = stands.steps[step];
            if (before?.outcome === outcome) return;
            write([{ kind: 'step', step, outcome, out_of_order: before?.out_of_order ?? false, note: before?.note ?? null, corrects_id: before?.id ?? null }]);
        },
        restUnaided: () => write(STEPS.filter((step) => !stands.steps[step]).map((step) => ({ kind: 'step', step, outcome: 'unaided' }))),
        outOfOrder: (step: Step) => {
            const before = stands.steps[step];
            write([
                {
                    kind: 'step',
                    step,
                    outcome: before?.outcome ?? 'unaided',
                    out_of_order: !before?.out_of_order,
                    note: before?.note ?? null,
                    corrects_id: before?.id ?? null,
                },
            ]);
        },
        note: (step: Step, note: string) => {
            const before = stands.steps[step];
            if (before) write([{ kind: 'step', step, outcome: before.outcome, out_of_order: before.out_of_order, note: note || null, corrects_id: before.id }]);
        },
        taught: (taught: Taught) =>
            write([stands.taught?.taught === taught ? withdraw(stands.taught) : { kind: 'taught', taught, corrects_id: stands.taught?.id ?? null }]),
        heldBack: () => write([stands.heldBack ? withdraw(stands.heldBack) : { kind: 'held-back-rightly' }]),
        moment: () => write([{ kind: 'moment' }]),
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
        undo: undoOf(round, write, withdraw),
    };
}

/** Takes back the last press of the round: its mark is withdrawn, and what it had replaced is said again. */
function undoOf(round: Round | undefined, write: (marks: NewMark[]) => void, withdraw: (mark: Mark) => NewMark): (() => void) | null {
    const marks = round?.marks ?? [];
    const corrected = new Set(marks.map((mark) => mark.corrects_id));
    const last = [...marks].reverse().find((mark) => !mark.withdrawn && !corrected.has(mark.id));
    if (!last) return null;
    return () => {
        const before = marks.find((mark) => mark.id === last.corrects_id);
        if (before && !before.withdrawn) {
            const { kind, step, outcome, taught, out_of_order, note } = before;
            write([{ kind, step, outcome, taught, out_of_order, note, corrects_id: last.id }]);
        } else {
            write([withdraw(last)]);
        }
    };
}
