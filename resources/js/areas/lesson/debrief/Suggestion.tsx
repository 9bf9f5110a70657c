import type { Lesson } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';

/** What the marks of this lesson suggest to talk about; counts are said, the instructor decides. */
export function Suggestion({ lesson }: { lesson: Lesson }) {
    const name = useRoutineName();
    const { well, well_rounds, held_back_rightly, fault } = lesson.debrief;
    return (
        <section aria-labelledby="suggestion" className="grid gap-4">
            <h2 id="suggestion" className="text-xl">
                To talk about
            </h2>
            <div className="grid gap-6 lg:grid-cols-[1fr_2fr]">
                <div className="grid content-start gap-1">
                    <h3 className="text-quiet text-base">Went well</h3>
                    {well ? (
                        <p className="flex items-center gap-2 text-lg font-semibold">
                            <StepIcon step={well} /> {STEP_WORDS[well]}: unaided and in order in all {well_rounds} {well_rounds === 1 ? 'round' : 'rounds'}
                        </p>
                    ) : (
                        <p>No step was unaided every time.</p>
                    )}
                    {held_back_rightly > 0 && (
                        <p>Right to hold back, {held_back_rightly === 1 ? 'once' : `${held_back_rightly} times`}: as good as a right go.</p>
                    )}
                </div>
                {fault ? (
                    <div className="grid gap-3">
                        <p>
                            <span className="text-quiet">Needed most support: </span>
                            <span className="text-lg font-semibold">{STEP_WORDS[fault.step]}</span> in {fault.rounds} of {fault.of}{' '}
                            {fault.of === 1 ? 'round' : 'rounds'}, most on: {name(fault.routine).toLowerCase()}
                        </p>
                        <p className="border-now border-l-4 pl-4">
                            <span className="font-semibold">
                                Likely cause, {fault.cause_step ? `in ${STEP_WORDS[fault.cause_step].toLowerCase()}` : 'before it began'}:{' '}
                            </span>
                            {fault.likely_cause}{' '}
                            {fault.cause_step && (
                                <span className="text-quiet">
                                    {fault.cause_seen > 0
                                        ? `${STEP_WORDS[fault.cause_step]} was not clean in ${fault.cause_seen} of those ${fault.rounds} either.`
                                        : `The marks do not show it: ${STEP_WORDS[fault.cause_step].toLowerCase()} was clean in those rounds, or not marked.`}
                                </span>
                            )}
                        </p>
                        <p>
                            <span className="font-semibold">Remedy: </span>
                            {fault.remedy}
                        </p>
                        <p>
                            <span className="font-semibold">Drill: </span>
                            {fault.drill} <span className="text-quiet text-sm">({fault.source})</span>
                        </p>
                    </div>
                ) : (
                    <p>Nothing needed support in the marked rounds.</p>
                )}
            </div>
        </section>
    );
}
