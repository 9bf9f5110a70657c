import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { LanesAsked, PriorityAsked } from '@/api/types';
import { NotShown } from '@/ui/NotShown';

/** Which lane to approach in, where there is a choice, and the weightiest reason. */
export function WayLane({ asked }: { asked: LanesAsked }) {
    const { data, error, refetch } = useQuery({ ...questions.tool('lanes', asked), placeholderData: (before) => before });
    if (error) return <NotShown what="The lane of this way is not shown" error={error} retry={() => void refetch()} />;
    if (!data) return null;
    return (
        <p>
            <strong>Approach in lane {data.approach_lane}</strong> from the kerb, leave in lane {data.exit_lane}. {data.reasons[0]}
        </p>
    );
}

/** Whose turn it is where nothing on the road says it, and everybody is there at once. */
export function WayTurn({ asked }: { asked: PriorityAsked }) {
    const { data, error, refetch } = useQuery({ ...questions.tool('priority', asked), placeholderData: (before) => before });
    if (error) return <NotShown what="Whose turn it is here is not shown" error={error} retry={() => void refetch()} />;
    if (!data) return null;
    return (
        <p aria-label="Whose turn">
            <strong>If somebody is at each line at once:</strong> {data.message}
        </p>
    );
}
