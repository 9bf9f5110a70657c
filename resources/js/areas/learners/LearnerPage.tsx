import { useQuery, useQueryClient } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, at } from '@/api/client';
import { stateWords } from '@/diary/stateWords';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Empty, Failed, Waiting } from '@/ui/State';
import { Facts } from './Facts';
import { Habits } from './Habits';
import { HoldsBack } from './HoldsBack';
import { Leaning } from './Leaning';
import { HoursTable } from './HoursTable';
import { LearnerForm } from './LearnerForm';
import { LearnsBy } from './LearnsBy';
import { OwnRatings } from './OwnRatings';
import { SkillField } from './SkillField';
import { Trusted } from './Trusted';

/** Where do they stand: what was marked, how often, with how much support; what that says of today, and how surely. */
export function LearnerPage() {
    const { id = '' } = useParams();
    const client = useQueryClient();
    const navigate = useNavigate();
    const notice = useNotice();
    const clock = useClock();
    const [editing, setEditing] = useState(false);
    const learner = useQuery(questions.learner(id));
    const skill = useQuery(questions.skill(id));
    const refresh = () => Promise.all([client.invalidateQueries({ queryKey: ['learner'] }), client.invalidateQueries({ queryKey: ['learners'] })]);
    if (learner.isLoading) return <Waiting />;
    if (!learner.data) return <Failed error={learner.error} retry={() => void learner.refetch()} />;
    const { data } = learner;
    const putAway = async () => {
        await api.DELETE('/learners/{learner}', at({ learner: id }));
        await refresh();
        void navigate('/learners');
        notice({
            text: `${data.name} is archived; the record is kept.`,
            undo: () => void api.POST('/learners/{learner}/restore', at({ learner: id })).then(refresh),
        });
    };
    const open = data.promises.filter((promise) => promise.kept_at === null);
    return (
        <div className="grid gap-8">
            <header className="flex flex-wrap items-start justify-between gap-4">
                <div className="min-w-0">
                    <h1 className="text-3xl break-words">{data.name}</h1>
                    <p className="text-quiet">
                        {data.level} · {data.transmission} · {data.rounds} {data.rounds === 1 ? 'round' : 'rounds'} in{' '}
                        {data.lessons.filter((lesson) => lesson.rounds > 0).length} lessons
                    </p>
                </div>
                <div className="screen-only flex flex-wrap gap-2">
                    <button type="button" className="key" onClick={() => setEditing(true)}>
                        Change
                    </button>
                    <LearnsBy learner={data} onKept={refresh} />
                    <Link className="key" to={`/learners/${id}/words`}>
                        In plain words
                    </Link>
                    <Link className="key" to={`/learners/${id}/test`}>
                        The way to the test
                    </Link>
                    <Link className="key" to={`/learners/${id}/hours`}>
                        Hours
                    </Link>
                    <Link className="key" to={`/learners/${id}/data`}>
                        All that is kept
                    </Link>
                    <button type="button" className="key" onClick={() => window.print()}>
                        Print
                    </button>
                    <button type="button" className="key" data-tone="bare" onClick={() => void putAway()}>
                        Archive
                    </button>
                </div>
            </header>
            {data.rounds === 0 ? (
                <Empty title="Nothing marked yet">
                    <p>The record fills by itself from the rounds marked in lessons. It counts, and says how sure it is of what the counts mean.</p>
                </Empty>
            ) : (
                <>
                    {skill.data && (
                        <>
                            <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
                                <div className="grid content-start gap-2">
                                    <HoldsBack learner={id} skill={skill.data} />
                                    <Trusted learner={id} />
                                </div>
                                <div className="grid content-start gap-4">
                                    <Leaning skill={skill.data} />
                                    <OwnRatings skill={skill.data} />
                                </div>
                            </div>
                            <SkillField learner={id} tallies={data.tallies} skill={skill.data} lessons={data.lessons} />
                        </>
                    )}
                    <Habits learner={id} />
                    {skill.error && <Failed error={skill.error} retry={() => void skill.refetch()} />}
                </>
            )}
            <div className="grid gap-8 md:grid-cols-2 print:grid-cols-2">
                <section aria-labelledby="lessons">
                    <h2 id="lessons" className="border-hair border-b-2 pb-1 text-lg">
                        Lessons
                    </h2>
                    <ul>
                        {data.lessons.slice(0, 12).map((lesson) => (
                            <li key={lesson.id} className="border-hair border-b">
                                <Link
                                    to={`/lessons/${lesson.id}/${['done', 'cut-short'].includes(lesson.state) ? 'debrief' : 'plan'}`}
                                    className="hover:bg-wash grid min-h-14 content-center py-1"
                                >
                                    <span>
                                        {clock.day(lesson.starts_at)} ·{' '}
                                        {lesson.state === 'done' ? `${lesson.rounds} rounds` : (stateWords(lesson.state) ?? 'booked')}
                                    </span>
                                    <span className="text-quiet text-sm">{lesson.aim}</span>
                                </Link>
                            </li>
                        ))}
                    </ul>
                </section>
                <div className="grid content-start gap-6">
                    {open.length > 0 && (
                        <section aria-labelledby="open">
                            <h2 id="open" className="border-hair border-b-2 pb-1 text-lg">
                                Agreed, and to practise
                            </h2>
                            <ul>
                                {open.map((promise) => (
                                    <li key={promise.id}>
                                        <label className="flex min-h-12 items-center gap-3">
                                            <input
                                                type="checkbox"
                                                className="size-6"
                                                checked={false}
                                                onChange={() =>
                                                    void api
                                                        .PATCH('/promises/{promise}', { ...at({ promise: promise.id }), body: { kept: true } })
                                                        .then(refresh)
                                                }
                                            />
                                            {promise.text}
                                            {promise.kind === 'homework' && <span className="text-quiet"> · to practise</span>}
                                        </label>
                                    </li>
                                ))}
                            </ul>
                        </section>
                    )}
                    <HoursTable hours={data.hours} />
                    <Facts learner={data} />
                </div>
            </div>
            <Sheet title="Change the learner" open={editing} onOpenChange={setEditing}>
                <LearnerForm
                    learner={data}
                    onKept={async () => {
                        setEditing(false);
                        await refresh();
                    }}
                />
            </Sheet>
        </div>
    );
}
