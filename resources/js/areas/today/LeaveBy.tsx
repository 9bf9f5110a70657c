import type { Today } from '@/api/types';
import { useClock } from '@/session/session';

/** When to leave so as to be there, and how far it is; nothing where an address is not on the map. */
export function LeaveBy({ drive }: { drive: Today['between'][number] | undefined }) {
    const clock = useClock();
    if (!drive?.leave_at) return null;
    return (
        <p>
            <strong>Leave by {clock.time(drive.leave_at)}</strong>
            <span className="text-quiet">
                {' '}
                · {drive.travel_minutes} min drive{drive.short_minutes > 0 && `, ${drive.short_minutes} more than there are`}
            </span>
        </p>
    );
}
