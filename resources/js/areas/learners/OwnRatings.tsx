import type { Skill } from '@/api/types';
import { OUTCOMES } from '@/api/types';
import { StepIcon } from '@/strip/glyphs';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';

/** A rung of the ladder in words; halves go to the better one. */
const rung = (rank: number) => OUTCOME_WORDS[OUTCOMES[4 - Math.round(rank)]!];

/** Where the learner's own rating and the marks part: something to talk about. */
export function OwnRatings({ skill }: { skill: Skill }) {
    if (skill.own_ratings.length === 0) return null;
    const apart = skill.own_ratings.filter((one) => one.leans !== 'alike');
    const alike = skill.own_ratings.filter((one) => one.leans === 'alike');
    return (
        <section aria-labelledby="own" className="grid content-start gap-2">
            <h2 id="own" className="text-xl">
                Your view and mine
            </h2>
            {apart.length > 0 && (
                <ul className="grid gap-1">
                    {apart.map((one) => (
                        <li key={one.step} className="grid grid-cols-[1.8rem_1fr] gap-2">
                            <StepIcon step={one.step} size={24} />
                            <span>
                                <strong>{STEP_WORDS[one.step]}</strong>: thinks {one.leans === 'higher' ? 'better' : 'less'} of it than the marks say
                                <span className="text-quiet block">
                                    on average “{rung(one.said)}”, marked {rung(one.marked)}; {one.lessons} {one.lessons === 1 ? 'lesson' : 'lessons'} rated
                                </span>
                            </span>
                        </li>
                    ))}
                </ul>
            )}
            {alike.length > 0 && <p className="text-quiet">Agrees on {alike.map((one) => STEP_WORDS[one.step].toLowerCase()).join(', ')}.</p>}
        </section>
    );
}
