import type { DrawnPlan, DrawnStep } from '@/strip/plan';
import { seconds, spoken, STEP_WORDS } from '@/strip/words';

/** One step in words: where, why there, and the usual mistake. */
export function StepDetail({ plan, step }: { plan: DrawnPlan; step: DrawnStep }) {
    const moved = step.step === 'signal' ? plan.conflicts.filter((conflict) => conflict.code.startsWith('signal')) : [];
    const [earliest, latest] = [spoken(step.earliest, plan.unit), spoken(step.latest, plan.unit)];
    return (
        <section aria-live="polite" aria-label={STEP_WORDS[step.step]} className="not-on-card border-hair grid gap-3 border-t-2 pt-2">
            <div>
                <h2 className="flex flex-wrap items-baseline gap-x-3 text-xl">
                    {STEP_WORDS[step.step]} <span className="text-4xl">{spoken(step.best, plan.unit)}</span>
                    {plan.axis === 'distance' && <span className="text-quiet font-sans text-base font-normal">{seconds(step.best_s)} to go</span>}
                </h2>
                {plan.axis === 'distance' && (
                    <p className="text-quiet text-sm">
                        {earliest === latest ? `in good time only at ${latest}` : `in good time from ${earliest} to ${latest}`}
                    </p>
                )}
            </div>
            <div className="grid content-start gap-2">
                <h3 className="text-lg">{step.do}</h3>
                <p>{step.why}</p>
                {step.says.map((sentence) => (
                    <p key={sentence} className="border-line border-l-4 pl-3">
                        {sentence}
                    </p>
                ))}
                {moved.map((conflict) => (
                    <p key={conflict.code} className="border-ink border-l-4 pl-3 font-semibold">
                        {conflict.message}
                    </p>
                ))}
            </div>
            <div className="grid content-start gap-2">
                <h3 className="text-base">Usual mistake</h3>
                <p>{step.usual_mistake}</p>
                {step.watch && <p className="text-quiet text-sm">The instructor watches: {step.watch}</p>}
                <p className="text-quiet text-sm">{step.source}</p>
            </div>
        </section>
    );
}
