import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { Centre } from '@/api/types';
import { FailedBy } from '@/assessment/FailedBy';
import { siteName } from '@/site/map';
import { useNotice } from '@/ui/Notice';
import { Empty, Failed, Waiting } from '@/ui/State';
import { Line } from '../circuits/CircuitsPage';
import { CentreForm } from './CentreForm';

/** Everything one must know of a test centre, on one page: read with a learner the week before. */
export function CentrePage() {
    const { id = '' } = useParams();
    const go = useNavigate();
    const centres = useQuery(questions.centres());
    if (centres.isLoading) return <Waiting />;
    if (!centres.data) return <Failed error={centres.error} retry={() => void centres.refetch()} />;
    if (id === 'new') {
        return (
            <div className="grid max-w-2xl gap-4">
                <Back />
                <h1 className="text-3xl">New test centre</h1>
                <CentreForm onKept={(kept) => void go(`/places/centres/${kept.id}`, { replace: true })} />
            </div>
        );
    }
    const centre = centres.data.find((one) => one.id === id);
    if (!centre) {
        return (
            <Empty title="There is no such centre">
                <p>It was archived, or its address is wrong.</p>
                <Link className="key justify-self-start" to="/places/circuits">
                    To the centres
                </Link>
            </Empty>
        );
    }
    return <File key={centre.id} centre={centre} />;
}

const Back = () => (
    <Link className="link justify-self-start text-sm" to="/places/circuits">
        Circuits and centres
    </Link>
);

function File({ centre }: { centre: Centre }) {
    const client = useQueryClient();
    const notice = useNotice();
    const go = useNavigate();
    const [changing, setChanging] = useState(false);
    const sites = useQuery(questions.sites()).data;
    const routes = useQuery(questions.circuits()).data?.filter(({ centre_id }) => centre_id === centre.id) ?? [];
    const again = () => client.invalidateQueries({ queryKey: ['centres'] });
    const putAway = async () => {
        await api.DELETE('/centres/{centre}', at({ centre: centre.id }));
        await again();
        void go('/places/circuits');
        notice({ text: `${centre.name} is archived.`, undo: () => void api.POST('/centres/{centre}/restore', at({ centre: centre.id })).then(again) });
    };
    if (changing) {
        return (
            <div className="grid max-w-2xl gap-4">
                <Back />
                <h1 className="text-3xl break-words">{centre.name}</h1>
                <CentreForm centre={centre} onKept={() => setChanging(false)} />
            </div>
        );
    }
    const said: [string, string | null][] = [
        ['Arrival', centre.arrival],
        ['Bays', centre.bays],
        ['Ways in and out', centre.ways_in_and_out],
        ['Note', centre.note],
    ];
    return (
        <article className="lesson-sheet grid max-w-3xl gap-6">
            <header className="grid gap-2">
                <Back />
                <div className="flex flex-wrap items-center justify-between gap-4">
                    <h1 className="min-w-0 text-3xl break-words">{centre.name}</h1>
                    <div className="screen-only flex flex-wrap gap-2">
                        <button type="button" className="key" data-tone="bare" onClick={() => void putAway()}>
                            Archive
                        </button>
                        <button type="button" className="key" onClick={() => window.print()}>
                            Print
                        </button>
                        <button type="button" className="key" data-tone="main" onClick={() => setChanging(true)}>
                            Change
                        </button>
                    </div>
                </div>
                {centre.latitude_deg === null && <p className="text-quiet">Where it lies is not known: no circuit can start from it yet.</p>}
            </header>
            <dl className="grid gap-4">
                {said.map(
                    ([what, words]) =>
                        words && (
                            <div key={what}>
                                <dt className="text-quiet">{what}</dt>
                                <dd className="whitespace-pre-line">{words}</dd>
                            </div>
                        ),
                )}
            </dl>
            {said.every(([, words]) => !words) && <p className="text-quiet">Nothing is written of it yet.</p>}
            {centre.checks.length > 0 && (
                <section aria-label="Asked at the car" className="grid gap-1">
                    <h2 className="text-xl">Asked at the car</h2>
                    <ol className="list-decimal pl-6">
                        {centre.checks.map((check) => (
                            <li key={check}>{check}</li>
                        ))}
                    </ol>
                </section>
            )}
            {centre.traps.length > 0 && (
                <section aria-label="Traps" className="grid gap-1">
                    <h2 className="text-xl">Traps</h2>
                    <ul>
                        {centre.traps.map(({ site, note }) => (
                            <li key={site} className="border-hair border-b py-2">
                                <Link className="link font-semibold" to={`/places/sites/${site}`}>
                                    {siteName(sites, site)}
                                </Link>
                                {note && <p>{note}</p>}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            <Taken id={centre.id} />
            <section aria-label="Usual routes" className="grid gap-1">
                <h2 className="text-xl">Usual routes</h2>
                {routes.length === 0 && <p className="text-quiet">None yet: plan a circuit from here and keep it as a route of this centre.</p>}
                <ul>
                    {routes.map((circuit) => (
                        <Line key={circuit.id} circuit={circuit} />
                    ))}
                </ul>
                {centre.latitude_deg !== null && (
                    <Link className="key screen-only justify-self-start" to={`/places/circuit?from=${centre.id}&order=as-given&minutes=40`}>
                        Plan a route
                    </Link>
                )}
            </section>
            <p className="text-quiet text-sm">What the school has seen there, not what the centre says: routes and rules change.</p>
        </article>
    );
}

/** The tests that learners of the school took there. */
function Taken({ id }: Pick<Centre, 'id'>) {
    const told = useQuery(questions.schoolTests()).data?.centres.find((one) => one.id === id);
    if (!told) return null;
    return (
        <section aria-label="What our learners failed by" className="grid gap-2">
            <h2 className="text-xl">What our learners failed by</h2>
            <FailedBy centre={told} />
        </section>
    );
}
