import type { ApproachNotPlanned } from '@/api/types';

/** Why there is no plan: nothing slower would help. */
export function NotPlanned({ answer }: { answer: Pick<ApproachNotPlanned, 'not_planned'> }) {
    return (
        <p role="status" className="border-ink bg-raised border-l-4 p-3 text-lg">
            {answer.not_planned.message}
        </p>
    );
}
