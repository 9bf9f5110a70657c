import type { ApproachPlan, PlanStep } from '@/api/types';
import { metres, seconds, STEP_WORDS } from '@/strip/words';

/** One step in words: where, why there, and the usual mistake. */
export function StepDetail({ plan, step }: { plan: ApproachPlan; step: PlanStep }) {
    const moved = step.step === 'signal' ? plan.conflicts.filter((conflict) => conflict.code.startsWith('signal')) : [];
    const [earliest, latest] = [metres(step.earliest_m), metres(step.latest_m)];
    return (
        <section
            aria-live="polite"
            aria-label={STEP_WORDS[step.step]}
            className="border-hair grid gap-x-8 gap-y-4 border-t-2 pt-2 md:grid-cols-[13rem_1.3fr_1fr]"
        >
            <div>
                <h2 className="flex items-baseline gap-3 text-xl">
                    {STEP_WORDS[step.step]} <span className="text-4xl">{metres(step.best_m)}</span>
                </h2>
                <p>{seconds(step.best_s)} to go</p>
                <p className="text-quiet text-sm">{earliest === latest ? `in good time only at ${latest}` : `in good time from ${earliest} to ${latest}`}</p>
            </div>
            <div className="grid content-start gap-2">
                <h3 className="text-lg">{step.do}</h3>
                <p>{step.why}</p>
                {moved.map((conflict) => (
                    <p key={conflict.code} className="border-ink border-l-4 pl-3 font-semibold">
                        {conflict.message}
                    </p>
                ))}
            </div>
            <div className="grid content-start gap-2">
                <h3 className="text-lg">Usual mistake</h3>
                <p>{step.usual_mistake}</p>
                <p className="text-quiet text-sm">{step.source}</p>
            </div>
        </section>
    );
}
