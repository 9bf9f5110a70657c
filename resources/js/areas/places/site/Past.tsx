import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { STEP_WORDS } from '@/strip/words';
import type { Way } from './WayFacts';

const times = (number: number, one: string, more: string) => `${number} ${number === 1 ? one : more}`;

/** What went wrong on a way before, beside who drove there: it says as much of them as of the place. */
export function Past({ site, way }: { site: string; way: Way }) {
    const rules = useRules();
    const clock = useClock();
    const past = useQuery(questions.past(site));
    const found = past.data?.find((one) => one.from === way.from && one.to === way.to && one.routine === way.routine);
    if (!past.data) return null;
    if (!found) return <p className="text-quiet">Nobody has driven it yet.</p>;
    const levels = Object.entries(found.levels).map(([level, number]) => times(number, level, level === 'beginner' ? 'beginners' : level));
    return (
        <section aria-label="What went wrong here" className="grid gap-1">
            <h3 className="font-semibold">What went wrong here</h3>
            <p className="text-quiet text-sm">
                Of {times(found.rounds, 'round', 'rounds')} by {times(found.learners, 'learner', 'learners')} ({levels.join(', ')}), last on{' '}
                {clock.short(found.last_on)}.{found.taught > 0 && ` ${times(found.taught, 'was', 'were')} shown or talked through.`}
            </p>
            {found.wrong.length === 0 ? (
                <p>Nothing that had to be prompted, or worse.</p>
            ) : (
                <ul>
                    {found.wrong.slice(0, 5).map(({ step, fault, rounds, learners }) => (
                        <li key={`${step} ${fault}`}>
                            {STEP_WORDS[step]}
                            {fault && `, ${(rules.faults[step]?.[fault] ?? fault).toLowerCase()}`}:{' '}
                            <span className="text-quiet">
                                {times(rounds, 'round', 'rounds')}
                                {found.learners > 1 && `, ${times(learners, 'learner', 'learners')}`}
                            </span>
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}
