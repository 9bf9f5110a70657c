import { Link } from 'react-router';
import { OUTCOMES, type Tally } from '@/api/types';
import { useRoutineName } from '@/app/rules';
import { useClock } from '@/app/session';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';

/** One step of one routine over time: each lesson as unaided of marked, oldest first; a column is as tall as it had rounds. */
export function TallyTrend({ tally, onClose }: { tally: Tally; onClose: () => void }) {
    const clock = useClock();
    const name = useRoutineName();
    const most = Math.max(...tally.lessons.map((lesson) => lesson.of));
    return (
        <section aria-label={`${STEP_WORDS[tally.step]}, ${name(tally.routine)}`} className="border-now grid gap-3 border-l-4 pl-4">
            <div className="flex items-start justify-between gap-4">
                <div>
                    <h3 className="text-lg">
                        {STEP_WORDS[tally.step]}, {name(tally.routine).toLowerCase()}
                    </h3>
                    <p className="text-quiet">
                        {OUTCOMES.filter((outcome) => tally.counts[outcome] > 0)
                            .map((outcome) => `${tally.counts[outcome]} ${OUTCOME_WORDS[outcome]}`)
                            .join(', ')}
                        {tally.out_of_order > 0 && `; ${tally.out_of_order} out of order`}
                        {tally.taught > 0 && `; taught in ${tally.taught} ${tally.taught === 1 ? 'round' : 'rounds'}, which do not count`}. From {tally.marked}{' '}
                        marks in {tally.lessons.length} {tally.lessons.length === 1 ? 'lesson' : 'lessons'}
                        {tally.last_at && `, last on ${clock.short(tally.last_at)}`}.
                    </p>
                </div>
                <button type="button" className="key screen-only" aria-label="Close" onClick={onClose}>
                    ✕
                </button>
            </div>
            <ol className="relative flex gap-2 overflow-x-auto pb-2" aria-label="Lessons, oldest first">
                {tally.lessons.map((lesson) => (
                    <li key={lesson.lesson} className="min-w-16">
                        <Link to={`/lessons/${lesson.lesson}/debrief`} className="grid justify-items-center gap-1 py-1">
                            <span className="flex h-24 flex-col-reverse" aria-hidden="true">
                                {Array.from({ length: lesson.of }, (_, i) => (
                                    <span
                                        key={i}
                                        style={{ height: `${96 / most - 2}px` }}
                                        className={`border-ink mb-0.5 w-8 rounded-sm border-2 ${i < lesson.unaided ? 'bg-ink' : ''}`}
                                    />
                                ))}
                            </span>
                            <span className="font-semibold">
                                {lesson.unaided} of {lesson.of}
                            </span>
                            <span className="text-quiet text-sm whitespace-nowrap">{clock.short(lesson.at)}</span>
                        </Link>
                    </li>
                ))}
            </ol>
        </section>
    );
}
