import { useState } from 'react';
import type { Mark } from '@/api/types';
import type { RoundEvent, QueueEvent, Refusal } from '@/queue/queue';
import { marksQueue, useMarksQueue } from '@/queue/marks';
import { useClock, useSession } from '@/session/session';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import { useWrites } from '@/writes/here';
import { useNotice } from '@/ui/Notice';
import { saveFile } from '@/ui/saveFile';
import { Empty } from '@/ui/State';
import { canBePutRight, PutRight } from './PutRight';
import { WrittenHere } from './WrittenHere';

/** What waits on this device, and what the server would not take: each put right, sent as new, kept as a file or discarded. */
export function UnsentPage() {
    const { user } = useSession();
    const { waiting, refused, sentAt } = useMarksQueue();
    const { waiting: written } = useWrites();
    const [righting, setRighting] = useState<Refusal | null>(null);
    const clock = useClock();
    const notice = useNotice();
    const rounds = new Map(waiting.flatMap((event) => (event.kind === 'round' ? [[event.round.id, event.round] as const] : [])));
    const discard = async (one: Refusal) => {
        const given = await marksQueue.discard(one.event.seq);
        notice({ text: 'Discarded.', undo: () => marksQueue.restore(given) });
    };
    const keep = (one: Refusal) => {
        const said = { not_accepted: one.reason, made_by: user.name, ...marksQueue.written(one.event.seq) };
        saveFile(`not-sent-${at(one.event).slice(0, 16).replaceAll(/[T:]/g, '-')}.json`, said);
        notice({ text: 'Kept as a file. It stays here until it is sent or discarded.' });
    };
    const others = waiting.length - refused.reduce((sum, one) => sum + 1 + one.holdsUp, 0);
    return (
        <div className="grid max-w-3xl gap-6">
            <header>
                <h1 className="text-3xl">Not yet sent</h1>
                <p className="text-quiet">
                    Marks made and words written on this device that the server does not have. They stay here until they are sent or discarded.
                </p>
            </header>
            {others > 0 && <p>{others === 1 ? 'One waits to be sent and goes' : `${others} wait to be sent and go`} by themselves when there is signal.</p>}
            {waiting.length === 0 && written.length === 0 && (
                <Empty title="Everything is sent">
                    <p>
                        {sentAt === null ? 'Nothing waits on this device.' : `Nothing waits on this device: the last went at ${clock.time(new Date(sentAt))}.`}
                    </p>
                </Empty>
            )}
            {refused.length > 0 && (
                <section aria-labelledby="refused" className="grid gap-2">
                    <h2 id="refused" className="text-xl">
                        Not accepted
                    </h2>
                    <ul>
                        {refused.map((one) => (
                            <li key={one.event.seq} className="border-hair grid gap-2 border-b py-3">
                                <div>
                                    <p className="font-semibold">
                                        {words(one.event, rounds)}, {clock.short(at(one.event))} at {clock.exact(at(one.event))}
                                    </p>
                                    <p>{one.reason}</p>
                                    {one.holdsUp > 0 && (
                                        <p className="text-quiet text-sm">
                                            {one.holdsUp === 1 ? 'One mark waits' : `${one.holdsUp} marks wait`} for it and {one.holdsUp === 1 ? 'goes' : 'go'}{' '}
                                            the same way.
                                        </p>
                                    )}
                                </div>
                                <div className="flex flex-wrap gap-2">
                                    {canBePutRight(one) && (
                                        <button type="button" className="key" onClick={() => setRighting(one)}>
                                            Put it right
                                        </button>
                                    )}
                                    <button type="button" className="key" onClick={() => void marksQueue.sendAsNew(one.event.seq)}>
                                        Send as new
                                    </button>
                                    <button type="button" className="key" onClick={() => keep(one)}>
                                        Keep as a file
                                    </button>
                                    <button type="button" className="key" onClick={() => void discard(one)}>
                                        Discard
                                    </button>
                                </div>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            <WrittenHere />
            {righting && <PutRight refusal={righting} onClose={() => setRighting(null)} />}
        </div>
    );
}

const at = (event: QueueEvent): string => (event.kind === 'round' ? event.round.device_at : event.mark.device_at);

const KIND_WORDS: Record<Mark['kind'], string> = {
    ...{ 'held-back-rightly': 'Correctly waited', decision: 'A right decision', count: 'A count', taught: 'Taught', moment: 'A moment' },
    ...{ conditions: 'Conditions', place: 'The place', step: 'A mark' },
};

function words(event: QueueEvent, rounds: ReadonlyMap<string, RoundEvent>): string {
    if (event.kind === 'round') return `A round, ${event.round.place}`;
    const { mark } = event;
    const place = rounds.get(mark.round_id)?.place;
    const what = mark.kind === 'step' && mark.step ? `${STEP_WORDS[mark.step]}${mark.outcome ? ` ${OUTCOME_WORDS[mark.outcome]}` : ''}` : KIND_WORDS[mark.kind];
    return `${mark.withdrawn ? 'Taken back: ' : ''}${what}${place ? `, ${place}` : ''}`;
}
