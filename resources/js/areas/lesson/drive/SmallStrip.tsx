import { skipToken, useQuery } from '@tanstack/react-query';
import { compute } from '@/api/tools';
import type { LessonItem, Step } from '@/api/types';
import { onItsAxis, spoken, STEP_WORDS } from '@/strip/words';
import { StepLine } from '@/strip/StepLine';
import { NotShown } from '@/ui/NotShown';

/** The place's strip, as small as it stays readable: where each step belongs, beside the keys that mark it. */
export function SmallStrip({ item, step, onStep }: { item: LessonItem; step: Step; onStep: (step: Step) => void }) {
    const asked = item.plan.tool === 'approach' ? item.plan.inputs : null;
    const plan = useQuery({
        queryKey: ['plan', asked],
        queryFn: asked === null ? skipToken : () => compute('approach', asked),
        staleTime: Infinity,
    });
    if (!plan.data) return plan.error && <NotShown what="The strip is not shown" error={plan.error} retry={() => void plan.refetch()} />;
    const drawn = onItsAxis(plan.data);
    const now = drawn.steps.find((candidate) => candidate.step === step) ?? drawn.steps[0]!;
    return (
        <figure>
            <StepLine plan={drawn} current={step} onStep={(next) => next !== 'gear' && onStep(next)} />
            <figcaption className="sr-only">
                {STEP_WORDS[now.step]} belongs at {spoken(now.best_m, drawn.length_unit)}
            </figcaption>
        </figure>
    );
}
