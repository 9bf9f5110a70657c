import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Lesson, Promised } from '@/api/types';
import { useMarksQueue } from '@/queue/marks';
import { driven, withMade } from '@/queue/standing';
import { uuid7 } from '@/queue/uuid';
import { useNotice } from '@/ui/Notice';
import { useLesson } from '../useLesson';
import { AimFirst } from './AimFirst';
import { FaultsSeen } from './FaultsSeen';
import { OpenMoments } from './OpenMoments';
import { RoundsTable } from './RoundsTable';
import { SelfRating } from './SelfRating';
import { Suggestion } from './Suggestion';
import { WhatChanged } from './WhatChanged';
import { WhatItTook } from './WhatItTook';
import { Words } from './Words';

/** What did it mean: the aim, the learner's own word before the log's, one good thing, one cause, one remedy, and what comes next. */
export function DebriefFace({ lesson }: { lesson: Lesson }) {
    const { made } = useMarksQueue();
    const { write } = useLesson(lesson.id);
    const navigate = useNavigate();
    const rounds = driven(withMade(lesson.id, lesson.rounds, made));
    const close = async () => {
        await write({ state: 'done' });
        void navigate(`/learners/${lesson.learner.id}`);
    };
    return (
        <div className="grid gap-8">
            <AimFirst lesson={lesson} rounds={rounds} />
            <SelfRating lesson={lesson} rounds={rounds} />
            <RoundsTable rounds={rounds} />
            <FaultsSeen rounds={rounds} />
            <OpenMoments lesson={lesson} rounds={rounds} />
            <WhatItTook lesson={lesson} rounds={rounds} />
            {rounds.length > 0 && <Suggestion lesson={lesson} />}
            {rounds.length > 0 && <WhatChanged lesson={lesson} />}
            <div className="grid gap-6 md:grid-cols-2">
                <Words lesson={lesson} field="went_well" label="One thing that went well" />
                <Words lesson={lesson} field="worked_on" label="One thing to improve, and how" />
                <PromiseList lesson={lesson} kind="homework" title="To practise" add="Until next time" />
                <PromiseList lesson={lesson} kind="promise" title="Agreed for next time" add="Next lesson begins with" />
            </div>
            <div className="screen-only flex flex-wrap gap-3">
                {lesson.state === 'done' ? (
                    <>
                        <p className="content-center font-semibold">This lesson is closed.</p>
                        <button type="button" className="key" onClick={() => void write({ state: 'booked' })}>
                            Open it again
                        </button>
                        <Link className="key" to={`/learners/${lesson.learner.id}`}>
                            Record
                        </Link>
                    </>
                ) : (
                    <button type="button" className="key" data-tone="main" onClick={() => void close()}>
                        Close the lesson
                    </button>
                )}
                <button type="button" className="key" onClick={() => window.print()}>
                    Print
                </button>
            </div>
        </div>
    );
}

function PromiseList({ lesson, kind, title, add }: { lesson: Lesson; kind: Promised['kind']; title: string; add: string }) {
    const { put } = useLesson(lesson.id);
    const notice = useNotice();
    const [text, setText] = useState('');
    const keep = async () => {
        if (!text.trim()) return;
        await put({ kind: 'promise', promise: { id: uuid7(), lesson_id: lesson.id, kind, text: text.trim(), kept_at: null } });
        setText('');
    };
    const drop = async (promise: Promised) => {
        await put({ kind: 'promise-off', promise });
        notice({ text: 'Taken off.', undo: () => void put({ kind: 'promise-back', promise }) });
    };
    return (
        <section aria-label={title} className="grid content-start gap-2">
            <h2 className="text-lg">{title}</h2>
            <ul>
                {lesson.promises
                    .filter((promise) => promise.kind === kind)
                    .map((promise) => (
                        <li key={promise.id} className="border-hair flex min-h-12 items-center gap-3 border-b">
                            <span className="flex-1">{promise.text}</span>
                            <button
                                type="button"
                                className="screen-only min-h-12 min-w-12"
                                aria-label={`Take off: ${promise.text}`}
                                onClick={() => void drop(promise)}
                            >
                                ✕
                            </button>
                        </li>
                    ))}
            </ul>
            <form
                className="screen-only flex gap-2"
                onSubmit={(event) => {
                    event.preventDefault();
                    void keep();
                }}
            >
                <input className="entry" aria-label={add} placeholder={add} maxLength={300} value={text} onChange={(event) => setText(event.target.value)} />
                <button type="submit" className="key" disabled={!text.trim()}>
                    Add
                </button>
            </form>
        </section>
    );
}
