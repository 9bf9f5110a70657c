import { useSyncExternalStore } from 'react';
import type { Noticed } from '@/api/noticed';

export const useNoticed = <T>(noticed: Noticed<T>): T => useSyncExternalStore(noticed.subscribe, noticed.get);
