import { hashKey, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { heard } from '@/api/heard';
import { questions } from '@/api/questions';
import { offWords } from '@/device/deviceWords';
import { useNoticed } from '@/ui/useNoticed';
import { lastAnswers } from '@/copies/here';
import { room } from '@/copies/room';
import { pageKeeper } from '@/copies/worker';
import { useMarksQueue } from '@/queue/marks';
import { useClock } from '@/session/session';
import { Receiver } from './Receiver';

/** What this device can do without signal, and what it keeps for it. */
export function ThisDevice() {
    const clock = useClock();
    const ready = useNoticed(pageKeeper.ready);
    const ahead = useNoticed(heard.clockAhead);
    const space = useNoticed(room);
    const { waiting, refused, sentAt } = useMarksQueue();
    const kept = useQuery({ queryKey: ['kept-here'], queryFn: async () => [...(await lastAnswers.times())], staleTime: 0, refetchInterval: 5_000 });
    const times = new Map(kept.data ?? []);
    const day = times.get(hashKey(questions.today(clock.iso(new Date())).queryKey));
    const lessons = [...times.keys()].filter((key) => /^\["lesson","[^"]+"\]$/.test(key)).length;
    return (
        <section className="grid gap-3" aria-labelledby="device">
            <h2 id="device" className="text-xl">
                This device
            </h2>
            <dl className="grid gap-x-6 gap-y-2 sm:grid-cols-[auto_1fr]">
                <dt className="text-quiet">Without signal</dt>
                <dd>
                    {ready
                        ? 'The pages open, and today’s and tomorrow’s lessons with their plans, cards and records.'
                        : window.isSecureContext
                          ? 'Not yet: what the pages need is being fetched, or this browser does not allow it.'
                          : 'The pages do not open: a browser allows it only at an address that begins with https. Marks made on an open page still wait and go later.'}
                </dd>
                <dt className="text-quiet">Kept here</dt>
                <dd>
                    {day === undefined
                        ? 'Nothing of today yet.'
                        : `${lessons === 1 ? 'One lesson' : `${lessons} lessons`} and what belongs to them, as of ${clock.time(new Date(day))}. Goes when you sign out; lock the device while it does not.`}
                </dd>
                <dt className="text-quiet">Marks</dt>
                <dd>
                    {waiting.length === 0 ? (sentAt === null ? 'Nothing waits to be sent.' : `All sent, ${clock.time(new Date(sentAt))}.`) : null}
                    {waiting.length > 0 && (
                        <Link className="link" to="/unsent">
                            {waiting.length - refused.length} to be sent, {refused.length} not accepted
                        </Link>
                    )}
                </dd>
                {space && (
                    <>
                        <dt className="text-quiet">Room</dt>
                        <dd>
                            {Number.isFinite(space.left) ? `About ${sized(space.left)} left. ` : ''}
                            {space.promised
                                ? 'The browser keeps it until you sign out.'
                                : 'The browser may clear it when it runs short. Installed as an application, it keeps it.'}
                        </dd>
                    </>
                )}
                <dt className="text-quiet">Clock</dt>
                <dd>{ahead === 0 ? 'Right, as far as the server can tell.' : `${offWords(ahead)}: set it right.`}</dd>
                <dt className="text-quiet">Where it is</dt>
                <dd>
                    <Receiver />
                </dd>
            </dl>
        </section>
    );
}

/** Bytes as they are said. */
const sized = (bytes: number): string => (bytes >= 1e9 ? `${Math.round(bytes / 1e9)} GB` : `${Math.max(0, Math.round(bytes / 1e6))} MB`);
