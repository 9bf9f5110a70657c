import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { Link } from 'react-router';
import { STEPS, type Habits as Counted, type Step } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { Failed } from '@/ui/State';
import { StepsTable } from '@/strip/StepsTable';

const HIGH = 110;

/** What the key counted: rear looks and the gap ahead lesson by lesson, and the gaps taken and let go at junctions. */
export function Habits({ learner }: { learner: string }) {
    const habits = useQuery(questions.habits(learner));
    if (habits.error) return <Failed error={habits.error} retry={() => void habits.refetch()} />;
    if (!habits.data) return null;
    const { lessons, junctions, change } = habits.data;
    return (
        <section aria-labelledby="counted" className="grid gap-4">
            <h2 id="counted" className="border-hair border-b-2 pb-1 text-lg">
                Counted by the key
            </h2>
            {lessons.length === 0 && junctions.length === 0 ? (
                <p className="text-quiet">Nothing yet. In Drive the one key can count rear looks, the gap ahead, and the gaps we wait for.</p>
            ) : (
                <div className="grid gap-x-8 gap-y-6 md:grid-cols-2">
                    {lessons.length > 0 && (
                        <div className="grid content-start gap-6">
                            <Looks lessons={lessons} change={change} />
                            {lessons.some((one) => one.kept.length > 0) && <Kept lessons={lessons} />}
                        </div>
                    )}
                    {junctions.length > 0 && (
                        <div className="grid content-start gap-4">
                            {junctions.map((junction) => (
                                <Junction key={junction.routine} junction={junction} />
                            ))}
                        </div>
                    )}
                </div>
            )}
        </section>
    );
}

function Looks({ lessons, change }: Pick<Counted, 'lessons' | 'change'>) {
    const clock = useClock();
    const looked = lessons.flatMap((one) => (one.rear_looks ? [{ ...one, rear_looks: one.rear_looks }] : []));
    const most = Math.max(1, ...looked.map((one) => one.rear_looks.high));
    const y = (rate: number) => HIGH - 2 - (rate / most) * (HIGH - 4);
    const ahead = lessons.flatMap((one) => one.ahead_s);
    const short = lessons.reduce((sum, one) => sum + one.short, 0);
    return (
        <div className="grid content-start gap-2">
            <h3 className="font-semibold">Rear looks a minute</h3>
            <p>{change.message}</p>
            {/* The latest is what one looks for: a long row begins at its end. */}
            <ol ref={(row) => row?.scrollTo({ left: row.scrollWidth })} className="relative flex gap-1 overflow-x-auto pb-2" aria-label="Rear looks by lesson">
                {looked.map(({ lesson, at, rear_looks: looks }) => (
                    <li key={lesson} className="shrink-0">
                        <Link to={`/lessons/${lesson}/debrief`} className="hover:bg-wash grid min-w-13 justify-items-center rounded-lg px-1 py-1 text-sm">
                            <svg width="28" height={HIGH} viewBox={`0 0 28 ${HIGH}`} aria-hidden="true">
                                <line x1="0" x2="28" y1={y(0)} y2={y(0)} stroke="var(--line)" />
                                <rect x="6" width="16" y={y(looks.high)} height={y(looks.low) - y(looks.high)} fill="var(--ink)" fillOpacity="0.22" />
                                <rect x="4" width="20" y={y(looks.a_minute) - 2} height="4" fill="var(--ink)" />
                            </svg>
                            <span className="font-semibold">{looks.a_minute.toFixed(1)}</span>
                            <span className="text-quiet whitespace-nowrap">
                                <span className="sr-only">
                                    {looks.low.toFixed(1)} to {looks.high.toFixed(1)};{' '}
                                </span>
                                {clock.short(at)}
                            </span>
                        </Link>
                    </li>
                ))}
            </ol>
            {ahead.length > 0 && (
                <p>
                    Gap ahead, counted {ahead.length === 1 ? 'once' : `${ahead.length} times`}:{' '}
                    <strong>{short === 0 ? 'never under what was wanted' : `${short} under what was wanted`}</strong>, the last{' '}
                    {ahead[ahead.length - 1]!.toFixed(1)} s.
                </p>
            )}
        </div>
    );
}

/** What each step is, done all the time. */
const ALL_THE_TIME: Record<Step, string> = { mirrors: 'Mirrors', signal: 'Signals', position: 'Steady', speed: 'Speed kept', look: 'Eyes ahead' };

