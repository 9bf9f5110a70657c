import { STEPS, type Assessment } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { STEP_WORDS } from '@/strip/words';
import { decided, KIND_WORDS, severityWords } from './testWords';

/** A test on one sheet, in our steps: the result and the rule that decided, how many faults of each step and how grave, and each as it was told. */
export function TestSheet({ test, name }: { test: Assessment; name: string }) {
    const clock = useClock();
    const rules = useRules();
    const routineName = useRoutineName();
    const severities = Object.keys(test.by_scheme.counts);
    const number = (step: string | null, severity: string) =>
        test.faults.filter((fault) => (step === null || fault.step === step) && fault.severity === severity).length;
    return (
        <section aria-labelledby="sheet" className="grid gap-5">
            <header>
                <h2 id="sheet" className="text-3xl">
                    {KIND_WORDS[test.kind]}, {test.result === 'pass' ? 'passed' : 'failed'}
                </h2>
                <p className="text-quiet">
                    {name} · {clock.day(test.taken_at)}, {clock.time(test.taken_at)}
                    {test.centre && ` · ${test.centre}`}
                </p>
                <p className="pt-2 text-lg font-semibold">{decided(test)}</p>
                {test.note && <p>{test.note}</p>}
            </header>
            <table className="w-full border-collapse text-left">
                <thead>
                    <tr className="border-hair border-b-2">
                        <th scope="col" className="py-1">
                            Step
                        </th>
                        {severities.map((severity) => (
                            <th key={severity} scope="col" className="py-1 text-right">
                                {severityWords(severity)}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {STEPS.map((step) => (
                        <tr key={step} className="border-hair border-b">
                            <th scope="row" className="py-1 font-normal">
                                {STEP_WORDS[step]}
                            </th>
                            {severities.map((severity) => (
                                <td key={severity} className="figure py-1 text-right">
                                    {number(step, severity) || '–'}
                                </td>
                            ))}
                        </tr>
                    ))}
                    <tr>
                        <th scope="row" className="py-1">
                            Together
                        </th>
                        {severities.map((severity) => (
                            <td key={severity} className="figure py-1 text-right font-bold">
                                {number(null, severity)}
                            </td>
                        ))}
                    </tr>
                </tbody>
            </table>
            {test.faults.length > 0 && (
                <ol aria-label="Faults in their order">
                    {test.faults.map((fault, i) => (
                        <li key={i} className="border-hair flex flex-wrap gap-x-3 border-b py-2">
                            <span className="figure min-w-16">{fault.at ? clock.time(fault.at) : i + 1}</span>
                            <span className="min-w-0 flex-1">
                                <span className="font-semibold">
                                    {STEP_WORDS[fault.step]}
                                    {fault.fault && `: ${rules.faults[fault.step]?.[fault.fault] ?? fault.fault}`}
                                </span>
                                <span className="text-quiet">
                                    {[fault.where, fault.routine && routineName(fault.routine), fault.effect && rules.effects[fault.effect]]
                                        .filter(Boolean)
                                        .map((words) => ` · ${words}`)
                                        .join('')}
                                </span>
                            </span>
                            <span>{severityWords(fault.severity)}</span>
                        </li>
                    ))}
                </ol>
            )}
        </section>
    );
}
