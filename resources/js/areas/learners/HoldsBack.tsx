import type { Skill } from '@/api/skill';
import { useRoutineName, useRules } from '@/app/rules';
import { heldBackBy, mostOf } from '@/skill/words';

const NAMED = 2;

const more = (gain: number) => (gain < 0.015 ? 'one more step' : `${Math.round(gain * 100)} more steps`);

/** What holds back most, in words, with what it would be worth and the marks that say so. */
export function HoldsBack({ skill }: { skill: Skill }) {
    const name = useRoutineName();
    const rules = useRules();
    const found = mostOf(skill.holds_back, NAMED);
    if (found.length === 0) return null;
    return (
        <section aria-labelledby="holds-back" className="grid content-start gap-2">
            <h2 id="holds-back" className="text-xl">
                What holds back most
            </h2>
            <ol className="grid gap-1">
                {found.map((one, i) => (
                    <li key={i} className={i === 0 ? 'text-lg' : ''}>
                        <strong>{heldBackBy(one, name, rules)}</strong>{' '}
                        <span className="text-quiet block text-base">
                            level with the rest, {more(one.gain)} in a hundred would be unaided; rests on {one.evidence} marks
                        </span>
                    </li>
                ))}
            </ol>
            <p className="text-quiet text-sm">An estimate from the marks. The instructor’s judgement comes first.</p>
        </section>
    );
}
