import { useQuery } from '@tanstack/react-query';
import { get } from '@/api/client';
import type { Doctrines } from '@/api/types';

/** Packs, questions, and what school and instructor have chosen. */
export const useDoctrines = () => useQuery({ queryKey: ['doctrines'], queryFn: () => get<Doctrines>('doctrines'), staleTime: Infinity });
