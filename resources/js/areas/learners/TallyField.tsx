import { useState } from 'react';
import { OUTCOMES, STEPS, type RoutineCode, type Skill, type SkillCell, type Step, type Tally } from '@/api/types';
import { useRoutineName, useRules } from '@/app/rules';
import { StepIcon } from '@/strip/glyphs';
import { Ink } from '@/strip/Ink';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import { TallyTrend } from './TallyTrend';

/** Routines by steps: how many of the marks were unaided, and what the rest were. One press opens the lessons behind it. */
export function TallyField({ tallies, skill }: { tallies: Tally[]; skill: Skill | undefined }) {
    const [open, setOpen] = useState<{ routine: RoutineCode; step: Step } | null>(null);
    const name = useRoutineName();
    const { routines: catalogue } = useRules();
    const routines = [...new Set(tallies.map((tally) => tally.routine))];
    const never = catalogue.filter((routine) => !routines.includes(routine.code));
    const has = (routine: RoutineCode, step: Step) => catalogue.find((candidate) => candidate.code === routine)?.steps.includes(step) ?? true;
    const find = (routine: RoutineCode, step: Step) => tallies.find((tally) => tally.routine === routine && tally.step === step)!;
    return (
        <section aria-labelledby="record" className="grid gap-3">
            <div className="flex flex-wrap items-end justify-between gap-3">
                <h2 id="record" className="text-xl">
                    The record
                </h2>
                <ul className="text-quiet flex flex-wrap gap-x-4 text-sm" aria-label="What the squares mean">
                    {OUTCOMES.map((outcome) => (
                        <li key={outcome} className="flex items-center gap-1">
                            <Ink outcome={outcome} size={16} /> {OUTCOME_WORDS[outcome]}
                        </li>
                    ))}
                </ul>
            </div>
            <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Routines by steps">
                <table className="w-full min-w-[46rem] table-fixed border-separate border-spacing-1 text-left">
                    <thead>
                        <tr>
                            <td className="w-44" />
                            {STEPS.map((step) => (
                                <th key={step} scope="col" className="px-2 font-semibold">
                                    <span className="flex items-center gap-2">
                                        <StepIcon step={step} size={24} /> {STEP_WORDS[step]}
                                    </span>
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {routines.map((routine) => (
                            <tr key={routine}>
                                <th scope="row" className="pr-2 font-semibold">
                                    {name(routine)}
                                </th>
                                {STEPS.map((step) => (
                                    <td key={step} className="p-0">
                                        {has(routine, step) && (
                                            <Cell
                                                tally={find(routine, step)}
                                                skill={skill?.cells.find((cell) => cell.routine === routine && cell.step === step)}
                                                open={open?.routine === routine && open.step === step}
                                                onOpen={() => setOpen({ routine, step })}
                                            />
                                        )}
                                    </td>
                                ))}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            {never.length > 0 && (
                <details className="text-quiet">
                    <summary className="link min-h-12 cursor-pointer content-center font-semibold">
                        {never.length} of {catalogue.length} routines never marked
                    </summary>
                    <p>{never.map((routine) => routine.title).join(' · ')}</p>
                </details>
            )}
            {open && <TallyTrend tally={find(open.routine, open.step)} onClose={() => setOpen(null)} />}
        </section>
    );
}

function Cell({ tally, skill, open, onOpen }: { tally: Tally; skill: SkillCell | undefined; open: boolean; onOpen: () => void }) {
    const name = useRoutineName();
    if (tally.marked === 0) {
        return (
            <div className="border-hair text-quiet grid min-h-20 content-center rounded-lg border-2 border-dashed px-3 text-sm">
                {tally.taught > 0 ? `taught ${tally.taught}×, not yet tried` : 'never marked'}
            </div>
        );
    }
    return (
        <button
            type="button"
            className={`grid min-h-20 w-full content-center gap-1 rounded-lg border-2 px-3 py-2 text-left ${open ? 'border-now' : 'border-line'}`}
            aria-expanded={open}
            onClick={onOpen}
        >
            <span className="sr-only">
                {name(tally.routine)}, {STEP_WORDS[tally.step]}:
            </span>
            <span>
                <span className="font-display text-2xl font-bold">{tally.counts.unaided}</span> <span className="text-quiet">of {tally.marked} unaided</span>
            </span>
            <Bar tally={tally} />
            {skill && <Today skill={skill} />}
        </button>
    );
}

const TRENDS = { rising: '↗', steady: '→', falling: '↘', unknown: '' };
const percent = (chance: number) => Math.round(chance * 100);

/** The chance of “unaided” today with its 80 % range on a scale from never to always; the longer the band, the less is known. */
function Today({ skill }: { skill: SkillCell }) {
    return (
        <span className="grid gap-1 text-sm">
            <span className="bg-wash relative block h-2 w-full rounded-sm" aria-hidden="true">
                <span
                    className="ink-thin border-line absolute inset-y-0 border"
                    style={{ left: `${skill.low * 100}%`, width: `${(skill.high - skill.low) * 100}%` }}
                />
                <span className="bg-ink absolute -inset-y-0.5 w-1" style={{ left: `calc(${skill.estimate * 100}% - 2px)` }} />
            </span>
            <span className="text-quiet tabular">
                today {percent(skill.estimate)} in 100, {percent(skill.low)} to {percent(skill.high)} <span aria-hidden="true">{TRENDS[skill.trend]}</span>
                <span className="sr-only">{skill.trend === 'unknown' ? '' : skill.trend}</span>
            </span>
        </span>
    );
}

/** The marks of a cell as one bar, best to worst; the pattern tells the outcome, the length how many. */
function Bar({ tally }: { tally: Tally }) {
    const STYLES = {
        unaided: 'bg-ink',
        reminded: 'ink-dense',
        prompted: 'ink-thin',
        missed: 'bg-paper',
        intervened: 'ink-cross',
    } as const;
    return (
        <span className="border-ink flex h-4 w-full overflow-hidden rounded-sm border" aria-hidden="true">
            {OUTCOMES.map(
                (outcome) =>
                    tally.counts[outcome] > 0 && (
                        <span key={outcome} className={`${STYLES[outcome]} border-ink not-first:border-l`} style={{ flexGrow: tally.counts[outcome] }} />
                    ),
            )}
        </span>
    );
}
