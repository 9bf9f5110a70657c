import type { Skill } from '@/api/types';
import { useRoutineName, useRules } from '@/app/rules';
import { STEP_WORDS } from '@/strip/words';

const NAMED = 2;

/** What holds back most, in words, with what it would be worth and the marks that say so. */
export function HoldsBack({ skill }: { skill: Skill }) {
    const name = useRoutineName();
    const { routines } = useRules();
    const section = (code: string) => routines.find((routine) => routine.section === code)?.section_title ?? code;
    const found = skill.holds_back.slice(0, NAMED);
    if (found.length === 0) return null;
    return (
        <section aria-labelledby="holds-back" className="grid gap-2">
            <h2 id="holds-back" className="text-xl">
                What holds back most
            </h2>
            <ul className="grid gap-1">
                {found.map((one, i) => (
                    <li key={i} className={i === 0 ? 'text-lg' : ''}>
                        <strong>
                            {one.step ? STEP_WORDS[one.step] : name(one.routine!)}
                            {one.section ? `, ${section(one.section).toLowerCase()}` : one.step ? ', everywhere' : ', all steps'}
                        </strong>{' '}
                        <span className="text-quiet">
                            level with the rest, {Math.max(1, Math.round(one.gain * 100))} more steps in a hundred would be unaided; rests on {one.evidence}{' '}
                            marks
                        </span>
                    </li>
                ))}
            </ul>
            <p className="text-quiet text-sm">An estimate from the marks, with its range in every field below. The instructor’s judgement comes first.</p>
        </section>
    );
}
