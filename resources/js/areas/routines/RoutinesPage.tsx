import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { NavLink, useParams } from 'react-router';
import { get } from '@/api/client';
import type { ApproachInputs, RoutineCard } from '@/api/types';
import { ApproachView } from '@/approach/ApproachView';
import type { Conditions } from '@/approach/Controls';
import { useSession } from '@/app/session';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';
import { Failed, Waiting } from '@/ui/State';

/** How do I explain it? */
export function RoutinesPage() {
    const { code } = useParams();
    const routines = useQuery({ queryKey: ['routines'], queryFn: () => get<RoutineCard[]>('routines'), staleTime: Infinity });
    if (routines.isLoading) return <Waiting />;
    if (!routines.data) return <Failed error={routines.error} retry={() => void routines.refetch()} />;
    const card = routines.data.find((candidate) => candidate.code === (code ?? 'emerge-right')) ?? routines.data[0]!;
    return (
        <div className="grid gap-5">
            <h1 className="text-3xl">Routines</h1>
            <nav aria-label="Routines" className="screen-only flex flex-wrap gap-2">
                {routines.data.map((routine) => (
                    <NavLink
                        key={routine.code}
                        to={`/routines/${routine.code}`}
                        className="key aria-[current=page]:border-ink"
                        aria-current={routine.code === card.code ? 'page' : undefined}
                        data-tone={routine.code === card.code ? 'main' : undefined}
                    >
                        {routine.title}
                    </NavLink>
                ))}
            </nav>
            <Card key={card.code} card={card} />
        </div>
    );
}

function Card({ card }: { card: RoutineCard }) {
    const { school } = useSession();
    const [conditions, setConditions] = useState<Conditions>({ speed: 30, gradient: 0, surface: 'dry', follower: false });
    const inputs = useMemo<ApproachInputs>(() => ({ pack: school.pack, practice: school.practice, routine: card.code, limit_mph: 30 }), [school, card.code]);
    return (
        <article className="grid gap-5">
            <header>
                <h2 className="text-2xl">{card.title}</h2>
                <p className="text-quiet">{card.where}</p>
            </header>
            <ApproachView inputs={inputs} conditions={conditions} onConditions={setConditions} />
            <section aria-label="The five steps" className="grid gap-6">
                {card.steps.map((step) => (
                    <div key={step.step} className="border-hair grid gap-x-8 gap-y-2 border-t-2 pt-4 md:grid-cols-[9rem_1fr_1fr]">
                        <h3 className="flex items-start gap-2 text-lg">
                            <StepIcon step={step.step} /> {STEP_WORDS[step.step]}
                        </h3>
                        <div className="grid content-start gap-2">
                            <p className="font-semibold">{step.do}</p>
                            <p>{step.why}</p>
                        </div>
                        <div className="grid content-start gap-2">
                            <p>
                                <span className="font-semibold">Usual mistake: </span>
                                {step.usual_mistake}
                            </p>
                            <p>
                                <span className="font-semibold">Likely cause, in {STEP_WORDS[step.cause_step].toLowerCase()}: </span>
                                {step.likely_cause}
                            </p>
                            <p>
                                <span className="font-semibold">Remedy: </span>
                                {step.remedy}
                            </p>
                            <p>
                                <span className="font-semibold">Drill: </span>
                                {step.drill}
                            </p>
                        </div>
                    </div>
                ))}
                <p className="border-hair border-t-2 pt-4">
                    <span className="font-semibold">Afterwards: </span>
                    {card.afterwards} <span className="text-quiet">Common practice, no source.</span>
                </p>
            </section>
        </article>
    );
}
