import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { SchoolLearner } from '@/api/types';
import { useClock } from '@/session/session';
import { times } from '@/skill/words';
import { Empty, Failed, Waiting } from '@/ui/State';
import { useNow } from '@/ui/useNow';
import { CONCERNS, whoNeedsAWord, type Concern } from './attention';
import { Progress } from './Progress';
import { useRecords } from './useRecords';

/** Whoever an owner or an instructor would want to talk to this week: by concern, the most pressing first, each with what it rests on. */
export function WhoNeedsAWord() {
    const { list, working } = useRecords();
    const now = useNow();
    if (list.isLoading) return <Waiting />;
    if (!list.data) return <Failed error={list.error} retry={() => void list.refetch()} />;
    const found = whoNeedsAWord(list.data.learners, now.getTime());
    const concerns = (Object.keys(CONCERNS) as Concern[]).filter((concern) => found[concern].length > 0);
    return (
        <section aria-label="Who needs a word" className="grid max-w-4xl gap-6">
            {working && <Progress state={working} />}
            {concerns.length === 0 && !working && (
                <Empty title="Nobody at the moment">
                    <p>Tests are in time, everybody gains, and everybody who drives has a next lesson.</p>
                </Empty>
            )}
            {concerns.map((concern) => (
                <section key={concern} className="grid gap-2" aria-label={CONCERNS[concern].title}>
                    <h2 className="text-xl">
                        {CONCERNS[concern].title} <span className="text-quiet text-base font-normal">{found[concern].length}</span>
                    </h2>
                    <p className="text-quiet">{CONCERNS[concern].about}</p>
                    <ul className="border-hair divide-hair grid divide-y-2 border-y-2">
                        {found[concern].map((learner) => (
                            <Line key={learner.id} learner={learner} concern={concern} />
                        ))}
                    </ul>
                </section>
            ))}
            {concerns.length > 0 && (
                <p className="text-quiet text-sm">
                    By the marks and the diary, and only a reason to look: the record behind it is one press away, and the instructor decides.
                </p>
            )}
        </section>
    );
}

/** Where each concern is looked into: the way to the test, the record, the next lesson. */
const LEADS: Record<Concern, string> = { 'test-too-early': '/test', near: '/test', 'standing-still': '', 'not-booked': '' };

function Line({ learner, concern }: { learner: SchoolLearner; concern: Concern }) {
    return (
        <li>
            <Link to={`/learners/${learner.id}${LEADS[concern]}`} className="grid min-h-14 content-center gap-x-4 py-2 sm:grid-cols-[14rem_minmax(0,1fr)]">
                <span className="min-w-0 font-semibold break-words">{learner.name}</span>
                <span className="min-w-0">
                    <Said learner={learner} concern={concern} />
                </span>
            </Link>
        </li>
    );
}

const many = (count: number, one: string, more: string): string => `${count} ${count === 1 ? one : more}`;

function lessonsToGo({ lessons, most_lessons: most }: NonNullable<SchoolLearner['outlook']>): string {
    if (!lessons) return 'nobody can say how many lessons';
    const { low, high } = lessons;
    if (low >= most) return `more than ${most} lessons to go`;
    if (high >= most) return `${many(low, 'lesson', 'lessons')} to go at the least, perhaps many more`;
    return low === high ? `${many(low, 'lesson', 'lessons')} to go` : `${low} to ${high} lessons to go`;
}

function Said({ learner, concern }: { learner: SchoolLearner; concern: Concern }): ReactNode {
    const clock = useClock();
    const { outlook, skill, test_at: test, last_lesson_at: last } = learner;
    const rests = (words: string) => <span className="text-quiet block text-sm">{words}</span>;
    const marks = `${many(learner.lessons_done, 'lesson', 'lessons')}, ${many(skill?.marks ?? 0, 'mark', 'marks')}`;
    if (concern === 'not-booked')
        return (
            <>
                {last && <>Last lesson {clock.short(last)}.</>} {rests(marks)}
            </>
        );
    if (!outlook) return null;
    switch (concern) {
        case 'test-too-early':
            return (
                <>
                    Test {test && clock.short(test)}: {lessonsToGo(outlook)}, and time for{' '}
                    {outlook.lessons_by_test ? many(outlook.lessons_by_test, 'lesson', 'lessons') : 'none'}. {rests(marks)}
                </>
            );
        case 'near':
            return (
                <>
                    {outlook.verdict === 'ready' ? 'Nothing is missing' : `${lessonsToGo(outlook)}; ${many(outlook.missing, 'thing is', 'things are')} missing`}
                    . {rests(outlook.chance === null ? marks : `would pass ${times(outlook.chance)}, by ${marks}`)}
                </>
            );
        case 'standing-still': {
            const { message, gain, steps, marks: seen } = outlook.standstill!;
            const hundred = Math.round(gain * 100);
            const moved = `${Math.abs(hundred)} in a hundred ${hundred > 0 ? 'more' : 'fewer'} done alone`;
            return (
                <>
                    {message} {rests(`${hundred === 0 ? 'no more done alone than before' : moved}, over ${many(steps, 'step', 'steps')} with ${seen} marks`)}
                </>
            );
        }
    }
}
