import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, at, Problem } from '@/api/client';
import { questions } from '@/api/questions';
import type { DriveMeasured, TrackRead } from '@/api/types';
import { useClock } from '@/session/session';
import { siteName } from '@/site/map';
import { FileKey } from '@/ui/FileKey';
import { useNotice } from '@/ui/Notice';
import { NotShown, reason } from '@/ui/NotShown';
import { Sheet } from '@/ui/Sheet';

/** So many are shown at first: the last ones. */
const SHOWN = 8;

/** What recorded drives say of the way from one site to another: brought in from a file, each to be thrown out, the middle of them counting. */
export function MeasuredDrives() {
    const client = useQueryClient();
    const notice = useNotice();
    const clock = useClock();
    const legs = useQuery(questions.legs());
    const where = useSiteNames();
    const [all, setAll] = useState(false);
    const again = () => client.invalidateQueries({ queryKey: ['legs'] });
    const throwOut = async ({ id, from, to }: DriveMeasured) => {
        await api.DELETE('/legs/{leg}', at({ leg: id }));
        await again();
        notice({
            text: `The drive from ${where(from)} to ${where(to)} no longer counts.`,
            undo: () => void api.POST('/legs/{leg}/restore', at({ leg: id })).then(again),
        });
    };
    const drives = legs.data?.drives ?? [];
    return (
        <section aria-label="Measured drives" className="grid gap-2">
            <h2 className="text-xl">Measured drives</h2>
            <p className="text-quiet max-w-prose">
                Between two sites a circuit counts what was measured, and estimates the rest. Record a lesson with any receiver and bring its track in; of
                several drives the middle one counts.
            </p>
            <BringIn onKept={again} where={where} />
            {legs.error && <NotShown what="The drives are not shown" error={legs.error} retry={() => void legs.refetch()} />}
            <ul>
                {drives.slice(0, all ? undefined : SHOWN).map((drive) => (
                    <li key={drive.id} className="border-hair flex flex-wrap items-center gap-x-4 border-b py-1">
                        <span className="min-w-[min(16rem,100%)] flex-1">
                            {where(drive.from)} to {where(drive.to)}
                            <span className="text-quiet block text-sm">
                                {timeWords(drive)} · {clock.short(drive.driven_at)}
                            </span>
                        </span>
                        <button
                            type="button"
                            className="key min-w-12"
                            data-tone="bare"
                            aria-label={`Throw out the drive from ${where(drive.from)} to ${where(drive.to)}, ${clock.short(drive.driven_at)}`}
                            onClick={() => void throwOut(drive)}
                        >
                            ✕
                        </button>
                    </li>
                ))}
            </ul>
            {drives.length > SHOWN && (
                <button type="button" className="link min-h-12 justify-self-start" aria-expanded={all} onClick={() => setAll(!all)}>
                    {all ? 'Fewer' : `All ${drives.length}`}
                </button>
            )}
        </section>
    );
}

type Where = (site: string | null) => string;

function useSiteNames(): Where {
    const sites = useQuery(questions.sites()).data;
    return (site) => (site === null ? 'the school' : siteName(sites, site));
}

/** "2:21 min, 1.1 km" */
const timeWords = ({ time_s, distance_m }: Pick<DriveMeasured, 'time_s' | 'distance_m'>): string =>
    `${Math.floor(time_s / 60)}:${String(time_s % 60).padStart(2, '0')} min, ${(distance_m / 1000).toFixed(1)} km`;

/** The tool says what a file measures before any of it is kept. */
function BringIn({ onKept, where }: { onKept: () => Promise<unknown>; where: Where }) {
    const notice = useNotice();
    const [gpx, setGpx] = useState('');
    const [said, setSaid] = useState<TrackRead | null>(null);
    const [wrong, setWrong] = useState<string | null>(null);
    const ask = async (text: string, keep: boolean) => {
        try {
            return await api.POST('/legs/track', { body: { gpx: text, keep } });
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            setSaid(null);
            setWrong(reason(error).replace(/^gpx /, 'The file '));
            return null;
        }
    };
    const open = async (file: File) => {
        setWrong(null);
        const text = await file.text();
        setGpx(text);
        setSaid(await ask(text, false));
    };
    const keep = async () => {
        const done = await ask(gpx, true);
        setSaid(null);
        if (!done) return;
        await onKept();
        notice({ text: `${done.kept === 1 ? '1 drive is' : `${done.kept} drives are`} kept.` });
    };
    const fresh = said?.drives.filter(({ known }) => !known).length ?? 0;
    return (
        <div className="screen-only grid gap-2">
            <FileKey label="Bring a recorded drive in (GPX)" accept=".gpx,application/gpx+xml" onFile={(file) => void open(file)} />
            {wrong && (
                <p role="alert" className="font-semibold">
                    ▸ {wrong}
                </p>
            )}
            <Sheet title="A recorded drive" about="Nothing is kept yet." open={said !== null} onOpenChange={() => setSaid(null)}>
                {said && (
                    <>
                        <p>
                            {said.points} points over {Math.round(said.time_s / 60)} min.
                        </p>
                        {said.left_out.map((sentence) => (
                            <p key={sentence} className="font-semibold">
                                ▸ {sentence}
                            </p>
                        ))}
                        {said.drives.length === 0 && <p>It passes no two sites one after the other: it measures nothing.</p>}
                        <ol className="grid gap-1">
                            {said.drives.map((drive) => (
                                <li key={`${drive.driven_at} ${drive.from} ${drive.to}`} className="border-hair border-b py-1">
                                    {where(drive.from)} to {where(drive.to)}: {timeWords(drive)}
                                    <span className="text-quiet text-sm">
                                        {drive.stood_s > 0 && ` · ${Math.round(drive.stood_s / 60)} min at the kerb left out`}
                                        {drive.known && ' · came before'}
                                    </span>
                                </li>
                            ))}
                        </ol>
                        <button type="button" className="key justify-self-start" data-tone="main" disabled={fresh === 0} onClick={() => void keep()}>
                            {fresh === 0 ? 'Nothing new in it' : `Keep ${fresh === 1 ? 'the drive' : `${fresh} drives`}`}
                        </button>
                    </>
                )}
            </Sheet>
        </div>
    );
}
