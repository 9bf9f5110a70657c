import { useQueries } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useClock } from '@/session/session';
import { saveFile } from '@/ui/saveFile';
import { useWrites, writes } from '@/writes/here';
import type { Waiting } from '@/writes/writes';
import { wordsOf } from '@/writes/written';

/** What was written on lessons beside the marks: what waits, and what the server would not take, with what can be done about it. */
export function WrittenHere() {
    const { waiting, refused } = useWrites();
    const clock = useClock();
    const lessons = useQueries({ queries: [...new Set(waiting.map((one) => one.lesson))].map((lesson) => questions.lesson(lesson)) });
    if (waiting.length === 0) return null;
    const whose = ({ lesson }: Waiting) => lessons.find(({ data }) => data?.id === lesson)?.data?.learner.name;
    // Numbered by when it was written, in thousandths of a millisecond.
    const at = ({ seq }: Waiting) => new Date(seq / 1000);
    return (
        <section aria-labelledby="written" className="grid gap-2">
            <h2 id="written" className="text-xl">
                Written on lessons
            </h2>
            <ul>
                {waiting.map((one) => {
                    const reason = refused.get(one.seq);
                    return (
                        <li key={one.seq} className="border-hair grid gap-2 border-b py-3">
                            <p className="font-semibold break-words">
                                {[whose(one), wordsOf(one.written)].filter(Boolean).join(' · ')}, {clock.short(at(one))} at {clock.exact(at(one))}
                            </p>
                            {reason === undefined ? (
                                <p className="text-quiet">Goes by itself when there is signal.</p>
                            ) : (
                                <>
                                    <p>{reason}</p>
                                    <div className="flex flex-wrap gap-2">
                                        <button type="button" className="key" onClick={() => void writes.again(one.seq)}>
                                            Try once more
                                        </button>
                                        <button
                                            type="button"
                                            className="key"
                                            onClick={() => saveFile(`not-sent-${one.seq}.json`, { not_accepted: reason, lesson: one.lesson, ...one.written })}
                                        >
                                            Keep as a file
                                        </button>
                                        <button type="button" className="key" onClick={() => void writes.discard(one.seq)}>
                                            Discard
                                        </button>
                                    </div>
                                </>
                            )}
                        </li>
                    );
                })}
            </ul>
        </section>
    );
}
