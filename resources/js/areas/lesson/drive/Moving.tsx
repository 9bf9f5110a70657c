import type { Rules } from '@/api/types';

interface Props {
    /** Which round a press goes into, in words. */
    round: string;
    count: number;
    rule: Rules['device_rule'];
    onMark: () => void;
    onParked: () => void;
}

/**
 * While the car moves there is one key, and the whole screen is its: nothing else can be reached but saying that the car is parked.
 * What was marked is said when parked.
 */
export function Moving({ round, count, rule, onMark, onParked }: Props) {
    return (
        <section aria-label="The car moves" className="bg-paper fixed inset-0 z-40 grid grid-rows-[minmax(0,1fr)_auto] gap-3 p-3 sm:p-6">
            <button type="button" autoFocus className="key h-full min-h-0 w-full flex-col text-5xl" data-tone="main" onClick={onMark}>
                Mark
                <span className="text-xl font-normal">{round}</span>
                <span className="text-xl font-normal" aria-live="polite">
                    {count === 0 ? 'tap now, say later what it was' : `${count} ${count === 1 ? 'moment' : 'moments'} in this round`}
                </span>
            </button>
            <div className="grid items-center gap-3 sm:grid-cols-[minmax(0,1fr)_auto]">
                <p className="text-quiet text-sm sm:text-base" title={rule.source}>
                    For the supervising instructor, never the driver. {rule.text}
                </p>
                <button type="button" className="key min-h-[88px] px-8 text-xl" onClick={onParked}>
                    Parked
                </button>
            </div>
        </section>
    );
}
