import { useMemo } from 'react';
import type { LessonItem } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { useRules } from '@/rules/rules';
import { approachAsked } from './placeQuestions';
import { drawn, isPlanned } from '@/strip/plan';

/** The approach planned for a place of the lesson, as it is drawn; null where there is no plan, of which the answer says why. */
export function usePlaceDrawn({ place: { road } }: LessonItem, plan: Extract<LessonItem['plan'], { tool: 'approach' }>) {
    const rules = useRules();
    const inputs = useMemo(() => approachAsked(plan, road, rules), [plan, road, rules]);
    const { data: answer, error, refetch } = useCompute('approach', inputs);
    const shown = useMemo(() => (answer && isPlanned(answer) ? drawn(answer) : null), [answer]);
    return { answer: answer && !isPlanned(answer) ? answer : null, shown, error, refetch };
}
