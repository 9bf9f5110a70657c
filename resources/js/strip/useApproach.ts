import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { questions } from '@/api/questions';
import type { ApproachAsked, ApproachAnswer } from '@/api/types';

/** In which unit and over which range speeds are asked for. */
export interface SpeedAxis {
    field: 'speed_mph' | 'speed_kmh';
    range: Range;
}
interface Range {
    from: number;
    to: number;
    step: number;
}

export const GRADIENTS: Range = { from: -0.15, to: 0.15, step: 0.01 };

/** A slider counts as at rest when it has not moved for this long, ms. */
const REST = 180;

/** The answer whose swept value is nearest to the one wanted. */
export function nearest<T extends { at?: number }>(answers: T[], wanted: number): T | undefined {
    const off = (answer: T) => Math.abs((answer.at ?? 0) - wanted);
    return answers.reduce<T | undefined>((best, answer) => (best === undefined || off(answer) < off(best) ? answer : best), undefined);
}

function useResting<T>(value: T): T {
    const [resting, setResting] = useState(value);
    useEffect(() => {
        const timer = setTimeout(() => setResting(value), REST);
        return () => clearTimeout(timer);
    }, [value]);
    return resting;
}

/**
 * A plan that follows its controls within a frame: the core is asked for a sweep over speed and one over gradient, each around the
 * resting value of the other, and the nearest answer is shown. A control that rests asks once: the sweep over the other one. Until an
 * answer comes the last picture stays; where there will be none, it is said to be old.
 */
export function useApproach(inputs: ApproachAsked, speed: number, gradient: number, { field, range }: SpeedAxis) {
    const speeds = useMemo<Range>(() => ({ from: range.from, to: range.to, step: range.step }), [range.from, range.to, range.step]);
    const restingSpeed = useResting(speed);
    const restingGradient = useResting(gradient);
    const bySpeed = useQuery(questions.range('approach', { ...inputs, gradient: restingGradient }, { field, ...speeds }));
    const byGradient = useQuery(questions.range('approach', { ...inputs, [field]: restingSpeed }, { field: 'gradient', ...GRADIENTS }));

    const gradientMoves = gradient !== restingGradient;
    const fresh =
        (gradientMoves && byGradient.data && nearest(byGradient.data, gradient)) ||
        (!gradientMoves && bySpeed.data && nearest(bySpeed.data, speed)) ||
        (byGradient.data && nearest(byGradient.data, gradient)) ||
        undefined;
    const [last, setLast] = useState<ApproachAnswer | undefined>(undefined);
    if (fresh && fresh !== last) setLast(fresh);
    // Without signal one of the two may be kept on the device and the other not: the picture is of what is set all the same.
    const error = fresh ? null : (bySpeed.error ?? byGradient.error);
    const retry = () => void Promise.all([bySpeed.refetch(), byGradient.refetch()]);
    return { plan: fresh ?? last, isOld: !fresh && last !== undefined && error !== null, error, retry, isLoading: bySpeed.isLoading };
}
