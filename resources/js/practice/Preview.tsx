import { useCompute } from '@/compute/useCompute';
import { useState } from 'react';
import type { ApproachAsked, Pack, Practice, Question } from '@/api/types';
import type { StripStep } from '@/strip/plan';
import { PAGES, type BenchTool } from '@/bench/pages';
import { limitOf, useRoutineName, useRules, useSay, withLimit } from '@/rules/rules';
import { wantedFrom } from '@/strip/layout';
import { Strip } from '@/strip/Strip';
import { drawn, isPlanned } from '@/strip/plan';
import { NotPlanned } from '@/strip/NotPlanned';
import { STEP_WORDS } from '@/strip/words';
import { NotShown } from '@/ui/NotShown';

/** What an answer changes: the strip on which it moves points, or the sentence it puts on a card. */
export function Preview({ question, practice, pack, standing }: { question: Question; practice: Practice; pack: Pack; standing: string }) {
    const value = String(practice[question.key] ?? standing);
    const option = question.options.find((candidate) => candidate.value === value) ?? question.options[0]!;
    const name = useRoutineName();
    const say = useSay();
    return (
        <section aria-live="polite" aria-label="What it changes" className="bg-raised border-hair grid content-start gap-3 rounded-xl border-2 p-4">
            <h2 className="text-lg">{option.words}</h2>
            <p>{option.reason}</p>
            {question.changes.includes('approach') ? (
                <OnAStrip question={question} practice={{ ...practice, [question.key]: value }} pack={pack} />
            ) : (
                <>
                    <p className="border-now border-l-4 pl-3">
                        On the card of {name(question.shows_on).toLowerCase()}, under {STEP_WORDS[question.step].toLowerCase()}: “{option.says}”
                    </p>
                    <p>{reach(question, say)}</p>
                </>
            )}
            <p className="text-quiet text-sm">Usual teaching, no published source.</p>
        </section>
    );
}

/** What an answer changes besides the card. */
function reach({ changes }: Question, say: (text: string) => string): string {
    const pages = changes.map((tool) => say(tool in PAGES ? PAGES[tool as BenchTool].title : tool).toLowerCase());
    return pages.length === 0 ? 'It changes what is said; no point of a plan moves.' : `It changes what is worked out, too: ${pages.join(', ')}.`;
}

function OnAStrip({ question, practice, pack }: { question: Question; practice: Practice; pack: Pack }) {
    const rules = useRules();
    const name = useRoutineName();
    const [step, setStep] = useState<StripStep>(question.step);
    const inputs: ApproachAsked = { pack, routine: question.shows_on, ...withLimit({}, limitOf({}, rules), rules), practice };
    const plan = useCompute('approach', inputs);
    if (!plan.data) return plan.error && <NotShown what="What it changes is not shown" error={plan.error} retry={() => void plan.refetch()} />;
    if (!isPlanned(plan.data)) return <NotPlanned answer={plan.data} />;
    const shown = drawn(plan.data);
    return (
        <figure className="grid gap-1">
            <figcaption className="text-quiet">{name(question.shows_on)}</figcaption>
            <Strip plan={shown} current={step} onStep={setStep} from={wantedFrom(shown)} compact />
        </figure>
    );
}
