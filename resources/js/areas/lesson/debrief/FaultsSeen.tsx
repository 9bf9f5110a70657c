import { useState } from 'react';
import { STEPS, type Effect, type Fault, type Outcome, type Round, type Step } from '@/api/types';
import { standing } from '@/queue/standing';
import { useRoutineName, useRules } from '@/rules/rules';
import { inside, OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';

interface Seen {
    routine: Round['routine'];
    step: Step;
    /** Null where nobody said which kind it was. */
    fault: Fault | null;
    outcome: Outcome;
    count: number;
    worst: Effect | null;
}

/** Others had to answer it, or we did. */
const OTHERS: Effect[] = ['affected', 'intervened'];

/** What was seen to be wrong in this lesson: by how often, or in the order in which somebody who watches would see it. */
export function FaultsSeen({ rounds }: { rounds: Round[] }) {
    const rules = useRules();
    const [watched, setWatched] = useState(false);
    // In the core's order, the worst last.
    const weight = (effect: Effect | null) => (effect === null ? -1 : Object.keys(rules.effects).indexOf(effect));
    const seen = new Map<string, Seen>();
    for (const round of rounds) {
        const { stages, taught } = standing(round.marks);
        // Of every part of the round: what a step comes to is one of them.
        const marks = Object.values(stages).flatMap((part) => STEPS.flatMap((step) => part[step] ?? []));
        for (const mark of taught ? [] : marks) {
            const { step } = mark;
            if (!step || (mark.outcome === 'unaided' && !mark.fault)) continue;
            const fault = mark.fault ?? null;
            const key = `${round.routine} ${step} ${fault ?? mark.outcome}`;
            const known = seen.get(key) ?? { routine: round.routine, step, fault, outcome: mark.outcome, count: 0, worst: null };
            const effect = mark.effect ?? null;
            seen.set(key, { ...known, count: known.count + 1, worst: weight(effect) > weight(known.worst) ? effect : known.worst });
        }
    }
    const all = [...seen.values()];
    const said = all.filter((one) => one.fault).sort((a, b) => b.count - a.count);
    if (all.length === 0) return null;
    return (
        <section aria-label="What was seen" className="grid gap-2">
            <div className="flex flex-wrap items-center justify-between gap-x-6">
                <h2 className="text-xl">What was seen</h2>
                <button type="button" className="key screen-only" aria-pressed={watched} onClick={() => setWatched(!watched)}>
                    In the watcher’s order
                </button>
            </div>
            {watched ? <Watched seen={all} /> : said.length > 0 ? <List seen={said} /> : <p className="text-quiet">No kind of fault was said.</p>}
        </section>
    );
}

/** As an assessment would see it: from the direction to what others had to do. */
function Watched({ seen }: { seen: Seen[] }) {
    const { watched } = useRules();
    const at = ({ step, fault }: Seen) => watched.of[step]?.[fault ?? ''];
    return (
        <dl className="grid gap-x-6 gap-y-2 sm:grid-cols-[minmax(0,16rem)_1fr]">
            {watched.order.map(({ key, words }) => {
                // What others had to answer is seen where it was, and once more at the end.
                const here = seen.filter((one) => at(one) === key || (key === 'others' && one.worst !== null && OTHERS.includes(one.worst)));
                return (
                    <div key={key} className="contents">
                        <dt className={here.length > 0 ? 'font-semibold' : 'text-quiet'}>{words}</dt>
                        <dd>{here.length > 0 ? <List seen={here} /> : <span className="text-quiet">nothing seen</span>}</dd>
                    </div>
                );
            })}
        </dl>
    );
}

function List({ seen }: { seen: Seen[] }) {
    const rules = useRules();
    const name = useRoutineName();
    return (
        <ul className="grid gap-1">
            {seen.map(({ routine, step, fault, outcome, count, worst }) => (
                <li key={`${routine} ${step} ${fault ?? outcome}`}>
                    <span className="font-semibold">
                        {STEP_WORDS[step]}: {fault ? (rules.faults[step]?.[fault] ?? fault).toLowerCase() : OUTCOME_WORDS[outcome]}
                    </span>{' '}
                    <span className="text-quiet">
                        {name(routine)}, {count === 1 ? 'once' : `${count} times`}
                        {worst && worst !== 'nobody' && `; others: ${inside(rules.effects[worst] ?? worst)}`}
                    </span>
                </li>
            ))}
        </ul>
    );
}
