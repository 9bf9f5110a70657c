import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Lesson, LessonItem, Road, Rules } from '@/api/types';
import { ApproachView } from '@/approach/ApproachView';
import type { Conditions } from '@/bench/approach';
import { limitOf, useRoutineName, useRules, withLimit } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { DrawingLinks } from '@/drawings/DrawingLinks';
import { Judgement } from '@/judgement/Judgement';
import { RoadBrief } from '@/road/RoadBrief';
import { Sketch } from '@/routines/Sketch';
import { StepList } from '@/routines/StepList';
import { useCards } from '@/routines/useCards';
import { useLesson } from '../useLesson';

/** Everything to explain one place at the kerb: its strip, the sketch, and the card of its routine. */
export function Brief({ lesson, item }: { lesson: Lesson; item: LessonItem }) {
    const { road } = item.place;
    const rules = useRules();
    const name = useRoutineName();
    const { refresh } = useLesson(lesson.id);
    const card = useCards(rules.pack).data?.find((candidate) => candidate.code === item.routine);
    const [conditions, setConditions] = useState<Conditions>({
        speed: limitOf(road, rules),
        gradient: road.gradient ?? 0,
        surface: 'dry',
        follower: false,
    });
    const { plan } = item;
    const inputs = useMemo(() => (plan.tool === 'approach' ? withLimit(plan.inputs, limitOf(road, rules), rules) : null), [plan, road, rules]);
    const lead = (
        <div className="min-w-0 flex-1 basis-56">
            <p className="hidden font-semibold print:block">{item.place.name}</p>
            <h2 className="text-lg">{name(item.routine)}</h2>
            <p className="text-quiet text-sm">{[describe(road, rules), item.place.note].filter(Boolean).join('. ')}</p>
        </div>
    );
    return (
        <section aria-label={`Brief: ${item.place.name}`} className="grid gap-2">
            {inputs ? (
                <ApproachView inputs={inputs} conditions={conditions} onConditions={setConditions} lead={lead} />
            ) : (
                <>
                    {lead}
                    {plan.tool !== 'approach' && <RoadBrief plan={plan} routine={item.routine} road={road} />}
                </>
            )}
            <Judgement routine={item.routine} road={road} drawings={item.drawings} />
            {card && (
                <details className="text-base">
                    <summary className="link min-h-12 cursor-pointer content-center font-semibold">The card: {card.title}</summary>
                    <div className="grid gap-4 py-2 lg:grid-cols-[auto_1fr]">
                        <Sketch form={card.sketch} side={card.side} keeps={rules.keeps} title={card.title} place={road} size={180} />
                        <StepList steps={card.steps} side={card.side} />
                    </div>
                    <Link className="link" to={`/routines/${card.code}`}>
                        Open the card
                    </Link>
                </details>
            )}
            <div className="flex flex-wrap items-center gap-3">
                <DrawingLinks drawings={item.drawings} onChanged={refresh} />
                <button type="button" className="key screen-only" onClick={() => window.print()}>
                    Print this brief
                </button>
            </div>
        </section>
    );
}

function describe(road: Road, rules: Rules): string {
    if (road.kind === 'slip') return `${road.slip_length_m} m of slip road`;
    const control = 'control' in road ? road.control : undefined;
    return [
        `${limitOf(road, rules)} ${unitWords(rules.speed_unit)} limit`,
        control === 'stop' ? 'stop line' : control === 'give-way' ? 'give-way line' : null,
        road.view_from_m !== undefined ? `view from ${road.view_from_m} m` : road.view ? `${road.view} view` : null,
        road.one_way ? 'one-way' : null,
        road.room_m ? `${road.room_m} m of room` : null,
    ]
        .filter(Boolean)
        .join(', ');
}
