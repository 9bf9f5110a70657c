import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '@/api/client';
import { useSession } from '@/session/session';
import { Failed, Waiting } from '@/ui/State';
import { useView, Views } from '@/ui/Views';
import { Causes } from './Causes';
import { LearnersAtAGlance } from './LearnersAtAGlance';
import { PlacesDriven } from './PlacesDriven';
import { Remedies } from './Remedies';
import { RoutinesTaught } from './RoutinesTaught';
import { Tests } from './Tests';
import { WellForetold } from './WellForetold';
import { WhoNeedsAWord } from './WhoNeedsAWord';

const VIEWS = {
    learners: 'Learners',
    word: 'Who needs a word',
    routines: 'Routines',
    causes: 'Why help is needed',
    places: 'Where it goes wrong',
    remedies: 'What helps',
    tests: 'Tests',
} as const;

/** What the owner sees beside them. */
const OWNERS = { ...VIEWS, foretold: 'How well it foretells' } as const;

/** The school as its marks show it: who stands where, what is taught worst or never, why and where help is needed. */
export function SchoolPage() {
    const { school, user } = useSession();
    const views = user.role === 'owner' ? OWNERS : VIEWS;
    const [view, show] = useView<keyof typeof OWNERS>(views);
    return (
        <div className="grid gap-5">
            <header className="grid gap-2">
                <div className="flex flex-wrap items-start justify-between gap-4">
                    <h1 className="min-w-0 text-3xl break-words">{school.name}</h1>
                    {user.role === 'owner' && (
                        <Link className="key" to="/school/people">
                            People and privacy
                        </Link>
                    )}
                </div>
                <Views views={views} view={view} onView={show} />
            </header>
            {view === 'learners' && <LearnersAtAGlance />}
            {view === 'word' && <WhoNeedsAWord />}
            {view === 'remedies' && <Remedies />}
            {view === 'tests' && <Tests />}
            {view === 'foretold' && <WellForetold />}
            {(view === 'routines' || view === 'causes' || view === 'places') && <Taught view={view} />}
        </div>
    );
}

function Taught({ view }: { view: 'routines' | 'causes' | 'places' }) {
    const teaching = useQuery({ queryKey: ['school', 'teaching'], queryFn: () => api.GET('/school/teaching') });
    if (teaching.isLoading) return <Waiting />;
    if (!teaching.data) return <Failed error={teaching.error} retry={() => void teaching.refetch()} />;
    if (view === 'routines') return <RoutinesTaught routines={teaching.data.routines} />;
    return view === 'causes' ? <Causes failures={teaching.data.failures} /> : <PlacesDriven places={teaching.data.places} />;
}
