import type { Teaching } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { percent } from '@/skill/words';
import { STEP_WORDS } from '@/strip/words';
import { DataTable } from '@/ui/DataTable';
import { SharePicture } from '@/skill/SharePicture';

type Failure = Teaching['failures'][number];

/** Which steps of which routines need help most, and whether the step before them was to blame as the catalogue says. */
export function Causes({ failures }: { failures: Failure[] }) {
    const name = useRoutineName();
    const enough = failures.filter((failure) => failure.enough);
    const rest = failures.length - enough.length;
    return (
        <section className="grid gap-3">
            <h2 className="text-xl">Steps that needed help, most often first</h2>
            {enough.length === 0 ? (
                <p className="text-quiet">Nothing has 20 marks of three learners yet: fewer are no pattern.</p>
            ) : (
                <DataTable
                    label="Steps that needed help"
                    heads={['Step', 'Needed help', 'Learners', 'Possible cause one step earlier']}
                    least={52}
                    stacks
                    rows={enough.map((failure) => ({
                        key: `${failure.routine}.${failure.step}`,
                        head: (
                            <>
                                {STEP_WORDS[failure.step]}
                                <span className="text-quiet block text-sm">{name(failure.routine)}</span>
                            </>
                        ),
                        cells: [<SharePicture key="helped" share={failure.helped} />, failure.learners, <Cause key="cause" failure={failure} />],
                    }))}
                />
            )}
            {rest > 0 && (
                <p className="text-quiet">
                    {rest} more {rest === 1 ? 'step has' : 'steps have'} too few marks or learners to be a pattern.
                </p>
            )}
            <p className="text-quiet text-sm">
                Probably connected: the earlier step was wrong much more often when this one went wrong than when it went well. Marks of one learner are alike,
                so the true ranges are somewhat wider.
            </p>
        </section>
    );
}

function Cause({ failure }: { failure: Failure }) {
    if (!failure.cause) return <span className="text-quiet">before it began</span>;
    const share = ({ count, of }: { count: number; of: number }) => percent(of === 0 ? 0 : count / of);
    return (
        <span className="whitespace-normal">
            {STEP_WORDS[failure.cause]}
            {failure.with && failure.without && failure.with.of > 0 && (
                <span className={`block text-sm ${failure.cause_shows ? 'font-semibold' : 'text-quiet'}`}>
                    wrong in {share(failure.with)} % of those attempts, in {share(failure.without)} % of the others:{' '}
                    {failure.cause_shows ? 'probably connected' : 'not clearly connected'}
                </span>
            )}
        </span>
    );
}
