import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { questions } from '@/api/questions';
import type { KeptCircuit } from '@/api/types';
import { ArchiveList } from '@/archive/ArchiveList';
import { addressOf } from '@/site/circuit';
import { Failed, Waiting } from '@/ui/State';
import { Centres } from '../centre/Centres';
import { MeasuredDrives } from './MeasuredDrives';

/** Circuits that are kept, the files of the test centres, and what was measured by driving. */
export function CircuitsPage() {
    const circuits = useQuery(questions.circuits());
    if (circuits.isLoading) return <Waiting />;
    if (!circuits.data) return <Failed error={circuits.error} retry={() => void circuits.refetch()} />;
    return (
        <div className="grid gap-8">
            <header className="grid gap-2">
                <Link className="link justify-self-start text-sm" to="/places">
                    Places
                </Link>
                <div className="flex flex-wrap items-center justify-between gap-4">
                    <h1 className="text-3xl">Circuits</h1>
                    <Link className="key" data-tone="main" to="/places/circuit">
                        Plan a circuit
                    </Link>
                </div>
            </header>
            {circuits.data.length === 0 ? (
                <p>None is kept yet. Plan one, from a pick-up through a few ways and back, and keep it under a name.</p>
            ) : (
                <ul aria-label="Kept">
                    {circuits.data.map((circuit) => (
                        <Line key={circuit.id} circuit={circuit} />
                    ))}
                </ul>
            )}
            <ArchiveList of="circuits" />
            <Centres circuits={circuits.data} />
            <MeasuredDrives />
        </div>
    );
}

/** A circuit in one line: what it is, and whose. */
export function Line({ circuit }: { circuit: KeptCircuit }) {
    const { name, minutes, ways, shared, mine, by, rehearsal, note } = circuit;
    return (
        <li className="border-hair border-b py-2">
            <Link className="link text-lg font-semibold break-words" to={addressOf(circuit)}>
                {name}
            </Link>
            <p className="text-quiet text-sm">
                {[
                    `${minutes} min`,
                    ways.length === 1 ? '1 way' : `${ways.length} ways`,
                    rehearsal && 'rehearsal of an assessment',
                    mine ? (shared ? 'yours, shared' : 'yours') : `shared by ${by}`,
                    note,
                ]
                    .filter(Boolean)
                    .join(' · ')}
            </p>
        </li>
    );
}
