import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { questions } from '@/api/questions';
import type { LessonLine, Today } from '@/api/types';
import { packed } from '@/copies/packed';
import { NewLesson } from '@/diary/NewLesson';
import { sideAt, useRoutineName, useRules } from '@/rules/rules';
import { useClock, useSession } from '@/session/session';
import { StepIcon } from '@/strip/glyphs';
import { inSentence } from '@/ui/inSentence';
import { Sheet } from '@/ui/Sheet';
import { Empty, Failed, Waiting } from '@/ui/State';
import { useNoticed } from '@/ui/useNoticed';
import { useNow } from '@/ui/useNow';
import { Before } from './Before';
import { DayLine } from './DayLine';
import { LeaveBy } from './LeaveBy';
import { Proposal } from './Proposal';
import { RunningLate } from './RunningLate';
import { ToPassOn } from './ToPassOn';

/** Who is next, and am I ready for them? */
export function TodayPage() {
    const clock = useClock();
    const { user } = useSession();
    const now = useNow();
    const [booking, setBooking] = useState(false);
    const [late, setLate] = useState(false);
    const today = useQuery(questions.today(clock.iso(now)));
    if (today.isLoading) return <Waiting />;
    if (!today.data) return <Failed error={today.error} retry={() => void today.refetch()} />;
    const { lessons, busy, unfinished, untold } = today.data;
    const isGoingOn = lessons.some((lesson) => lesson.state === 'booked' && Date.parse(lesson.starts_at) + lesson.lasts_minutes * 60_000 > now.getTime());
    const next = nextOf(today.data, now.getTime());
    return (
        <div className="grid gap-8">
            <header className="flex flex-wrap items-end justify-between gap-4">
                <div className="min-w-0">
                    <h1 className="huge:text-2xl text-3xl sm:text-4xl">{clock.day(now)}</h1>
                    <p className="text-quiet">{user.name}</p>
                </div>
                <div className="flex flex-wrap gap-2">
                    {isGoingOn && (
                        <button type="button" className="key" onClick={() => setLate(true)}>
                            Running late
                        </button>
                    )}
                    <button type="button" className="key" onClick={() => setBooking(true)}>
                        New lesson
                    </button>
                </div>
            </header>
            {lessons.length + busy.length > 0 ? (
                <DayLine lessons={lessons} busy={busy} between={today.data.between} nextId={next?.id} />
            ) : (
                <p className="text-quiet">No lessons today.</p>
            )}
            <Before busy={busy} between={today.data.between} next={next?.starts_at ?? null} now={now.getTime()} />
            {next ? (
                <Next
                    lesson={next}
                    leave={today.data.between.find((one) => one.before === next.id)}
                    hasBegun={Date.parse(next.starts_at) <= now.getTime()}
                    isToday={lessons.some((lesson) => lesson.id === next.id)}
                />
            ) : (
                <Nothing onBook={() => setBooking(true)} />
            )}
            {untold.length > 0 && <Untold lessons={untold} />}
            <ToPassOn />
            {unfinished.length > 0 && <Unfinished lessons={unfinished} />}
            <OnThisDevice />
            <Sheet title="Running late" open={late} onOpenChange={setLate}>
                {late && <RunningLate onDone={() => setLate(false)} />}
            </Sheet>
            <NewLesson open={booking} onOpenChange={setBooking} />
        </div>
    );
}

/** The first lesson that is not over by now: without signal the day goes on by the clock. */
function nextOf({ next, later }: Today, now: number): Today['next'] {
    return [next, ...later].find((lesson) => lesson && Date.parse(lesson.starts_at) + lesson.minutes * 60_000 > now) ?? null;
}

interface NextProps {
    lesson: NonNullable<Today['next']>;
    leave: Today['between'][number] | undefined;
    hasBegun: boolean;
    isToday: boolean;
}

