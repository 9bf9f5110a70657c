import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { LanesAsked, LightsAsked, PriorityAsked } from '@/api/types';
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

/** How who turns across those who come towards them waits inside the lights, and how the seconds after the change are spent. */
export function WayLights({ asked }: { asked: LightsAsked }) {
    const { data, error, refetch } = useQuery({ ...questions.tool('lights', asked), placeholderData: (before) => before });
    if (error) return <NotShown what="How one waits inside the lights here is not shown" error={error} retry={() => void refetch()} />;
    if (!data) return null;
    const { budget, holds, message, verdict } = data;
    return (
        <p aria-label="Waiting inside the lights">
            <strong>{verdict === 'enter' ? 'On a full green over the line, and wait inside:' : 'On a full green:'}</strong> {message}
            {verdict === 'enter' && budget && (
                <>
                    {' '}
                    Room for {holds} inside. From amber the last who cannot stop is past after {seconds(budget.last_passes_s)}, we are out after{' '}
                    {seconds(budget.out_s)}, and those from the side may be there after {seconds(budget.they_come_s)}.{' '}
                    <span className="text-quiet text-sm">assumed, full lights</span>
                </>
            )}
        </p>
    );
}

const seconds = (value: number) => `${value.toFixed(1)} s`;
