import type { Mark } from '@/api/types';
import type { RoundEvent, QueueEvent, Refusal } from '@/queue/queue';
import { marksQueue, useMarksQueue } from '@/queue/marks';
import { useClock } from '@/session/session';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import { useNotice } from '@/ui/Notice';
import { Empty } from '@/ui/State';

/** What waits on this device, and what the server would not take: each sent as new or discarded. */
export function UnsentPage() {
    const { waiting, refused } = useMarksQueue();
    const clock = useClock();
    const notice = useNotice();
    const rounds = new Map(waiting.flatMap((event) => (event.kind === 'round' ? [[event.round.id, event.round] as const] : [])));
    const discard = async (one: Refusal) => {
        const given = await marksQueue.discard(one.event.seq);
        notice({ text: 'Discarded.', undo: () => marksQueue.restore(given) });
    };
    const others = waiting.length - refused.reduce((sum, one) => sum + 1 + one.holdsUp, 0);
    return (
        <div className="grid max-w-3xl gap-6">
            <header>
                <h1 className="text-3xl">Not yet sent</h1>
                <p className="text-quiet">Marks made on this device that the server does not have. They stay here until they are sent or discarded.</p>
            </header>
            {others > 0 && <p>{others === 1 ? 'One waits to be sent and goes' : `${others} wait to be sent and go`} by themselves when there is signal.</p>}
            {waiting.length === 0 && (
                <Empty title="Everything is sent">
                    <p>Nothing waits on this device.</p>
                </Empty>
            )}
            {refused.length > 0 && (
                <section aria-labelledby="refused" className="grid gap-2">
                    <h2 id="refused" className="text-xl">
                        Not accepted
                    </h2>
                    <ul>
                        {refused.map((one) => (
                            <li key={one.event.seq} className="border-hair grid gap-2 border-b py-3 sm:grid-cols-[minmax(0,1fr)_auto] sm:items-center">
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
                                <div className="flex gap-2">
                                    <button type="button" className="key" onClick={() => void marksQueue.sendAsNew(one.event.seq)}>
                                        Send as new
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
