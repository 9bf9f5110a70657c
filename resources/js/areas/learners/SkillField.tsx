import { Fragment, useState } from 'react';
import type { LearnerRecord, Skill, SkillCell } from '@/api/types';
import { STEPS, type RoutineCode, type Rules, type Step, type Tally } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { InkCell } from '@/skill/InkCell';
import { isUncertain, timesSurely } from '@/skill/words';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';
import { CellSheet } from './CellSheet';
import { NeverDone } from './NeverDone';

const TRENDS = { rising: '↗', steady: '→', falling: '↘', unknown: '' };

interface Props {
    learner: string;
    tallies: Tally[];
    skill: Skill;
    /** The learner's own: what was never done goes on the plan of the next. */
    lessons: LearnerRecord['lessons'];
}

/** The field of ink: routines by steps, as surely as they are unaided today. One press opens all that is behind a square. */
export function SkillField({ learner, tallies, skill, lessons }: Props) {
    const [open, setOpen] = useState<{ routine: RoutineCode; step: Step } | null>(null);
    const [undone, setUndone] = useState<RoutineCode | null>(null);
    const name = useRoutineName();
    const rules = useRules();
    const met = [...new Set(tallies.map((tally) => tally.routine))];
    const sections = bySection(rules, met);
    const never = new Set(skill.never_done);
    return (
        <section aria-labelledby="record" className="grid gap-3">
            <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
                <h2 id="record" className="text-xl">
                    Skills now<span className="hidden print:inline">: done alone, of 10</span>
                </h2>
                <Legend />
            </div>
            <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Routines by steps">
                <table className="w-full table-fixed border-separate border-spacing-x-1 border-spacing-y-0.5 text-left min-w-[calc(8.25rem+210px)] sm:min-w-[46rem] print:min-w-0">
                    <thead>
                        <tr>
                            <td className="w-27 sm:w-48 print:w-34" />
                            {STEPS.map((step) => (
                                <th key={step} scope="col" className="px-1 font-semibold">
                                    <span className="flex items-center gap-2">
                                        <StepIcon step={step} size={24} /> <span className="max-sm:sr-only">{STEP_WORDS[step]}</span>
                                    </span>
                                </th>
                            ))}
                        </tr>
                    </thead>
                    {sections.map(({ title, routines, others }) => (
                        <tbody key={title}>
                            <tr>
                                <th scope="rowgroup" colSpan={6} className="text-quiet border-hair border-b pt-2 text-sm font-semibold">
                                    {title}
                                    {others.some((code) => never.has(code)) && (
                                        <span className="font-normal">
                                            {' '}
                                            · not started: <Undone codes={others.filter((code) => never.has(code))} onOpen={setUndone} />
                                        </span>
                                    )}
                                </th>
                            </tr>
                            {routines.map((routine) => (
                                <tr key={routine}>
                                    <th scope="row" className="pr-2 align-middle leading-tight font-semibold">
                                        {name(routine)}
                                        <Away skill={skill} routine={routine} />
                                    </th>
                                    {STEPS.map((step) => (
                                        <td key={step} className="p-0">
                                            {(rules.routines.find((candidate) => candidate.code === routine)?.steps.includes(step) ?? true) && (
                                                <Square
                                                    cell={skill.cells.find((cell) => cell.routine === routine && cell.step === step)}
                                                    label={`${name(routine)}, ${STEP_WORDS[step]}`}
                                                    onOpen={() => setOpen({ routine, step })}
                                                />
                                            )}
                                        </td>
                                    ))}
                                </tr>
                            ))}
                        </tbody>
                    ))}
                </table>
            </div>
            <NeverTouched rules={rules} met={met} never={never} onOpen={setUndone} />
            {undone && <NeverDone routine={undone} lessons={lessons} onClose={() => setUndone(null)} />}
            {open && (
                <CellSheet key={`${open.routine}.${open.step}`} learner={learner} {...open} tallies={tallies} skill={skill} onClose={() => setOpen(null)} />
            )}
        </section>
    );
}

/** Routines that were met, under the sections of the catalogue, with the others of the same section. */
function bySection({ routines }: Rules, met: RoutineCode[]) {
    const titles = [...new Set(routines.map((routine) => routine.section_title))];
    const known = titles.map((title) => {
        const codes = routines.filter((routine) => routine.section_title === title).map((routine) => routine.code);
        return { title, routines: codes.filter((code) => met.includes(code)), others: codes.filter((code) => !met.includes(code)) };
    });
    const elsewhere = met.filter((code) => !routines.some((routine) => routine.code === code));
    return [...known, { title: 'Under other rules', routines: elsewhere, others: [] }].filter((section) => section.routines.length > 0);
}

