import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, at } from '@/api/client';
import type { LearnerData } from '@/api/types';
import { useClock, useSession } from '@/session/session';
import { saveFile } from '@/ui/saveFile';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { DataSheet } from './DataSheet';
import { EraseForm } from './EraseForm';

/** Everything kept of one learner: to be read with them, printed, handed out as a file, or ended. */
export function DataPage() {
    const { id = '' } = useParams();
    const { user } = useSession();
    const clock = useClock();
    const [erasing, setErasing] = useState(false);
    // Each time it is taken out is noted: once a visit is enough.
    const taken = useQuery({
        queryKey: ['learner', id, 'data'],
        queryFn: () => api.GET('/learners/{learner}/data', at({ learner: id })),
        staleTime: Infinity,
        gcTime: 0,
        refetchOnWindowFocus: false,
        refetchOnReconnect: false,
    });
    if (taken.isLoading) return <Waiting />;
    if (!taken.data) return <Failed error={taken.error} retry={() => void taken.refetch()} />;
    const { data } = taken;
    return (
        <div className="grid max-w-4xl gap-6">
            <header className="flex flex-wrap items-start justify-between gap-4">
                <div className="min-w-0">
                    <h1 className="text-3xl break-words">What is kept of {data.learner.name}</h1>
                    <p className="text-quiet">
                        {data.school} · taken out on {clock.date(data.made_at)}, {clock.time(data.made_at)}
                    </p>
                </div>
                <div className="screen-only flex flex-wrap gap-2">
                    <Link className="key" to={`/learners/${id}`}>
                        Back to the record
                    </Link>
                    <button type="button" className="key" onClick={() => window.print()}>
                        Print
                    </button>
                    <button type="button" className="key" onClick={() => save(data)}>
                        Save as a file
                    </button>
                    {user.role === 'owner' && (
                        <button type="button" className="key" data-tone="bare" onClick={() => setErasing(true)}>
                            Erase this learner
                        </button>
                    )}
                </div>
            </header>
            <DataSheet data={data} />
            <Sheet title="Erase this learner" open={erasing} onOpenChange={setErasing}>
                <EraseForm id={id} name={data.learner.name} />
            </Sheet>
        </div>
    );
}

/** As the server answered it, JSON, described by docs/schemas/learner-data.json. */
function save(data: LearnerData): void {
    saveFile(`${data.learner.name.replaceAll(/[^\p{L}\p{N}]+/gu, '-')}-${data.made_at.slice(0, 10)}.json`, data);
}
