import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { questions } from '@/api/questions';
import type { Lesson } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { STEP_WORDS } from '@/strip/words';
import { partsOf } from '../plan/parts';
import { SheetPlace } from './SheetPlace';
import { ProposedAim } from '../plan/ProposedAim';
import { ShownLesson } from '../ShownLesson';

/** The whole lesson on paper: aim, times, and every place with its sketch, strip and steps; nothing is folded. */
export const SheetPage = () => <ShownLesson>{(lesson) => <Sheet lesson={lesson} />}</ShownLesson>;

function Sheet({ lesson }: { lesson: Lesson }) {
    const clock = useClock();
    const { routines } = useRules();
    const name = useRoutineName();
    const { parts, spare } = partsOf(lesson);
    const from = Date.parse(lesson.starts_at);
    const { works_on: works } = lesson;
    const works_words = works && [works.step && STEP_WORDS[works.step], works.routine && name(works.routine)].filter(Boolean).join(', ');
    return (
        <article className="lesson-sheet mx-auto grid w-full max-w-4xl gap-5 print:max-w-none">
            <header className="flex flex-wrap items-start justify-between gap-4">
                <div className="min-w-0">
                    <h1 className="text-3xl break-words">{lesson.learner.name}</h1>
                    <p className="text-quiet">
                        Lesson {lesson.number}, {clock.day(lesson.starts_at)}, {clock.time(lesson.starts_at)}, {lesson.minutes} min, {lesson.vehicle.name}
                        {lesson.learner.pick_up && `, pick up at ${lesson.learner.pick_up}`}
                    </p>
                </div>
                <div className="screen-only flex gap-2">
                    <Link className="key" to={`/lessons/${lesson.id}/plan`}>
                        Back to the plan
                    </Link>
                    <button type="button" className="key" data-tone="main" onClick={() => window.print()}>
                        Print
                    </button>
                </div>
            </header>
            <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
                <dt className="text-quiet">Aim</dt>
                <dd className="font-semibold">
                    {lesson.aim ?? 'not written yet'}
                    {works_words && <span className="text-quiet block font-normal">Works on: {works_words}</span>}
                </dd>
                <FromTheRecord lesson={lesson} />
                {lesson.promised_before.length > 0 && (
                    <>
                        <dt className="text-quiet">Agreed last time</dt>
                        <dd>
                            <ul>
                                {lesson.promised_before.map((promise) => (
                                    <li key={promise.id}>{promise.text}</li>
                                ))}
                            </ul>
                        </dd>
                    </>
                )}
                <dt className="text-quiet">Times</dt>
                <dd>
                    <ol className="flex flex-wrap gap-x-6">
                        {parts.map((part) => (
                            <li key={part.id} className="sm:whitespace-nowrap print:whitespace-nowrap">
                                {clock.time(new Date(from + part.from * 60_000).toISOString())}{' '}
                                {part.kind === 'place' ? `${part.ordinal}. ${part.name}` : part.kind === 'spare' ? 'free' : part.name}, {part.minutes} min
                            </li>
                        ))}
                    </ol>
                    {spare < 0 && <p className="font-semibold">{-spare} min too many</p>}
                </dd>
                {lesson.reference_points.map((point) => (
                    <div key={point.what} className="contents">
                        <dt className="text-quiet">{point.what}</dt>
                        <dd>{point.where}</dd>
                    </div>
                ))}
            </dl>
            {lesson.items.length === 0 && <p>No places yet.</p>}
            {lesson.items.map((item, i) => (
                <SheetPlace key={item.id} item={item} ordinal={i + 1} routine={routines.find(({ code }) => code === item.routine)} />
            ))}
            <p className="text-quiet text-sm">Teaching aids: conditions, the law of the place and the licensed instructor’s judgement come first.</p>
        </article>
    );
}

/** Whoever takes over reads why, and what helps: what the record proposes for this lesson, as long as it is to come. */
function FromTheRecord({ lesson }: { lesson: Lesson }) {
    const { data } = useQuery({ ...questions.proposal(lesson.id, { pinned: [], excluded: [] }), enabled: lesson.state === 'booked' });
    if (!data || data.aims.length === 0) return null;
    return (
        <>
            <dt className="text-quiet">From the record</dt>
            <dd>
                <ul className="grid gap-2">
                    {data.aims.map((aim) => (
                        <ProposedAim key={aim.routine} aim={aim} />
                    ))}
                    {data.lacking
                        .filter(({ possible }) => possible)
                        .map((one) => (
                            <li key={one.condition}>{one.message}</li>
                        ))}
                </ul>
            </dd>
        </>
    );
}
