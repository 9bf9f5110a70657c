import { useQuery } from '@tanstack/react-query';
import { api } from '@/api/client';

/** Packs, questions, and what school and instructor have chosen. */
export const useDoctrines = () => useQuery({ queryKey: ['doctrines'], queryFn: () => api.GET('/doctrines'), staleTime: Infinity });
