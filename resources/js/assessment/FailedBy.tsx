import type { SchoolTests } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { SharePicture } from '@/skill/SharePicture';
import { STEP_WORDS } from '@/strip/words';

/** So many are shown: what comes once or twice says little. */
const MOST = 6;

/** What learners failed by at a test centre: the steps whose faults decided, each with its share of the failed tests. */
export function FailedBy({ centre }: { centre: SchoolTests['centres'][number] }) {
    const name = useRoutineName();
    const { tests, known, least, steps } = centre;
    if (tests === 0) return <p className="text-quiet">No test that was taken there is written down.</p>;
    return (
        <div className="grid gap-3">
            <p className="flex flex-wrap items-center gap-3">
                <span>{tests === 1 ? '1 test' : `${tests} tests`} written down</span>
                {centre.passed && (
                    <>
                        <span>passed:</span>
                        <SharePicture share={centre.passed} />
                    </>
                )}
            </p>
            {steps.length === 0 ? (
                <p className="text-quiet">
                    {known === 0 ? 'Of none that was failed' : `Of ${known} that ${known === 1 ? 'was' : 'were'} failed`} it is known by what: nothing can be
                    said from fewer than {least}.
                </p>
            ) : (
                <ul className="grid gap-2" aria-label="What they failed by">
                    {steps.slice(0, MOST).map(({ step, routine, share }) => (
                        <li key={`${step} ${routine}`} className="border-hair flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b py-1">
                            <span>
                                <span className="font-semibold">{STEP_WORDS[step]}</span>
                                {routine && `, ${name(routine).toLowerCase()}`}
                            </span>
                            <SharePicture share={share} />
                        </li>
                    ))}
                </ul>
            )}
        </div>
    );
}
