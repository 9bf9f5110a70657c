import { useState } from 'react';
import { Link } from 'react-router';
import { api, at as inPath } from '@/api/client';
import type { DiaryLesson } from '@/api/types';
import { FitWords } from '@/diary/FitWords';
import { Offered } from '@/diary/Offered';
import { momentOf } from '@/diary/wallClock';
import { stateWords } from '@/diary/stateWords';
import { useClock, useSession } from '@/session/session';
import { inSentence } from '@/ui/inSentence';
import { saveText } from '@/ui/saveFile';
import { Sheet } from '@/ui/Sheet';
import { useNow } from '@/ui/useNow';
import { CancelForm, CutForm, MoveForm, PlaceForm, RepeatForm } from './LessonForms';
import type { Diary, Proposed } from './useDiary';

type Asking = 'move' | 'place' | 'repeat' | 'cancel' | 'offer' | 'cut';

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
                            `${lesson.lasts_minutes} minutes in ${inSentence(lesson.vehicle.name)}`,
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
                        {mayWrite && (
                            <button type="button" className="key" onClick={() => void file()}>
                                As a file
                            </button>
                        )}
                        <button type="button" className="key" aria-label="Close" onClick={() => diary.choose(null)}>
                            ✕
                        </button>
                    </>
                )}
            </div>
            <Sheet title={`Move ${lesson.learner.name}`} open={asking === 'move'} onOpenChange={(open) => !open && setAsking(null)}>
                {asking === 'move' && <MoveForm lesson={lesson} diary={diary} onDone={() => setAsking(null)} />}
            </Sheet>
            <Sheet title={`Where ${lesson.learner.name} is met`} open={asking === 'place'} onOpenChange={(open) => !open && setAsking(null)}>
                {asking === 'place' && <PlaceForm lesson={lesson} diary={diary} onDone={() => setAsking(null)} />}
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
                    {!isOver && (
                        <button type="button" className="key" onClick={() => onAsk('place')}>
                            Where
                        </button>
                    )}
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
