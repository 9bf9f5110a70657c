import { useState } from 'react';
import type { LearnerReady } from '@/api/types';
import { useClock } from '@/session/session';
import { useNow } from '@/ui/useNow';
import { aboutWhen, inHundred, lessonWords, weekWords } from './readyWords';

const FEW = 6;

/** How near: in a sentence, as a chance with its range, in lessons and days; then what is missing in its order, and what would be sooner. */
export function WayToIt({ ready }: { ready: LearnerReady }) {
    const clock = useClock();
    const now = useNow();
    const [all, setAll] = useState(false);
    const missing = all ? ready.missing : ready.missing.slice(0, FEW);
    return (
        <>
            <section aria-label="How near" className="grid gap-1">
                <p className="text-xl leading-tight font-semibold">{ready.message}</p>
                {ready.chance && <p>{inHundred(ready.chance)}</p>}
                {ready.lessons && ready.date && <p>{lessonWords(ready, (day) => aboutWhen(day, now, clock.day))}</p>}
                {ready.test_at && <p>The test is on {clock.day(ready.test_at)}.</p>}
                <p className="text-quiet text-sm">{weekWords(ready)} It advises; the instructor decides, and the law and the examiner have the last word.</p>
            </section>
            <section aria-labelledby="missing">
                <h2 id="missing" className="border-hair border-b-2 pb-1 text-xl">
                    What is missing, in its order
                </h2>
                {ready.missing.length === 0 && <p className="py-2">Nothing.</p>}
                <ol>
                    {missing.map((one, i) => (
                        <li key={`${one.kind} ${one.routine} ${one.condition}`} className="border-hair flex gap-3 border-b py-2">
                            <span className="figure w-6 shrink-0 text-right">{i + 1}</span>
                            <span className="min-w-0">{one.message}</span>
                        </li>
                    ))}
                </ol>
                {!all && ready.missing.length > FEW && (
                    <button type="button" className="link min-h-12" onClick={() => setAll(true)}>
                        and {ready.missing.length - FEW} more
                    </button>
                )}
            </section>
            {ready.shortens.length > 0 && (
                <section aria-labelledby="sooner">
                    <h2 id="sooner" className="border-hair border-b-2 pb-1 text-xl">
                        What would be sooner
                    </h2>
                    <ul>
                        {ready.shortens.map((one) => (
                            <li key={one.what} className="py-1">
                                {one.message}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </>
    );
}
