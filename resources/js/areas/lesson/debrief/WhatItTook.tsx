import type { Lesson, PlannedItem, Round } from '@/api/types';
import { usePlanned, useRules } from '@/app/rules';
import { hasJudgement, Judgement } from '@/judgement/Judgement';
import { RoadBrief } from '@/road/RoadBrief';

/** What the judgement at the driven places takes, to hold what happened against. */
export function WhatItTook({ lesson, rounds }: { lesson: Lesson; rounds: Round[] }) {
    const rules = useRules();
    const planned = usePlanned();
    const isFast = (item: PlannedItem) => planned(item.routine).by !== 'approach';
    const driven = new Set(rounds.map((round) => round.place));
    const items = lesson.items.filter(
        (item, i, all) =>
            driven.has(item.place.name) &&
            all.findIndex((other) => other.place.id === item.place.id) === i &&
            (isFast(item) || hasJudgement(item.routine, item.drawings, rules)),
    );
    return items.length === 0 ? null : (
        <section aria-label="What it took" className="grid gap-2">
            <h2 className="text-xl">What it took</h2>
            <ul className="grid gap-2">
                {items.map((item) => (
                    <li key={item.id}>
                        <span className="font-semibold">{item.place.name}</span>
                        <RoadBrief routine={item.routine} road={item.place.approach} practice={rules.practice} compact />
                        <Judgement routine={item.routine} road={item.place.approach} drawings={item.drawings} />
                    </li>
                ))}
            </ul>
        </section>
    );
}
