import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { ApproachInputs, Lesson, PlannedItem, Rules } from '@/api/types';
import { ApproachView } from '@/approach/ApproachView';
import type { Conditions } from '@/approach/Controls';
import { limitOf, unitWords, usePlanned, useRoutineName, useRules, withLimit } from '@/app/rules';
import { DrawingLinks } from '@/drawings/DrawingLinks';
import { Judgement } from '@/judgement/Judgement';
import { RoadBrief } from '@/road/RoadBrief';
import { Sketch } from '@/routines/Sketch';
import { StepList } from '@/routines/StepList';
import { useCards } from '@/routines/useCards';
import { useLesson } from '../useLesson';

/** Everything to explain one place at the kerb: its strip, the sketch, and the card of its routine. */
export function Brief({ lesson, item }: { lesson: Lesson; item: PlannedItem }) {
    const { approach } = item.place;
    const rules = useRules();
    const name = useRoutineName();
    const { refresh } = useLesson(lesson.id);
    const card = useCards(rules.pack).data?.find((candidate) => candidate.code === item.routine);
    const [conditions, setConditions] = useState<Conditions>({
        speed: limitOf(approach, rules),
        gradient: approach.gradient ?? 0,
        surface: 'dry',
        follower: false,
    });
    const inputs = useMemo<ApproachInputs>(
        () => ({ ...lesson.plan_defaults, ...withLimit(approach, limitOf(approach, rules), rules), routine: item.routine }),
        [lesson.plan_defaults, approach, item.routine, rules],
    );
    const { by: planned } = usePlanned()(item.routine);
    const lead = (
        <div className="min-w-0 flex-1 basis-56">
            <p className="hidden font-semibold print:block">{item.place.name}</p>
            <h2 className="text-lg">{name(item.routine)}</h2>
            <p className="text-quiet text-sm">{[describe(approach, rules), item.place.note].filter(Boolean).join('. ')}</p>
        </div>
    );
    return (
        <section aria-label={`Brief: ${item.place.name}`} className="grid gap-2">
            {planned === 'approach' ? (
                <ApproachView inputs={inputs} conditions={conditions} onConditions={setConditions} lead={lead} />
            ) : (
                <>
                    {lead}
                    <RoadBrief routine={item.routine} road={approach} vehicle={lesson.plan_defaults.vehicle} practice={rules.practice} />
                </>
            )}
            <Judgement routine={item.routine} road={approach} drawings={item.drawings} />
            {card && (
                <details className="text-base">
                    <summary className="link min-h-12 cursor-pointer content-center font-semibold">The card: {card.title}</summary>
                    <div className="grid gap-4 py-2 lg:grid-cols-[auto_1fr]">
                        <Sketch form={card.sketch} side={card.side} keeps={rules.keeps} title={card.title} place={approach} size={180} />
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

function describe(approach: PlannedItem['place']['approach'], rules: Rules): string {
    return [
        approach.slip_length_m === undefined ? `${limitOf(approach, rules)} ${unitWords(rules.speed_unit)} limit` : `${approach.slip_length_m} m of slip road`,
        approach.control === 'stop' ? 'stop line' : approach.control === 'give-way' ? 'give-way line' : null,
        approach.view_from_m !== undefined ? `view from ${approach.view_from_m} m` : approach.view ? `${approach.view} view` : null,
        approach.one_way ? 'one-way' : null,
        approach.room_m ? `${approach.room_m} m of room` : null,
    ]
        .filter(Boolean)
        .join(', ');
}
