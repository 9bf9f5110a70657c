import { STEPS, type Lesson, type Round, type Step } from '@/api/types';
import { says, standing } from '@/queue/standing';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';
import { useLesson } from '../useLesson';

const CHOICES = [
    ['unaided', 'on my own'],
    ['reminded', 'with a nudge'],
    ['prompted', 'with help'],
    ['missed', 'not yet'],
] as const;

/** The learner is asked first; the log stands beside it only once there is an answer. */
export function SelfRating({ lesson, rounds }: { lesson: Lesson; rounds: Round[] }) {
    const { write } = useLesson(lesson.id);
    const evidence = rounds.map((round) => standing(round.marks)).filter((stands) => !stands.taught);
    const logged = (step: Step) => {
        const said = evidence.map((stands) => says(stands, step)).filter((outcome) => outcome !== null);
        return said.length === 0 ? 'not marked' : `unaided in ${said.filter((outcome) => outcome === 'unaided').length} of ${said.length}`;
    };
    return (
        <section aria-labelledby="self" className="grid gap-2">
            <h2 id="self" className="text-xl">
                First, {lesson.learner.name.split(' ')[0]}: how did each step go?
            </h2>
            <div className="grid gap-1">
                {STEPS.map((step) => {
                    const said = lesson.self_rating[step];
                    return (
                        <div
                            key={step}
                            role="group"
                            aria-label={STEP_WORDS[step]}
                            className="border-hair grid grid-cols-2 items-center gap-2 border-b py-1 sm:grid-cols-[9rem_repeat(4,minmax(0,8.5rem))_1fr]"
                        >
                            <span className="col-span-2 flex items-center gap-2 font-semibold sm:col-span-1">
                                <StepIcon step={step} /> {STEP_WORDS[step]}
                            </span>
                            {CHOICES.map(([value, label]) => (
                                <button
                                    key={value}
                                    type="button"
                                    aria-pressed={said === value}
                                    className="key !px-2"
                                    onClick={() => void write({ self_rating: { ...lesson.self_rating, [step]: value } })}
                                >
                                    {label}
                                </button>
                            ))}
                            <span className="text-quiet col-span-2 sm:col-span-1 sm:pl-4">{said ? `logged: ${logged(step)}` : ''}</span>
                        </div>
                    );
                })}
            </div>
        </section>
    );
}
