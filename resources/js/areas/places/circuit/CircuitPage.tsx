import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { questions } from '@/api/questions';
import type { SiteLine } from '@/api/types';
import { Figures } from '@/compute/Figures';
import { useCompute } from '@/compute/useCompute';
import { MOST_WAYS, markWords, ROUNDS, type Mark, type Order } from '@/site/circuit';
import { useMarks } from '@/site/useMarks';
import { NotShown } from '@/ui/NotShown';
import { Slider } from '@/ui/Slider';
import { Empty, Failed, Waiting } from '@/ui/State';
import { AddWay } from './AddWay';
import { AsGpx } from './AsGpx';
import { CircuitMap } from './CircuitMap';
import { Hour } from './Hour';
import { InOrder } from './InOrder';
import { Keep } from './Keep';
import { TakeIt } from './TakeIt';
import { ORDERS, useCircuit } from './useCircuit';

/** Ways linked from a pick-up and back so that the minutes of a lesson add up. */
export function CircuitPage() {
    const sites = useQuery(questions.sites());
    const marks = useMarks();
    if (sites.isLoading) return <Waiting />;
    if (!sites.data) return <Failed error={sites.error} retry={() => void sites.refetch()} />;
    if (marks.length === 0) {
        return (
            <Empty title="Nowhere to start from yet">
                <p>Say where the school lies, or where a learner is picked up: the minutes are counted from there.</p>
                <Link className="key justify-self-start" to="/learners">
                    To the learners
                </Link>
            </Empty>
        );
    }
    return <Planned sites={sites.data} marks={marks} />;
}

