import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api } from '@/api/client';

const LOOK_AGAIN_MS = 1000;

/** All learners with what was last found of them. Old answers are made anew in the background; the page can be left meanwhile. */
export function useRecords() {
    const client = useQueryClient();
    const list = useQuery({ queryKey: ['school', 'learners'], queryFn: () => api.GET('/school/learners') });
    const stale = list.data?.stale ?? 0;
    const state = useQuery({
        queryKey: ['school', 'records'],
        queryFn: () => api.POST('/school/records'),
        enabled: stale > 0,
        gcTime: 0,
        refetchInterval: (query) => (query.state.data?.stale === 0 || query.state.data?.failed ? false : LOOK_AGAIN_MS),
    });
    const done = stale > 0 && state.data?.stale === 0;
    useEffect(() => {
        if (done) void client.invalidateQueries({ queryKey: ['school'], predicate: (query) => query.queryKey[1] !== 'records' });
    }, [done, client]);
    return { list, working: stale > 0 && !done ? (state.data ?? { stale, progress: null, failed: 0 }) : null };
}
