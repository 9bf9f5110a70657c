import { useSession } from '@/session/session';
import { Failed } from '@/ui/State';
import { useView, Views } from '@/ui/Views';
import { Problem } from '@/api/client';
import { Changes } from './Changes';
import { Keeping } from './Keeping';
import { Letters } from './Letters';
import { Staff } from './Staff';
import { Texts } from './Texts';
import { WhereItLies } from './WhereItLies';

const VIEWS = {
    people: 'People',
    letters: 'Letters',
    texts: 'Texts to learners',
    changes: 'What changed',
    keeping: 'How long learners are kept',
    where: 'Where the school lies',
} as const;

/** What the owner looks after: who works here, the letters that let them in, who changed what, and whose records end. */
export function PeoplePage() {
    const { user } = useSession();
    const [view, show] = useView(VIEWS);
    if (user.role !== 'owner') return <Failed error={new Problem(403, 'Only the owner of the school looks after this.')} />;
    return (
        <div className="grid gap-5">
            <header className="grid gap-2">
                <h1 className="text-3xl">People and privacy</h1>
                <Views views={VIEWS} view={view} onView={show} />
            </header>
            <div className="grid max-w-4xl gap-5">
                {view === 'people' && <Staff onLetters={() => show('letters')} />}
                {view === 'letters' && <Letters />}
                {view === 'texts' && <Texts />}
                {view === 'changes' && <Changes />}
                {view === 'keeping' && <Keeping />}
                {view === 'where' && <WhereItLies />}
            </div>
        </div>
    );
}
