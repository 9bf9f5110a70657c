import type { Stage } from '@/api/types';
import type { Standing } from '@/queue/standing';

interface Props {
    /** Words by stage, in the order of the drive. */
    stages: Partial<Record<string, string>>;
    stage: Stage;
    stands: Standing;
    onStage: (stage: Stage) => void;
}

/** Which part of the round is marked: each has its own steps. */
export function StageKeys({ stages, stage, stands, onStage }: Props) {
    return (
        <div role="group" aria-label="Part of the round" className="flex gap-2">
            {(Object.keys(stages) as Stage[]).map((one) => {
                const marked = Object.keys(stands.stages[one] ?? {}).length;
                return (
                    <button
                        key={one}
                        type="button"
                        className="key min-h-14 min-w-0 flex-1 flex-col !gap-0 !px-1 leading-tight"
                        aria-pressed={one === stage}
                        onClick={() => onStage(one)}
                    >
                        {stages[one]}
                        {marked > 0 && <span className="text-sm font-normal">{marked} marked</span>}
                    </button>
                );
            })}
        </div>
    );
}
