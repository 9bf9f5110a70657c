import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { questions } from '@/api/questions';
import type { ApproachAsked, SiteAnswer } from '@/api/types';
import { useRules } from '@/rules/rules';
import { wantedFrom } from '@/strip/layout';
import { NotPlanned } from '@/strip/NotPlanned';
import { drawn, isPlanned, type StripStep } from '@/strip/plan';
import { Strip } from '@/strip/Strip';
import { NotShown } from '@/ui/NotShown';

export type Way = SiteAnswer['ways'][number];

/** What a way is, how hard, and what its plan hangs on. */
export function WayFacts({ way, first }: { way: Way; first: SiteAnswer['measure_first'] }) {
    const { difficulty } = way;
    return (
        <div className="grid gap-3">
            <p>
                That is <strong>{way.title.toLowerCase()}</strong>. {way.because}
            </p>
            {way.tool && (
                <p>
                    <strong>{{ easy: 'Easy', middling: 'Middling', hard: 'Hard' }[difficulty.words]}</strong>
                    {difficulty.reasons.length > 0 && `: ${difficulty.reasons.slice(0, 3).join('; ')}`}. <span className="text-quiet text-sm">assumed</span>
                </p>
            )}
            {way.also.length > 0 && <p>Also taught here: {way.also.map(({ title }) => title.toLowerCase()).join(', ')}.</p>}
            {first.length > 0 && (
                <section aria-label="Measure first" className="border-now border-l-4 pl-3">
                    <h3 className="sr-only">Measure first</h3>
                    <ul className="grid gap-1">
                        {first.slice(0, 3).map((row) => (
                            <li key={row.of}>
                                {row.message} <span className="text-quiet text-sm">{STATUS[row.status]}</span>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </div>
    );
}

const STATUS = { assumed: 'assumed', written: 'written, not measured', measured: 'measured', unknown: 'not known' } as const;

/** The strip of a way, as far as one plans it by an approach. */
export function WayStrip({ inputs }: { inputs: ApproachAsked }) {
    const rules = useRules();
    const [step, setStep] = useState<StripStep>('signal');
    const { data, error, refetch } = useQuery({ ...questions.tool('approach', inputs), placeholderData: (before) => before });
    const plan = useMemo(() => (data && isPlanned(data) ? drawn(data) : undefined), [data]);
    if (error) return <NotShown what="The plan of this way is not shown" error={error} retry={() => void refetch()} />;
    if (data && !isPlanned(data)) return <NotPlanned answer={data} />;
    if (!plan) return null;
    const current = plan.steps.find((one) => one.step === step) ?? plan.steps[0]!;
    return <Strip plan={plan} current={current.step} onStep={setStep} from={wantedFrom(plan)} speedUnit={rules.speed_unit} />;
}
