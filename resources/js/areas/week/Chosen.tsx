import { useState } from 'react';
import { Link } from 'react-router';
import { api, at as inPath } from '@/api/client';
import type { DiaryLesson } from '@/api/types';
import { FitWords } from '@/diary/FitWords';
import { Offered } from '@/diary/Offered';
import { RepeatFields, type Repetition } from '@/diary/RepeatFields';
import { TimeFields } from '@/diary/TimeFields';
import { useSeries } from '@/diary/useBooked';
import { momentOf, wallClock } from '@/diary/wallClock';
import { stateWords } from '@/diary/stateWords';
import { useClock, useSession } from '@/session/session';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { saveText } from '@/ui/saveFile';
import { Sheet } from '@/ui/Sheet';
import { useNow } from '@/ui/useNow';
import type { Diary, Proposed } from './useDiary';

type Asking = 'move' | 'repeat' | 'cancel' | 'offer' | 'cut';

/** The lesson that was chosen: what it is, or what it would be where it was put; and what can be done with it. */
export function Chosen({ diary, proposed: { lesson, at }, mayWrite }: { diary: Diary; proposed: Proposed; mayWrite: boolean }) {
    const { school } = useSession();
    const clock = useClock();
    const [asking, setAsking] = useState<Asking | null>(null);
    const said = (moment: string) => `${clock.day(moment)}, ${clock.time(moment)}`;
    const moment = at === null ? null : momentOf(at, school.time_zone).toISOString();
    const isOver = Date.parse(lesson.starts_at) < useNow().getTime();
    const file = async () => {
        const { ics } = await api.GET('/lessons/{lesson}/calendar', inPath({ lesson: lesson.id }));
        saveText(`lesson-${lesson.starts_at.slice(0, 10)}.ics`, ics, 'text/calendar');
    };
    return (
        <section
            aria-label="Chosen lesson"
            className="screen-only bg-paper border-ink sticky bottom-14 z-20 grid gap-3 border-t-4 py-3 lg:bottom-0 lg:grid-cols-[minmax(0,1fr)_auto] lg:items-center"
        >
            <div className="grid gap-1">
                <h2 className="text-xl">
                    {lesson.learner.name}, {moment ? `${clock.time(lesson.starts_at)} → ${said(moment)}?` : said(lesson.starts_at)}
                </h2>
                {moment ? (
                    <FitWords asked={{ lesson: lesson.id, starts_at: moment }} />
                ) : (
                    <p className="text-quiet">
                        {[
                            `${lesson.lasts_minutes} minutes in ${lesson.vehicle.name.toLowerCase()}`,
                            lesson.pick_up && `from ${lesson.pick_up}`,
                            lesson.drop_off && `to ${lesson.drop_off}`,
                            stateWords(lesson.state, lesson.ended?.by),
                            lesson.ended?.why,
                            lesson.ended?.charged && 'charged',
                        ]
                            .filter(Boolean)
                            .join(' · ')}
                    </p>
                )}
                {diary.refused && (
                    <p role="alert" className="font-semibold">
                        ▸ {diary.refused}
                    </p>
                )}
            </div>
            <div className="flex flex-wrap gap-2">
                {moment ? (
                    <>
                        <button type="button" className="key" data-tone="main" onClick={() => void diary.move(lesson, at!)}>
                            Move
                        </button>
                        <button type="button" className="key" onClick={() => diary.choose(lesson)}>
                            Leave it
                        </button>
                    </>
                ) : (
                    <>
                        <Link to={`/lessons/${lesson.id}/${lesson.state === 'done' || lesson.state === 'cut-short' ? 'debrief' : 'plan'}`} className="key">
                            Open
                        </Link>
                        {mayWrite && <Keys lesson={lesson} isOver={isOver} diary={diary} onAsk={setAsking} />}
                        <button type="button" className="key" onClick={() => void file()}>
                            As a file
                        </button>
                        <button type="button" className="key" aria-label="Close" onClick={() => diary.choose(null)}>
                            ✕
                        </button>
                    </>
                )}
            </div>
            <Sheet title={`Move ${lesson.learner.name}`} open={asking === 'move'} onOpenChange={(open) => !open && setAsking(null)}>
                {asking === 'move' && <MoveForm lesson={lesson} diary={diary} onDone={() => setAsking(null)} />}
            </Sheet>
            <Sheet
                title={`${lesson.learner.name} again after ${said(lesson.starts_at)}`}
                open={asking === 'repeat'}
                onOpenChange={(open) => !open && setAsking(null)}
            >
                {asking === 'repeat' && <RepeatForm lesson={lesson} onDone={() => setAsking(null)} />}
            </Sheet>
            <Sheet
                title={`Cut short: ${lesson.learner.name}, ${said(lesson.starts_at)}`}
                open={asking === 'cut'}
                onOpenChange={(open) => !open && setAsking(null)}
            >
                {asking === 'cut' && <CutForm lesson={lesson} diary={diary} onDone={() => setAsking(null)} />}
            </Sheet>
            <Sheet title={`Who would like ${said(lesson.starts_at)}?`} open={asking === 'offer'} onOpenChange={(open) => !open && setAsking(null)}>
                {asking === 'offer' && <Offered lesson={lesson} onDone={() => setAsking(null)} />}
            </Sheet>
            <Sheet
                title={`Cancel ${lesson.learner.name}, ${said(lesson.starts_at)}`}
                open={asking === 'cancel'}
                onOpenChange={(open) => !open && setAsking(null)}
            >
                {asking === 'cancel' && <CancelForm lesson={lesson} diary={diary} onDone={() => setAsking(null)} />}
            </Sheet>
        </section>
    );
}

