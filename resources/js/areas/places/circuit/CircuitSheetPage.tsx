import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { questions } from '@/api/questions';
import type { SiteLine } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { SeatSheet } from '@/seat/SeatSheet';
import type { SeatPlan, SeatStop } from '@/seat/rows';
import { isSameWay, markWords, wayName, type Mark } from '@/site/circuit';
import { useMarks } from '@/site/useMarks';
import { NotShown } from '@/ui/NotShown';
import { Failed, Waiting } from '@/ui/State';
import { ORDERS, useCircuit } from './useCircuit';

/** A circuit on one page for the seat beside, in the order driven. */
export function CircuitSheetPage() {
    const sites = useQuery(questions.sites());
    const marks = useMarks();
    if (sites.isLoading) return <Waiting />;
    if (!sites.data) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
    if (marks.length === 0) return <Waiting />;
    return <Driven sites={sites.data} marks={marks} />;
}

function Driven({ sites, marks }: { sites: SiteLine[]; marks: Mark[] }) {
    const { plan, kept, asked, search } = useCircuit(sites, marks);
    const circuit = useCompute('circuit', asked);
    const ways = (circuit.data?.order ?? []).flatMap((id) => (plan.taken[Number(id)] ? [{ id, way: plan.taken[Number(id)]! }] : []));
    const plans = useQuery({ ...questions.plansOfWays(ways.map(({ way }) => way)), enabled: ways.length > 0 });
    const address = new URLSearchParams(search);
    address.delete('watch');
    const back = (
        <Link className="key" to={`/places/circuit?${address.toString()}`}>
            Back to the circuit
        </Link>
    );
    if (circuit.error ?? plans.error) {
        return (
            <div className="grid gap-4">
                <NotShown what="The sheet is not shown" error={circuit.error ?? plans.error} retry={() => void (circuit.error ? circuit : plans).refetch()} />
                {back}
            </div>
        );
    }
    if (circuit.data && ways.length === 0) {
        return (
            <div className="grid gap-4">
                <p>No way of it fits: there is nothing to put on a sheet.</p>
                {back}
            </div>
        );
    }
    if (!circuit.data || !plans.data) return <Waiting />;
    const stops = ways.map(({ id, way }, i): SeatStop => {
        const site = sites.find((one) => one.id === way.site)!;
        const { tool, inputs } = plans.data[i]!;
        const rounds = way.rounds - (circuit.data.left_out.find((left) => left.way === id)?.rounds ?? 0);
        return {
            id,
            name: wayName(site, way),
            routine: way.routine,
            about: rounds === 1 ? 'once' : `${rounds} rounds`,
            note: site.ways.find((one) => isSameWay({ ...one, site: site.id }, way))?.note ?? site.note,
            plan: tool === null ? null : ({ tool, inputs } as SeatPlan),
        };
    });
    const about = [
        `${plan.minutes} minutes from ${markWords(plan.start)} ${plan.end ? `to ${markWords(plan.end)}` : 'and back'}`,
        ORDERS[plan.order].toLowerCase(),
        circuit.data.message,
        kept?.rehearsal && 'Rehearsal of an assessment: directions only, told at the kerb.',
    ];
    return <SeatSheet title={kept?.name ?? 'A circuit'} about={about.filter(Boolean).join(' · ')} stops={stops} asked={asked} back={back} />;
}
