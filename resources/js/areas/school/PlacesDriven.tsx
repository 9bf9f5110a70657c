import { Link } from 'react-router';
import type { Teaching } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { STEP_WORDS } from '@/strip/words';
import { DataTable } from '@/ui/DataTable';
import { SharePicture } from '@/skill/SharePicture';

type Driven = Teaching['places'][number];

/** Where a step was missed or the instructor stepped in, beside the same routine at the other places. */
export function PlacesDriven({ places }: { places: Driven[] }) {
    const name = useRoutineName();
    const enough = places.filter((place) => place.enough);
    const rest = places.length - enough.length;
    return (
        <section className="grid gap-3">
            <h2 className="text-xl">Places by how often a step was missed or you stepped in</h2>
            {enough.length === 0 ? (
                <p className="text-quiet">No place has ten rounds of three learners yet.</p>
            ) : (
                <DataTable
                    label="Places"
                    heads={['Place', 'Attempts with a serious problem', 'Same routine elsewhere', 'Most often', 'Learners']}
                    least={58}
                    stacks
                    rows={enough.map((place) => ({
                        key: `${place.place}.${place.routine}`,
                        strong: place.fails_more,
                        head: (
                            <>
                                {place.name}
                                <span className="text-quiet block text-sm font-normal">
                                    {name(place.routine)}
                                    {place.fails_more && <b> · fails more often than the others</b>}
                                </span>
                            </>
                        ),
                        cells: [
                            <SharePicture key="here" share={place.failed} />,
                            <SharePicture key="there" share={place.elsewhere} />,
                            place.step ? `${STEP_WORDS[place.step]}, ${place.step_rounds} rounds` : '–',
                            place.learners,
                        ],
                    }))}
                />
            )}
            {rest > 0 && (
                <p className="text-quiet">
                    {rest} more {rest === 1 ? 'place has' : 'places have'} too few rounds or learners.
                </p>
            )}
            <p className="text-quiet text-sm">
                Who drives a place counts as well as what it is: one that beginners go to first fails more often. What a place asks is on its plan, under{' '}
                <Link className="link" to="/places">
                    Places
                </Link>
                .
            </p>
        </section>
    );
}
