import type { Outcome, Side, Step } from '@/api/types';
import type { StepMark } from '@/queue/standing';
import { useRules } from '@/rules/rules';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';
import { NoteKey } from './NoteKey';
import { OutcomeKeys } from './OutcomeKeys';
import { SlipKey } from './SlipKey';

interface Props {
    /** Those the routine has. */
    steps: readonly Step[];
    /** What stands of the part of the round that is marked. */
    said: Partial<Record<Step, StepMark>>;
    side: Side;
    current: Step;
    onCurrent: (step: Step) => void;
    onMark: (step: Step, outcome: Outcome) => void;
    onOutOfOrder: (step: Step) => void;
    onNote: (step: Step, note: string) => void;
    /** To say what was wrong with a step that is marked. */
    onTell: (step: Step) => void;
}

/** The routine's steps by five outcomes, one press each. A step that slipped in the order is said beside it; on a phone, with what was wrong. */
export function MarkGrid({ steps, said, side, current, onCurrent, onMark, onOutOfOrder, onNote, onTell }: Props) {
    const rules = useRules();
    return (
        <div className="grid gap-1.5">
            {steps.map((step) => {
                const mark = said[step];
                return (
                    <div
                        key={step}
                        role="group"
                        aria-label={STEP_WORDS[step]}
                        onFocus={() => onCurrent(step)}
                        className="grid grid-cols-5 gap-1 huge:grid-cols-2 sm:grid-cols-[7.5rem_repeat(5,minmax(0,1fr))_3.6rem_3.6rem] sm:gap-2"
                    >
                        <div
                            className={`col-span-5 flex min-h-7 huge:col-span-2 items-center gap-2 border-l-4 pl-2 sm:col-span-1 ${step === current ? 'border-now' : 'border-transparent'}`}
                        >
                            <StepIcon step={step} side={side} />
                            <span className="flex min-w-0 flex-1 items-baseline gap-x-3 sm:grid">
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
                        <OutcomeKeys step={step} said={mark?.outcome} onMark={onMark} />
                        <span className="hidden sm:block">
                            <SlipKey step={step} on={mark?.out_of_order ?? false} onPress={onOutOfOrder} />
                        </span>
                        <span className="hidden sm:block">
                            <NoteKey step={step} note={mark?.note ?? null} disabled={!mark} onNote={onNote} />
                        </span>
                    </div>
                );
            })}
        </div>
    );
}
