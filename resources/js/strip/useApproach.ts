import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { post } from '@/api/client';
import type { ApproachInputs, ApproachPlan } from '@/api/types';

interface Swept {
    answers: ApproachPlan[];
}
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

function sweep(inputs: ApproachInputs, field: 'speed_mph' | 'speed_kmh' | 'gradient', range: Range) {
    return {
        queryKey: ['approach', field, inputs],
        queryFn: () => post<Swept>('compute/approach', { ...inputs, sweep: { field, ...range } }),
        staleTime: Infinity,
    };
}

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
 * A plan that follows its controls within a frame: the core is asked for a sweep over speed and one over gradient,
 * each around the resting value of the other, and the nearest answer is shown. What one press could change next
 * (wet or dry, somebody close behind) is asked for ahead. Until an answer comes the last picture stays; where there will be none,
 * it is said to be old.
 */
export function useApproach(inputs: ApproachInputs, speed: number, gradient: number, { field, range }: SpeedAxis) {
    const client = useQueryClient();
    const speeds = useMemo<Range>(() => ({ from: range.from, to: range.to, step: range.step }), [range.from, range.to, range.step]);
    const restingSpeed = useResting(speed);
    const restingGradient = useResting(gradient);
    const bySpeed = useQuery(sweep({ ...inputs, gradient: restingGradient }, field, speeds));
    const byGradient = useQuery(sweep({ ...inputs, [field]: restingSpeed }, 'gradient', GRADIENTS));

    useEffect(() => {
        if (!bySpeed.data) return;
        const next: ApproachInputs[] = [
            { ...inputs, surface: inputs.surface === 'wet' ? 'dry' : 'wet' },
            { ...inputs, close_follower: !inputs.close_follower },
        ];
        for (const variant of next) client.query(sweep({ ...variant, gradient: restingGradient }, field, speeds)).catch(() => undefined);
    }, [client, inputs, restingGradient, bySpeed.data, field, speeds]);

    const gradientMoves = gradient !== restingGradient;
    const fresh =
        (gradientMoves && byGradient.data && nearest(byGradient.data.answers, gradient)) ||
        (!gradientMoves && bySpeed.data && nearest(bySpeed.data.answers, speed)) ||
        (byGradient.data && nearest(byGradient.data.answers, gradient)) ||
        undefined;
    const [last, setLast] = useState<ApproachPlan | undefined>(undefined);
    if (fresh && fresh !== last) setLast(fresh);
    const error = bySpeed.error ?? byGradient.error;
    const retry = () => void Promise.all([bySpeed.refetch(), byGradient.refetch()]);
    return { plan: fresh ?? last, isOld: !fresh && last !== undefined && error !== null, error, retry, isLoading: bySpeed.isLoading };
}