/** The lesson that is on, or the next; when to leave for it as long as that is to come. */
function Next({ lesson, leave, hasBegun, isToday }: NextProps) {
    const name = useRoutineName();
    const rules = useRules();
    const clock = useClock();
    return (
        <section aria-labelledby="next" className="grid gap-6 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
            <div className="grid content-start gap-4">
                <p className="text-quiet -mb-3 font-semibold">
                    {hasBegun ? 'On now' : 'Next'} ·{' '}
                    {isToday ? clock.time(lesson.starts_at) : `${clock.day(lesson.starts_at)}, ${clock.time(lesson.starts_at)}`}
                </p>
                <h2 id="next" className="text-4xl break-words sm:text-5xl">
                    {lesson.learner.name}
                </h2>
                <p>
                    {lesson.minutes} minutes in {inSentence(lesson.vehicle.name)}
                    {lesson.pick_up && <> from {lesson.pick_up}</>}
                </p>
                {!hasBegun && <LeaveBy drive={leave} />}
                <p className="border-now border-l-4 pl-4 text-xl">{lesson.aim ?? 'No aim yet: choose one on the plan.'}</p>
                <div className="flex flex-wrap gap-3">
                    <Link to={`/lessons/${lesson.id}/plan`} className="key" data-tone="main">
                        Open the lesson
                    </Link>
                    <Link to={`/learners/${lesson.learner.id}`} className="key">
                        Record
                    </Link>
                </div>
            </div>
            <div className="grid content-start gap-6">
                <div>
                    <h3 className="border-hair border-b-2 pb-2 text-lg">Places</h3>
                    {lesson.items.length === 0 && <Proposal lesson={lesson.id} />}
                    <ol>
                        {lesson.items.map((item) => (
                            <li key={item.id} className="border-hair flex min-h-14 items-center gap-3 border-b py-2">
                                <StepIcon
                                    step="position"
                                    side={sideAt(
                                        rules.routines.find((one) => one.code === item.routine),
                                        item.place.road,
                                        rules,
                                    )}
                                />
                                <span className="min-w-0 flex-1">
                                    <span className="block font-semibold">{item.place.name}</span>
                                    <span className="text-quiet text-sm">{name(item.routine)}</span>
                                </span>
                                <span className="text-quiet whitespace-nowrap">{item.minutes} min</span>
                            </li>
                        ))}
                    </ol>
                </div>
                {lesson.promised.length > 0 && (
                    <div>
                        <h3 className="border-hair border-b-2 pb-2 text-lg">Agreed last time</h3>
                        <ul className="grid gap-1 pt-3">
                            {lesson.promised.map((promise) => (
                                <li key={promise.id}>
                                    {promise.text}
                                    {promise.kind === 'homework' && <span className="text-quiet"> · to practise</span>}
                                </li>
                            ))}
                        </ul>
                    </div>
                )}
            </div>
        </section>
    );
}

/** What was marked while moving fades quickly: said until it is told. */
function Untold({ lessons }: { lessons: Today['untold'] }) {
    const clock = useClock();
    return (
        <section aria-labelledby="untold">
            <h2 id="untold" className="border-hair border-b-2 pb-2 text-lg">
                Still to tell
            </h2>
            <ul>
                {lessons.map(({ lesson, learner, starts_at, moments }) => (
                    <li key={lesson} className="border-hair border-b">
                        <Link to={`/lessons/${lesson}/drive`} className="hover:bg-wash flex min-h-14 flex-wrap items-center gap-x-4 py-2">
                            <span className="font-semibold">{learner}</span>
                            <span className="text-quiet">
                                {clock.day(starts_at)}, {clock.time(starts_at)}
                            </span>
                            <span>{moments === 1 ? 'a moment marked while moving' : `${moments} moments marked while moving`}</span>
                        </Link>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** Before one leaves the house: whether the day opens where there is no signal. */
function OnThisDevice() {
    const clock = useClock();
    const at = useNoticed(packed);
    if (at === null || clock.iso(new Date(at)) !== clock.iso(new Date())) return null;
    return <p className="text-quiet text-sm">Today and tomorrow are on this device as of {clock.time(new Date(at))}, and open without signal.</p>;
}

function Nothing({ onBook }: { onBook: () => void }) {
    return (
        <Empty title="No lesson is booked">
            <p>Book the next one, and it opens here with its plan.</p>
            <button type="button" className="key justify-self-start" data-tone="main" onClick={onBook}>
                Book a lesson
            </button>
        </Empty>
    );
}

function Unfinished({ lessons }: { lessons: LessonLine[] }) {
    const clock = useClock();
    return (
        <section aria-labelledby="open">
            <h2 id="open" className="border-hair border-b-2 pb-2 text-lg">
                Still open
            </h2>
            <ul>
                {lessons.map((lesson) => (
                    <li key={lesson.id} className="border-hair flex min-h-14 flex-wrap items-center gap-x-4 border-b">
                        <Link className="link min-h-12 content-center font-semibold" to={`/lessons/${lesson.id}/debrief`}>
                            {lesson.learner.name}
                        </Link>
                        <span className="text-quiet">
                            {clock.day(lesson.starts_at)}, {clock.time(lesson.starts_at)} · marks and debrief not closed
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}
