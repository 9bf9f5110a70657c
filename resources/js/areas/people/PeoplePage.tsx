import { useSearchParams } from 'react-router';
import { useSession } from '@/app/session';
import { Failed } from '@/ui/State';
import { Problem } from '@/api/client';
import { Changes } from './Changes';
import { Keeping } from './Keeping';
import { Letters } from './Letters';
import { Staff } from './Staff';

const VIEWS = { people: 'People', letters: 'Letters', changes: 'What changed', keeping: 'How long learners are kept' } as const;

/** What the owner looks after: who works here, the letters that let them in, who changed what, and whose records end. */
export function PeoplePage() {
    const { user } = useSession();
    const [address, setAddress] = useSearchParams();
    const asked = address.get('show') ?? '';
    const view = asked in VIEWS ? (asked as keyof typeof VIEWS) : 'people';
    if (user.role !== 'owner') return <Failed error={new Problem(403, 'Only the owner of the school looks after this.')} />;
    return (
        <div className="grid max-w-4xl gap-5">
            <header className="grid gap-2">
                <h1 className="text-3xl">People and privacy</h1>
                <div className="flex flex-wrap gap-1" role="group" aria-label="What to show">
                    {(Object.keys(VIEWS) as (keyof typeof VIEWS)[]).map((key) => (
                        <button
                            key={key}
                            type="button"
                            className="key"
                            aria-pressed={view === key}
                            onClick={() => setAddress({ show: key }, { replace: true })}
                        >
                            {VIEWS[key]}
                        </button>
                    ))}
                </div>
            </header>
            {view === 'people' && <Staff onLetters={() => setAddress({ show: 'letters' })} />}
            {view === 'letters' && <Letters />}
            {view === 'changes' && <Changes />}
            {view === 'keeping' && <Keeping />}
        </div>
    );
}
