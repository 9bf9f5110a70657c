import { skipToken, useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { LessonItem, Step } from '@/api/types';
import { drawn, isPlanned } from '@/strip/plan';
import { NotPlanned } from '@/strip/NotPlanned';
import { spoken, STEP_WORDS } from '@/strip/words';
import { StepLine } from '@/strip/StepLine';
import { NotShown } from '@/ui/NotShown';

/** The place's strip, as small as it stays readable: where each step belongs, beside the keys that mark it. */
export function SmallStrip({ item, step, onStep }: { item: LessonItem; step: Step; onStep: (step: Step) => void }) {
    const asked = item.plan.tool === 'approach' ? item.plan.inputs : null;
    const plan = useQuery(asked === null ? { queryKey: ['compute', 'none'], queryFn: skipToken } : questions.tool('approach', asked));
    if (asked === null) return null;
    if (plan.error) return <NotShown what="The strip is not shown" error={plan.error} retry={() => void plan.refetch()} />;
    if (plan.data && !isPlanned(plan.data)) return <NotPlanned answer={plan.data} />;
    const shown = plan.data && drawn(plan.data);
    const now = shown && (shown.steps.find((candidate) => candidate.step === step) ?? shown.steps[0]!);
    return (
        // As high before the plan is there as after: keys that moved under a finger would miss the press or mark another step.
        <figure className="min-h-[66px]">
            {shown && <StepLine plan={shown} current={step} onStep={(next) => next !== 'gear' && onStep(next)} />}
            {shown && now && (
                <figcaption className="sr-only">
                    {STEP_WORDS[now.step]} belongs at {spoken(now.best, shown.unit)}
                </figcaption>
            )}
        </figure>
    );
}
