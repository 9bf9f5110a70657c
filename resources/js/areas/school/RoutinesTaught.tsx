import type { Teaching } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { InkCell } from '@/skill/InkCell';
import { inTen, percent } from '@/skill/words';
import { STEP_WORDS } from '@/strip/words';
import { DataTable } from '@/ui/DataTable';

type Routine = Teaching['routines'][number];

/** What the school teaches worst, what few have met, and what nobody was ever taught. Each learner counts once. */
export function RoutinesTaught({ routines }: { routines: Routine[] }) {
    const name = useRoutineName();
    const enough = routines.filter((routine) => routine.enough);
    const few = routines.filter((routine) => !routine.enough && routine.learners > 0);
    const never = routines.filter((routine) => routine.learners === 0);
    const row = (routine: Routine) => ({
        key: routine.routine,
        head: (
            <span className="flex items-center gap-2">
                <InkCell
                    believed={{
                        estimate: routine.average ?? 0,
                        low: routine.low ?? 0,
                        high: routine.high ?? 1,
                    }}
                    size={30}
                />
                {name(routine.routine)}
            </span>
        ),
        cells: [
            <span key="average">
                <b>{inTen(routine.average ?? 0)}</b>{' '}
                <span className={`text-quiet ${routine.low === null ? '' : 'whitespace-nowrap'}`}>
                    {routine.low === null || routine.high === null ? 'too few learners to be certain' : `${percent(routine.low)} to ${percent(routine.high)} %`}
                </span>
            </span>,
            routine.weakest ? STEP_WORDS[routine.weakest] : '–',
            routine.learners,
            routine.only_shown || '–',
            routine.never,
        ],
    });
    const heads = ['Routine', 'Alone', 'Weakest step', 'Learners', 'Only shown', 'Not started'];
    return (
        <div className="grid gap-8">
            <section className="grid gap-2">
                <h2 className="text-xl">Taught by the school, weakest first</h2>
                {enough.length === 0 ? (
                    <p className="text-quiet">No routine has been marked with five learners or more yet: fewer say little of a school.</p>
                ) : (
                    <DataTable label="Routines with enough learners" heads={heads} least={46} rows={enough.map(row)} />
                )}
            </section>
            {few.length > 0 && (
                <section className="grid gap-2">
                    <h2 className="text-xl">Too few learners to compare</h2>
                    <DataTable label="Routines with few learners" heads={heads} least={46} rows={few.map((routine) => ({ ...row(routine), quiet: true }))} />
                </section>
            )}
            {never.length > 0 && (
                <section className="grid gap-2">
                    <h2 className="flex items-center gap-2 text-xl">
                        <InkCell believed={null} size={26} /> Never taught to anybody
                    </h2>
                    <p>{never.map((routine) => name(routine.routine)).join(' · ')}</p>
                </section>
            )}
            <p className="text-quiet text-sm">
                An average of estimates over learners at every stage: a routine that beginners meet stands lower than one that only the advanced do. The range
                is where the average over the learners lies 8 times in 10.
            </p>
        </div>
    );
}
