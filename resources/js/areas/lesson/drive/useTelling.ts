import { useState } from 'react';
import type { Decision, Effect, Fault, Lesson, Mark, Outcome, Round, Step } from '@/api/types';
import type { NewEvent } from '@/queue/events';
import { onStep, pressing, pressTime, settling, toEffect, toFault, toOutcome, type Settled, type Written } from '@/queue/press';
import { conditionsOf, standing, type Standing } from '@/queue/standing';
import { spokenOf, withdrawal } from '@/queue/undo';
import { uuid7 } from '@/queue/uuid';
import { drivenAt, useRules } from '@/rules/rules';
import type { What } from './likeliest';

/** One moment as it is told: which one, what it was, and where it has been said. */
interface Telling {
    moment: Mark;
    what: What | null;
    where: string;
    /** The round that says it, and the step it was last said of; null until something is said. */
    told: { round: string; step: Step | null } | null;
}

const NOTHING: Standing = standing([]);

/**
 * Telling a moment: the first thing said of it lets the moment go, in a round of the lesson or in one that begins with it, as one press;
 * what is said more exactly goes to that round.
 */
export function useTelling(lesson: Lesson, rounds: Round[], keep: (written: Written, begun?: NewEvent[]) => void) {
    const { routines } = useRules();
    const [telling, setTelling] = useState<Telling | null>(null);
    const from = rounds.find((round) => round.id === telling?.moment.round_id);
    // Taken back, it is open again: then nothing has been said of it.
    const isOpen = from !== undefined && standing(from.marks).moments.some((moment) => moment.id === telling?.moment.id);
    const told = isOpen ? undefined : rounds.find((round) => round.id === telling?.told?.round);
    const stands = told ? standing(told.marks) : telling?.what?.kind === 'round' ? standing(telling.what.round.marks) : NOTHING;
    const routine = told?.routine ?? routineOf(telling?.what ?? null);

    /** The round that says it: one that is there, or a new one at the time of the moment. */
    const target = (what: What, moment: Mark): { round: Round; begun: NewEvent[] } => {
        if (what.kind === 'round') return { round: what.round, begun: [] };
        const place =
            what.kind === 'item'
                ? drivenAt(
                      what.item,
                      routines.find((line) => line.code === what.item.routine),
                  )
                : { place_id: null, place: telling?.where ?? '', elsewhere: telling?.where || null, routine: what.routine, side: what.side };
        const round = {
            ...{ id: uuid7(), lesson_id: lesson.id, moment_id: moment.id, conditions: from ? conditionsOf(from) : {}, device_at: moment.device_at },
            ...place,
        };
        return { round: { ...round, marks: [] }, begun: [{ kind: 'round', round }] };
    };
    const say = (settled: (round: Round) => Exclude<Settled, null>, more: (round: Round, at: string) => Written, step: Step | null): void => {
        if (!telling?.what || !from) return;
        const at = pressTime();
        if (told) {
            keep(more(told, at));
            setTelling({ ...telling, told: { round: told.id, step } });
            return;
        }
        const { round, begun } = target(telling.what, telling.moment);
        keep(settling(telling.moment, from, settled(round), at), begun);
        setTelling({ ...telling, told: { round: round.id, step } });
    };
    const onTold = (step: Step, change: ReturnType<typeof toFault>): void => {
        if (told) keep(onStep(told.id, standing(told.marks), pressTime(), { kind: 'step', step }, change));
    };

    return {
        moment: telling?.moment ?? null,
        from,
        what: telling?.what ?? null,
        where: telling?.where ?? '',
        told,
        step: (told && telling?.told?.step) ?? null,
        stands,
        routine,
        begin: (moment: Mark) => setTelling({ moment, what: null, where: '', told: null }),
        /** Until something is said of it, it may have been something else. */
        choose: (what: What | null) => telling && !told && setTelling({ ...telling, what }),
        inAWord: (where: string) => telling && setTelling({ ...telling, where }),
        mark: (step: Step, outcome: Outcome) =>
            say(
                (round) => ({ round, step, outcome }),
                (round, at) => onStep(round.id, standing(round.marks), at, { kind: 'step', step }, toOutcome(outcome)),
                step,
            ),
        decide: (decision: Decision) =>
            say(
                (round) => ({ round, decision }),
                (round, at) =>
                    pressing(round.id, standing(round.marks), at, [{ kind: 'decision', decision }], (slot, mark) => (mark ? withdrawal(slot) : spokenOf(slot))),
                null,
            ),
        fault: (step: Step, fault: Fault) => onTold(step, toFault(fault)),
        effect: (step: Step, effect: Effect) => onTold(step, toEffect(effect)),
        place: (place: string) =>
            told && keep(pressing(told.id, standing(told.marks), pressTime(), [{ kind: 'place' }], () => ({ kind: 'place', place_id: place }))),
        throwAway: () => {
            if (telling && from) keep(settling(telling.moment, from, null, pressTime()));
            setTelling(null);
        },
        close: () => setTelling(null),
    };
}

function routineOf(what: What | null): string | undefined {
    if (what?.kind === 'round') return what.round.routine;
    return what?.kind === 'item' ? what.item.routine : what?.routine;
}
