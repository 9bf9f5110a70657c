import { useRef } from 'react';
import type { Effect, Fault, Mark, RoutineLine, Step } from '@/api/types';
import { useRules } from '@/rules/rules';

interface Props {
    step: Step;
    mark: Mark;
    routine: RoutineLine | undefined;
    /** With a column of their own the keys are wide enough for a thumb; beside the grid they are smaller, and on a phone one row that is swiped. */
    room: 'column' | 'beside';
    onFault: (step: Step, fault: Fault) => void;
    onEffect: (step: Step, effect: Effect) => void;
}

const LOOK = {
    column: { groups: 'contents', kinds: 'grid grid-cols-2 gap-1 xl:gap-2', effects: 'grid grid-cols-2 gap-1 xl:gap-2', key: 'min-h-[88px]' },
    beside: {
        groups: 'flex items-center gap-1 overflow-x-auto sm:contents',
        kinds: 'flex gap-1 sm:grid sm:grid-cols-6 xl:grid-cols-2 xl:gap-2',
        effects: 'flex gap-1 sm:grid sm:grid-cols-4 xl:grid-cols-2 xl:gap-2',
        key: 'min-h-[72px] w-[6.6rem] shrink-0 text-sm sm:min-h-[56px] sm:w-auto xl:min-h-[64px]',
    },
};

/** Which kind of fault it was, the likeliest of this routine first, and what it did to others: one press each. */
export function FaultAndEffect({ step, mark, routine, room, onFault, onEffect }: Props) {
    const rules = useRules();
    const others = useRef<HTMLParagraphElement>(null);
    const words = rules.faults[step] ?? {};
    const likely = routine?.faults[step] ?? [];
    // What was said from another hand is shown, though it is not among the likeliest.
    const shown = mark.fault && !likely.includes(mark.fault) ? [...likely.slice(0, -1), mark.fault] : likely;
    const look = LOOK[room];
    const key = `key min-w-0 !px-1 leading-tight ${look.key}`;
    return (
        <div className={look.groups}>
            <div role="group" aria-label="Kind" className={look.kinds}>
                {shown.map((fault) => (
                    <button
                        key={fault}
                        type="button"
                        className={key}
                        aria-pressed={mark.fault === fault}
                        onClick={() => {
                            onFault(step, fault);
                            // Where it is one row, what comes next comes into sight.
                            others.current?.scrollIntoView({ inline: 'start', block: 'nearest' });
                        }}
                    >
                        {words[fault] ?? fault}
                    </button>
                ))}
            </div>
            <p ref={others} className="text-sm font-semibold">
                Others
            </p>
            <div role="group" aria-label="Others" className={look.effects}>
                {(Object.keys(rules.effects) as Effect[]).map((effect) => (
                    <button
                        key={effect}
                        type="button"
                        className={key}
                        aria-pressed={mark.effect === effect}
                        aria-label={`Others: ${rules.effects[effect] ?? effect}`}
                        onClick={() => onEffect(step, effect)}
                    >
                        {rules.effects[effect] ?? effect}
                    </button>
                ))}
            </div>
        </div>
    );
}
