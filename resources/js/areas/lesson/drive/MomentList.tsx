import { useState } from 'react';
import { OUTCOMES, type Mark, type Outcome, type Round, type Step } from '@/api/types';
import { useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import type { Settled } from '@/queue/press';
import { standing } from '@/queue/standing';
import { StepIcon } from '@/strip/glyphs';
import { Ink } from '@/strip/Ink';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { openMoments } from '../openMoments';

interface Props {
    /** Driven in this lesson, in their order. */
    rounds: Round[];
    onSettle: (moment: Mark, settled: Settled) => void;
}

/** What was marked while moving, opened when parked: each becomes a mark of a round, or is thrown away. */
export function MomentList({ rounds, onSettle }: Props) {
    const clock = useClock();
    const [opened, setOpened] = useState<string | null>(null);
    const moments = openMoments(rounds);
    const open = moments.find(({ moment }) => moment.id === opened);
    if (moments.length === 0) return null;
    return (
        <section aria-label="Moments to complete">
            <h2 className="border-hair border-b-2 pb-1 text-lg">To complete</h2>
            <ol>
                {moments.map(({ moment, round }) => (
                    <li key={moment.id} className="py-1">
                        <button type="button" className="key min-h-[88px] w-full flex-col !items-start !gap-0 text-left" onClick={() => setOpened(moment.id)}>
                            <span className="text-lg">{clock.exact(moment.pressed_at ?? moment.device_at)}: what was it?</span>
                            <span className="text-quiet text-sm font-normal">
                                Round {rounds.indexOf(round) + 1}, {round.place}
                            </span>
                        </button>
                    </li>
                ))}
            </ol>
            {open && (
                <MomentSheet
                    key={open.moment.id}
                    {...open}
                    rounds={rounds}
                    onClose={() => setOpened(null)}
                    onSettle={(settled) => {
                        onSettle(open.moment, settled);
                        setOpened(null);
                    }}
                />
            )}
        </section>
    );
}

function MomentSheet({
    moment,
    round,
    rounds,
    onSettle,
    onClose,
}: {
    moment: Mark;
    round: Round;
    rounds: Round[];
    onSettle: (settled: Settled) => void;
    onClose: () => void;
}) {
    const clock = useClock();
    const { routines } = useRules();
    const [chosen, choose] = useState(round);
    const steps = routines.find((routine) => routine.code === chosen.routine)?.steps ?? [];
    const stands = standing(chosen.marks);
    return (
        <Sheet
            title={`Marked at ${clock.exact(moment.pressed_at ?? moment.device_at)}`}
            about="Press what happened: it becomes a mark of the round. Undo takes it back."
            open
            onOpenChange={onClose}
        >
            <Field label="In which round">
                <select value={chosen.id} onChange={(event) => choose(rounds.find((candidate) => candidate.id === event.target.value) ?? round)}>
                    {rounds.map((candidate, i) => (
                        <option key={candidate.id} value={candidate.id}>
                            {i + 1}. {candidate.place}
                        </option>
                    ))}
                </select>
            </Field>
            {steps.map((step: Step) => (
                <div key={step} role="group" aria-label={STEP_WORDS[step]} className="grid gap-1">
                    <h3 className="flex items-center gap-2 text-lg">
                        <StepIcon step={step} /> {STEP_WORDS[step]}
                        {stands.steps[step] && <span className="text-quiet text-sm font-normal">now {OUTCOME_WORDS[stands.steps[step].outcome]}</span>}
                    </h3>
                    <div className="grid grid-cols-5 gap-1">
                        {OUTCOMES.map((outcome: Outcome) => (
                            <button
                                key={outcome}
                                type="button"
                                className="key min-h-[88px] flex-col !gap-1 !px-0.5 text-[0.78rem] leading-tight"
                                aria-label={`${STEP_WORDS[step]} ${OUTCOME_WORDS[outcome]}`}
                                onClick={() => onSettle({ round: chosen, step, outcome })}
                            >
                                <Ink outcome={outcome} />
                                {OUTCOME_WORDS[outcome]}
                            </button>
                        ))}
                    </div>
                </div>
            ))}
            <button type="button" className="key min-h-[88px]" onClick={() => onSettle(null)}>
                It was nothing: throw it away
            </button>
        </Sheet>
    );
}
