import type { CardStep, Side } from '@/api/types';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';

/** The steps of a card: do and why, the usual mistake, and its likely cause one step earlier with remedy and drill. */
export function StepList({ steps, side }: { steps: CardStep[]; side: Side | null }) {
    return (
        <section aria-label="Step by step" className="grid gap-4 print:gap-1.5">
            <h2 className="sr-only print:hidden">Step by step</h2>
            {steps.map((step) => (
                <div
                    key={step.step}
                    className="border-hair grid break-inside-avoid gap-x-8 gap-y-2 print:gap-y-0.5 border-t-2 pt-3 print:pt-1 md:grid-cols-[8rem_1fr_1fr] print:grid-cols-[8.5rem_1fr_1fr] print:gap-x-4"
                >
                    <h3 className="flex items-start gap-2 text-lg">
                        <StepIcon step={step.step} side={side ?? 'right'} /> {STEP_WORDS[step.step]}
                    </h3>
                    <div className="grid content-start gap-2 print:gap-0.5">
                        <p className="font-semibold">{step.do}</p>
                        <p>{step.why}</p>
                        {step.says.map((sentence) => (
                            <p key={sentence} className="border-line border-l-4 pl-3">
                                {sentence}
                            </p>
                        ))}
                        {step.for_beginner && <p className="text-quiet">A beginner: {step.for_beginner}</p>}
                        <p className="text-quiet text-sm print:hidden">Watched: {step.watch}</p>
                    </div>
                    <div className="grid content-start gap-2 print:gap-0.5">
                        <p>
                            <span className="font-semibold">Usual mistake: </span>
                            {step.usual_mistake}
                        </p>
                        <p>
                            <span className="font-semibold">
                                Possible cause ({step.cause_step ? STEP_WORDS[step.cause_step].toLowerCase() : 'before it began'}):{' '}
                            </span>
                            {step.likely_cause}
                        </p>
                        <p>
                            <span className="font-semibold">Remedy: </span>
                            {step.remedy}
                        </p>
                        <p>
                            <span className="font-semibold">Drill: </span>
                            {step.drill}
                        </p>
                    </div>
                </div>
            ))}
        </section>
    );
}
