import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState, type ReactNode } from 'react';
import type { Lesson, RoutineCode } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { ago, timesSurely } from '@/skill/words';
import { STEP_WORDS } from '@/strip/words';
import { NotShown } from '@/ui/NotShown';

const FEW = 6;

/** What to work on: what needs most help, what was not practised lately, what was never started. A press looks for a place that shows it. */
export function FromRecord({ lesson, onAdd }: { lesson: Lesson; onAdd: (words: string) => void }) {
    const [open, setOpen] = useState(false);
    const name = useRoutineName();
    const skill = useQuery(questions.skill(lesson.learner.id));
    const places = useQuery({ ...questions.places(), enabled: open });
    if (!skill.data) return skill.error && <NotShown what="What to work on is not shown" error={skill.error} retry={() => void skill.refetch()} />;
    const { holds_back, not_for_long, never_done, only_shown, cells, weakest } = skill.data;
    if (cells.length === 0 && only_shown.length === 0) return <p className="text-quiet">Nothing has been marked yet.</p>;
    const first = holds_back[0];
    const weak = weakest.flatMap(({ routine, step }) => cells.find((cell) => cell.routine === routine && cell.step === step) ?? []);
    // What can be taught at a place the school has comes first.
    const has = (code: RoutineCode) => places.data?.some((place) => place.routine === code) ?? false;
    const untried = [...only_shown, ...[...never_done].sort((a, b) => Number(has(b)) - Number(has(a)))];
    return (
        <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary className="min-h-12 cursor-pointer content-center">
                <span className="font-semibold">What to work on: </span>
                {first?.message ?? 'nothing in particular'}
                <span className="text-quiet">
                    {not_for_long.length > 0 && ` · ${not_for_long.length} not practised lately`}
                    {never_done.length > 0 && ` · ${never_done.length} not started`}
                </span>
            </summary>
            {open && (
                <div className="grid gap-x-8 gap-y-3 py-2 ">
                    <Column title="Needs most help" none="Nothing stands out.">
                        {weak.map((cell) => (
                            <Wanted key={`${cell.routine}.${cell.step}`} routine={cell.routine} onAdd={onAdd}>
                                {STEP_WORDS[cell.step]}, {name(cell.routine).toLowerCase()}
                                <span className="text-quiet block text-sm">alone {timesSurely(cell)}</span>
                            </Wanted>
                        ))}
                    </Column>
                    <Column title="Not practised lately" none="Nothing overdue.">
                        {not_for_long.slice(0, FEW).map((one) => (
                            <Wanted key={one.routine} routine={one.routine} onAdd={onAdd}>
                                {name(one.routine)}
                                <span className="text-quiet block text-sm">last {ago(one.days)} ago</span>
                            </Wanted>
                        ))}
                    </Column>
                    <Column title="Not started" none="Everything has been tried.">
                        {untried.slice(0, FEW).map((code) => (
                            <Wanted key={code} routine={code} onAdd={onAdd}>
                                {name(code)}
                                {only_shown.includes(code) && <span className="text-quiet block text-sm">only shown so far</span>}
                            </Wanted>
                        ))}
                        {untried.length > FEW && <li className="text-quiet py-1">and {untried.length - FEW} more</li>}
                    </Column>
                </div>
            )}
        </details>
    );
}

function Column({ title, none, children }: { title: string; none: string; children: ReactNode[] | ReactNode }) {
    const empty = Array.isArray(children) && children.flat().filter(Boolean).length === 0;
    return (
        <section aria-label={title}>
            <h3 className="border-hair border-b-2 text-base">{title}</h3>
            {empty ? <p className="text-quiet py-1">{none}</p> : <ul>{children}</ul>}
        </section>
    );
}

function Wanted({ routine, onAdd, children }: { routine: RoutineCode; onAdd: (words: string) => void; children: ReactNode }) {
    const name = useRoutineName();
    return (
        <li className="border-hair border-b">
            <button type="button" className="hover:bg-wash min-h-12 w-full text-left leading-tight" onClick={() => onAdd(name(routine))}>
                {children}
            </button>
        </li>
    );
}
