import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { NavLink, Navigate, useParams } from 'react-router';
import type { LessonState } from '@/api/types';
import { mondayOf } from '@/diary/week';
import { stateWords } from '@/diary/stateWords';
import { RulesOf } from '@/rules/rules';
import { useClock } from '@/session/session';
import { Failed, Waiting } from '@/ui/State';
import { DebriefFace } from './debrief/DebriefFace';
import { DriveFace } from './drive/DriveFace';
import { MockFace } from './mock/MockFace';
import { PlanFace } from './plan/PlanFace';
import { useShownLesson } from './useLesson';

const FACES = { plan: PlanFace, drive: DriveFace, 'mock-test': MockFace, debrief: DebriefFace };
/** A mock test is begun from Drive. */
const LABELS: Record<Exclude<keyof typeof FACES, 'mock-test'>, string> = { plan: 'Plan', drive: 'Drive', debrief: 'Debrief' };

/** Nobody drives in these: said on every face, so that nobody sets out for one. */
const NOT_DRIVEN: LessonState[] = ['wished', 'cancelled', 'no-show'];

/** The lesson: three faces of one page, in the order of the work. */
export function LessonPage() {
    const { id = '', face = '' } = useParams();
    const clock = useClock();
    const client = useQueryClient();
    const lesson = useShownLesson(id);
    // Drive goes by what it knows; the others show what the server makes of it.
    useEffect(() => {
        if (face !== 'drive') void client.refetchQueries({ queryKey: ['lesson', id], exact: true, predicate: (query) => query.state.isInvalidated });
    }, [client, face, id]);
    if (!(face in FACES)) return <Navigate to={`/lessons/${id}/plan`} replace />;
    if (lesson.isLoading) return <Waiting />;
    if (!lesson.data) return <Failed error={lesson.error} retry={() => void lesson.refetch()} />;
    const Face = FACES[face as keyof typeof FACES];
    return (
        <div className="grid gap-3">
            <header className="-mt-2 flex flex-wrap items-center justify-between gap-x-6">
                <div className="flex min-w-0 flex-wrap items-baseline gap-x-4">
                    <h1 className="text-2xl break-words">
                        <NavLink to={`/learners/${lesson.data.learner.id}`}>{lesson.data.learner.name}</NavLink>
                    </h1>
                    <p className={`text-quiet ${face === 'drive' ? 'hidden sm:block' : ''}`}>
                        Lesson {lesson.data.number} · {clock.day(lesson.data.starts_at)}, {clock.time(lesson.data.starts_at)}, {lesson.data.lasts_minutes} min
                    </p>
                </div>
                <nav aria-label="Faces of the lesson" className="screen-only flex flex-wrap gap-1">
                    {(Object.keys(LABELS) as (keyof typeof LABELS)[]).map((key) => (
                        <NavLink
                            key={key}
                            to={`/lessons/${id}/${key}`}
                            className="aria-[current=page]:border-ink text-quiet aria-[current=page]:text-ink flex min-h-12 items-center border-b-4 border-transparent px-4 text-lg font-semibold"
                        >
                            {LABELS[key]}
                        </NavLink>
                    ))}
                </nav>
            </header>
            {NOT_DRIVEN.includes(lesson.data.state) && (
                <p className="border-now border-l-4 pl-3 font-semibold">
                    This lesson is not on: {stateWords(lesson.data.state)}.{' '}
                    <NavLink className="link" to={`/week?from=${mondayOf(clock.iso(new Date(lesson.data.starts_at)))}`}>
                        Its week
                    </NavLink>
                </p>
            )}
            <RulesOf rules={lesson.data.rules}>
                <Face key={id} lesson={lesson.data} />
            </RulesOf>
        </div>
    );
}