function Planned({ sites, marks }: { sites: SiteLine[]; marks: Mark[] }) {
    const [open, setOpen] = useState<'add' | 'take' | 'keep' | null>(null);
    const { plan, kept, at, lost, asked, change, search } = useCircuit(sites, marks);
    const { start, end, minutes, order } = plan;
    const taken = [...plan.taken];
    const near = useQuery(questions.sitesNear({ latitude_deg: start.latitude_deg, longitude_deg: start.longitude_deg }));
    const { data, error, isPlaceholderData } = useCompute('circuit', asked);
    const rank = new Map(near.data?.map(({ site }, i) => [site, i]));
    const nearest = [...sites].sort((one, other) => (rank.get(one.id) ?? sites.length) - (rank.get(other.id) ?? sites.length));
    // While the next answer is on its way the one of before is shown, unless it speaks of other ways: they are told apart by their place.
    const isOf = data !== undefined && new Set([...data.order, ...data.left_out.map(({ way }) => way)]).size === taken.length;
    const driven = isOf ? data.order.map((id) => ({ id, way: taken[Number(id)]! })) : [];
    return (
        <div className="grid gap-5">
            <header className="grid gap-2">
                <Link className="link justify-self-start text-sm" to="/places/circuits">
                    Circuits
                </Link>
                <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
                    <h1 className="min-w-0 text-3xl break-words">{kept?.name ?? 'A circuit'}</h1>
                    <div className="flex flex-wrap gap-2">
                        {driven.length > 0 && (
                            <Link className="key" to={`/places/circuit/sheet?${search.toString()}`}>
                                Sheet
                            </Link>
                        )}
                        {taken.length > 0 && (
                            <button type="button" className="key" onClick={() => setOpen('keep')}>
                                Keep
                            </button>
                        )}
                        {driven.length > 0 && (
                            <button type="button" className="key" data-tone="main" disabled={isPlaceholderData} onClick={() => setOpen('take')}>
                                Take it
                            </button>
                        )}
                    </div>
                </div>
                <p className="text-quiet">
                    {minutes} minutes from {markWords(start)} {end ? `to ${markWords(end)}` : 'and back'}
                    {kept?.rehearsal && ' · rehearsal of an assessment: directions only, told at the kerb'}
                    {kept && !kept.mine && ` · kept by ${kept.by}`}
                    {kept?.note && <span className="block">{kept.note}</span>}
                </p>
                {lost > 0 && (
                    <p role="alert" className="font-semibold">
                        ▸ {lost === 1 ? 'One way of it is' : `${lost} ways of it are`} no longer drawn on a site: left out.
                    </p>
                )}
            </header>
            <div className="grid items-start gap-6 lg:grid-cols-[1.3fr_1fr]">
                <div className="grid gap-4">
                    <CircuitMap sites={sites} start={start} end={end} driven={driven.map(({ way }) => way)} />
                    <div className="grid gap-4 sm:grid-cols-2">
                        <MarkSelect label="From" marks={marks} value={start.id} onChange={(from) => change({ from })} />
                        <MarkSelect
                            label="To"
                            none="back where it starts"
                            marks={marks.filter(({ id }) => id !== start.id)}
                            value={end?.id ?? ''}
                            onChange={(to) => change({ to })}
                        />
                        <Slider
                            label="Lesson"
                            value={minutes}
                            min={15}
                            max={240}
                            step={5}
                            words={(value) => `${value} min`}
                            onChange={(value) => change({ minutes: value })}
                        />
                        <label className="grid content-start gap-1 font-semibold">
                            Begins at
                            <input type="time" className="entry" value={at} onChange={(event) => change({ at: event.target.value })} />
                            <span className="text-quiet text-sm font-normal">On a working day; empty: outside the busy hours.</span>
                        </label>
                    </div>
                    {isOf && taken.length > 0 && <Hour parts={data.parts} order={data.order} />}
                    {isOf && taken.length > 0 && <Figures assumptions={data.assumptions} title="How the minutes were worked out" />}
                </div>
                <div className="grid gap-4">
                    <div className="flex flex-wrap gap-2" role="group" aria-label="Order">
                        {(Object.keys(ORDERS) as Order[]).map((one) => (
                            <button key={one} type="button" className="key" aria-pressed={one === order} onClick={() => change({ order: one })}>
                                {ORDERS[one]}
                            </button>
                        ))}
                    </div>
                    {error && <NotShown what="The minutes are not worked out" error={error} retry={() => change({})} />}
                    {taken.length === 0 ? (
                        <p>Add the ways you mean to drive: the order, the drives between them and what is left of the time follow.</p>
                    ) : (
                        isOf && <InOrder {...{ data, sites, taken, driven }} onChange={(next) => change({ taken: next })} />
                    )}
                    <div className="flex flex-wrap gap-2">
                        <button
                            type="button"
                            className="key"
                            data-tone={taken.length === 0 ? 'main' : undefined}
                            disabled={taken.length >= MOST_WAYS}
                            onClick={() => setOpen('add')}
                        >
                            Add a way
                        </button>
                        {driven.length > 0 && <AsGpx name={kept?.name ?? 'Circuit'} start={start} end={end} driven={driven.map(({ way }) => way)} />}
                    </div>
                </div>
            </div>
            {open === 'add' && (
                <AddWay
                    sites={nearest}
                    taken={taken}
                    onAdd={(way) => change({ taken: [...taken, { ...way, rounds: ROUNDS }] })}
                    onClose={() => setOpen(null)}
                />
            )}
            {open === 'take' && isOf && <TakeIt data={data} driven={driven.map(({ way }) => way)} onClose={() => setOpen(null)} />}
            {open === 'keep' && <Keep plan={plan} kept={kept} onKept={(id) => change({ kept: id })} onClose={() => setOpen(null)} />}
        </div>
    );
}

interface Choosing {
    label: string;
    /** What is said where none of them is chosen. */
    none?: string;
    marks: Mark[];
    value: string;
    onChange: (id: string) => void;
}

function MarkSelect({ label, none, marks, value, onChange }: Choosing) {
    return (
        <label className="grid gap-1 font-semibold">
            {label}
            <select className="entry" value={value} onChange={(event) => onChange(event.target.value)}>
                {none && <option value="">{none}</option>}
                {marks.map((mark) => (
                    <option key={mark.id} value={mark.id}>
                        {markWords(mark)}
                    </option>
                ))}
            </select>
        </label>
    );
}
