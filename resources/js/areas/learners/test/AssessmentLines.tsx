import type { Assessment } from '@/api/types';
import { useClock } from '@/session/session';
import { decided, KIND_WORDS } from '@/assessment/testWords';

/** Tests and mock tests, the last first; a press opens what was noted. */
export function AssessmentLines({ assessments, onChange }: { assessments: Assessment[]; onChange: (one: Assessment) => void }) {
    const clock = useClock();
    return (
        <section aria-labelledby="tests">
            <h2 id="tests" className="border-hair border-b-2 pb-1 text-xl">
                Tests
            </h2>
            {assessments.length === 0 && <p className="text-quiet py-2">None yet.</p>}
            <ul>
                {assessments.map((one) => (
                    <li key={one.id} className="border-hair border-b">
                        <button type="button" className="hover:bg-wash min-h-14 w-full py-1 text-left leading-tight" onClick={() => onChange(one)}>
                            <span className="font-semibold">
                                {KIND_WORDS[one.kind]}, {one.result === 'pass' ? 'passed' : 'failed'}
                            </span>{' '}
                            · {clock.day(one.taken_at)}
                            {one.centre && ` · ${one.centre}`}
                            <span className="text-quiet block text-sm">{decided(one)}</span>
                        </button>
                    </li>
                ))}
            </ul>
        </section>
    );
}
