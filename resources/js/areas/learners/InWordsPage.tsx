import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Skill, SkillCell } from '@/api/types';
import type { LearnerRecord, ProposedLesson, RoutineCode } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { useClock } from '@/session/session';
import { ago, LEVEL_WORDS, mostOf } from '@/skill/words';
import { STEP_WORDS } from '@/strip/words';
import { useNow } from '@/ui/useNow';
import { Failed, Waiting } from '@/ui/State';

const FEW = 6;

/** The record as the learner would say it: no figures of chance, what goes well first. One sheet to take home. */
export function InWordsPage() {
    const { id = '' } = useParams();
    const learner = useQuery(questions.learner(id));
    const skill = useQuery(questions.skill(id));
    const error = learner.error ?? skill.error;
    if (error) return <Failed error={error} retry={() => void Promise.all([learner.refetch(), skill.refetch()])} />;
    if (!learner.data || !skill.data) return <Waiting />;
    return <Words learner={learner.data} skill={skill.data} />;
}

function Words({ learner, skill }: { learner: LearnerRecord; skill: Skill }) {
    const name = useRoutineName();
    const well = skill.cells.filter((cell) => cell.level === 'nearly-always' && !cell.unsure).sort((a, b) => b.low - a.low);
    const rising = skill.cells.filter((cell) => cell.trend === 'rising' && cell.level !== 'nearly-always');
    const work = mostOf(skill.holds_back, 2);
    const homework = learner.promises.filter((promise) => promise.kind === 'homework' && promise.kept_at === null);
    const first = learner.name.split(' ')[0];
    return (
        <article className="take-home grid max-w-3xl gap-6 text-lg print:max-w-none">
            <header className="flex flex-wrap items-start justify-between gap-4">
                <div className="min-w-0">
                    <h1 className="text-3xl break-words">{first}, this is where you stand</h1>
                    <p className="text-quiet text-base">
                        From {learner.rounds} {learner.rounds === 1 ? 'round' : 'rounds'} in {learner.lessons.filter((lesson) => lesson.rounds > 0).length}{' '}
                        lessons.
                    </p>
                </div>
                <div className="screen-only flex gap-2">
                    <Link className="key" to={`/learners/${learner.id}`}>
                        The record
                    </Link>
                    <button type="button" className="key" onClick={() => window.print()}>
                        Print
                    </button>
                </div>
            </header>
            <NextLesson learner={learner} />
            {skill.cells.length === 0 && <p>Nothing has been marked yet. After the first lessons this page says what goes well and what comes next.</p>}
            {skill.cells.length > 0 && (
                <>
                    <Part title="You do this on your own, nearly always" none="Nothing yet: it comes with practice.">
                        {byRoutine(well, name).slice(0, FEW)}
                    </Part>
                    {rising.length > 0 && <Part title="This is getting better">{byRoutine(rising, name, true).slice(0, FEW)}</Part>}
                    <Part title="Work on this next" none="No step stands behind the others: keep going.">
                        {work.map((one) => one.message)}
                    </Part>
                    {skill.not_for_long.length > 0 && (
                        <Part title="Not driven for a while, so it will need a fresh try">
                            {skill.not_for_long.slice(0, FEW).map((one) => `${name(one.routine)}: not for ${ago(one.days)}`)}
                        </Part>
                    )}
                    <Part title="How you rate yourself" none="You have not rated a lesson yet: you are asked first in every debrief.">
                        {skill.own_ratings.map((one) =>
                            one.leans === 'alike'
                                ? `${STEP_WORDS[one.step]}: you and your instructor see it alike`
                                : `${STEP_WORDS[one.step]}: you think ${one.leans === 'higher' ? 'better' : 'less'} of it than the marks show; talk about it`,
                        )}
                    </Part>
                    {homework.length > 0 && <Part title="Until next time">{homework.map((promise) => promise.text)}</Part>}
                    <p>
                        Still to come: {skill.never_done.length} {skill.never_done.length === 1 ? 'routine' : 'routines'} you have not met
                        {skill.never_done.length > 0 &&
                            `, such as ${skill.never_done
                                .slice(0, 3)
                                .map((code) => name(code).toLowerCase())
                                .join(', ')}`}
                        .
                    </p>
                </>
            )}
            <p className="text-quiet text-base">
                This is an estimate from your instructor’s marks. Ask about anything that surprises you; what is safe to practise, and with whom, your
                instructor says.
            </p>
        </article>
    );
}

/** Why something is proposed, as it is said to the learner. */
const WHY: Record<ProposedLesson['aims'][number]['reason'], string> = {
    gain: 'a few rounds more of it help you most now',
    fading: 'you have not driven it for a while',
    agreed: 'as you two agreed',
    'never-done': 'for the first time',
    pinned: 'your instructor chose it',
    'test-soon': 'your test asks for it',
};

/** The lesson that comes next: when, and what for; as the record proposes it where nobody has written an aim. */
function NextLesson({ learner }: { learner: LearnerRecord }) {
    const name = useRoutineName();
    const clock = useClock();
    const now = useNow().getTime();
    const next = learner.lessons
        .filter(({ state, starts_at }) => state === 'booked' && Date.parse(starts_at) > now)
        .sort((one, other) => Date.parse(one.starts_at) - Date.parse(other.starts_at))[0];
    const { data } = useQuery({ ...questions.proposal(next?.id ?? '', { pinned: [], excluded: [] }), enabled: next !== undefined && next.aim === null });
    if (!next) return null;
    const aims = next.aim
        ? [next.aim]
        : (data?.aims ?? []).map(({ routine, step, reason }) => `${name(routine)}, ${STEP_WORDS[step].toLowerCase()} above all: ${WHY[reason]}`);
    return (
        <Part title={`Next lesson: ${clock.day(next.starts_at)}, ${clock.time(next.starts_at)}`} none="What it is for you two say when it begins.">
            {aims}
        </Part>
    );
}

/** "Turn left: mirrors, signal", with how often where that is asked for. */
function byRoutine(cells: SkillCell[], name: (code: RoutineCode) => string, howOften = false): string[] {
    return [...new Set(cells.map((cell) => cell.routine))].map((routine) => {
        const steps = cells
            .filter((cell) => cell.routine === routine)
            .map((cell) => `${STEP_WORDS[cell.step].toLowerCase()}${howOften ? ` ${LEVEL_WORDS[cell.level]}` : ''}`);
        return `${name(routine)}: ${steps.join(', ')}`;
    });
}

function Part({ title, none, children }: { title: string; none?: string; children: ReactNode[] }) {
    return (
        <section className="grid gap-1">
            <h2 className="text-xl">{title}</h2>
            {children.length === 0 ? (
                <p className="text-quiet">{none}</p>
            ) : (
                <ul className="grid list-disc gap-x-8 pl-6 sm:grid-cols-2">
                    {children.map((child, i) => (
                        <li key={i}>{child}</li>
                    ))}
                </ul>
            )}
        </section>
    );
}
