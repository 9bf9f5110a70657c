import { OUTCOMES, type Outcome, type Side, type Step } from '@/api/types';
import type { Standing } from '@/queue/standing';
import { useRules } from '@/rules/rules';
import { StepIcon } from '@/strip/glyphs';
import { Ink } from '@/strip/Ink';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import { NoteKey } from './NoteKey';

interface Props {
    /** Those the routine has. */
    steps: readonly Step[];
    stands: Standing;
    side: Side;
    current: Step;
    onCurrent: (step: Step) => void;
    onMark: (step: Step, outcome: Outcome) => void;
    onOutOfOrder: (step: Step) => void;
    onNote: (step: Step, note: string) => void;
    /** To say what was wrong with a step that is marked. */
    onTell: (step: Step) => void;
}

/** The routine's steps by five outcomes, one press each. A step that slipped in the order is said beside it. */
export function MarkGrid({ steps, stands, side, current, onCurrent, onMark, onOutOfOrder, onNote, onTell }: Props) {
    const rules = useRules();
    return (
        <div className="grid gap-1.5">
            {steps.map((step) => {
                const mark = stands.steps[step];
                return (
                    <div
                        key={step}
                        role="group"
                        aria-label={STEP_WORDS[step]}
                        onFocus={() => onCurrent(step)}
                        className="grid grid-cols-5 gap-1 sm:grid-cols-[7.5rem_repeat(5,minmax(0,1fr))_3.6rem_3.6rem] sm:gap-2"
                    >
                        <div
                            className={`col-span-3 flex items-center gap-2 border-l-4 pl-2 sm:col-span-1 ${step === current ? 'border-now' : 'border-transparent'}`}
                        >
                            <StepIcon step={step} side={side} />
                            <span className="grid min-w-0">
                                <span className="text-lg font-bold">{STEP_WORDS[step]}</span>
                                {mark && (
                                    <button
                                        type="button"
                                        className="link min-h-8 text-left text-sm leading-tight"
                                        aria-label={`What was wrong with ${STEP_WORDS[step].toLowerCase()}`}
                                        onClick={() => onTell(step)}
                                    >
                                        {[mark.fault && (rules.faults[step]?.[mark.fault] ?? mark.fault), mark.effect && rules.effects[mark.effect]]
                                            .filter(Boolean)
                                            .join(' · ') || 'what?'}
                                    </button>
                                )}
                            </span>
                        </div>
                        <span className="col-span-2 sm:hidden">
                            <Slip step={step} on={mark?.out_of_order ?? false} onPress={onOutOfOrder} />
                        </span>
                        {OUTCOMES.map((outcome) => (
                            <button
                                key={outcome}
                                type="button"
                                className="key min-h-[88px] min-w-0 flex-col !gap-1 !px-0.5 text-[0.78rem] leading-tight sm:!px-1 sm:text-base"
                                aria-pressed={mark?.outcome === outcome}
                                aria-label={`${STEP_WORDS[step]} ${OUTCOME_WORDS[outcome]}`}
                                onClick={() => onMark(step, outcome)}
                            >
                                <Ink outcome={outcome} />
                                {OUTCOME_WORDS[outcome]}
                            </button>
                        ))}
                        <span className="hidden sm:block">
                            <Slip step={step} on={mark?.out_of_order ?? false} onPress={onOutOfOrder} />
                        </span>
                        <NoteKey step={step} note={mark?.note ?? null} disabled={!mark} onNote={onNote} />
                    </div>
                );
            })}
        </div>
    );
}

function Slip({ step, on, onPress }: { step: Step; on: boolean; onPress: (step: Step) => void }) {
    return (
        <button
            type="button"
            className="key min-h-[48px] w-full !gap-0 !px-0 text-sm sm:min-h-[88px] sm:flex-col"
            aria-pressed={on}
            aria-label={`${STEP_WORDS[step]} out of order`}
            onClick={() => onPress(step)}
        >
            <span aria-hidden="true">⇄</span>
            <span>order</span>
        </button>
    );
}
