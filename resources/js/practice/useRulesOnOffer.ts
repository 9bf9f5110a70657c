import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';

/** Packs, questions, and what school and instructor have chosen. */
export const useRulesOnOffer = () => useQuery(questions.rulesOnOffer());
