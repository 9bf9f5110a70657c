import type { Lesson, LessonItem } from '@/api/types';
import { useNotice } from '@/ui/Notice';
import { useLesson } from '../useLesson';
import { Minutes } from './Minutes';

/** What can be done with a place on the plan: its minutes, its turn, and off it. */
export function PlaceKeys({ lesson, item }: { lesson: Lesson; item: LessonItem }) {
    const { put } = useLesson(lesson.id);
    const notice = useNotice();
    const order = lesson.items.map(({ id }) => id);
    const place = order.indexOf(item.id);
    const move = async (by: -1 | 1) => {
        const ids = [...order];
        ids.splice(place + by, 0, ...ids.splice(place, 1));
        await put({ kind: 'order', items: ids });
    };
    const takeOff = async () => {
        await put({ kind: 'item-off', item });
        notice({
            text: `${item.place.name} is off the plan.`,
            undo: () => void put({ kind: 'item-back', item }),
        });
    };
    return (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <Minutes label={item.place.name} value={item.minutes} min={1} max={240} onWrite={(minutes) => put({ kind: 'minutes', item: item.id, minutes })} />
            <span className="flex gap-1">
                <button type="button" className="key" aria-label={`${item.place.name}: earlier`} disabled={place === 0} onClick={() => void move(-1)}>
                    ←
                </button>
                <button
                    type="button"
                    className="key"
                    aria-label={`${item.place.name}: later`}
                    disabled={place === order.length - 1}
                    onClick={() => void move(1)}
                >
                    →
                </button>
                <button type="button" className="key" aria-label={`Take ${item.place.name} off the plan`} onClick={() => void takeOff()}>
                    ✕
                </button>
            </span>
        </div>
    );
}
