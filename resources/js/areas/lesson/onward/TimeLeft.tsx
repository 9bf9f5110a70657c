import { useState } from 'react';
import type { CircuitAnswer, Lesson, LessonItem } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import type { Asking } from '@/site/circuit';
import { NotShown } from '@/ui/NotShown';
import { useNotice } from '@/ui/Notice';
import { Slider } from '@/ui/Slider';
import { useNow } from '@/ui/useNow';
import { useLesson } from '../useLesson';

const LEAST = 5;
const MOST = 90;

interface Props {
    lesson: Lesson;
    /** Where the lesson is. */
    item: LessonItem | undefined;
    left: (from: string | undefined, minutes: number, now: Date) => Asking | null;
}

/** So many minutes to go: what of the plan still fits, with the way back, and the rest off the plan by one press. */
export function TimeLeft({ lesson, item, left }: Props) {
    const now = useNow();
    const [began] = useState(now);
    const [minutes, setMinutes] = useState(() => {
        const rest = Math.floor((Date.parse(lesson.starts_at) + lesson.minutes * 60_000 - now.getTime()) / 60_000);
        // A lesson that is not on now is asked about as if twenty minutes were left.
        return rest >= LEAST && rest <= lesson.minutes ? Math.min(MOST, rest) : 20;
    });
    const asked = left(item?.id, minutes, began);
    return (
        <div className="grid gap-2">
            <Slider label="To go" value={minutes} min={LEAST} max={MOST} step={1} words={(value) => `${value} min`} onChange={setMinutes} />
            {asked ? <Fits lesson={lesson} asked={asked} /> : <p className="text-quiet">Nothing on the map comes after this place.</p>}
        </div>
    );
}

function Fits({ lesson, asked }: { lesson: Lesson; asked: Asking }) {
    const { put } = useLesson(lesson.id);
    const notice = useNotice();
    const { data, error, refetch, isPlaceholderData } = useCompute('circuit', asked);
    if (error) return <NotShown what="What still fits is not worked out" error={error} retry={() => void refetch()} />;
    if (!data) return null;
    const itemOf = (way: string) => lesson.items.find(({ id }) => id === way);
    const out = data.left_out.flatMap(({ way }) => (data.order.includes(way) ? [] : (itemOf(way) ?? [])));
    const cut = async () => {
        for (const item of out) await put({ kind: 'item-off', item });
        notice({
            text: `${out.length === 1 ? `${out[0]!.place.name} is` : `${out.length} places are`} off the plan.`,
            undo: () =>
                void (async () => {
                    for (const item of [...out].reverse()) await put({ kind: 'item-back', item });
                })(),
        });
    };
    return (
        <div className="grid gap-2" role="status">
            <p className="font-semibold">{data.message}</p>
            <ul>
                {data.order.map((way) => (
                    <li key={way}>
                        {itemOf(way)?.place.name}: {roundsOf(data, way)}
                    </li>
                ))}
            </ul>
            {data.left_out.map(({ way, message }) => (
                <p key={way} className="text-quiet text-sm">
                    {message}
                </p>
            ))}
            {out.length > 0 && (
                <button type="button" className="key justify-self-start" disabled={isPlaceholderData} onClick={() => void cut()}>
                    Take {out.length === 1 ? out[0]!.place.name : `${out.length} places`} off the plan
                </button>
            )}
        </div>
    );
}

const roundsOf = ({ parts }: CircuitAnswer, way: string): string => {
    const rounds = parts.filter((part) => part.kind === 'round' && part.way === way).length;
    return rounds === 1 ? 'once' : `${rounds} rounds`;
};
