import { useCompute } from '@/compute/useCompute';
import { useState } from 'react';
import type { ApproachAsked, RoutineCard } from '@/api/types';
import type { Drawable, StripStep } from '@/strip/plan';
import type { Conditions } from '@/bench/approach';
import { useRules } from '@/rules/rules';
import { speedField, speedRange, unitWords } from '@/rules/speed';
import { useRulesOnOffer } from '@/practice/useRulesOnOffer';
import { wantedFrom } from '@/strip/layout';
import { Strip } from '@/strip/Strip';
import { drawn, isPlanned } from '@/strip/plan';
import { NotPlanned } from '@/strip/NotPlanned';
import { inUnit, spoken, STEP_WORDS } from '@/strip/words';
import { Field } from '@/ui/Field';

const usePlan = (inputs: ApproachAsked) => useCompute('approach', inputs);

/** The same approach twice: another speed, a wet road, or another practice beside the one in force. */
export function BesideIt({ card, inputs, conditions }: { card: RoutineCard; inputs: ApproachAsked; conditions: Conditions }) {
    const rules = useRules();
    const onOffer = useRulesOnOffer();
    const [other, setOther] = useState('');
    const [open, setOpen] = useState(false);
    const field = speedField(rules.speed_unit);
    const range = speedRange(rules.speed_unit);
    const mine: ApproachAsked = {
        ...inputs,
        [field]: conditions.speed,
        gradient: conditions.gradient,
        surface: conditions.surface,
        close_follower: conditions.follower,
    };
    const faster = Math.min(range.to, conditions.speed + 10);
    const slower = Math.max(range.from, conditions.speed - 10);
    const practices = (onOffer.data?.questions ?? [])
        .filter((question) => question.changes.includes('approach') && card.choices.some((choice) => choice.question === question.key))
        .flatMap((question) =>
            question.options
                .filter((option) => option.value !== card.choices.find((choice) => choice.question === question.key)?.value)
                .map((option) => ({
                    key: `${question.key}=${option.value}`,
                    words: `${question.text}: ${option.words}`,
                    inputs: { practice: { ...rules.practice, [question.key]: option.value } },
                })),
        );
    const choices: { key: string; words: string; inputs: Partial<ApproachAsked> }[] = [
        {
            key: 'surface',
            words: conditions.surface === 'wet' ? 'On a dry road' : 'On a wet road',
            inputs: { surface: conditions.surface === 'wet' ? 'dry' : 'wet' },
        },
        { key: 'faster', words: `At ${faster} ${unitWords(rules.speed_unit)}`, inputs: { [field]: faster } },
        { key: 'slower', words: `At ${slower} ${unitWords(rules.speed_unit)}`, inputs: { [field]: slower } },
        { key: 'ice', words: 'On ice', inputs: { surface: 'ice' } },
        ...practices,
    ];
    const chosen = choices.find((choice) => choice.key === other) ?? choices[0]!;
    return (
        <details className="not-on-card border-hair border-t-2 pt-2" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary className="link min-h-12 cursor-pointer content-center font-semibold">Side by side</summary>
            {open && (
                <div className="grid gap-4">
                    <div className="screen-only max-w-xl">
                        <Field label="Beside it">
                            <select value={chosen.key} onChange={(event) => setOther(event.target.value)}>
                                {choices.map((choice) => (
                                    <option key={choice.key} value={choice.key}>
                                        {choice.words}
                                    </option>
                                ))}
                            </select>
                        </Field>
                    </div>
                    <Pair mine={mine} other={{ ...mine, ...chosen.inputs }} words={chosen.words} />
                </div>
            )}
        </details>
    );
}

function Pair({ mine, other, words }: { mine: ApproachAsked; other: ApproachAsked; words: string }) {
    const [step, setStep] = useState<StripStep>('signal');
    const [one, two] = [usePlan(mine).data, usePlan(other).data];
    if (!one || !two || !isPlanned(one)) return null;
    if (!isPlanned(two)) return <NotPlanned answer={two} />;
    const plans = [drawn(one), drawn(two)] as const;
    const from = Math.max(...plans.map(wantedFrom));
    const names = [...new Set(plans.flatMap((plan) => plan.steps.map((candidate) => candidate.step)))];
    const at = (plan: Drawable, name: StripStep) => plan.steps.find((candidate) => candidate.step === name)?.best;
    const unit = plans[0].unit;
    return (
        <>
            {plans.map((plan, i) => (
                <figure key={i} className="grid gap-1">
                    <figcaption className="font-semibold">{i === 0 ? 'As you teach it' : words}</figcaption>
                    <Strip plan={plan} current={step} onStep={setStep} from={from} compact />
                </figure>
            ))}
            <table className="w-full max-w-2xl text-left">
                <thead>
                    <tr className="border-hair border-b-2">
                        {['Step', 'As you teach it', words, 'Earlier by'].map((head) => (
                            <th key={head} scope="col" className="py-1 pr-3">
                                {head}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {names.map((name) => {
                        const [a, b] = [at(plans[0], name), at(plans[1], name)];
                        return (
                            <tr key={name} className="border-hair border-b">
                                <th scope="row" className="py-1 pr-3">
                                    {STEP_WORDS[name]}
                                </th>
                                <td className="pr-3">{a === undefined ? '–' : spoken(a, unit)}</td>
                                <td className="pr-3">{b === undefined ? '–' : spoken(b, unit)}</td>
                                <td>{a === undefined || b === undefined ? '–' : Math.round(inUnit(b - a, unit)) === 0 ? 'the same' : spoken(b - a, unit)}</td>
                            </tr>
                        );
                    })}
                </tbody>
            </table>
        </>
    );
}
