import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { LearnerHours } from '@/api/types';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { saveText } from '@/ui/saveFile';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { AccompaniedForm } from './AccompaniedForm';
import { Asked } from './Asked';
import { DriveLines } from './DriveLines';
import { lasting, type Part } from './parts';
import { PartsTable } from './PartsTable';

type Drive = LearnerHours['drives'][number];

/** The book of hours: with an instructor and accompanied, what the law asks, and the drives behind every figure. One sheet to hand in. */
export function HoursPage() {
    const { id = '' } = useParams();
    const hours = useQuery(questions.hours(id));
    if (hours.isLoading) return <Waiting />;
    if (!hours.data) return <Failed error={hours.error} retry={() => void hours.refetch()} />;
    return <Book hours={hours.data} />;
}

function Book({ hours }: { hours: LearnerHours }) {
    const client = useQueryClient();
    const clock = useClock();
    const notice = useNotice();
    const [part, setPart] = useState<Part | null>(null);
    const [telling, setTelling] = useState<Drive | 'new' | null>(null);
    const { learner } = hours;
    const reread = () => client.invalidateQueries({ queryKey: ['learner', learner.id] });
    const takeAway = async (drive: Drive) => {
        await api.DELETE('/accompanied/{accompaniedDrive}', at({ accompaniedDrive: drive.id }));
        await reread();
        setTelling(null);
        const putBack = () => api.POST('/accompanied/{accompaniedDrive}/restore', at({ accompaniedDrive: drive.id })).then(reread);
        notice({ text: `The drive of ${clock.short(drive.starts_at)} is taken away.`, undo: () => void putBack() });
    };
    const save = async () => {
        const { csv } = await api.GET('/learners/{learner}/hours/file', at({ learner: learner.id }));
        saveText(`${learner.name.replaceAll(/[^\p{L}\p{N}]+/gu, '-')}-hours.csv`, csv, 'text/csv');
    };
    const [taught, alone] = ['instructor', 'accompanied'].map((who) => hours.with.find((one) => one.with === who)?.minutes ?? 0) as [number, number];
    return (
        <article className="grid max-w-4xl gap-8 print:max-w-none">
            <header className="flex flex-wrap items-start justify-between gap-4">
                <div className="min-w-0">
                    <h1 className="text-3xl break-words">{learner.name}: hours</h1>
                    <p className="text-quiet">
                        {lasting(hours.total)} at the wheel: {lasting(taught)} with an instructor, {lasting(alone)} accompanied
                    </p>
                </div>
                <div className="screen-only flex flex-wrap gap-2">
                    <button type="button" className="key" data-tone="main" onClick={() => setTelling('new')}>
                        Accompanied drive
                    </button>
                    <Link className="key" to={`/learners/${learner.id}`}>
                        The record
                    </Link>
                    <button type="button" className="key" onClick={() => void save()}>
                        As a table
                    </button>
                    <button type="button" className="key" onClick={() => window.print()}>
                        Print
                    </button>
                </div>
            </header>
            <Asked hours={hours} onShow={setPart} />
            {hours.total === 0 ? (
                <p>Nothing has been driven yet. Lessons count when they are done; what the learner drives with somebody else is added by hand.</p>
            ) : (
                <>
                    <PartsTable hours={hours} chosen={part} onChoose={setPart} />
                    <DriveLines drives={hours.drives} part={part} onAll={() => setPart(null)} onChange={setTelling} />
                </>
            )}
            <Sheet
                title={telling === 'new' ? 'A drive with somebody else' : 'Change the drive'}
                open={telling !== null}
                onOpenChange={(open) => !open && setTelling(null)}
            >
                {telling !== null && (
                    <AccompaniedForm
                        learner={learner}
                        drive={telling === 'new' ? null : telling}
                        onTakeAway={takeAway}
                        onKept={async () => {
                            await reread();
                            setTelling(null);
                        }}
                    />
                )}
            </Sheet>
        </article>
    );
}
