import { useMemo, useState, type ReactNode } from 'react';
import type { ApproachAsked } from '@/api/types';
import type { StripStep } from '@/strip/plan';
import { useRules } from '@/rules/rules';
import { speedField, speedRange } from '@/rules/speed';
import { wantedFrom } from '@/strip/layout';
import { Strip } from '@/strip/Strip';
import { useApproach } from '@/strip/useApproach';
import { drawn, isPlanned } from '@/strip/plan';
import { NotPlanned } from '@/strip/NotPlanned';
import { NotShown } from '@/ui/NotShown';
import { Failed, Waiting } from '@/ui/State';
import { Controls } from './Controls';
import type { Conditions } from '@/bench/approach';
import { under } from './conditions';
import { NextHazard } from './NextHazard';
import { PlanNotes } from './PlanNotes';
import { StepDetail } from './StepDetail';
import { usePlay } from './usePlay';

interface Props {
    /** What belongs to the place, the car and the practice; the conditions are laid over it. */
    inputs: ApproachAsked;
    conditions: Conditions;
    onConditions: (conditions: Conditions) => void;
    /** What stands before the controls, on their line where there is room. */
    lead?: ReactNode;
    /** One more key before the controls. */
    more?: ReactNode;
    /** What else can be changed; on a phone it opens with the controls. */
    changes?: ReactNode;
    /** What stands beside the strip, under the words of the step; on a phone below both. */
    beside?: ReactNode;
    /** What follows the strip's own notes. */
    below?: ReactNode;
}

/** A plan as it is worked with everywhere: controls, strip, the step in words, and what it rests on. */
export function ApproachView({ inputs, conditions, onConditions, lead, more, changes, beside, below }: Props) {
    const [step, setStep] = useState<StripStep>('signal');
    // On a phone the strip stands first; what it is planned with opens on demand.
    const [changing, setChanging] = useState(false);
    const { speed_unit: unit } = useRules();
    const range = speedRange(unit);
    const { surface, follower } = conditions;
    const asked = useMemo<ApproachAsked>(() => under(inputs, { surface, follower }), [inputs, surface, follower]);
    const { plan: answer, isOld, error, retry, isLoading } = useApproach(asked, conditions.speed, conditions.gradient, { field: speedField(unit), range });
    const plan = useMemo(() => (answer && isPlanned(answer) ? drawn(answer) : undefined), [answer]);
    const play = usePlay(plan, setStep);
    const setSpeed = (speed: number) => onConditions({ ...conditions, speed: Math.min(range.to, Math.max(range.from, speed)) });
    const current = plan && (plan.steps.find((candidate) => candidate.step === step) ?? plan.steps[0]!);
    const moving = plan?.axis === 'distance';
    // A plan of what was set before is faint; what stands around it, and what can be set, is as it is now.
    const old = `min-w-0 ${isOld ? 'opacity-40' : ''}`;
    return (
        <div className="grid gap-3">
            <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
                {lead}
                {changes && <div className={`screen-only ${changing ? 'max-sm:order-last' : 'max-sm:hidden'}`}>{changes}</div>}
                <div className="screen-only flex basis-full flex-wrap items-center gap-x-3 gap-y-2">
                    {plan && (
                        <button
                            type="button"
                            className="key !px-4"
                            aria-label={play.playing ? 'Stop playing' : 'Play'}
                            aria-pressed={play.playing}
                            onClick={play.toggle}
                        >
                            <span aria-hidden="true">{play.playing ? '■' : '▶'}</span>
                        </button>
                    )}
                    {more}
                    {(moving || changes) && (
                        <button type="button" className="key sm:hidden" aria-expanded={changing} onClick={() => setChanging(!changing)}>
                            {changing ? 'Done' : 'Change'}
                        </button>
                    )}
                    {moving && (
                        <div className={`flex-1 flex-wrap items-center gap-x-3 gap-y-2 max-sm:basis-full sm:flex ${changing ? 'flex' : 'hidden'}`}>
                            <Controls conditions={conditions} onChange={onConditions} />
                        </div>
                    )}
                </div>
            </div>
            {isOld && <NotShown what="The picture below is of what was set before. As it is now set, there is no plan" error={error} retry={retry} />}
            <div className="grid gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1fr)_19rem] lg:grid-rows-[auto_1fr] lg:items-start" data-old={isOld || undefined}>
                {plan && current ? (
                    <div className={old}>
                        <Strip
                            plan={plan}
                            current={current.step}
                            onStep={setStep}
                            from={wantedFrom(plan)}
                            at={play.at}
                            speedUnit={unit}
                            {...(moving ? { speed: conditions.speed, onSpeed: setSpeed } : {})}
                        />
                    </div>
                ) : error ? (
                    <Failed error={error} retry={retry} />
                ) : answer && !isPlanned(answer) ? (
                    <NotPlanned answer={answer} />
                ) : (
                    <div>{isLoading && <Waiting />}</div>
                )}
                <div className="grid gap-4 lg:row-span-2">
                    {plan && current && (
                        <div className={old}>
                            <StepDetail plan={plan} step={current} />
                        </div>
                    )}
                    {beside}
                </div>
                <div className="grid gap-3">
                    {plan && (
                        <div className={`grid gap-3 ${old}`}>
                            {plan.then.map((then, i) => (
                                <NextHazard key={i} then={then} label={i === 0 ? 'The next hazard' : `Hazard ${i + 2}`} />
                            ))}
                            <PlanNotes plan={plan} />
                        </div>
                    )}
                    {below}
                </div>
            </div>
        </div>
    );
}
