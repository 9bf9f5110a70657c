import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { Asked } from '@/api/tools';
import type { ApproachAsked, SeriesAnswer } from '@/api/types';
import { useCards } from '@/routines/useCards';
import { useRules } from '@/rules/rules';
import { followingOf, notWorkedOut, rowsAsked, toldInRows, type Following, type Row } from './inARow';
import { rowsOf, withDirections, type SeatStop } from './rows';

/** The list for the seat beside: each way’s direction and figures from its plan, from the core where each direction is said, and how ways close together follow. */
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
    const parts = data?.parts ?? [];
    const close = rowsAsked(stops, parts, rules.routines);
    const planned = useQueries({ queries: close.map(({ asked: row }) => questions.tool('series', row)) });
    const answered = close.flatMap((row, i): [Row, SeriesAnswer][] => (planned[i]!.data ? [[row, planned[i]!.data]] : []));
    const following = new Map<string, Following | null>(
        close.flatMap((row, i): [string, Following | null][] => {
            const { data: answer, error: failed } = planned[i]!;
            return answer ? followingOf(row, answer, parts, rules.length_unit) : failed ? notWorkedOut(row) : [];
        }),
    );
    const told = data && { ...data, directions: toldInRows(data.directions, answered, parts) };
    return { rows, told, following, error, refetch };
}
