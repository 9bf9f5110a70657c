import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Lesson, LessonItem } from '@/api/types';
import { ApproachView } from '@/approach/ApproachView';
import { ordinary } from '@/approach/conditions';
import type { Conditions } from '@/bench/approach';
import { useRoutineName, useRules, useSay } from '@/rules/rules';
import { DrawingLinks } from '@/drawings/DrawingLinks';
import { Judgement } from '@/judgement/Judgement';
import { RoadBrief } from '@/road/RoadBrief';
import { OfTheWay } from '@/site/OfTheWay';
import { Sketch } from '@/routines/Sketch';
import { StepList } from '@/routines/StepList';
import { useCards } from '@/routines/useCards';
import { fillTheScreen } from '../kerb/screen';
import { approachAsked } from '../placeQuestions';
import { useLesson } from '../useLesson';
import { describe } from './describe';
import { PlaceKeys } from './PlaceKeys';

interface Props {
    lesson: Lesson;
    item: LessonItem;
    /** What stands beside the strip. */
    beside: ReactNode;
}

/** Everything to explain one place at the kerb: its strip, the sketch, and the card of its routine. */
export function Brief({ lesson, item, beside }: Props) {
    const { road } = item.place;
    const rules = useRules();
    const say = useSay();
    const name = useRoutineName();
    const { refresh } = useLesson(lesson.id);
    const card = useCards(rules.pack).data?.find((candidate) => candidate.code === item.routine);
    const [conditions, setConditions] = useState<Conditions>(() => ordinary(road, rules));
    const { plan } = item;
    const inputs = useMemo(() => (plan.tool === 'approach' ? approachAsked(plan, road, rules) : null), [plan, road, rules]);
    const lead = (
        <div className="min-w-0 flex-1 basis-56">
            <h2 className="text-lg">{item.place.name}</h2>
            <p className="text-quiet text-sm">{[name(item.routine), describe(road, rules), item.place.note].filter(Boolean).join('. ')}</p>
        </div>
    );
    const kerb = (
        <Link className="key" to={`/lessons/${lesson.id}/kerb?place=${item.id}`} onClick={fillTheScreen}>
            {say('{Kerb} view')}
        </Link>
    );
    const changes = <PlaceKeys lesson={lesson} item={item} />;
    const below = (
        <>
            <OfTheWay place={item.place} />
            <Judgement routine={item.routine} road={road} drawings={item.drawings} pack={item.plan.inputs.pack} />
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
                <Link className="key screen-only" to={`/lessons/${lesson.id}/sheet`}>
                    Print the lesson
                </Link>
                <Link className="key screen-only" to={`/lessons/${lesson.id}/seat`}>
                    Sheet for the seat beside
                </Link>
            </div>
        </>
    );
    return (
        <section aria-label={`Brief: ${item.place.name}`} className="grid gap-2">
            {inputs ? (
                <ApproachView
                    inputs={inputs}
                    conditions={conditions}
                    onConditions={setConditions}
                    lead={lead}
                    more={kerb}
                    changes={changes}
                    beside={beside}
                    below={below}
                />
            ) : (
                <>
                    <div className="flex flex-wrap items-center gap-3">
                        {lead}
                        {changes}
                        {kerb}
                    </div>
                    <div className="grid gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1fr)_19rem] lg:items-start">
                        <div className="grid gap-3">
                            {plan.tool !== 'approach' && <RoadBrief plan={plan} routine={item.routine} road={road} />}
                            {below}
                        </div>
                        {beside}
                    </div>
                </>
            )}
        </section>
    );
}
