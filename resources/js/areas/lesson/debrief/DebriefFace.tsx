import { Link, useNavigate } from 'react-router';
import type { Lesson } from '@/api/types';
import { useMarksQueue } from '@/queue/marks';
import { driven, withMade } from '@/queue/standing';
import { useLesson } from '../useLesson';
import { AimFirst } from './AimFirst';
import { FaultsSeen } from './FaultsSeen';
import { OpenMoments } from './OpenMoments';
import { PromiseList } from './PromiseList';
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
