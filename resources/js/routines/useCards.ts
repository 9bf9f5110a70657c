import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { Pack } from '@/api/types';
import { useRules } from '@/rules/rules';
import { useSession } from '@/session/session';

/** Every card of the catalogue in the words of the rules in force, or of another pack's. */
export function useCards(pack?: Pack) {
    const { pack: here } = useRules();
    // Taught as whoever reads them teaches, in a lesson too.
    const { practice } = useSession().rules;
    return useQuery(questions.cards(pack ?? here, practice));
}
