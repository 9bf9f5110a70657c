import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { questions } from '@/api/questions';
import { Link } from 'react-router';
import type { ApproachAsked, FastRoad, SiteAnswer } from '@/api/types';
import { placeAddress } from '@/bench/places';
import { useRules } from '@/rules/rules';
import { wantedFrom } from '@/strip/layout';
import { WayLane, WayLights, WayTurn } from '@/site/WaySays';
import { NotPlanned } from '@/strip/NotPlanned';
import { drawn, isPlanned, type StripStep } from '@/strip/plan';
import { Strip } from '@/strip/Strip';
import { NotShown } from '@/ui/NotShown';

export type Way = SiteAnswer['ways'][number];

interface Props {
    way: Way;
    /** What an instructor says of how hard it is; null where the core's word stands. */
    ownWord: Way['difficulty']['words'] | null;
    first: SiteAnswer['measure_first'];
}

const HARD = { easy: 'Easy', middling: 'Middling', hard: 'Hard' } as const;

/** What a way is, how hard, and what its plan hangs on. */
export function WayFacts({ way, ownWord, first }: Props) {
    const { difficulty } = way;
    return (
        <div className="grid gap-3">
            <p>
                That is <strong>{way.title.toLowerCase()}</strong>. {way.because}
            </p>
            {way.then && (
                <p>
                    Then at once, after {Math.round(way.then.distance_m)} m: <strong>{way.then.title.toLowerCase()}</strong>.
                </p>
            )}
            {(way.tool || difficulty.reasons.length > 0) && (
                <p>
                    {ownWord && (
                        <>
                            <strong>{HARD[ownWord]}</strong> in your word; computed:{' '}
                        </>
                    )}
                    <strong>{HARD[difficulty.words]}</strong>
                    {difficulty.reasons.length > 0 && `: ${difficulty.reasons.slice(0, 3).join('; ')}`}. <span className="text-quiet text-sm">assumed</span>
                </p>
            )}
            {way.lanes && <WayLane asked={way.lanes} />}
            {way.turn && <WayTurn asked={way.turn} />}
            {way.lights && <WayLights asked={way.lights} />}
            {!way.tool && <p className="text-quiet">Nothing to plan: in a lesson it is marked under Somewhere else.</p>}
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

/** The plan of a way: its strip where it is planned by an approach, else the page of the bench that reckons it. */
export function WayPlan({ way }: { way: Way }) {
    const rules = useRules();
    const { tool, inputs } = way;
    if (!tool || !inputs) return null;
    if (tool === 'approach') return <WayStrip inputs={inputs} />;
    // Under other rules than those in force the bench would reckon something else.
    if (inputs.pack !== rules.pack) return null;
    return (
        <Link className="key justify-self-start" to={placeAddress(tool as FastRoad, inputs, way.routine, rules)}>
            Plan it on the bench
        </Link>
    );
}

/** The strip of a way. */
function WayStrip({ inputs }: { inputs: ApproachAsked }) {
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
