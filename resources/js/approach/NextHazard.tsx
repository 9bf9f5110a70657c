import { useState } from 'react';
import type { ThenPlan } from '@/api/types';
import type { StripStep } from '@/strip/plan';
import { Strip } from '@/strip/Strip';
import { alongTheRoad } from '@/strip/plan';

const HEADS: Record<ThenPlan['verdict'], string> = {
    'one-after-the-other': 'One after the other',
    'plan-second-first': 'Plan the second before the first',
    'both-in-one': 'Both in one',
};

/** The hazard close behind: how both are taken, what is said, and its own strip. */
export function NextHazard({ then, label }: { then: ThenPlan; label: string }) {
    const [step, setStep] = useState<StripStep>('signal');
    return (
        <section aria-label={label} className="border-hair grid gap-2 border-t-2 pt-3">
            <h3 className="text-xl">{HEADS[then.verdict]}</h3>
            <p>{then.message}</p>
            <p>
                <span className="font-semibold">{then.say_together ? 'Say both together: ' : 'Say: '}</span>“{then.direction}”
            </p>
            {then.plan && <Strip plan={alongTheRoad(then.plan)} current={step} onStep={setStep} compact />}
        </section>
    );
}
