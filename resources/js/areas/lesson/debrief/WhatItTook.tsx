import type { Lesson, Round } from '@/api/types';
import { Judgement } from '@/judgement/Judgement';

/** What the judgement at the driven places takes, to hold what happened against. */
export function WhatItTook({ lesson, rounds }: { lesson: Lesson; rounds: Round[] }) {
    const driven = new Set(rounds.map((round) => round.place));
    const items = lesson.items.filter((item, i, all) => driven.has(item.place.name) && all.findIndex((other) => other.place.id === item.place.id) === i);
    return items.length === 0 ? null : (
        <section aria-label="What it took" className="grid gap-2">
            <h2 className="text-xl">What it took</h2>
            <ul className="grid gap-2">
                {items.map((item) => (
                    <li key={item.id}>
                        <span className="font-semibold">{item.place.name}</span>
                        <Judgement routine={item.routine} road={item.place.approach} drawings={item.drawings} />
                    </li>
                ))}
            </ul>
        </section>
    );
}
