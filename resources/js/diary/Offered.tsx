import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem } from '@/api/client';
import { questions } from '@/api/questions';
import type { DiaryLesson, Offered as Offer } from '@/api/types';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { Reach } from './Reach';
import { useReread } from './useBooked';

/** To whom of the waiting list the hour of a lesson that is off may be offered, best first; one press books whoever said yes. */
export function Offered({ lesson, onDone }: { lesson: DiaryLesson; onDone: () => void }) {
    const clock = useClock();
    const notice = useNotice();
    const reread = useReread();
    const offers = useQuery(questions.offers(lesson.id));
    const [refused, setRefused] = useState<string | null>(null);
    const book = async ({ learner, vehicle, starts_at, minutes }: Offer) => {
        try {
            await api.POST('/lessons', { body: { learner_id: learner.id, vehicle_id: vehicle.id, starts_at, minutes, moved_from_id: lesson.id } });
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            setRefused(Object.values(error.errors).flat().join(' ') || error.message);
            return;
        }
        await reread();
        notice({ text: `${learner.name} is booked: ${clock.day(starts_at)}, ${clock.time(starts_at)}. They are still on the waiting list.` });
        onDone();
    };
    if (!offers.data) return <p className="text-quiet">{offers.error ? `▸ ${offers.error.message}` : 'Looking …'}</p>;
    if (offers.data.length === 0) return <p>This hour fits nobody on the waiting list, or nobody is on it.</p>;
    return (
        <div className="grid gap-3">
            {refused && (
                <p role="alert" className="font-semibold">
                    ▸ {refused}
                </p>
            )}
            <ol>
                {offers.data.map((offer) => (
                    <li key={offer.learner.id} className="border-hair grid gap-2 border-b py-3">
                        <p>
                            <span className="text-lg font-semibold">{offer.learner.name}</span>{' '}
                            <span className="tabular-nums">
                                {clock.time(offer.starts_at)}, {offer.minutes} min
                            </span>
                            {offer.latest_at > offer.earliest_at && (
                                <span className="text-quiet">
                                    {' '}
                                    · may begin from {clock.time(offer.earliest_at)} to {clock.time(offer.latest_at)}
                                </span>
                            )}
                            <span className="text-quiet block">{offer.reasons.join(' · ')}</span>
                            {offer.note && <span className="block">{offer.note}</span>}
                        </p>
                        <p className="border-line border-l-4 pl-3 text-sm">{offer.text}</p>
                        <div className="flex flex-wrap gap-2">
                            <button type="button" className="key" data-tone="main" onClick={() => void book(offer)}>
                                Book {offer.learner.name.split(' ')[0]}
                            </button>
                            <Reach name={offer.learner.name} phone={offer.phone} text={offer.text} />
                        </div>
                    </li>
                ))}
            </ol>
        </div>
    );
}
