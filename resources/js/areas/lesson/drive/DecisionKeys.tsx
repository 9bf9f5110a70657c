import type { Decision } from '@/api/types';
import { useRules } from '@/rules/rules';
import type { Standing } from '@/queue/standing';

interface Props {
    stands: Standing;
    onDecide: (decision: Decision) => void;
}

/** What was decided rightly, one press each: it counts as much as a right go. */
export function DecisionKeys({ stands, onDecide }: Props) {
    const { decisions } = useRules();
    return (
        <div role="group" aria-label="Decided rightly" className="grid grid-cols-2 gap-1 xl:gap-2">
            {(Object.keys(decisions) as Decision[]).map((decision) => (
                <button
                    key={decision}
                    type="button"
                    className="key min-h-[88px] min-w-0 !px-1 leading-tight"
                    aria-pressed={stands.decisions[decision] !== undefined}
                    onClick={() => onDecide(decision)}
                >
                    {sentence(decisions[decision] ?? decision)}
                </button>
            ))}
        </div>
    );
}

const sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
