import { Sheet } from '@/ui/Sheet';

interface Props {
    /** Between cars as they passed, s, in their order. */
    gaps: number[];
    /** The one that was taken; null where all were let go. */
    onSaid: (taken: number | null) => void;
    onClose: () => void;
}

/** Which of the gaps was taken: asked once the car stands. */
export function GapsSheet({ gaps, onSaid, onClose }: Props) {
    return (
        <Sheet title="Which gap was taken?" about="Those before it were let go." open onOpenChange={onClose}>
            <div className="grid grid-cols-2 gap-2">
                {gaps.map((gap, i) => (
                    <button key={i} type="button" className="key min-h-[88px] flex-col !gap-0" onClick={() => onSaid(i)}>
                        <span className="tabular text-2xl">{gap.toFixed(1)} s</span>
                        <span className="text-sm font-normal">gap {i + 1}</span>
                    </button>
                ))}
            </div>
            <button type="button" className="key min-h-[88px]" onClick={() => onSaid(null)}>
                None of them: after the last car
            </button>
            <button type="button" className="key min-h-[88px]" onClick={onClose}>
                Throw it away
            </button>
        </Sheet>
    );
}
