import type { Step } from '@/api/types';
import { STEP_WORDS } from '@/strip/words';

/** The step slipped in the order. */
export function SlipKey({ step, on, onPress }: { step: Step; on: boolean; onPress: (step: Step) => void }) {
    return (
        <button
            type="button"
            className="key min-h-12 w-full !gap-1 !px-2 text-sm sm:min-h-[88px] sm:flex-col sm:!gap-0 sm:!px-0"
            aria-pressed={on}
            aria-label={`${STEP_WORDS[step]} wrong order`}
            onClick={() => onPress(step)}
        >
            <span aria-hidden="true">⇄</span>
            <span>order</span>
        </button>
    );
}