function Away({ skill, routine }: { skill: Skill; routine: RoutineCode }) {
    const away = skill.not_for_long.find((one) => one.routine === routine);
    const shown = skill.only_shown.includes(routine);
    return (away || shown) && <span className="text-quiet block text-sm font-normal">{away ? `last ${away.days} days ago` : 'only shown so far'}</span>;
}

function Square({ cell, label, onOpen }: { cell: SkillCell | undefined; label: string; onOpen: () => void }) {
    if (!cell) {
        return (
            <span className="text-quiet flex min-h-13 items-center gap-2 px-1 text-sm print:gap-1 print:px-0 print:text-xs">
                <InkCell believed={null} /> <span className="max-sm:sr-only">not marked</span>
            </span>
        );
    }
    return (
        <button
            type="button"
            className="hover:bg-wash flex min-h-13 w-full items-center gap-x-2 rounded-lg px-1 text-left max-sm:flex-col print:gap-1 print:px-0"
            onClick={onOpen}
        >
            <InkCell believed={cell} fading={cell.fading} />
            <span className="leading-tight">
                <span className="sr-only">{label}: </span>
                <span aria-hidden="true" className="font-display text-lg font-bold whitespace-nowrap">
                    {Math.round(cell.estimate * 10)}
                    <span className="max-sm:hidden print:hidden"> in 10</span>
                </span>
                <span className="sr-only">
                    alone {timesSurely(cell)}; {cell.trend === 'unknown' ? '' : cell.trend} {cell.fading ? 'not practised lately' : ''}
                </span>
                <span className="text-quiet block text-sm max-sm:hidden print:text-xs" aria-hidden="true">
                    {isUncertain(cell) ? <span className="print:hidden">not certain</span> : TRENDS[cell.trend]} {cell.said ? 'corrected' : ''}
                </span>
            </span>
        </button>
    );
}

/** Whole sections of the catalogue in which nothing was ever done. */
function NeverTouched({ rules, met, never, onOpen }: { rules: Rules; met: RoutineCode[]; never: Set<RoutineCode>; onOpen: (code: RoutineCode) => void }) {
    const titles = [...new Set(rules.routines.map((routine) => routine.section_title))];
    const untouched = titles
        .map((title) => ({ title, routines: rules.routines.filter((routine) => routine.section_title === title) }))
        .filter(({ routines }) => routines.every((routine) => !met.includes(routine.code)) && routines.some((routine) => never.has(routine.code)));
    if (untouched.length === 0) return null;
    return (
        <div className="grid gap-1">
            <h3 className="flex items-center gap-2 text-base">
                <InkCell believed={null} size={24} /> Not started
            </h3>
            <dl className="grid gap-x-4 gap-y-0.5 sm:grid-cols-[minmax(0,14rem)_1fr]">
                {untouched.map(({ title, routines }) => (
                    <div key={title} className="contents">
                        <dt>{title}</dt>
                        <dd className="text-quiet pb-1">
                            <Undone codes={routines.map((routine) => routine.code).filter((code) => never.has(code))} onOpen={onOpen} />
                        </dd>
                    </div>
                ))}
            </dl>
        </div>
    );
}

/** Each leads to what can be done about it. */
function Undone({ codes, onOpen }: { codes: RoutineCode[]; onOpen: (code: RoutineCode) => void }) {
    const name = useRoutineName();
    return codes.map((code, i) => (
        <Fragment key={code}>
            {i > 0 && ', '}
            <button type="button" className="link screen-only min-h-12 max-w-full text-left" onClick={() => onOpen(code)}>
                {name(code).toLowerCase()}
            </button>
            {/* On paper a name breaks like any other word. */}
            <span className="hidden print:inline" aria-hidden="true">
                {name(code).toLowerCase()}
            </span>
        </Fragment>
    ));
}

function Legend() {
    const sure = { estimate: 0.95, low: 0.9, high: 0.98 };
    return (
        <ul className="text-quiet flex flex-wrap gap-x-4 text-sm" aria-label="What the squares mean">
            {[
                { of: <InkCell believed={sure} size={20} />, words: 'does it alone, reliably' },
                { of: <InkCell believed={{ estimate: 0.3, low: 0.25, high: 0.35 }} size={20} />, words: 'needs help' },
                { of: <InkCell believed={{ estimate: 0.7, low: 0.3, high: 0.95 }} size={20} />, words: 'hatched: not certain yet' },
                { of: <InkCell believed={sure} fading size={20} />, words: 'not practised lately' },
                { of: <InkCell believed={null} size={20} />, words: 'not started' },
            ].map(({ of, words }) => (
                <li key={words} className="flex items-center gap-1">
                    {of} {words}
                </li>
            ))}
        </ul>
    );
}
