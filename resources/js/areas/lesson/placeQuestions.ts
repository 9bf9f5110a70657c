import type { ApproachAsked, LessonItem, RoadFacts, Rules } from '@/api/types';
import { questions, type Question } from '@/api/questions';
import { ordinary, overSpeed, under } from '@/approach/conditions';
import { judgementQuestions } from '@/judgement/asked';
import { limitOf, withLimit } from '@/rules/rules';

/** How the approach of a place is asked for, with its limit in the unit of the rules in force. */
export const approachAsked = (plan: Extract<LessonItem['plan'], { tool: 'approach' }>, road: RoadFacts, rules: Rules): ApproachAsked =>
    withLimit(plan.inputs, limitOf(road, rules), rules);

/** All that the pages of a lesson ask of the core about one of its places. */
export function placeQuestions({ plan, place: { road }, routine, drawings }: LessonItem, rules: Rules): Question[] {
    const judged = judgementQuestions(routine, road, drawings, rules, plan.inputs.pack);
    if (plan.tool !== 'approach') return [questions.tool(plan.tool, plan.inputs), ...judged];
    const inputs = approachAsked(plan, road, rules);
    const { gradient, ...conditions } = ordinary(road, rules);
    return [
        questions.tool('approach', plan.inputs),
        questions.tool('approach', inputs),
        overSpeed(under(inputs, conditions), gradient, rules.speed_unit),
        ...judged,
    ];
}
