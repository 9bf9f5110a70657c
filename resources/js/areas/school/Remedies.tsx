import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useRules } from '@/rules/rules';
import { STEP_WORDS } from '@/strip/words';
import { Empty, Failed, Waiting } from '@/ui/State';

const WHAT = { remedy: 'the remedy', drill: 'the drill' } as const;
const times = (number: number, one: string, more: string) => `${number} ${number === 1 ? one : more}`;

/** What was given against which fault in this school, and whether it has helped: what is known first. */
export function Remedies() {
    const told = useQuery(questions.schoolRemedies());
    const { faults } = useRules();
    if (told.isLoading) return <Waiting />;
    if (!told.data) return <Failed error={told.error} retry={() => void told.refetch()} />;
    if (told.data.length === 0) {
        return (
            <Empty title="Nothing was given yet">
                <p>In a debrief the remedy and the drill for what went wrong are given by one press: here it stands whether they helped.</p>
            </Empty>
        );
    }
    return (
        <section aria-label="What helps" className="grid max-w-3xl gap-3">
            <ul>
                {told.data.map(({ step, fault, what, times: given, given_to: learners, effect }) => (
                    <li key={`${step} ${fault} ${what}`} className="border-hair grid gap-1 border-b py-3">
                        <span className="flex flex-wrap justify-between gap-x-4">
                            <span>
                                <span className="font-semibold">{STEP_WORDS[step]}</span>
                                {fault && `, ${(faults[step]?.[fault] ?? fault).toLowerCase()}`}: {WHAT[what]}
                            </span>
                            <span className="text-quiet">
                                {times(given, 'time', 'times')}, to {times(learners, 'learner', 'learners')}
                            </span>
                        </span>
                        <span className={effect.change === null ? 'text-quiet' : 'font-semibold'}>{effect.message}</span>
                    </li>
                ))}
            </ul>
            <p className="text-quiet text-sm">
                No trial: who is given a remedy was chosen for it. Held against what their other steps gained in the same time; the ranges are of 80 in 100.
            </p>
        </section>
    );
}