/** Between hazards, lesson by lesson: in how many stretches each was right, and what it was where it was not. */
function Kept({ lessons }: Pick<Counted, 'lessons'>) {
    const clock = useClock();
    const { faults: words } = useRules();
    const marked = lessons.filter((one) => one.kept.length > 0);
    const steps = STEPS.filter((step) => marked.some((one) => one.kept.some((kept) => kept.step === step)));
    return (
        <div className="grid gap-2">
            <h3 className="font-semibold">Between hazards</h3>
            <StepsTable
                label="Between hazards by lesson"
                fromTheEnd
                steps={steps}
                stepHead={(step) => ALL_THE_TIME[step]}
                columns={marked.map(({ lesson, at, kept }) => ({
                    key: lesson,
                    head: (
                        <Link className="link text-sm whitespace-nowrap" to={`/lessons/${lesson}/debrief`}>
                            {clock.short(at)}
                        </Link>
                    ),
                    cell: (step) => {
                        const said = kept.find((one) => one.step === step);
                        return (
                            said && (
                                <div className="text-sm">
                                    <span className={said.clean === said.of ? '' : 'font-bold'}>
                                        {said.of === 1 ? (said.clean === 1 ? 'right' : 'not yet') : `${said.clean} of ${said.of}`}
                                    </span>
                                    {Object.entries(said.faults).map(([fault, stretches]) => (
                                        <span key={fault} className="block">
                                            {(words[step]?.[fault] ?? fault).toLowerCase()}
                                            {stretches > 1 && ` ×${stretches}`}
                                        </span>
                                    ))}
                                </div>
                            )
                        );
                    },
                }))}
            />
        </div>
    );
}

function Junction({ junction }: { junction: Counted['junctions'][number] }) {
    const name = useRoutineName();
    const { threshold, needed_s: needed } = junction;
    const longest = Math.max(12, (threshold?.high_s ?? 0) + 1, (needed ?? 0) + 1);
    const x = (seconds: number) => 8 + (seconds / longest) * 284;
    return (
        <div className="grid gap-1">
            <h3 className="font-semibold">Gaps: {name(junction.routine)}</h3>
            <p>
                {junction.message}{' '}
                <span className="text-quiet">
                    {junction.let_go} let go{needed !== null && `, ${junction.would_have_done} of them long enough`}; {junction.taken} taken
                    {needed !== null && junction.too_short > 0 && `, ${junction.too_short} of them too short`}.
                </span>
            </p>
            {threshold && (
                <svg viewBox="0 0 300 56" className="w-full max-w-md" role="img" aria-label={inWords(threshold, needed)}>
                    <line x1={x(0)} x2={x(longest)} y1="30" y2="30" stroke="var(--line)" />
                    {Array.from({ length: Math.floor(longest / 2) + 1 }, (_, i) => (
                        <text key={i} x={x(2 * i)} y="50" textAnchor="middle" fontSize="11" fill="var(--quiet)">
                            {2 * i}
                        </text>
                    ))}
                    <rect x={x(threshold.low_s)} width={x(threshold.high_s) - x(threshold.low_s)} y="20" height="20" fill="var(--ink)" fillOpacity="0.22" />
                    <rect x={x(threshold.estimate_s) - 2} width="4" y="16" height="28" fill="var(--ink)" />
                    {needed !== null && (
                        <>
                            <line x1={x(needed)} x2={x(needed)} y1="14" y2="44" stroke="var(--ink)" strokeWidth="2" strokeDasharray="4 3" />
                            <text x={x(needed)} y="10" textAnchor="middle" fontSize="11" fill="var(--ink)">
                                {needed.toFixed(1)} s needed
                            </text>
                        </>
                    )}
                </svg>
            )}
            {threshold && <p className="text-quiet text-sm">{inWords(threshold, needed)} Reckoned at the town’s limit, on the flat, from a standstill.</p>}
        </div>
    );
}

const inWords = ({ estimate_s, low_s, high_s, gaps }: NonNullable<Counted['junctions'][number]['threshold']>, needed: number | null): string =>
    `Goes from about ${estimate_s.toFixed(1)} s on, ${low_s.toFixed(1)} to ${high_s.toFixed(1)} by ${gaps} gaps${needed === null ? '' : `; ${needed.toFixed(1)} s are needed`}.`;
