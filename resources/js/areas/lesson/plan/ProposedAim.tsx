import { useRules } from '@/rules/rules';
import type { ProposedAimOf } from './proposedWords';

/**
 * One thing a lesson is for: why, and what helps with it.
 *
 * @param isMet at no place of the plan: it is taken as it comes
 */
export function ProposedAim({ aim, isMet }: { aim: ProposedAimOf; isMet: boolean }) {
    const { remedy } = aim;
    const { faults } = useRules();
    return (
        <li>
            <p className="text-lg leading-tight font-semibold">{aim.message}</p>
            <p className="leading-snug">
                {remedy.fault && <span className="text-quiet">Seen most: {(faults[aim.step]?.[remedy.fault] ?? remedy.fault).toLowerCase()}. </span>}
                {remedy.text} <span className="text-quiet">Drill: {remedy.drill}</span>
                {isMet && <span className="text-quiet"> Met on the way, at no place of its own.</span>}
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
