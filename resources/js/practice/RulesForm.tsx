import { useState } from 'react';
import type { ChosenRules, PackFacts, Question } from '@/api/types';
import { STEP_WORDS } from '@/strip/words';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';
import { Preview } from './Preview';
import { QuestionFields } from './QuestionFields';

interface Props {
    value: ChosenRules;
    /** What holds where nothing is chosen here; null for the school, which has nobody above it. */
    above: ChosenRules | null;
    /** Whose that is, in words. */
    whose?: string;
    packs: PackFacts[];
    questions: Question[];
    onKeep: (chosen: ChosenRules) => Promise<unknown>;
}

/** A rule pack and an answer to each question, with what each choice changes shown beside it. */
export function RulesForm({ value, above, whose = 'School’s choice', packs, questions, onKeep }: Props) {
    const { values, set, errors, message, busy, submit } = useForm<ChosenRules>({ pack: value.pack, practice: value.practice });
    const [looked, setLooked] = useState(questions[0]!);
    const pack = packs.find((candidate) => candidate.code === (values.pack ?? above?.pack)) ?? packs[0]!;
    const standing = (question: Question) => String(above?.practice[question.key] ?? question.default);
    const words = (question: Question, chosen: string) => question.options.find((option) => option.value === chosen)?.words ?? chosen;
    const steps = [...new Set(questions.map((question) => question.step))];
    return (
        <form
            className="grid gap-5"
            onSubmit={(event) => {
                event.preventDefault();
                void submit(() => onKeep(values));
            }}
        >
            <div className="grid gap-x-8 gap-y-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,2fr)]">
                <Field label="Rules of the road" errors={errors.pack}>
                    <select value={values.pack ?? ''} onChange={(event) => set('pack', (event.target.value || null) as ChosenRules['pack'])}>
                        {above && (
                            <option value="">
                                {whose}: {packs.find((candidate) => candidate.code === above.pack)?.name}
                            </option>
                        )}
                        {packs.map((candidate) => (
                            <option key={candidate.code} value={candidate.code}>
                                {candidate.name}
                            </option>
                        ))}
                    </select>
                </Field>
                <PackTable pack={pack} />
            </div>
            <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
                <div className="grid content-start gap-6">
                    {steps.map((step) => (
                        <fieldset key={step} className="grid gap-3">
                            <legend className="pb-2 text-lg font-bold">{STEP_WORDS[step]}</legend>
                            <QuestionFields
                                questions={questions.filter((question) => question.step === step)}
                                value={values.practice}
                                onChange={(practice) => set('practice', practice)}
                                otherwise={(question) => `${above ? whose : 'As usual'}: ${words(question, standing(question))}`}
                                onLook={setLooked}
                            />
                        </fieldset>
                    ))}
                </div>
                <div className="lg:sticky lg:top-4 lg:self-start">
                    <Preview
                        key={looked.key}
                        question={looked}
                        practice={{ ...above?.practice, ...values.practice }}
                        pack={pack.code}
                        standing={standing(looked)}
                    />
                </div>
            </div>
            <FormFoot message={message ?? (Object.values(errors).flat().join(' ') || null)} busy={busy}>
                Keep
            </FormFoot>
        </form>
    );
}

function PackTable({ pack }: { pack: PackFacts }) {
    return (
        <details>
            <summary className="link min-h-12 cursor-pointer content-center font-semibold">
                What {pack.name} fixes: {pack.figures.length} figures, version {pack.version}
            </summary>
            <table className="w-full text-left text-sm">
                <tbody>
                    {pack.figures.map((figure) => (
                        <tr key={figure.key} className="border-hair border-b align-top">
                            <th scope="row" className="py-1 pr-3 font-normal">
                                {figure.name}
                            </th>
                            <td className="py-1 pr-3 font-semibold">{figure.value}</td>
                            <td className="text-quiet py-1">{figure.status}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </details>
    );
}
