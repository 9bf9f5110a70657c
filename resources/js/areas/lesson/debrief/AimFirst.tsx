import { STEPS, type Lesson, type Round } from '@/api/types';
import { says, standing } from '@/queue/standing';
import { useRoutineName } from '@/rules/rules';
import { useClock } from '@/session/session';
import { Ink } from '@/strip/Ink';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import { aimWords } from '../plan/aimWords';

/** What the lesson was to work on, before anything else: its rounds in their order, and how many were clean. */
export function AimFirst({ lesson, rounds }: { lesson: Lesson; rounds: Round[] }) {
    const name = useRoutineName();
    const clock = useClock();
    const { works_on: aim, debrief } = lesson;
    if (!lesson.aim && !aim) return null;
    const aimed = debrief.aim_rounds.flatMap((id) => rounds.find((round) => round.id === id) ?? []);
    // The learner's own word comes before the log's.
    const asked = Object.keys(lesson.self_rating).length > 0;
    const steps = aim?.step ? [aim.step] : STEPS;
    return (
        <section aria-labelledby="aim" className="grid gap-2">
            <h2 id="aim" className="border-now border-l-4 pl-4 text-xl">
                {lesson.aim ?? aimWords(aim, name)}
            </h2>
            {aim && (
                <p>
                    {lesson.aim && <span className="text-quiet">{aimWords(aim, name)}: </span>}
                    {!asked ? (
                        'its rounds show once the learner has answered.'
                    ) : aimed.length === 0 ? (
                        'no round says anything of it.'
                    ) : (
                        <>
                            <strong>
                                clean in {debrief.aim_clean} of {aimed.length}
                            </strong>{' '}
                            {aimed.length === 1 ? 'round' : 'rounds'}.
                        </>
                    )}
                </p>
            )}
            {asked && aimed.length > 0 && (
                <ol className="flex flex-wrap gap-x-4 gap-y-1" aria-label="Rounds of the aim, in their order">
                    {aimed.map((round) => {
                        const stands = standing(round.marks);
                        return (
                            <li key={round.id} className="flex min-h-10 items-center gap-1">
                                <span className="text-quiet tabular text-sm">{clock.time(round.began_at ?? round.device_at)}</span>
                                {steps.map((step) => {
                                    const outcome = says(stands, step);
                                    return (
                                        outcome && (
                                            <span key={step} title={`${STEP_WORDS[step]} ${OUTCOME_WORDS[outcome]}`} className="flex">
                                                <span className="sr-only">
                                                    {STEP_WORDS[step]} {OUTCOME_WORDS[outcome]}
                                                </span>
                                                <Ink outcome={outcome} size={22} />
                                            </span>
                                        )
                                    );
                                })}
                            </li>
                        );
                    })}
                </ol>
            )}
        </section>
    );
}
