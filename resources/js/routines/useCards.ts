import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { Pack } from '@/api/types';
import { useRules } from '@/rules/rules';

/** Every card of the catalogue in the words of the rules in force, or of another pack's. */
export function useCards(pack?: Pack) {
    const rules = useRules();
    const wanted = pack ?? rules.pack;
    return useQuery(questions.cards(wanted, rules.practice));
}
