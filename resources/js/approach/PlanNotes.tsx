import type { DrawnPlan } from '@/strip/plan';
import { Figures } from '@/compute/Figures';
import { useRules } from '@/rules/rules';
import { speedWords } from '@/rules/speed';
import { hiddenOn } from '@/strip/Hidden';
import { WhoWaits } from '@/strip/WhoWaits';
import { spoken, wayIsKnown } from '@/strip/words';

const WHERE = { bend: 'In the bend', crest: 'Over the crest', dip: 'On the way to the dip' };

/** What had to give way, what to know, and what every figure rests on. */
export function PlanNotes({ plan }: { plan: DrawnPlan }) {
    const rules = useRules();
    const { motion } = plan;
    const conflicts = plan.conflicts.filter((conflict) => !conflict.code.startsWith('signal'));
    return (
        <section aria-label="Behind the plan" className="not-on-card grid gap-3">
            {(conflicts.length > 0 || plan.warnings.length > 0) && (
                <ul className="grid gap-2">
                    {conflicts.map((conflict) => (
                        <li key={conflict.code} className="border-ink border-l-4 pl-3">
                            {conflict.message}
                        </li>
                    ))}
                    {plan.warnings.map((warning) => (
                        <li key={warning.code} className="border-line border-l-4 pl-3">
                            {warning.message}
                        </li>
                    ))}
                </ul>
            )}
            {plan.stages.length > 0 && (
                <ol className="grid gap-2" aria-label="In two">
                    {plan.stages.map((stage) => (
                        <li key={stage.name}>
                            <span className="font-semibold">
                                {stage.name === 'first' ? 'First' : 'Then'}, {spoken(stage.from_m, plan.unit)} to {spoken(stage.to_m, plan.unit)}:
                            </span>{' '}
                            {stage.message}
                        </li>
                    ))}
                </ol>
            )}
            {plan.gives_way.length > 0 && <WhoWaits waits={plan.gives_way} />}
            {plan.point_of_no_return_m !== null && (
                <p>
                    Nearer than <span className="font-semibold">{spoken(plan.point_of_no_return_m, plan.unit)}</span> to the line we go on even if the lights
                    change.
                </p>
            )}
            {hiddenOn(plan.place).map(
                ({ kind, from, to, seen }) =>
                    seen !== null && (
                        <p key={kind}>
                            {WHERE[kind]}, {spoken(from, plan.unit)} to {spoken(to, plan.unit)} before the line, no more than{' '}
                            <span className="font-semibold">{spoken(seen, plan.unit)}</span> of the road are seen; what your eyes see decides.
                        </p>
                    ),
            )}
            {plan.groups.some((group) => group.steps.length > 1) && (
                <p className="font-semibold">
                    {plan.groups.map((group) => (group.steps.length > 1 ? `${group.name} (${group.steps.join(', ')})` : group.name)).join(' – ')}
                </p>
            )}
            <p className="text-quiet">
                {motion && !motion.fits && 'Planned at '}
                {motion && speedWords(motion.approach_speed_mps, rules.speed_unit)}
                {motion && !motion.fits && ', the fastest at which everything fits'}
                {motion && ' · '}
                {plan.sign?.in_time ? wayIsKnown(plan, plan.saidBy) : `“${plan.direction}” at least ${spoken(plan.saidBy, plan.unit)} before`}
                {motion && ` · firmest braking: ${motion.braking} (${motion.peak_decel_mps2.toFixed(1)} m/s²)`}
                {plan.gear_after_line !== null && <> · carry on in {['first', 'second', 'third', 'fourth', 'fifth', 'sixth'][plan.gear_after_line - 1]} gear</>}
            </p>
            <Figures assumptions={plan.assumptions} title="How this was worked out">
                <dl className="grid content-start gap-3">
                    {plan.practice.map((choice) => (
                        <div key={choice.question}>
                            <dt className="font-semibold">
                                {choice.text}: {choice.words}
                            </dt>
                            <dd>{choice.reason}</dd>
                        </div>
                    ))}
                    <div className="text-quiet">
                        Core {plan.version.core}, rules {plan.version.pack}. Teaching aids: conditions, the law of the place and the licensed instructor’s
                        judgement come first. Nobody works this while driving.
                    </div>
                </dl>
            </Figures>
        </section>
    );
}
