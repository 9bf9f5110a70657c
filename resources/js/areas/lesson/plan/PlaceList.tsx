import { useState } from 'react';
import { api, at } from '@/api/client';
import type { Lesson, PlannedItem } from '@/api/types';
import { useNotice } from '@/ui/Notice';
import { Empty } from '@/ui/State';
import { useLesson } from '../useLesson';
import { AddPlace } from './AddPlace';

/** The places of the lesson in order, on a line that adds up. */
export function PlaceList({ lesson, openId, onOpen }: { lesson: Lesson; openId: string | null; onOpen: (id: string) => void }) {
    const [adding, setAdding] = useState(false);
    const { refresh } = useLesson(lesson.id);
    const notice = useNotice();
    const planned = lesson.items.reduce((sum, item) => sum + item.minutes, 0);
    const over = planned - lesson.minutes;
    const move = async (item: PlannedItem, by: -1 | 1) => {
        const ids = lesson.items.map((candidate) => candidate.id);
        const from = ids.indexOf(item.id);
        ids.splice(from, 1);
        ids.splice(from + by, 0, item.id);
        await api.PUT('/lessons/{lesson}/order', { ...at({ lesson: lesson.id }), body: { items: ids } });
        await refresh();
    };
    const takeOff = async (item: PlannedItem) => {
        await api.DELETE('/items/{item}', at({ item: item.id }));
        await refresh();
        notice({
            text: `${item.place.name} is off the plan.`,
            undo: () => void api.POST('/items/{item}/restore', at({ item: item.id })).then(refresh),
        });
    };
    return (
        <section aria-label="Places of this lesson" className="grid gap-2">
            {lesson.items.length === 0 ? (
                <Empty title="No places yet">
                    <p>Choose a junction, easy before hard; its plan opens here.</p>
                    <button type="button" className="key justify-self-start" data-tone="main" onClick={() => setAdding(true)}>
                        Add a place
                    </button>
                </Empty>
            ) : (
                <div className="screen-only flex flex-wrap items-center gap-3 sm:flex-nowrap">
                    <ol className="relative flex min-w-0 gap-1.5 overflow-x-auto p-1 max-sm:flex-wrap" tabIndex={0} aria-label="In order">
                        {lesson.items.map((item, i) => {
                            const open = item.id === openId;
                            return (
                                <li key={item.id} className={`flex max-w-full min-w-0 rounded-lg border-2 sm:shrink-0 ${open ? 'border-ink' : 'border-hair'}`}>
                                    <button
                                        type="button"
                                        className={`flex min-h-12 min-w-0 items-center gap-2 px-3 text-left ${open ? 'max-w-96' : 'sm:max-w-52'}`}
                                        aria-pressed={open}
                                        onClick={() => onOpen(item.id)}
                                    >
                                        <span className={`truncate ${open ? 'font-bold' : ''}`}>
                                            {i + 1}. {item.place.name}
                                        </span>
                                        <span className="text-quiet text-sm whitespace-nowrap">{item.minutes} min</span>
                                    </button>
                                    {open && (
                                        <span className="flex">
                                            <button
                                                type="button"
                                                className="min-w-11 text-xl disabled:opacity-40"
                                                aria-label={`${item.place.name}: earlier`}
                                                disabled={i === 0}
                                                onClick={() => void move(item, -1)}
                                            >
                                                ←
                                            </button>
                                            <button
                                                type="button"
                                                className="min-w-12 text-xl disabled:opacity-40"
                                                aria-label={`${item.place.name}: later`}
                                                disabled={i === lesson.items.length - 1}
                                                onClick={() => void move(item, 1)}
                                            >
                                                →
                                            </button>
                                            <button
                                                type="button"
                                                className="min-w-12 text-lg"
                                                aria-label={`Take ${item.place.name} off the plan`}
                                                onClick={() => void takeOff(item)}
                                            >
                                                ✕
                                            </button>
                                        </span>
                                    )}
                                </li>
                            );
                        })}
                    </ol>
                    <div className="flex shrink-0 items-center gap-3">
                        <button type="button" className="key" onClick={() => setAdding(true)}>
                            Add a place
                        </button>
                        <span className={over > 0 ? 'font-semibold' : 'text-quiet'}>
                            {planned} of {lesson.minutes} min{over > 0 && `: ${over} too many`}
                        </span>
                    </div>
                </div>
            )}
            <AddPlace lesson={lesson} open={adding} onOpenChange={setAdding} onAdded={onOpen} />
        </section>
    );
}
