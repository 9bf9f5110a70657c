import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { Asked } from '@/api/tools';
import type { ApproachAsked } from '@/api/types';
import { useCards } from '@/routines/useCards';
import { useRules } from '@/rules/rules';
import { rowsOf, withDirections, type SeatStop } from './rows';

/** The list for the seat beside: each way’s direction and figures from its plan, and from the core where each direction is said. */
export function useSeat(stops: readonly SeatStop[], asked: Asked<'circuit'> | null) {
    const rules = useRules();
    const cards = useCards().data;
    const plans = useQueries({
        queries: stops.map(({ plan }) => ({ ...questions.tool(plan?.tool ?? 'approach', (plan?.inputs ?? {}) as ApproachAsked), enabled: plan !== null })),
    });
    const rows = rowsOf(stops, plans, cards, rules.length_unit);
    const { data, error, refetch } = useQuery({
        ...questions.tool('circuit', withDirections(asked, rows)),
        enabled: asked !== null,
        placeholderData: keepPreviousData,
    });
    return { rows, told: data, error, refetch };
}
