import { OUTCOMES, type Outcome, type Step } from '@/api/types';
import { Ink } from '@/strip/Ink';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import { Fitted } from '@/ui/Fitted';

/** The five outcomes of a step, one press each. */
export function OutcomeKeys({ step, said, onMark }: { step: Step; said: Outcome | undefined; onMark: (step: Step, outcome: Outcome) => void }) {
    return OUTCOMES.map((outcome) => (
        <button
            key={outcome}
            type="button"
            className="key min-h-[88px] min-w-0 flex-col !gap-1 !px-0.5 text-[0.78rem] leading-tight sm:!px-1 sm:text-base xl:text-[0.85rem]"
            aria-pressed={said === outcome}
            aria-label={`${STEP_WORDS[step]} ${OUTCOME_WORDS[outcome]}`}
            onClick={() => onMark(step, outcome)}
        >
            <Ink outcome={outcome} />
            <Fitted>{OUTCOME_WORDS[outcome]}</Fitted>
        </button>
    ));
}
