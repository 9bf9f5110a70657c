import { Link } from 'react-router';
import type { LearnerFacts } from '@/api/types';
import { useClock } from '@/session/session';
import { useCars } from '@/vehicles/VehicleChoice';

const PICK_UP = 'Pick-up';

export function Facts({ learner }: { learner: LearnerFacts }) {
    const clock = useClock();
    const cars = useCars();
    const on = (date: string | null) => (date ? clock.short(`${date}T12:00:00Z`) : 'not yet');
    const facts: [string, string | null][] = [
        [PICK_UP, learner.pick_up ?? (learner.pick_up_latitude_deg === null ? null : 'on the map')],
        ['Telephone', learner.phone],
        ['Email', learner.email],
        ['Texts', learner.wants_texts ? null : 'wants none about lessons'],
        ['Licence seen', on(learner.licence_seen_on)],
        ['Eyesight checked', on(learner.eyesight_checked_on)],
        [
            'Guardian',
            learner.is_minor
                ? [
                      learner.guardian_name,
                      learner.guardian_contact,
                      learner.guardian_consent_on ? `consent ${on(learner.guardian_consent_on)}` : 'no consent yet',
                  ]
                      .filter(Boolean)
                      .join(', ')
                : null,
        ],
    ];
    return (
        <section aria-labelledby="facts">
            <h2 id="facts" className="border-hair border-b-2 pb-1 text-lg">
                Facts
            </h2>
            <dl className="grid grid-cols-[9rem_minmax(0,1fr)] gap-y-1 py-2">
                {facts
                    .filter(([, value]) => value)
                    .map(([name, value]) => (
                        <div key={name} className="contents">
                            <dt className="text-quiet">{name}</dt>
                            <dd className="min-w-0 break-words">
                                {value}
                                {name === PICK_UP && learner.pick_up_latitude_deg !== null && (
                                    <>
                                        {' · '}
                                        <Link className="link" to={`/places?near=${learner.id}`}>
                                            Places near it
                                        </Link>
                                    </>
                                )}
                            </dd>
                        </div>
                    ))}
                {learner.reference_points.map((point) => (
                    <div key={point.what + point.where} className="contents">
                        <dt className="text-quiet">{point.what}</dt>
                        <dd>
                            {point.where}
                            {cars.data && point.vehicle_id && (
                                <span className="text-quiet"> · {cars.data.find((car) => car.id === point.vehicle_id)?.name ?? 'a car in the archive'}</span>
                            )}
                        </dd>
                    </div>
                ))}
            </dl>
        </section>
    );
}
