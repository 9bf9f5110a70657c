import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { questions } from '@/api/questions';
import type { FreeAsked, FreeTime } from '@/api/types';
import { useClock } from '@/session/session';
import { lightWords } from './fitWords';
import { moved } from './week';

/** So many days are asked for at once. */
const FORTNIGHT = 14;

/** Eight weeks ahead, two at a time. */
const LAST = 3;

/** Times at which a lesson fits, drives included; one press takes one. */
export function FreeTimes({ asked, onPick }: { asked: FreeAsked; onPick: (moment: string) => void }) {
    const clock = useClock();
    const [later, setLater] = useState(0);
    const from = asked.from ? moved(`${asked.from}T12:00`, 0, FORTNIGHT * later).slice(0, 10) : undefined;
    const free = useQuery(questions.free({ ...asked, ...(from ? { from } : {}) }));
    if (!free.data) return <p className="text-quiet">{free.error ? `▸ ${free.error.message}` : 'Looking …'}</p>;
    const turn = (
        <div className="flex flex-wrap gap-2">
            {later > 0 && (
                <button type="button" className="key" onClick={() => setLater(later - 1)}>
                    Two weeks before
                </button>
            )}
            {from && later < LAST && (
                <button type="button" className="key" onClick={() => setLater(later + 1)}>
                    Two weeks on
                </button>
            )}
        </div>
    );
    if (free.data.length === 0) {
        return (
            <div className="grid gap-3">
                <p>Nothing is free in these two weeks for that long.</p>
                {turn}
            </div>
        );
    }
    const days = new Map<string, FreeTime[]>();
    for (const time of free.data) {
        const day = clock.day(time.starts_at);
        days.set(day, [...(days.get(day) ?? []), time]);
    }
    return (
        <div className="grid gap-3" role="group" aria-label="Free times">
            {[...days].map(([day, times]) => (
                <section key={day} aria-label={day} className="grid gap-1">
                    <h3 className="text-base">{day}</h3>
                    <ul className="grid gap-1 sm:grid-cols-2">
                        {times.map((time) => (
                            <li key={time.starts_at}>
                                <button type="button" className="key w-full !justify-start !px-3 text-left" onClick={() => onPick(time.starts_at)}>
                                    <span className="tabular-nums">{clock.time(time.starts_at)}</span>
                                    <span className="text-quiet text-sm font-normal">{around(time)}</span>
                                </button>
                            </li>
                        ))}
                    </ul>
                </section>
            ))}
            {turn}
        </div>
    );
}

function around({ after, before, travel_before_minutes: there, travel_after_minutes: on, ...time }: FreeTime): string {
    return [
        after && (there === null ? `after ${after}` : `${there} min from ${after}`),
        before && (on === null ? `before ${before}` : `${on} min to ${before}`),
        lightWords(time),
    ]
        .filter(Boolean)
        .join(', ');
}
