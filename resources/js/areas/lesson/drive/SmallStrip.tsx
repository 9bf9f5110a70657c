import { useQuery } from '@tanstack/react-query';
import { post } from '@/api/client';
import type { ApproachPlan, Lesson, PlannedItem, Step } from '@/api/types';
import { usePlanned } from '@/app/rules';
import { onItsAxis, spoken, STEP_WORDS } from '@/strip/words';
import { StepLine } from '@/strip/StepLine';
import { NotShown } from '@/ui/NotShown';

/** The place's strip, as small as it stays readable: where each step belongs, beside the keys that mark it. */
export function SmallStrip({ lesson, item, step, onStep }: { lesson: Lesson; item: PlannedItem; step: Step; onStep: (step: Step) => void }) {
    const { by: planned } = usePlanned()(item.routine);
    const inputs = { ...lesson.plan_defaults, ...item.place.approach, routine: item.routine };
    const plan = useQuery({
        queryKey: ['plan', inputs],
        queryFn: () => post<ApproachPlan>('compute/approach', inputs),
        staleTime: Infinity,
        enabled: planned === 'approach',
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
