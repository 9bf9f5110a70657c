import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { questions } from '@/api/questions';
import { ArchiveList } from '@/archive/ArchiveList';
import type { KeptCircuit } from '@/api/types';

/** The test centres the school goes to, each with its file. */
export function Centres({ circuits }: { circuits: readonly KeptCircuit[] }) {
    const centres = useQuery(questions.centres());
    return (
        <section aria-label="Test centres" className="grid gap-2">
            <div className="flex flex-wrap items-center justify-between gap-4">
                <h2 className="text-xl">Test centres</h2>
                <Link className="key" to="/places/centres/new">
                    New centre
                </Link>
            </div>
            {centres.data?.length === 0 && (
                <p className="text-quiet">Open a file for the centre you go to: arrival, bays, what is asked at the car, routes, traps.</p>
            )}
            <ul>
                {centres.data?.map(({ id, name, checks, traps }) => {
                    const routes = circuits.filter(({ centre_id }) => centre_id === id).length;
                    return (
                        <li key={id} className="border-hair border-b py-2">
                            <Link className="link text-lg font-semibold break-words" to={`/places/centres/${id}`}>
                                {name}
                            </Link>
                            <p className="text-quiet text-sm">
                                {counted(routes, 'route')} · {counted(traps.length, 'trap')} · {counted(checks.length, 'check')} at the car
                            </p>
                        </li>
                    );
                })}
            </ul>
            <ArchiveList of="centres" />
        </section>
    );
}

const counted = (number: number, what: string): string => `${number} ${what}${number === 1 ? '' : 's'}`;
