import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { type Asked, type Sweep, type Tool } from '@/api/tools';
import { nearest } from '@/strip/useApproach';

/** Asks one of the core's tools; the last picture stays until the new answer comes. */
export function useCompute<T extends Tool>(tool: T, inputs: Asked<T>) {
    return useQuery({ ...questions.tool(tool, inputs), placeholderData: keepPreviousData });
}

/** Asks for a whole range of one field at once and shows the nearest, so that a slider is followed at once. */
export function useSwept<T extends Tool>(tool: T, inputs: Asked<T>, over: Sweep<T>, value: number) {
    const { data, error, isLoading, isPlaceholderData } = useQuery({ ...questions.range(tool, inputs, over), placeholderData: keepPreviousData });
    return { data: data && nearest(data, value), all: data, error, isLoading, isPlaceholderData };
}
