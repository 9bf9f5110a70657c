import { STEPS, type Effect, type Fault, type Round } from '@/api/types';
import { standing } from '@/queue/standing';
import { useRoutineName, useRules } from '@/rules/rules';
import { STEP_WORDS } from '@/strip/words';

/** What was seen to be wrong in this lesson: each kind with how often, and the worst it did to others. */
export function FaultsSeen({ rounds }: { rounds: Round[] }) {
    const rules = useRules();
    const name = useRoutineName();
    // In the core's order, the worst last.
    const weight = (effect: Effect) => Object.keys(rules.effects).indexOf(effect);
    const seen = new Map<string, { routine: Round['routine']; step: (typeof STEPS)[number]; fault: Fault; count: number; worst: Effect | null }>();
    for (const round of rounds) {
        const { steps } = standing(round.marks);
        for (const step of STEPS) {
            const mark = steps[step];
            if (!mark?.fault) continue;
            const key = `${round.routine} ${step} ${mark.fault}`;
            const known = seen.get(key) ?? { routine: round.routine, step, fault: mark.fault, count: 0, worst: null };
            const worse = mark.effect && (known.worst === null || weight(mark.effect) > weight(known.worst)) ? mark.effect : known.worst;
            seen.set(key, { ...known, count: known.count + 1, worst: worse });
        }
    }
    if (seen.size === 0) return null;
    return (
        <section aria-label="What was seen" className="grid gap-2">
            <h2 className="text-xl">What was seen</h2>
            <ul className="grid gap-1">
                {[...seen.values()]
                    .sort((a, b) => b.count - a.count)
                    .map(({ routine, step, fault, count, worst }) => (
                        <li key={`${routine} ${step} ${fault}`}>
                            <span className="font-semibold">
                                {STEP_WORDS[step]}: {(rules.faults[step]?.[fault] ?? fault).toLowerCase()}
                            </span>{' '}
                            <span className="text-quiet">
                                {name(routine)}, {count === 1 ? 'once' : `${count} times`}
                                {worst && worst !== 'nobody' && `; others: ${(rules.effects[worst] ?? worst).toLowerCase()}`}
                            </span>
                        </li>
                    ))}
            </ul>
        </section>
    );
}