/** What can become of a lesson as it stands. */
function Keys({ lesson, isOver, diary, onAsk }: { lesson: DiaryLesson; isOver: boolean; diary: Diary; onAsk: (what: Asking) => void }) {
    const { user } = useSession();
    const become = (label: string, state: 'booked' | 'no-show', said: string) => (
        <button type="button" className="key" onClick={() => void diary.become(lesson, { state }, said)}>
            {label}
        </button>
    );
    const again = (
        <button type="button" className="key" onClick={() => onAsk('repeat')}>
            Repeat
        </button>
    );
    switch (lesson.state) {
        case 'wished':
            return (
                <>
                    <button type="button" className="key" onClick={() => onAsk('move')}>
                        Another time
                    </button>
                    {become('Book it', 'booked', 'booked')}
                </>
            );
        case 'cancelled':
            return (
                <>
                    {/* Whoever books does so in their own diary. */}
                    {!isOver && lesson.instructor_id === user.id && (
                        <button type="button" className="key" onClick={() => onAsk('offer')}>
                            Offer this hour
                        </button>
                    )}
                    {become('Book it again', 'booked', 'booked again')}
                </>
            );
        case 'no-show':
            return become('Came after all', 'booked', 'booked again');
        case 'booked':
            return (
                <>
                    <button type="button" className="key" onClick={() => onAsk('move')}>
                        Move
                    </button>
                    {again}
                    {isOver && become('Did not come', 'no-show', 'did not come')}
                    {isOver && (
                        <button type="button" className="key" onClick={() => onAsk('cut')}>
                            Cut short
                        </button>
                    )}
                    <button type="button" className="key" onClick={() => onAsk('cancel')}>
                        Cancel
                    </button>
                </>
            );
        case 'done':
        case 'cut-short':
            return again;
    }
}

interface FormProps {
    lesson: DiaryLesson;
    diary: Diary;
    onDone: () => void;
}

function MoveForm({ lesson, diary, onDone }: FormProps) {
    const { school } = useSession();
    const [time, setTime] = useState({ at: wallClock(new Date(lesson.starts_at), school.time_zone), minutes: lesson.minutes });
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void diary.move(lesson, time.at, time.minutes).then((done) => done && onDone());
            }}
        >
            <TimeFields value={time} onChange={(changes) => setTime((before) => ({ ...before, ...changes }))} asked={{ lesson: lesson.id }} errors={{}} />
            <FormFoot message={diary.refused} busy={false}>
                Move
            </FormFoot>
        </form>
    );
}

/** How much of a lesson there was: the rest of its time is free again. */
function CutForm({ lesson, diary, onDone }: FormProps) {
    const [minutes, setMinutes] = useState(Math.max(5, lesson.minutes - 15));
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void diary.become(lesson, { state: 'cut-short', cut_to_minutes: minutes }, `cut to ${minutes} min`).then((done) => done && onDone());
            }}
        >
            <Field label="Minutes there were" hint={`Booked were ${lesson.minutes}.`}>
                <input
                    type="number"
                    required
                    min={1}
                    max={lesson.minutes}
                    value={Number.isNaN(minutes) ? '' : minutes}
                    onChange={(event) => setMinutes(event.target.valueAsNumber)}
                />
            </Field>
            <FormFoot message={diary.refused} busy={false}>
                Cut it short
            </FormFoot>
        </form>
    );
}

/** The weeks after a lesson; what is there already is taken by itself, so that a series is gone on with and mended here. */
function RepeatForm({ lesson, onDone }: Omit<FormProps, 'diary'>) {
    const [repetition, setRepetition] = useState<Repetition>({ weeks: 1, times: 10, without: [] });
    const [busy, setBusy] = useState(false);
    const again = useSeries();
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                setBusy(true);
                void again(lesson.id, repetition).then((done) => {
                    setBusy(false);
                    if (done) onDone();
                });
            }}
        >
            <RepeatFields asked={{ lesson: lesson.id }} value={repetition} onChange={setRepetition} />
            <FormFoot message={null} busy={busy}>
                Book these
            </FormFoot>
        </form>
    );
}

const WHOSE = [
    ['learner', 'The learner'],
    ['instructor', 'The instructor'],
    ['other', 'Something else: weather, the car, the test centre'],
] as const;

function CancelForm({ lesson, diary, onDone }: FormProps) {
    const [by, setBy] = useState<(typeof WHOSE)[number][0]>('learner');
    const [why, setWhy] = useState('');
    const [charged, setCharged] = useState(false);
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                const facts = { state: 'cancelled' as const, ended_by: by, charged, ...(why === '' ? {} : { ended_why: why }) };
                void diary.become(lesson, facts, 'cancelled').then((done) => done && onDone());
            }}
        >
            <fieldset className="grid gap-1">
                <legend className="font-semibold">Whose doing?</legend>
                {WHOSE.map(([value, label]) => (
                    <label key={value} className="flex min-h-12 items-center gap-3">
                        <input type="radio" name="by" className="size-6" checked={by === value} onChange={() => setBy(value)} />
                        {label}
                    </label>
                ))}
            </fieldset>
            <Field label="Why">
                <input maxLength={300} value={why} onChange={(event) => setWhy(event.target.value)} />
            </Field>
            <Check label="Charged all the same (only noted)" checked={charged} onChange={setCharged} />
            <FormFoot message={diary.refused} busy={false}>
                Cancel the lesson
            </FormFoot>
        </form>
    );
}
