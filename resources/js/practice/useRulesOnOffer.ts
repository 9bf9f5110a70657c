import { useQuery } from '@tanstack/react-query';
import { api } from '@/api/client';

/** Packs, questions, and what school and instructor have chosen. */
export const useRulesOnOffer = () => useQuery({ queryKey: ['rules'], queryFn: () => api.GET('/rules'), staleTime: Infinity });
