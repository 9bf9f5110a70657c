import type { Lesson, LessonItem, Round } from '@/api/types';
import { useRules } from '@/rules/rules';
import { hasJudgement, Judgement } from '@/judgement/Judgement';
import { RoadBrief } from '@/road/RoadBrief';

/** What the judgement at the driven places takes, to hold what happened against. */
export function WhatItTook({ lesson, rounds }: { lesson: Lesson; rounds: Round[] }) {
    const rules = useRules();
    const isFast = (item: LessonItem) => item.plan.tool !== 'approach';
    const driven = new Set(rounds.map((round) => round.place));
    const items = lesson.items.filter(
        (item, i, all) =>
            driven.has(item.place.name) &&
            all.findIndex((other) => other.place.id === item.place.id) === i &&
            (isFast(item) || hasJudgement(item.routine, item.drawings, rules)),
    );
    return items.length === 0 ? null : (
        <section aria-label="Gaps needed here" className="grid gap-2">
            <h2 className="text-xl">Gaps needed here</h2>
            <ul className="grid gap-2">
                {items.map((item) => (
                    <li key={item.id}>
                        <span className="font-semibold">{item.place.name}</span>
                        {item.plan.tool !== 'approach' && <RoadBrief plan={item.plan} routine={item.routine} road={item.place.road} compact />}
                        <Judgement routine={item.routine} road={item.place.road} drawings={item.drawings} pack={item.plan.inputs.pack} />
                    </li>
                ))}
            </ul>
        </section>
    );
}
