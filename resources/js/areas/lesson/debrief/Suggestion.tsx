import type { Lesson } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';
import { Given } from './Given';

/** What the marks of this lesson suggest to talk about; counts are said, the instructor decides. */
export function Suggestion({ lesson }: { lesson: Lesson }) {
    const name = useRoutineName();
    const { faults } = useRules();
    const { well, well_rounds, held_back_rightly, fault, of_the_aim } = lesson.debrief;
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
                            <StepIcon step={well} /> {STEP_WORDS[well]}: done correctly, {well_rounds === 1 ? 'one attempt' : `all ${well_rounds} attempts`}
                        </p>
                    ) : (
                        <p>No step was done alone every time.</p>
                    )}
                    {held_back_rightly > 0 && <p>Correctly waited {held_back_rightly === 1 ? 'once' : `${held_back_rightly} times`}: well judged.</p>}
                </div>
                {fault ? (
                    <div className="grid gap-3">
                        <p>
                            <span className="text-quiet">{of_the_aim ? 'Of the aim, needed most help: ' : 'Needed most help: '}</span>
                            <span className="text-lg font-semibold">{STEP_WORDS[fault.step]}</span> in {fault.rounds} of {fault.of}{' '}
                            {fault.of === 1 ? 'attempt' : 'attempts'}, most on: {name(fault.routine).toLowerCase()}
                            {fault.kind && (
                                <>
                                    .{' '}
                                    <span className="font-semibold">
                                        Seen: {(faults[fault.step]?.[fault.kind] ?? fault.kind).toLowerCase()}
                                        {fault.kind_rounds > 1 && `, ${fault.kind_rounds} times`}
                                    </span>
                                </>
                            )}
                        </p>
                        <p className="border-now border-l-4 pl-4">
                            <span className="font-semibold">
                                Possible cause (
                                {fault.cause_step ? STEP_WORDS[fault.cause_step].toLowerCase() : fault.kind ? 'in the step itself' : 'before it began'}):{' '}
                            </span>
                            {fault.likely_cause}{' '}
                            {fault.cause_step && (
                                <span className="text-quiet">
                                    {fault.cause_seen > 0
                                        ? `(${STEP_WORDS[fault.cause_step].toLowerCase()} went wrong in ${fault.cause_seen} of those ${fault.rounds} too)`
                                        : '(today’s marks don’t confirm it)'}
                                </span>
                            )}
                        </p>
                        <Given lesson={lesson} fault={fault} what="remedy" label="Remedy" text={fault.remedy} />
                        <Given lesson={lesson} fault={fault} what="drill" label="Drill" text={fault.drill} />
                        <p className="text-quiet text-sm">({fault.source})</p>
                    </div>
                ) : (
                    <p>Nothing needed help in what was marked.</p>
                )}
            </div>
        </section>
    );
}
