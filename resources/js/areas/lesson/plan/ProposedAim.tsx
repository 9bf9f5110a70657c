import { useRules } from '@/rules/rules';
import type { ProposedAimOf } from './proposedWords';

/**
 * One thing a lesson is for: why, and what helps with it.
 *
 * @param apart why no place of the plan is for it
 */
export function ProposedAim({ aim, apart = null }: { aim: ProposedAimOf; apart?: string | null }) {
    const { remedy } = aim;
    const { faults } = useRules();
    return (
        <li>
            <p className="text-lg leading-tight font-semibold">{aim.message}</p>
            <p className="leading-snug">
                {remedy.fault && <span className="text-quiet">Seen most: {(faults[aim.step]?.[remedy.fault] ?? remedy.fault).toLowerCase()}. </span>}
                {remedy.text} <span className="text-quiet">Drill: {remedy.drill}</span>
                {apart && <span className="text-quiet"> {apart}</span>}
            </p>
            {remedy.change !== null && (
                <p className="text-quiet text-sm">
                    With {remedy.learners} learners the step was clean {Math.round(100 * remedy.change)} in 100 more often afterwards (
                    {Math.round(100 * remedy.low!)} to {Math.round(100 * remedy.high!)}).
                </p>
            )}
        </li>
    );
}
