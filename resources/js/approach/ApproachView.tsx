import { useMemo, useState, type ReactNode } from 'react';
import type { ApproachInputs, Step } from '@/api/types';
import { Strip } from '@/strip/Strip';
import { wantedFrom } from '@/strip/layout';
import { SPEEDS, useApproach } from '@/strip/useApproach';
import { Failed, Waiting } from '@/ui/State';
import { Controls, type Conditions } from './Controls';
import { PlanNotes } from './PlanNotes';
import { StepDetail } from './StepDetail';

interface Props {
    /** What belongs to the place, the car and the doctrine; the conditions are laid over it. */
    inputs: ApproachInputs;
    conditions: Conditions;
    onConditions: (conditions: Conditions) => void;
    /** What stands before the controls, on their line where there is room. */
    lead?: ReactNode;
}

/** A plan as it is worked with everywhere: controls, strip, the step in words, and what it rests on. */
export function ApproachView({ inputs, conditions, onConditions, lead }: Props) {
    const [step, setStep] = useState<Step>('signal');
    const asked = useMemo<ApproachInputs>(() => {
        const { gradient: _, ...rest } = inputs;
        return { ...rest, surface: conditions.surface, close_follower: conditions.follower };
    }, [inputs, conditions.surface, conditions.follower]);
    const { plan, error, isLoading } = useApproach(asked, conditions.speed, conditions.gradient);
    if (error && !plan) return <Failed error={error} />;
    if (!plan) return isLoading ? <Waiting /> : null;
    const setSpeed = (speed: number) => onConditions({ ...conditions, speed: Math.min(SPEEDS.to, Math.max(SPEEDS.from, speed)) });
    const current = plan.steps.find((candidate) => candidate.step === step)!;
    return (
        <div className="grid gap-3">
            <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
                {lead}
                <Controls conditions={conditions} onChange={onConditions} />
            </div>
            <Strip plan={plan} current={step} onStep={setStep} from={wantedFrom(plan)} speed={conditions.speed} onSpeed={setSpeed} />
            <StepDetail plan={plan} step={current} />
            <PlanNotes plan={plan} />
        </div>
    );
}
