import type { Effect, Fault, Mark, RoutineLine, Step } from '@/api/types';
import { useRules } from '@/rules/rules';
import { STEP_WORDS } from '@/strip/words';

interface Props {
    step: Step;
    mark: Mark;
    routine: RoutineLine | undefined;
    onFault: (step: Step, fault: Fault) => void;
    onEffect: (step: Step, effect: Effect) => void;
    onDone: () => void;
}

/** One press more: which kind of fault it was, the likeliest of this routine first, and what it did to others. */
export function WhatWasWrong({ step, mark, routine, onFault, onEffect, onDone }: Props) {
    const rules = useRules();
    const words = rules.faults[step] ?? {};
    const likely = routine?.faults[step] ?? [];
    // What was said from another hand is shown, though it is not among the likeliest.
    const shown = mark.fault && !likely.includes(mark.fault) ? [...likely.slice(0, -1), mark.fault] : likely;
    const name = STEP_WORDS[step];
    return (
        <section
            aria-label={`What was wrong with ${name.toLowerCase()}`}
            className="bg-paper border-ink fixed inset-x-0 bottom-16 z-20 lg:bottom-0 lg:left-32 grid gap-2 border-t-2 p-2 xl:static xl:left-auto xl:rounded-xl xl:border-2 xl:p-3"
        >
            <div className="flex items-center justify-between gap-2">
                <h2 className="text-lg">{name}: what was wrong?</h2>
                <button type="button" className="key min-h-12 min-w-12 !px-3" aria-label="Nothing more to say" onClick={onDone}>
                    ✕
                </button>
            </div>
            <div role="group" aria-label="Kind" className="grid grid-cols-3 gap-1 sm:grid-cols-6 xl:grid-cols-2 xl:gap-2">
                {shown.map((fault) => (
                    <button
                        key={fault}
                        type="button"
                        className="key min-h-[56px] min-w-0 !px-1 text-sm leading-tight xl:min-h-[64px]"
                        aria-pressed={mark.fault === fault}
                        onClick={() => onFault(step, fault)}
                    >
                        {words[fault] ?? fault}
                    </button>
                ))}
            </div>
            <p className="text-sm font-semibold">Others</p>
            <div role="group" aria-label="Others" className="grid grid-cols-4 gap-1 xl:grid-cols-2 xl:gap-2">
                {(Object.keys(rules.effects) as Effect[]).map((effect) => (
                    <button
                        key={effect}
                        type="button"
                        className="key min-h-[56px] min-w-0 !px-1 text-sm leading-tight"
                        aria-pressed={mark.effect === effect}
                        aria-label={`Others: ${rules.effects[effect] ?? effect}`}
                        onClick={() => onEffect(step, effect)}
                    >
                        {rules.effects[effect] ?? effect}
                    </button>
                ))}
            </div>
        </section>
    );
}
