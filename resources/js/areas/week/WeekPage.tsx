import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { questions } from '@/api/questions';
import type { BusyTime, DiaryLesson, Week } from '@/api/types';
import { BusyForm } from '@/diary/BusyForm';
import { busyWords } from '@/diary/entries';
import { NewLesson } from '@/diary/NewLesson';
import { WaitingList } from '@/diary/WaitingList';
import { useClock, useSession } from '@/session/session';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { useNow } from '@/ui/useNow';
import { Chosen } from './Chosen';
import { DayList } from './DayList';
import { A_WEEK, mondayOf, moved } from '@/diary/week';
import { sumOf } from './rows';
import { TimeLine } from './TimeLine';
import { useDiary } from './useDiary';

/** When, whom, can it work? The week of an instructor: booked, moved, cancelled. */
export function WeekPage() {
    const clock = useClock();
    const { user } = useSession();
    const now = useNow();
    const today = clock.iso(now);
    const [said, say] = useSearchParams();
    const from = /^\d{4}-\d\d-\d\d$/.test(said.get('from') ?? '') ? said.get('from')! : mondayOf(today);
    const person = said.get('person') ?? undefined;
    const week = useQuery({ ...questions.week({ from, ...(person ? { person } : {}) }), placeholderData: (before) => before });
    const [booking, setBooking] = useState<string | null>(null);
    const [holding, setHolding] = useState<{ of?: BusyTime; at?: string | undefined } | null>(null);
    const [listing, setListing] = useState(false);
    const diary = useDiary();
    const go = (changes: Record<string, string | null>) => {
        diary.choose(null);
        say((before) => {
            for (const [name, value] of Object.entries(changes)) {
                if (value === null) before.delete(name);
                else before.set(name, value);
            }
            return before;
        });
    };
    if (week.isLoading) return <Waiting />;
    if (!week.data) return <Failed error={week.error} retry={() => void week.refetch()} />;
    const mayWrite = (lesson: DiaryLesson) => user.role === 'owner' || lesson.instructor_id === user.id;
    const isOwn = week.data.person.id === user.id;
    const mayBook = isOwn || user.role === 'owner';
    const soon = `${from < today ? today : from}T09:00`;
    const by = (days: number) => go({ from: moved(`${from}T12:00`, 0, days).slice(0, 10) });
    return (
        <div className="grid gap-5">
            <header className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
                <div>
                    <h1 className="text-2xl sm:text-3xl">{titleOf(week.data)}</h1>
                    <p className="flex flex-wrap items-center gap-x-4">
                        <span className="text-quiet">{sumOf(week.data)}</span>
                        <button type="button" className="link screen-only min-h-12" onClick={() => setListing(true)}>
                            Waiting list
                        </button>
                    </p>
                </div>
                <div className="screen-only flex flex-wrap items-center gap-2">
                    {week.data.people.length > 1 && (
                        <select
                            aria-label="Whose"
                            className="entry !w-auto max-w-52"
                            value={week.data.person.id}
                            onChange={(event) => go({ person: event.target.value === user.id ? null : event.target.value })}
                        >
                            {week.data.people.map((one) => (
                                <option key={one.id} value={one.id}>
                                    {one.name}
                                </option>
                            ))}
                        </select>
                    )}
                    {mayBook && (
                        <button type="button" className="key" onClick={() => setHolding({ at: soon })}>
                            Hold time
                        </button>
                    )}
                    <div className="flex gap-2">
                        <button type="button" className="key" aria-label="The week before" onClick={() => by(-A_WEEK)}>
                            ←
                        </button>
                        <button type="button" className="key" disabled={from === mondayOf(today)} onClick={() => go({ from: null })}>
                            This week
                        </button>
                        <button type="button" className="key" aria-label="The week after" onClick={() => by(A_WEEK)}>
                            →
                        </button>
                    </div>
                    {mayBook && (
                        <button type="button" className="key" data-tone="main" onClick={() => setBooking(soon)}>
                            Book
                        </button>
                    )}
                </div>
            </header>
            {week.data.clashes.length > 0 && <Clashes clashes={week.data.clashes} />}
            <div className="screen-only hidden lg:block">
                <TimeLine
                    week={week.data}
                    diary={diary}
                    today={today}
                    mayWrite={mayWrite}
                    onBook={(at) => mayBook && setBooking(at)}
                    onBusy={(of, at) => setHolding({ of, at })}
                />
            </div>
            <div className="lg:hidden print:block">
                <DayList week={week.data} today={today} chosen={diary.proposed?.lesson.id} onChoose={diary.choose} onBusy={(of) => setHolding({ of })} />
            </div>
            {diary.proposed ? (
                <Chosen key={diary.proposed.lesson.id} diary={diary} proposed={diary.proposed} mayWrite={mayWrite(diary.proposed.lesson)} />
            ) : (
                <p className="text-quiet screen-only hidden text-sm lg:block">
                    Press a lesson to see more of it. Lessons and held time are dragged, or moved by the arrow keys: a quarter of an hour, or a day. Where
                    nothing is, a press books.
                </p>
            )}
            <Sheet
                title={holding?.of ? busyWords(holding.of) : isOwn ? 'Hold time' : `Hold time of ${week.data.person.name}`}
                open={holding !== null}
                onOpenChange={(open) => !open && setHolding(null)}
            >
                {holding && <BusyForm {...holding} person={week.data.person} onDone={() => setHolding(null)} />}
            </Sheet>
            <Sheet title="Waiting list" open={listing} onOpenChange={setListing}>
                {listing && <WaitingList />}
            </Sheet>
            <NewLesson
                open={booking !== null}
                onOpenChange={(open) => !open && setBooking(null)}
                at={booking ?? undefined}
                instructor={isOwn ? undefined : week.data.person}
            />
        </div>
    );
}

function titleOf({ days }: Week): string {
    const said = (day: string, options: Intl.DateTimeFormatOptions) =>
        new Date(`${day}T12:00:00Z`).toLocaleDateString('en-GB', { timeZone: 'UTC', ...options });
    const [first, last] = [days[0]!.day, days.at(-1)!.day];
    const sameMonth = first.slice(0, 7) === last.slice(0, 7);
    return `${said(first, sameMonth ? { day: 'numeric' } : { day: 'numeric', month: 'long' })} to ${said(last, { day: 'numeric', month: 'long' })}`;
}

/** Stored before the diary refused it: said until one of the two is somewhere else. */
function Clashes({ clashes }: { clashes: Week['clashes'] }) {
    const clock = useClock();
    return (
        <section aria-labelledby="clashes" className="border-now border-l-4 pl-4">
            <h2 id="clashes" className="text-lg">
                On top of each other
            </h2>
            <ul>
                {clashes.map(({ lesson, instructor, why }) => (
                    <li key={lesson.id} className="py-1">
                        <Link className="link font-semibold" to={`/lessons/${lesson.id}/plan`}>
                            {lesson.learner.name} with {instructor}, {clock.day(lesson.starts_at)}, {clock.time(lesson.starts_at)}
                        </Link>{' '}
                        <span className="text-quiet">{why.join(' ')}</span>
                    </li>
                ))}
            </ul>
        </section>
    );
}
