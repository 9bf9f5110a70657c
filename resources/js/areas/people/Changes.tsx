import { useInfiniteQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '@/api/client';
import type { Change } from '@/api/types';
import { restore } from '@/archive/restore';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { Empty, Failed, Waiting } from '@/ui/State';
import { byDay, LISTS, said, takenBack } from './changes';

/** Who changed what, latest first; what was archived can be brought back from here. */
export function Changes() {
    const client = useQueryClient();
    const clock = useClock();
    const notice = useNotice();
    const parts = useInfiniteQuery({
        queryKey: ['changes'],
        queryFn: ({ pageParam }) => api.GET('/changes', { params: { query: pageParam ? { before: pageParam } : {} } }),
        initialPageParam: '',
        getNextPageParam: (part) => (part.more ? part.changes[part.changes.length - 1]?.id : undefined),
        staleTime: 0,
    });
    if (parts.isLoading) return <Waiting />;
    if (!parts.data) return <Failed error={parts.error} retry={() => void parts.refetch()} />;
    const changes = parts.data.pages.flatMap((part) => part.changes);
    if (changes.length === 0) {
        return (
            <Empty title="Nothing changed yet">
                <p>Whoever adds, changes, archives or erases a learner, a place, a car or a person is noted here. Lessons and marks have their own records.</p>
            </Empty>
        );
    }
    const open = takenBack(changes);
    const bringBack = async (change: Change) => {
        const list = LISTS[change.kind]!;
        await restore[list](change.subject_id);
        await Promise.all([client.invalidateQueries({ queryKey: ['changes'] }), client.invalidateQueries({ queryKey: [list] })]);
        notice({ text: `${change.name} is back.` });
    };
    return (
        <section className="grid gap-5" aria-label="What changed">
            {byDay(changes, clock.date).map(({ day, changes: ofDay }) => (
                <div key={day}>
                    <h2 className="border-hair border-b-2 pb-1 text-lg">{day}</h2>
                    <ul>
                        {ofDay.map((change) => (
                            <li key={change.id} className="border-hair flex min-h-12 flex-wrap items-center gap-x-4 border-b py-1">
                                <span className="text-quiet tabular w-12 text-sm">{clock.time(change.at)}</span>
                                <span className="min-w-0 flex-1 break-words">{said(change)}</span>
                                {open.has(change.id) && (
                                    <button type="button" className="key" aria-label={`Bring ${change.name} back`} onClick={() => void bringBack(change)}>
                                        Bring back
                                    </button>
                                )}
                            </li>
                        ))}
                    </ul>
                </div>
            ))}
            {parts.hasNextPage && (
                <button type="button" className="key justify-self-start" disabled={parts.isFetching} onClick={() => void parts.fetchNextPage()}>
                    Earlier
                </button>
            )}
        </section>
    );
}
