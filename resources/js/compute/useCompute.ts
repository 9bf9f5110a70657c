import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { post } from '@/api/client';
import { nearest } from '@/strip/useApproach';

/** Asks one of the core's tools; the last picture stays until the new answer comes. */
export function useCompute<T>(tool: string, inputs: object) {
    return useQuery({
        queryKey: ['compute', tool, inputs],
        queryFn: () => post<T>(`compute/${tool}`, inputs),
        placeholderData: keepPreviousData,
        staleTime: Infinity,
    });
}

/** Asks for a whole range of one field at once and shows the nearest, so that a slider is followed at once. */
export function useSwept<T extends { at?: number }>(
    tool: string,
    inputs: object,
    sweep: { field: string; from: number; to: number; step: number },
    value: number,
) {
    const { data, error, isLoading, isPlaceholderData } = useCompute<{ answers: T[] }>(tool, { ...inputs, sweep });
    return { data: data && nearest(data.answers, value), error, isLoading, isPlaceholderData };
}
