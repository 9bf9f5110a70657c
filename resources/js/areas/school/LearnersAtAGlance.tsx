import { useState } from 'react';
import { Link } from 'react-router';
import type { SchoolLearner } from '@/api/types';
import { STEPS } from '@/api/types';
import { useClock } from '@/session/session';
import { InkCell } from '@/skill/InkCell';
import { inTen } from '@/skill/words';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';
import { Empty, Failed, Waiting } from '@/ui/State';
import { Progress } from './Progress';
import { useRecords } from './useRecords';

const AT_ONCE = 50;

const ORDERS = {
    name: { title: 'by name', by: (a: SchoolLearner, b: SchoolLearner) => a.name.localeCompare(b.name) },
    weakest: { title: 'who needs most help', by: (a: SchoolLearner, b: SchoolLearner) => (a.skill?.average ?? 2) - (b.skill?.average ?? 2) },
    away: { title: 'longest since last lesson', by: (a: SchoolLearner, b: SchoolLearner) => (a.last_lesson_at ?? '9').localeCompare(b.last_lesson_at ?? '9') },
    holes: { title: 'most not started', by: (a: SchoolLearner, b: SchoolLearner) => (b.skill?.never_done ?? 0) - (a.skill?.never_done ?? 0) },
};

/** Every learner on a line: the five steps in ink over all routines they met, what holds back, what is missing. */
export function LearnersAtAGlance() {
    const { list, working } = useRecords();
    const [order, setOrder] = useState<keyof typeof ORDERS>('name');
    const [words, setWords] = useState('');
    const [most, setMost] = useState(AT_ONCE);
    if (list.isLoading) return <Waiting />;
    if (!list.data) return <Failed error={list.error} retry={() => void list.refetch()} />;
    const found = list.data.learners.filter((learner) => learner.name.toLowerCase().includes(words.toLowerCase())).sort(ORDERS[order].by);
    if (list.data.learners.length === 0) {
        return (
            <Empty title="Nobody yet">
                <p>Learners appear here once they are added; their squares fill from the rounds marked in lessons.</p>
            </Empty>
        );
    }
    return (
        <section aria-label="Learners" className="grid gap-3">
            {working && <Progress state={working} />}
            <div className="screen-only flex flex-wrap items-center gap-3">
                <input
                    className="entry max-w-72"
                    placeholder="Name"
                    aria-label="Search learners"
                    value={words}
                    onChange={(event) => setWords(event.target.value)}
                />
                <select
                    className="entry w-auto max-w-full"
                    aria-label="Order"
                    value={order}
                    onChange={(event) => setOrder(event.target.value as keyof typeof ORDERS)}
                >
                    {Object.entries(ORDERS).map(([key, { title }]) => (
                        <option key={key} value={key}>
                            {title}
                        </option>
                    ))}
                </select>
                <span className="text-quiet">
                    {found.length} {found.length === 1 ? 'learner' : 'learners'}
                </span>
            </div>
            <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Learners at a glance">
                <table className="w-full min-w-[52rem] text-left">
                    <thead>
                        <tr className="border-hair border-b-2 align-bottom">
                            <th scope="col" className="py-1 pr-3">
                                Learner
                            </th>
                            {STEPS.map((step) => (
                                <th key={step} scope="col" className="w-11 pb-1">
                                    <StepIcon step={step} size={24} />
                                    <span className="sr-only">{STEP_WORDS[step]}</span>
                                </th>
                            ))}
                            <th scope="col" className="py-1 pr-3 pl-3">
                                Alone, of 10
                            </th>
                            <th scope="col" className="py-1 pr-3">
                                Main thing to improve
                            </th>
                            <th scope="col" className="py-1 pr-3 text-right">
                                Not lately
                            </th>
                            <th scope="col" className="py-1 text-right">
                                Not started
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {found.slice(0, most).map((learner) => (
                            <Line key={learner.id} learner={learner} />
                        ))}
                    </tbody>
                </table>
            </div>
            {found.length > most && (
                <button type="button" className="key justify-self-start" onClick={() => setMost(most + AT_ONCE * 2)}>
                    Show more
                </button>
            )}
            <p className="text-quiet text-sm">
                Averages over the steps that were marked, in a quiet town by day: somebody who met only easy routines looks better than they are. Open a record
                before you judge.
            </p>
        </section>
    );
}

function Line({ learner }: { learner: SchoolLearner }) {
    const clock = useClock();
    const { skill } = learner;
    return (
        <tr className="border-hair border-b">
            <th scope="row" className="max-w-60 py-1 pr-3 font-semibold">
                <Link to={`/learners/${learner.id}`} className="grid min-h-12 content-center">
                    <span className="block truncate">{learner.name}</span>
                    <span className="text-quiet block text-sm font-normal">
                        {learner.lessons_done} {learner.lessons_done === 1 ? 'lesson' : 'lessons'}
                        {learner.last_lesson_at && `, last ${clock.short(learner.last_lesson_at)}`}
                    </span>
                </Link>
            </th>
            {STEPS.map((step) => {
                const believed = skill?.steps[step] ?? null;
                return (
                    <td key={step}>
                        <InkCell believed={believed} size={34} />
                        <span className="sr-only">{believed ? inTen(believed.estimate) : 'not marked'}</span>
                    </td>
                );
            })}
            {skill && skill.average !== null ? (
                <>
                    <td className="py-1 pr-3 pl-3">
                        <span className="font-display text-lg font-bold">{Math.round(skill.average * 10)}</span>{' '}
                        <span className="text-quiet text-sm">{skill.marks} marks</span>
                    </td>
                    <td className="py-1 pr-3 text-sm">{skill.holds_back?.message ?? 'nothing stands out'}</td>
                    <td className="py-1 pr-3 text-right">{skill.not_for_long || '–'}</td>
                    <td className="py-1 text-right">{skill.never_done}</td>
                </>
            ) : (
                <td colSpan={4} className="text-quiet py-1 pl-3">
                    {skill ? 'nothing marked yet' : 'being worked out'}
                </td>
            )}
        </tr>
    );
}
