import { useQuery } from '@tanstack/react-query';
import { get } from '@/api/client';
import type { RoutineCard } from '@/api/types';
import { useRules } from '@/app/rules';

/** Every card of the catalogue in the words of the rules in force, or of another pack's. */
export function useCards(pack?: string) {
    const rules = useRules();
    const wanted = pack ?? rules.pack;
    return useQuery({ queryKey: ['routines', wanted, rules.practice], queryFn: () => get<RoutineCard[]>(`routines?pack=${wanted}`), staleTime: Infinity });
}
